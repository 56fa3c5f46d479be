import { api, type LedgerLine, type Proof } from '@selvrin/core/contract'
import { call } from '../api/call'

type Told = (done: number) => void

/** Every line of every bottle's ledger, oldest first, page by page. */
export async function everyLine(told: Told): Promise<LedgerLine[]> {
  const all: LedgerLine[] = []
  let after: string | null = null
  do {
    const page: { rows: LedgerLine[]; after: string | null } = await call(api.bottle.lines, { query: after === null ? {} : { after } })
    all.push(...page.rows)
    after = page.after
    told(all.length)
  } while (after !== null)
  return all
}

/** Every test of a bottle, newest first, page by page. */
export async function everyTest(told: Told): Promise<Proof[]> {
  const all: Proof[] = []
  let after: string | null = null
  do {
    const page: { rows: Proof[]; after: string | null } = await call(api.proof.list, { query: after === null ? {} : { after } })
    all.push(...page.rows)
    after = page.after
    told(all.length)
  } while (after !== null)
  return all
}
