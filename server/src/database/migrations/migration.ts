/** One step of the schema and the way back. Each is one SQL script, run in a transaction. */
export interface Migration {
  name: string
  up: string
  down: string
}
