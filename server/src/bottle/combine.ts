import { dilute, pouredTogether, type Formula } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import { contentsOf } from './contents'
import { lockBottles, writeEntry } from './ledger'
import { putOnShelf } from './putOnShelf'
import { requireUsable, requireVolume } from './requiring'
import { bottleById } from './rows'

type Combining = Call<typeof api.bottle.combine>
type Wanted = { part: string; formulaId: string }[]

/** Refuses parts that are not the formula's, do not suffice, or never meet. */
async function requireParts({ db, body, now }: Combining, name: string, wanted: Wanted, volumes: number[]): Promise<void> {
  const poured: { formula: Formula; ml: number }[] = []
  const catalogue = await catalogueOf(db)
  for (const [i, id] of body.from.entries()) {
    const bottle = await bottleById(db, id, now)
    const part = wanted[i]
    const ml = volumes[i] ?? 0
    if (bottle.formulaId !== part?.formulaId)
      throw new Refusal(422, 'wrong-part', `${bottle.label} ${bottle.name} is not part ${part?.part ?? i + 1} of ${name}.`)
    requireUsable(bottle, undefined)
    requireVolume(bottle, ml)
    poured.push({ formula: await contentsOf(db, id, catalogue), ml })
  }
  const water = body.totalMl - poured.reduce((sum, one) => sum + one.ml, 0)
  const plain: Formula = { id: 'water', name: 'Water', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [] }
  const meeting = pouredTogether([...poured, { formula: plain, ml: Math.max(0, water) }], catalogue)
  if (meeting) throw new Refusal(422, 'never-meets', `These are not poured together: ${meeting.danger}`)
}

/** The parts of a formula poured together, in their order, with water. */
export const combine: Handler<typeof api.bottle.combine> = async (call) => {
  const { db, body, who, now } = call
  const formula = await formulaRow(db, body.formulaId)
  const { combine: wanted, name, family } = formula.body
  if (!wanted || wanted.length !== body.from.length || body.parts.length < body.from.length)
    throw new Refusal(422, 'not-combined', `${name} is not poured together from that many parts.`)
  await lockBottles(db, body.from)
  const volumes = dilute({ parts: body.parts, totalMl: body.totalMl })
  await requireParts(call, name, wanted, volumes)
  const groupId = uuid()
  const { newId: id, sizeMl, totalMl: ml, parts } = body
  const made = { id, family, formulaVersionId: formula.versionId, batchId: null, fromBottleId: body.from[0] ?? null, sizeMl, ml, parts }
  await putOnShelf(db, { ...made, by: who.id, now, groupId })
  for (const [i, bottleId] of body.from.entries()) {
    const line = { id: uuid(), bottleId, kind: 'dilute-out' as const, at: now, by: who.id, ml: -(volumes[i] ?? 0) }
    await writeEntry(db, { ...line, otherBottleId: id, groupId, note: `part ${wanted[i]?.part ?? i + 1} of ${ml} ml ${name}` })
  }
  return bottleById(db, id, now)
}
