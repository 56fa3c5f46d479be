/** One step of the schema and the way back. Each is one SQL script, run in a transaction. */
export interface Migration {
  name: string
  /** servers that do not know it would write what is wrong: they refuse to start on it */
  breaking?: boolean
  up: string
  down: string
}
