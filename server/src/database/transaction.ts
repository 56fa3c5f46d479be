import type pg from 'pg'
import { Transaction, type Sequelize } from 'sequelize'

/** Sequelize's pool of connections, which statements of our own use as well. */
export interface Connections {
  getConnection: () => Promise<pg.Client>
  releaseConnection: (client: pg.Client) => void
}

/** A piece of work under way on a connection of its own. */
export type Begun = Transaction & {
  connection: pg.Client
  /** what was sent and is not waited for before the end */
  behind: Promise<unknown>[]
}
const New = Transaction as unknown as new (sequelize: Sequelize, options: object) => Transaction & { id: string }

/** Sends what is said to a connection in this turn, one thing after the other, in one piece: each piece costs a call of the system and wakes the database. */
export function together<T>(client: pg.Client, say: () => Promise<T>): Promise<T> {
  const { stream } = (client as unknown as { connection: { stream: NodeJS.WritableStream & { cork: () => void; uncork: () => void } } })
    .connection
  stream.cork()
  process.nextTick(() => stream.uncork())
  return say()
}

/** A statement whose failure is told where the whole work ends. */
export function sendBehind(tx: Begun, sent: Promise<unknown>): void {
  sent.catch(() => undefined)
  tx.behind.push(sent)
}

/**
 * Does a piece of work, all of it or nothing; `inside` runs it so that its statements find the transaction. Begun and ended on the connection itself: Sequelize's own way
 * asks for hooks and isolation levels that nobody uses here, and costs a pour a good part of its time. The beginning is sent with the first statement, the end with the
 * last; what the database refused first is what the work failed of.
 */
export const transactionsOf =
  (sequelize: Sequelize, connections: Connections, inside: <T>(tx: Begun, work: () => Promise<T>) => Promise<T>) =>
  async <T>(work: () => Promise<T>): Promise<T> => {
    const client = await connections.getConnection()
    const tx = new New(sequelize, {}) as unknown as Begun & { id: string }
    Object.assign(tx, { connection: Object.assign(client, { uuid: tx.id }), behind: [] })
    const say = (word: 'begin' | 'commit' | 'rollback') => together(client, () => client.query(word))
    try {
      sendBehind(tx, say('begin'))
      const answer = await inside(tx, work)
      const ended = say('commit')
      await Promise.all([...tx.behind, ended])
      // to a commit of what failed before, the database answers that it has undone it
      if ((await ended).command !== 'COMMIT') throw new Error('A statement of a transaction failed, and nobody was told.')
      return answer
    } catch (error) {
      // where the connection is lost the work is undone with it
      await say('rollback').catch(() => undefined)
      await Promise.all(tx.behind)
      throw error
    } finally {
      Object.assign(tx, { finished: 'over' })
      Object.assign(client, { uuid: undefined })
      connections.releaseConnection(client)
    }
  }
