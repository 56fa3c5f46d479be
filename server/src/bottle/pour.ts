import { throughputFrom } from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import { takeFrom } from './joining'
import { asRead, writeEntry, writeWaste, type NewEntry } from './ledger'
import { requireInUse, requireRoom, requireUsable, requireVolume } from './requiring'
import { openBottles, type Held } from './rows'

type Pouring = Call<typeof api.bottle.pour>['body']

const materialWords = { film: 'film', 'rc-paper': 'RC paper', 'fibre-paper': 'fibre paper' }
const taking: Pouring['kind'][] = ['pour-out', 'discard', 'use', 'evaporate']

/** More rolls, or prints of their area, than this in one line cannot have been in that much liquid; rolls/L */
const mostLoadsPerL = 100

/** Refuses paper that the silver in a fixer has closed it for, whatever the silver came from. */
function requireOpenFor(bottle: Bottle, material: keyof typeof materialWords): void {
  if (bottle.state.closedFor.includes(material))
    throw new Refusal(
      409,
      'closed-for',
      `${bottle.label} holds about ${(bottle.state.silverGPerL ?? 0).toFixed(1)} g/L of silver, too much for ${materialWords[material]}: it would not keep. Take another bottle, or give the reason why this one all the same.`,
      { field: 'overrule' },
    )
}

/** Refuses what cannot have been: nothing at all, more loads than liquid, more colour than rolls. */
function requireLikely(bottle: Bottle, body: Pouring): void {
  if (body.ml === 0 && body.rolls === 0 && body.paper === 0)
    throw new Refusal(422, 'nothing', 'Say how much, or how many rolls.', { field: 'ml' })
  const mostLoads = Math.max(1, (bottle.sizeMl / 1000) * mostLoadsPerL)
  if (body.rolls + body.paper > mostLoads)
    throw new Refusal(
      422,
      'too-many',
      `${bottle.label} holds ${Math.round(bottle.sizeMl)} ml: more than ${Math.floor(mostLoads)} rolls at once cannot be. Write what went through it.`,
      { field: 'rolls' },
    )
  if (body.colourRolls > body.rolls)
    throw new Refusal(422, 'invalid', 'Of the rolls, no more can be colour than there are.', { field: 'colourRolls' })
}

export const pour: Handler<typeof api.bottle.pour> = async ({ db, params, body, who, now }) => {
  const [held, from] = await openBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], now)
  const { bottle } = held as Held
  const takes = taking.includes(body.kind)
  const why = body.kind === 'pour-out' || body.kind === 'use' ? requireUsable(bottle, body.overrule) : ''
  if (body.kind === 'use' && body.paper > 0 && body.overrule === undefined) requireOpenFor(bottle, body.paperKind ?? 'rc-paper')
  if (!takes) requireInUse(bottle)
  requireLikely(bottle, body)
  const waterInMl = body.kind === 'water' ? body.ml : body.kind === 'use' ? body.waterInMl : 0
  const ml = takes ? -body.ml + (body.kind === 'use' ? waterInMl : 0) : body.ml
  if (ml < 0) requireVolume(bottle, -ml)
  else requireRoom(bottle, ml)
  const { entryId, kind, rolls, paper, colourRolls, overrule } = body
  const by = who.id
  const groupId = uuid()
  const brings = kind === 'top-up' && from ? await takeFrom(db, bottle, from.bottle, { ml: body.ml, by, now, groupId, overrule }) : null
  const note = [body.note, why].filter(Boolean).join('. ')
  const through = { throughput: throughputFrom({ rolls, paper, colourRolls }), waterInMl }
  const otherBottleId = body.fromId ?? null
  const line: NewEntry = { id: entryId, bottleId: bottle.id, kind, at: now, by, ml, brings, otherBottleId, groupId, note, ...through }
  await writeEntry(db, line)
  if (kind === 'discard') {
    const { family, state } = bottle
    await writeWaste(db, {
      at: now,
      by,
      family,
      ml: body.ml,
      silverGPerL: state.silverGPerL,
      bottleId: bottle.id,
      entryId,
      note: body.note,
    })
  }
  return (held as Held).with([asRead(line)]).bottle
}
