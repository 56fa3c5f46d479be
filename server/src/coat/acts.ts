import {
  coatMix,
  coatMixed,
  coatPartNames,
  decidePour,
  exposuresOf,
  pouredTogether,
  requireCoatAct,
  sensitizerCost,
  type Catalogue,
  type CoatAct,
  type CoatedBody,
  type Formula,
  type UvLight,
} from '@selvrin/core'
import type { coatApi, CoatedSheet } from '@selvrin/core/contract'
import { openBottles } from '../bottle/rows'
import { writeDecided } from '../bottle/write'
import { requireHandled } from '../check/blocks'
import { catalogueOf } from '../chemical/chemistry'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { holdToTraining } from '../training/holding'
import { jarsOf, onBench } from './bench'
import { shine } from './lamps'
import { ownCoated, standingOf } from './rows'

type Coat = Extract<CoatAct, { kind: 'coat' }>
interface Writing {
  by: string
  now: number
}

/** drops that may be counted for one that is measured out: more is a slip of the hand */
const mostTimes = 4

/** The parts of the sheet, each once; or one bottle of them mixed; as many drops as can be meant. */
function requireParts(body: CoatedBody, { poured }: Coat): void {
  const asked = poured.map((one) => one.part)
  const fits = [coatMix(body), coatMixed(body)].find(
    (parts) => parts.length === asked.length && parts.every((one) => asked.includes(one.part)),
  )
  const over = poured.find(({ part, drops }) => drops > mostTimes * (fits?.find((one) => one.part === part)?.drops ?? Infinity))
  if (over) {
    const usual = fits?.find((one) => one.part === over.part)?.drops ?? 0
    throw new Refusal(
      422,
      'too-many',
      `${usual} drops of ${coatPartNames[over.part]} are measured out for this sheet: ${over.drops} cannot be.`,
      { field: 'poured' },
    )
  }
  if (!fits) {
    const wanted = coatMix(body).map((one) => coatPartNames[one.part])
    throw new Refusal(422, 'wrong-parts', `This sheet is coated with ${wanted.join(', ')}: each of them once.`, { field: 'poured' })
  }
}

/** Silver salts blind: what needs an eyewash within reach. */
const silverIn = ({ additions }: Formula, catalogue: Catalogue): string[] =>
  additions.map((line) => line.chemical).filter((one) => catalogue[one]?.natures.includes('silver'))

/** The sensitizer of a sheet out of its bottles, in their order, by what is really in them. Answers what it cost; null where a price is missing. */
async function pour(db: Database, { number, body }: CoatedSheet, act: Coat, { by, now }: Writing): Promise<number | null> {
  requireParts(body, act)
  const catalogue = await catalogueOf(db)
  const jars = await jarsOf(db)
  const bottles = await openBottles(
    db,
    act.poured.map((one) => one.bottleId),
    now,
  )
  const met = []
  const costs = []
  for (const [i, { part, drops, entryId }] of act.poured.entries()) {
    const { bottle } = bottles[i] as (typeof bottles)[number]
    const on = await onBench(db, bottle.id, catalogue, jars)
    if (on?.part !== part || !on.processes.includes(body.process))
      throw new Refusal(422, 'wrong-bottle', `${bottle.label} is not ${coatPartNames[part]} for this print, by what is in it.`, {
        field: 'poured',
      })
    await requireHandled(db, silverIn(on.contents, catalogue), { now, catalogue, dissolved: true })
    const ml = drops * body.dropMl
    met.push({ formula: on.contents, ml })
    costs.push({ drops, pricePerMl: on.pricePerMl })
    const note = `coated print ${number}`
    const asked = { entryId, kind: 'pour-out' as const, ml, rolls: 0, colourRolls: 0, paper: 0, waterInMl: 0, note, overrule: act.overrule }
    await writeDecided(db, decidePour({ bottle }, asked), { by, now, bottles: [bottle] })
  }
  const danger = pouredTogether(met, catalogue)
  if (danger) throw new Refusal(422, 'never-meets', danger.danger, { field: 'poured' })
  return sensitizerCost(costs, body.dropMl)
}

/** s the lamps shone for an act: a strip as long as its darkest band. */
function shoneFor(act: CoatAct): { lamps: string[]; distanceCm: number; seconds: number } | null {
  if (act.kind === 'expose') return act
  if (act.kind !== 'strip') return null
  const steps = { by: 'stops' as const, firstS: act.firstS, stepStops: act.stepStops }
  return { ...act, seconds: exposuresOf(steps, act.bands, 'cover').reduce((sum, one) => sum + one, 0) }
}

/** Writes down what was done: bottles are poured from, lamps grow older. */
export async function writeAct(
  db: Database,
  sheet: CoatedSheet,
  { id, act }: { id: string; act: CoatAct },
  writing: Writing,
): Promise<void> {
  requireCoatAct(sheet.body.process, standingOf(sheet), act)
  const shone = shoneFor(act)
  const light: UvLight | null = shone && (await shine(db, shone))
  const cost = act.kind === 'coat' ? await pour(db, sheet, act, writing) : null
  await db.CoatedAct.create({ id, coatedId: sheet.id, at: writing.now, byPerson: writing.by, act, light, cost })
}

/** A print ends when it is said to be finished; the next act, that it was a slip, opens it again. */
const endOf = ({ kind }: CoatAct, now: number): { endedAt?: number | null } =>
  kind === 'done' ? { endedAt: now } : kind === 'back' ? { endedAt: null } : {}

export const act: Handler<typeof coatApi.act> = async ({ db, params: { id }, body: asked, who, now }) => {
  const row = await db.Coated.findByPk(id, { lock: true })
  if (!row) throw notFound('print')
  if (asked.act.kind === 'coat') await holdToTraining(db, who, ['coating'], now)
  await writeAct(db, await ownCoated(db, id, who), asked, { by: who.id, now })
  await saveSeen(row.set(endOf(asked.act, now)), asked.version, () => ownCoated(db, id, who))
  return ownCoated(db, id, who)
}
