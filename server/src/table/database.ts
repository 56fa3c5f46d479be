import type { Sequelize } from 'sequelize'

/** The models by name; every table adds its own where it is described. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface Tables {}

/** A connection with its models, `db.Jar`, `db.Bottle` …: rows are read and written through them. */
export interface Database extends Tables {
  sequelize: Sequelize
  url: string
  /** statements sent so far; tests assert that lists need a constant number */
  statements: () => number
  /** A whole statement for what is a set or a sum, its parameters named `$name` and bound by the driver. Stands in a `queries.ts`, nowhere else. */
  query: <T extends object>(sql: string, bind?: object) => Promise<T[]>
  /** The same for what only writes: in a transaction it is sent and not waited for; what refuses it is told when the transaction ends, which then undoes everything. */
  write: (sql: string, bind: object) => Promise<void>
  /** All statements of the work go into one transaction, wherever they are sent from. */
  transaction: <T>(work: () => Promise<T>) => Promise<T>
  /** something that ends with it */
  beforeClose: (end: () => Promise<void>) => void
  close: () => Promise<void>
}

/** a row of the model of that name */
export type Row<Name extends keyof Tables> = InstanceType<Tables[Name]>
