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
import type { Bottle, BottlePage, FormulaBody } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import type { Database } from '../database/connection'
import { usedFormula } from '../formula/used'
import { notFound, Refusal } from '../http/refusal'
import { carryFrom, tailsOf, type Checkpoint, type StoredEntry } from './checkpoint'
import { dueFactsOf, type DueKnown } from './due'
import { ledgerPage } from './ledger'

interface BottleRow {
  id: string
  version: number
  label: string
  code: string
  formulaId: string
  formulaNumber: number
  batchId: string | null
  body: FormulaBody
  ownUse: FormulaBody['use'] | null
  shelfId: string | null
  sizeMl: number
  parts: number[] | null
  madeAt: number
  madeBy: string
  retiredAt: number | null
  retiredWhy: string | null
  ph: number | null
  batchNote: string
  mixedFrom: string | null
  /** no other bottle in use of its batch, at its strength, comes before it: the batch's fresh reading is asked for once */
  firstOfBatch: boolean
  /** a batch in it whose pH was off when it was mixed, and nobody has said why not */
  phOff: { batchId: string; ph: number; celsius: number | null; expected: number; uncertainty: number } | null
  carry: Checkpoint['carry']
}

const bottleRows = `
  select b.id, b.version, b.letter || b.number as label, b.code, v.formula_id as "formulaId", v.number as "formulaNumber", v.body, b.batch_id as "batchId", b.own_use as "ownUse",
    b.shelf_id as "shelfId", b.size_ml as "sizeMl", b.parts, b.made_at as "madeAt", coalesce(p.name, 'someone who left') as "madeBy", b.retired_at as "retiredAt",
    b.retired_why as "retiredWhy", batch.ph, coalesce(batch.note, '') as "batchNote", c.carry,
    (select o.letter || o.number from bottle o where o.id = b.from_bottle_id) as "mixedFrom",
    not exists (select from bottle o where o.batch_id = b.batch_id and o.parts is not distinct from b.parts and o.retired_at is null and o.number < b.number) as "firstOfBatch",
    (select jsonb_build_object('batchId', t.id, 'celsius', t.ph_celsius, 'ph', t.ph, 'expected', t.ph_expected, 'uncertainty', t.ph_uncertainty) from batch t
     where t.ph_why is null and abs(t.ph - t.ph_expected) > t.ph_uncertainty and (t.id = b.batch_id
       or t.id in (select o.batch_id from bottle_entry e join bottle o on o.id = e.bottle_id where e.other_bottle_id = b.id and e.ml < 0)) limit 1) as "phOff"
  from bottle b join formula_version v on v.id = b.formula_version_id left join person p on p.id = b.made_by left join batch on batch.id = b.batch_id
    left join bottle_checkpoint c on c.bottle_id = b.id`

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

/** What runs are promised of some bottles; for one that is about to start, what was promised before it. What is poured back is missing from its bottle only while it is in a tank. */
async function reservedOf(db: Database, ids: string[], exceptRun: string | null, tx?: Transaction) {
  const rows = await db.rows<{ id: string } & NonNullable<Bottle['reserved']>>(
    `select b.bottle_id as id, coalesce(sum(b.ml) filter (where b.one_shot), 0) as ml, coalesce(sum(b.equivalents) filter (where not b.one_shot), 0) as rolls,
       array_agg(distinct r.number order by r.number) as runs
     from run_bath b join run r on r.id = b.run_id
     where b.bottle_id = any($1::uuid[]) and ((r.state = 'planned' and ($2::uuid is null or r.number < (select number from run where id = $2))) or (r.state = 'running' and not b.one_shot))
       and r.id is distinct from $2::uuid group by b.bottle_id`,
    [ids, exceptRun],
    tx,
  )
  return new Map(rows.map(({ id, ...promised }) => [id, promised]))
}

async function withStates(
  db: Database,
  rows: BottleRow[],
  now: number,
  tx?: Transaction,
  exceptRun: string | null = null,
): Promise<Bottle[]> {
  if (rows.length === 0) return []
  const ids = rows.map((row) => row.id)
  const tails = await tailsOf(db, ids, tx)
  const catalogue = await catalogueOf(db, tx)
  const rules = await db.rows<DueRule>(
    `select family, kind, at_mixing as "atMixing", every_days as "everyDays", every_share as "everyShare", before_critical as "beforeCritical", active from due_rule`,
    [],
    tx,
  )
  const fresh = await db.rows<{ batchId: string; kind: string }>(
    'select distinct batch_id as "batchId", kind from standing_proof where fresh and batch_id = any($1::uuid[])',
    [[...new Set(rows.flatMap((row) => row.batchId ?? []))]],
    tx,
  )
  const odd = await db.rows<{ id: string; at: number }>(
    // the few films first: a plan that begins with the bottles goes through their whole histories
    `with wrong as materialized (select run_id, at from roll where result <> 'right' and at > $2)
     select e.bottle_id as id, w.at from wrong w join bottle_entry e on e.run_id = w.run_id and e.kind in ('use', 'dilute-out')
     where e.bottle_id = any($1::uuid[]) order by w.at`,
    [ids, new Date(now - oddDays * 86_400_000)],
    tx,
  )
  const due = { fresh, odd }
  const promised = await reservedOf(db, ids, exceptRun, tx)
  const none = { ml: 0, rolls: 0, runs: [] }
  return rows.map((row) =>
    bottleOf(row, { tail: tails.get(row.id) ?? [], catalogue, rules, due, reserved: promised.get(row.id) ?? none }, now),
  )
}

