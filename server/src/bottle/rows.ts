import {
  byGravity,
  dayMs,
  decantAdvice,
  dueFactsOf,
  dueTests,
  guideOf,
  kitFindings,
  shareOf,
  stateFrom,
  sulfiteLostPerOpening,
  sulfitePerLitre,
  type Carry,
  type Catalogue,
  type Due,
  type DueRule,
  type EveningBottle,
  type Family,
  type Finding,
} from '@selvrin/core'
import type { Bottle, BottlePage, FormulaBody } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { zoneOf } from '../darkroom/zone'
import { bodiesOf } from '../formula/bodies'
import { usedFormula } from '../formula/used'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { carryFrom, mostTail, moveUp } from './checkpoint'
import { kitMixed } from './kits'
import { ledgerPage, lockAll } from './ledger'
import { bottleRows, runsOf, type BottleRow, type StoredEntry } from './queries'
import { drumsOf } from './waste'

/** Films that came out wrong longer ago no longer say anything of the bath. */
const oddDays = 28

const named = (due: Due[]) => due.map((one) => ({ ...one, name: guideOf(one.kind).name }))

const phFinding = ({ ph, celsius, expected, uncertainty }: NonNullable<BottleRow['phOff']>): Finding => ({
  rule: 'bottle-ph',
  severity: 'warning',
  message: `Its batch read pH ${ph.toFixed(2)}${celsius === null ? '' : ` at ${celsius.toFixed(1)} °C`} where ${expected.toFixed(2)} ± ${uncertainty.toFixed(2)} was expected, and nobody has said why.`,
})

/** What else is known of it than its ledger says: a batch whose pH was off, and the kit it shares its count with. */
function withSaid(state: Bottle['state'], phOff: BottleRow['phOff'], kit: Bottle['kit']): Bottle['state'] {
  if (phOff === null && !kit) return state
  const said = [...(phOff === null ? [] : [phFinding(phOff)]), ...(kit ? kitFindings(kit, `Kit ${kit.number}`) : [])]
  const rollsLeft = kit ? Math.min(state.rollsLeft ?? Infinity, kit.rollsLeft) : state.rollsLeft
  return { ...state, rollsLeft, findings: [...state.findings, ...said].sort(byGravity) }
}

interface Known {
  catalogue: Catalogue
  rules: DueRule[]
  /** the darkroom's, in which a day is the same day */
  zone: string
}

/** With what its version of the formula says. */
type KnownRow = BottleRow & { body: FormulaBody }

/** A bottle as it is read, and as it is once further lines are written: its state is reckoned on, not asked for again. */
export interface Held {
  row: KnownRow
  catalogue: Catalogue
  /** what its ledger comes to */
  carry: Carry
  bottle: Bottle
  /** with what was written just now, in a version `raised` higher */
  with: (lines: StoredEntry[], raised?: number) => Held
}

const formulaOf = ({ formulaId, body, ownUse }: KnownRow) => usedFormula(formulaId, body, ownUse)

function heldOf(row: KnownRow, known: Known, now: number, reached = carryFrom(formulaOf(row), row, row.tail, row.carry)): Held {
  return {
    row,
    catalogue: known.catalogue,
    carry: reached,
    bottle: bottleOf(row, reached, known, now),
    with: (lines, raised = 0) => {
      const next = { ...row, version: row.version + raised, tail: [...row.tail, ...lines] }
      // what takes a line back changes what came before it
      const onlyAdds = lines.every((line) => line.reverses === null && line.at >= (reached.at ?? 0))
      return heldOf(next, known, now, onlyAdds ? carryFrom(formulaOf(row), row, lines, reached) : undefined)
    },
  }
}

function bottleOf(row: KnownRow, reached: Carry, { catalogue, rules, zone }: Known, now: number): Bottle {
  const { body, phOff, ownUse, tail } = row
  const formula = formulaOf(row)
  // a line written by someone a moment later than this request began counts all the same
  const at = tail.reduce((latest, entry) => Math.max(latest, entry.at), now)
  const state = stateFrom(formula, row, reached, at, catalogue)
  const kit = row.kitted && kitMixed(row.kitted)
  const critical = named(dueTests(rules, dueFactsOf(row, body.family, state), { at, zone, critical: true }))
  // named one by one: objects that are spread into each other cost a shelf as much as all that is reckoned
  return {
    id: row.id,
    version: row.version,
    label: row.label,
    code: row.code,
    formulaId: row.formulaId,
    formulaNumber: row.formulaNumber,
    batchId: row.batchId,
    shelfId: row.shelfId,
    sizeMl: row.sizeMl,
    parts: row.parts,
    madeAt: row.madeAt,
    madeBy: row.madeBy,
    retiredAt: row.retiredAt,
    retiredWhy: row.retiredWhy,
    ph: row.ph,
    name: body.name,
    family: body.family as Family,
    use: formula.use as Bottle['use'],
    ownUse: ownUse !== null,
    rangeC: body.rangeC,
    temperatureCoefficient: body.temperatureCoefficient,
    usualS: body.usualS,
    state: row.retiredAt === null ? withSaid(state, phOff, kit) : state,
    kit,
    phOff,
    reserved: row.reserved,
    evening: row.evening,
    // a kind is named with its most pressing reason, of which a critical session's is the last
    due: critical.filter((one) => one.why !== 'critical'),
    critical,
  }
}

