import {
  byGravity,
  decantAdvice,
  dueTests,
  guideOf,
  stateFrom,
  sulfiteLostPerOpening,
  sulfitePerLitre,
  type Catalogue,
  type Due,
  type DueRule,
  type Family,
  type Finding,
} from '@selvrin/core'
import type { Bottle, BottlePage } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { usedFormula } from '../formula/used'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { carryFrom, tailsOf } from './checkpoint'
import { dueFactsOf, type DueKnown } from './due'
import { ledgerPage } from './ledger'
import { bottleRows, oddFilms, promisedOf, runsOf, type BottleRow, type StoredEntry } from './queries'

/** Films that came out wrong longer ago no longer say anything of the bath. */
const oddDays = 28

const named = (due: Due[]) => due.map((one) => ({ ...one, name: guideOf(one.kind).name }))

const phFinding = ({ ph, celsius, expected, uncertainty }: NonNullable<BottleRow['phOff']>): Finding => ({
  rule: 'bottle-ph',
  severity: 'warning',
  message: `Its batch read pH ${ph.toFixed(2)}${celsius === null ? '' : ` at ${celsius.toFixed(1)} °C`} where ${expected.toFixed(2)} ± ${uncertainty.toFixed(2)} was expected, and nobody has said why.`,
})

interface Known {
  reserved: NonNullable<Bottle['reserved']>
  tail: StoredEntry[]
  catalogue: Catalogue
  rules: DueRule[]
  due: DueKnown
}

function bottleOf(row: BottleRow, { tail, catalogue, rules, due, reserved }: Known, now: number): Bottle {
  const { body, mixedFrom: _mixedFrom, batchNote: _batchNote, firstOfBatch: _first, phOff, carry, ownUse, ...rest } = row
  const formula = usedFormula(row.formulaId, body, ownUse)
  // a line written by someone a moment later than this request began counts all the same
  const at = tail.reduce((latest, entry) => Math.max(latest, entry.at), now)
  const state = stateFrom(formula, row, carryFrom(formula, row, tail, carry), at, catalogue)
  const facts = dueFactsOf(row, body.family, state, due)
  return {
    ...rest,
    name: body.name,
    family: body.family as Family,
    use: formula.use as Bottle['use'],
    ownUse: ownUse !== null,
    rangeC: body.rangeC,
    temperatureCoefficient: body.temperatureCoefficient,
    usualS: body.usualS,
    state: phOff === null || row.retiredAt !== null ? state : { ...state, findings: [...state.findings, phFinding(phOff)].sort(byGravity) },
    phOff,
    reserved,
    due: named(dueTests(rules, facts, at)),
    critical: named(dueTests(rules, facts, at, true)),
  }
}

async function withStates(db: Database, rows: BottleRow[], now: number, exceptRun: string | null = null): Promise<Bottle[]> {
  if (rows.length === 0) return []
  const ids = rows.map((row) => row.id)
  const tails = await tailsOf(db, ids)
  const catalogue = await catalogueOf(db)
  const rules: DueRule[] = await db.DueRule.findAll({ raw: true })
  const fresh = await db.StandingProof.findAll({
    attributes: ['batchId', 'kind'],
    where: { fresh: true, batchId: [...new Set(rows.flatMap((row) => row.batchId ?? []))] },
    group: ['batchId', 'kind'],
    raw: true,
  })
  const odd = await oddFilms(db, { ids, since: now - oddDays * 86_400_000 })
  const due: DueKnown = { fresh: fresh as DueKnown['fresh'], odd }
  const promised = new Map((await promisedOf(db, { ids, exceptRun })).map(({ id, ...one }) => [id, one]))
  const none = { ml: 0, rolls: 0, runs: [] }
  return rows.map((row) =>
    bottleOf(row, { tail: tails.get(row.id) ?? [], catalogue, rules, due, reserved: promised.get(row.id) ?? none }, now),
  )
}

/** Bottles of the shelf by label, with their states: a constant number of statements, however many there are. */
export const bottleList = async (
  db: Database,
  ask: { retired: boolean; limit: number; after: string | null },
  now: number,
): Promise<Bottle[]> => withStates(db, await bottleRows(db, { ids: null, ...ask }), now)

const rowsOf = (db: Database, ids: string[]) => bottleRows(db, { ids, retired: true, after: null, limit: null })

/** Bottles with their states; against `exceptRun` only what was promised before it is counted. */
export const bottlesById = async (db: Database, ids: string[], now: number, exceptRun: string | null = null): Promise<Bottle[]> =>
  withStates(db, await rowsOf(db, ids), now, exceptRun)

export async function bottleById(db: Database, id: string, now: number): Promise<Bottle> {
  const [bottle] = await bottlesById(db, [id], now)
  if (!bottle) throw notFound('bottle')
  return bottle
}

/** A bottle with the newest lines of its ledger, what could be done for it, and the runs that used it. */
export async function bottlePage(db: Database, id: string, now: number): Promise<BottlePage> {
  const [row] = await rowsOf(db, [id])
  const [bottle] = row ? await withStates(db, [row], now) : []
  if (!row || !bottle) throw notFound('bottle')
  const { rows, more } = await ledgerPage(db, id, null)
  const runs = await runsOf(db, id)
  const catalogue = await catalogueOf(db)
  const formula = usedFormula(row.formulaId, row.body, row.ownUse)
  const share = row.parts === null ? 1 : (row.parts[0] ?? 1) / row.parts.reduce((sum, part) => sum + part, 0)
  const sulfiteGPerL = sulfitePerLitre(formula, catalogue) * share
  const liquidMl = bottle.state.volumeMl
  const headspaceMl = bottle.state.container === 'bottle' ? Math.max(0, row.sizeMl - liquidMl) : 0
  return {
    ...bottle,
    ledger: rows,
    more,
    mixedFrom: row.mixedFrom,
    batchNote: row.batchNote,
    decant: decantAdvice(formula.use.keeping, row, bottle.state, sulfiteGPerL),
    lostPerOpening:
      sulfiteGPerL > 0 && liquidMl > 0 && row.retiredAt === null ? sulfiteLostPerOpening({ headspaceMl, liquidMl, sulfiteGPerL }) : null,
    runs,
  }
}
