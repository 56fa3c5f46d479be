import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'

/** One row; the names of table and columns are this file's own. */
export async function insert(db: Database, table: string, row: Record<string, unknown>, tx: Transaction): Promise<void> {
  const columns = Object.keys(row)
  await db.run(
    `insert into ${table} (${columns.join(', ')}) values (${columns.map((_, i) => `$${i + 1}`).join(', ')})`,
    Object.values(row),
    tx,
  )
}