const remembered = new WeakMap<Database, Known & { as: string | null }>()
/** Own chemicals, due rules and the zone as they stand at that mark: read again only where it is another than before, so that what was remembered is never old. */
async function knownAs(db: Database, as: string | null): Promise<Known> {
  const before = remembered.get(db)
  if (before && before.as === as) return before
  const known = {
    as,
    catalogue: await catalogueOf(db),
    rules: (await db.DueRule.findAll({ raw: true })) as DueRule[],
    zone: await zoneOf(db),
  }
  remembered.set(db, known)
  return known
}

async function held(db: Database, ask: Omit<Parameters<typeof bottleRows>[1], 'since'>, now: number): Promise<Held[]> {
  const rows = await bottleRows(db, { ...ask, since: now - oddDays * dayMs })
  if (rows.length === 0) return []
  const known = await knownAs(db, rows[0]?.knowledge ?? null)
  const bodies = await bodiesOf(
    db,
    rows.map((row) => row.versionId),
  )
  return rows.map((row) => heldOf(Object.assign(row, { body: bodies.get(row.versionId) as FormulaBody }), known, now))
}

/** Bottles of the shelf by label, with their states: a constant number of statements, however many there are. */
export const bottleList = async (
  db: Database,
  ask: { retired: boolean; limit: number; after: string | null },
  now: number,
): Promise<Bottle[]> => (await held(db, { ids: null, exceptRun: null, ...ask }, now)).map((one) => one.bottle)

/** Every bottle in use as an evening reckons it on: what it is made of, what its ledger comes to, what asks for tests of it. */
export const bottlesOfEvening = async (db: Database, now: number): Promise<(EveningBottle & { shelf: Bottle })[]> =>
  (await held(db, { ids: null, exceptRun: null, retired: false, limit: null, after: null }, now)).map(({ row, carry, bottle }) => {
    const { sizeMl, parts, madeAt, retiredAt, firstOfBatch, fresh, odd } = row
    return {
      ...{ shelf: bottle, formula: formulaOf(row), carry },
      facts: { sizeMl, parts, madeAt, retiredAt },
      asks: { madeAt, retiredAt, firstOfBatch, fresh, odd },
    }
  })

/** Bottles as they are held; against `exceptRun` only what was promised before it is counted. */
const heldById = (db: Database, ids: string[], now: number, exceptRun: string | null = null): Promise<Held[]> =>
  held(db, { ids, retired: true, after: null, limit: null, exceptRun }, now)

/** Bottles with their states. */
export const bottlesById = async (db: Database, ids: string[], now: number, exceptRun: string | null = null): Promise<Bottle[]> =>
  (await heldById(db, ids, now, exceptRun)).map((one) => one.bottle)

async function heldOne(db: Database, id: string, now: number): Promise<Held> {
  const [one] = await heldById(db, [id], now)
  if (!one) throw notFound('bottle')
  return one
}

/** Locked bottles as they are held, in the order asked for: nothing about them changes until the end of the transaction but by its own lines. */
export async function openBottles(db: Database, ids: string[], now: number): Promise<Held[]> {
  // said in one piece: the look comes after the lock all the same
  const [locked, found] = await Promise.allSettled([lockAll(db, ids), heldById(db, ids, now)])
  // neither goes on once the transaction is over
  if (locked.status === 'rejected') throw locked.reason
  if (found.status === 'rejected') throw found.reason
  const open = new Map(found.value.map((one) => [one.row.id, one]))
  for (const { row } of open.values()) if (row.tail.length > mostTail) await moveUp(db, row)
  return ids.map((id) => {
    const one = open.get(id)
    if (!one) throw notFound('bottle')
    return one
  })
}

export const bottleById = async (db: Database, id: string, now: number): Promise<Bottle> => (await heldOne(db, id, now)).bottle

/** A bottle with the newest lines of its ledger, what could be done for it, and the runs that used it. */
export async function bottlePage(db: Database, id: string, now: number): Promise<BottlePage> {
  const { row, bottle, catalogue } = await heldOne(db, id, now)
  const { rows, more } = await ledgerPage(db, { bottleId: id, after: null, heldMl: row.heldMl })
  const runs = await runsOf(db, id)
  const formula = formulaOf(row)
  const share = shareOf(row.parts)
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
    drum: (await drumsOf(db, [{ bottleId: id, family: bottle.family }])).get(id) ?? null,
  }
}