/** Bottles of the shelf by label, with their states: a constant number of statements, however many there are. */
export async function bottleList(
  db: Database,
  ask: { retired: boolean; limit: number; after: string | null },
  now: number,
): Promise<Bottle[]> {
  const rows = await db.rows<BottleRow>(
    `${bottleRows} where ($1::boolean or b.retired_at is null) and ($2::uuid is null or (b.letter, b.number) > (select letter, number from bottle where id = $2))
     order by b.letter, b.number limit $3`,
    [ask.retired, ask.after, ask.limit],
  )
  return withStates(db, rows, now)
}

/** Bottles with their states; against `exceptRun` only what was promised before it is counted. */
export async function bottlesById(
  db: Database,
  ids: string[],
  now: number,
  tx?: Transaction,
  exceptRun: string | null = null,
): Promise<Bottle[]> {
  return withStates(db, await db.rows<BottleRow>(`${bottleRows} where b.id = any($1::uuid[])`, [ids], tx), now, tx, exceptRun)
}

export async function bottleById(db: Database, id: string, now: number, tx?: Transaction): Promise<Bottle> {
  const [bottle] = await bottlesById(db, [id], now, tx)
  if (!bottle) throw notFound('bottle')
  return bottle
}

/** A bottle with the newest lines of its ledger, what could be done for it, and the runs that used it. */
export async function bottlePage(db: Database, id: string, now: number, tx?: Transaction): Promise<BottlePage> {
  const row = await db.one<BottleRow>(`${bottleRows} where b.id = $1`, [id], tx)
  const [bottle] = row ? await withStates(db, [row], now, tx) : []
  if (!row || !bottle) throw notFound('bottle')
  const { rows, more } = await ledgerPage(db, id, null, tx)
  const runs = await db.rows<BottlePage['runs'][number]>(
    `select r.id, r.number, coalesce(r.started_at, r.planned_at) as at, (r.plan ->> 'rolls')::numeric as rolls, array(select film from roll where run_id = r.id order by id) as films
     from run r where r.id in (select run_id from bottle_entry where bottle_id = $1 and run_id is not null order by at desc limit 60) order by r.number desc limit 30`,
    [id],
    tx,
  )
  const catalogue = await catalogueOf(db, tx)
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

/** Refuses to take more than a locked bottle holds, saying what is left. */
export function requireVolume(bottle: Bottle, ml: number): void {
  if (ml > bottle.state.volumeMl + 1e-6)
    throw new Refusal(
      409,
      'not-enough',
      `${bottle.label} holds ${bottle.state.volumeMl.toFixed(0)} ml, not the ${ml.toFixed(0)} ml wanted. Take less, or another bottle.`,
      { current: bottle },
    )
}

/** Refuses what would overflow a bottle. */
export function requireRoom(bottle: Bottle, ml: number): void {
  if (bottle.state.volumeMl + ml > bottle.sizeMl + 1e-6)
    throw new Refusal(
      409,
      'too-full',
      `${bottle.label} takes ${Math.max(0, bottle.sizeMl - bottle.state.volumeMl).toFixed(0)} ml more, not ${ml.toFixed(0)} ml.`,
      {
        field: 'ml',
      },
    )
}

/** Refuses a retired, expired, exhausted or failed bottle short of a technician's reason; answers what to note of it. */
export function requireUsable(bottle: Bottle, overrule: string | undefined): string {
  const against = bottle.state.findings.find((finding) => finding.severity === 'error' && finding.rule !== 'bottle-empty')
  if (!against) return ''
  if (overrule === undefined)
    throw new Refusal(
      409,
      against.rule.replace('bottle-', ''),
      `${bottle.label} should not be used: ${against.message} Take another bottle, or give the reason why this one all the same.`,
      { field: 'overrule' },
    )
  return `In spite of “${against.message}”: ${overrule}`
}
