import type pg from 'pg'
import { Transaction, type Sequelize } from 'sequelize'

/** Sequelize's pool of connections, which statements of our own use as well. */
export interface Connections {
  getConnection: () => Promise<pg.Client>
  releaseConnection: (client: pg.Client) => void
}

const Begun = Transaction as unknown as new (sequelize: Sequelize, options: object) => Transaction & { id: string }

/**
 * Does a piece of work, all of it or nothing; `inside` runs it so that its statements find the transaction. Begun and ended on the connection itself: Sequelize's own way
 * asks for hooks and isolation levels that nobody uses here, and costs a pour a good part of its time.
 */
export const transactionsOf =
  (sequelize: Sequelize, connections: Connections, inside: <T>(tx: Transaction, work: () => Promise<T>) => Promise<T>) =>
  async <T>(work: () => Promise<T>): Promise<T> => {
    const tx = new Begun(sequelize, {})
    const client = await connections.getConnection()
    const say = (word: 'begin' | 'commit' | 'rollback') => client.query(word)
    Object.assign(tx, { connection: Object.assign(client, { uuid: tx.id }) })
    try {
      await say('begin')
      const answer = await inside(tx, work)
      await say('commit')
      return answer
    } catch (error) {
      // where the connection is lost the work is undone with it
      await say('rollback').catch(() => undefined)
      throw error
    } finally {
      Object.assign(tx, { finished: 'over' })
      Object.assign(client, { uuid: undefined })
      connections.releaseConnection(client)
    }
  }
