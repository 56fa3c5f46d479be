import { filmDryAt, freePlaces, type Dryer, type Wiping } from '@selvrin/core'
import type { api, Run } from '@selvrin/core/contract'
import { DateTime } from 'luxon'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { zoneOf } from '../darkroom/zone'
import { asSeen, saveNext, saveSeen } from '../http/changing'
import { Refusal } from '../house/refusal'
import { oneAtATime } from '../house/queries'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { rollRow } from './rows'

interface Hanging {
  wiping: Wiping
  dryer: Dryer
  at: number
  by: string
}

/** Hangs the films of a run up in the lowest places that are free, tells their owners, and reminds whoever did it when they are dry. */
export async function hangUp(db: Database, run: Run, { wiping, dryer, at, by }: Hanging): Promise<void> {
  await oneAtATime(db, 'dryer')
  const house = await db.Darkroom.findOne({ attributes: ['hangers'] })
  const hanging = await db.Roll.findAll({ attributes: ['hanger'], where: { hanger: { [Op.ne]: null } }, raw: true })
  const taken = hanging.flatMap(({ hanger }) => hanger ?? [])
  const rolls = await db.Roll.findAll({ where: { runId: run.id }, order: ['id'] })
  const places = freePlaces({ places: house?.hangers ?? 0, taken }, rolls.length)
  for (const [i, roll] of rolls.entries()) await saveNext(roll.set({ wiping, dryer, hungAt: at, hanger: places[i] ?? null }))
  const [first, ...more] = run.films
  if (first === undefined) return
  const named = more.length > 0 ? `${first} and ${more.length} more` : first
  const text = `Run ${run.number}: ${named} hung up to dry. Dry now: cut, sleeve and number.`
  await db.Notice.create({ id: uuid(), personId: by, at: filmDryAt(at, dryer), text, rollId: rolls[0]?.id ?? null })
  await tellOwners(db, rolls, { at, dryAt: filmDryAt(at, dryer), by })
}

/** Whose films hang is told so, once however many they are; whoever hung them up knows. */
async function tellOwners(db: Database, rolls: Row<'Roll'>[], { at, dryAt, by }: { at: number; dryAt: number; by: string }): Promise<void> {
  const zone = await zoneOf(db)
  const dry = DateTime.fromMillis(dryAt, { zone }).toFormat('HH:mm')
  const owners = [...new Set(rolls.flatMap((roll) => roll.memberId ?? []))].filter((owner) => owner !== by)
  for (const personId of owners) {
    const mine = rolls.filter((roll) => roll.memberId === personId)
    const films = [...new Set(mine.map((roll) => roll.film))].join(' and ')
    const text = `Your ${films} ${mine.length === 1 ? 'hangs' : 'hang'} to dry, about ${dry} dry.`
    await db.Notice.create({ id: uuid(), personId, at, text, rollId: mine[0]?.id ?? null })
  }
}

/** A run that is taken back reminds nobody any more. */
export async function takeDown(db: Database, runId: string, now: number): Promise<void> {
  const rolls = await db.Roll.findAll({ attributes: ['id'], where: { runId }, raw: true })
  await db.Notice.update({ readAt: now }, { where: { rollId: rolls.map((roll) => roll.id), at: { [Op.gt]: now }, readAt: null } })
}

/** A dry film goes into its sleeve and its owner's place, its owner is told, and its place in the dryer is free. */
export const sleeve: Handler<typeof api.film.sleeve> = async ({ db, params, body: { version, cut, sleeve: named }, now }) => {
  const roll = await rollRow(db, params.id)
  if (roll.hungAt === null) throw new Refusal(409, 'not-hung', 'This film is not out of its tank yet.')
  if (roll.sleevedAt === null && roll.memberId !== null)
    await db.Notice.create({
      id: uuid(),
      personId: roll.memberId,
      at: now,
      text: `Your ${roll.film} is dry, ${cut === 0 ? 'left whole' : `cut in strips of ${cut}`}, and in your place: sleeve ${named}.`,
      rollId: roll.id,
    })
  const row = asSeen(db.Roll, { id: roll.id, version: roll.version })
  row.set({ cut, sleeve: named, sleevedAt: roll.sleevedAt ?? now, hanger: null })
  await saveSeen(row, version, () => rollRow(db, params.id))
  return rollRow(db, params.id)
}

export const handBack: Handler<typeof api.film.handBack> = async ({ db, params, body, now }) => {
  const roll = await rollRow(db, params.id)
  if (roll.sleevedAt === null) throw new Refusal(409, 'not-sleeved', 'It hangs still: cut and sleeve it first.')
  const row = asSeen(db.Roll, { id: roll.id, version: roll.version })
  await saveSeen(row.set({ handedAt: roll.handedAt ?? now }), body.version, () => rollRow(db, params.id))
  return rollRow(db, params.id)
}
