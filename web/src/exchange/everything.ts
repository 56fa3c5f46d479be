import {
  api,
  coatApi,
  toneApi,
  traysApi,
  type Bottle,
  type CoatedSheet,
  type LedgerLine,
  type PrintSheet,
  type PrintTryRow,
  type Proof,
  type Swatch,
} from '@selvrin/core/contract'
import { call } from '../api/call'

type Told = (done: number) => void
interface Page<Row> {
  rows: Row[]
  after: string | null
}

/** Every row of a list, page by page. */
async function everyRow<Row>(ask: (after: { after?: string }) => Promise<Page<Row>>, told: Told = () => undefined): Promise<Row[]> {
  const all: Row[] = []
  let after: string | null = null
  do {
    const page: Page<Row> = await ask(after === null ? {} : { after })
    all.push(...page.rows)
    after = page.after
    told(all.length)
  } while (after !== null)
  return all
}

/** Every bottle, retired ones too. */
export const everyBottle = (): Promise<Bottle[]> => everyRow((query) => call(api.bottle.list, { query: { ...query, retired: 'true' } }))
/** Every line of every bottle's ledger, oldest first. */
export const everyLine = (told: Told): Promise<LedgerLine[]> => everyRow((query) => call(api.bottle.lines, { query }), told)
/** Every test of a bottle, newest first. */
export const everyTest = (told: Told): Promise<Proof[]> => everyRow((query) => call(api.proof.list, { query }), told)
/** Every sheet of a print with its tries, the newest first. */
export const everyPrint = (told: Told): Promise<{ sheet: PrintSheet; tries: PrintTryRow[] }[]> =>
  everyRow((query) => call(traysApi.whole, { query }), told)
/** Every strip of the swatch book, the newest first. */
export const everySwatch = (told: Told): Promise<Swatch[]> => everyRow((query) => call(toneApi.get, { query }), told)
/** Every hand-coated print, the newest first. */
export const everyCoated = (told: Told): Promise<CoatedSheet[]> => everyRow((query) => call(coatApi.list, { query }), told)
/** Everybody’s name. */
export const everyPerson = (): Promise<{ id: string; name: string }[]> => everyRow((query) => call(api.person.list, { query }))
