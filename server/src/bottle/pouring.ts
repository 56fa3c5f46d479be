import { pouredTogether, replenishSteps } from '@selvrin/core'
import { api, type Bottle } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { notFound, Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { contentsOf } from './contents'
import { broughtFrom, lockBottles, writeEntry, writeWaste } from './ledger'
import { putOnShelf } from './putOnShelf'
import { bottleById, bottlePage, requireRoom, requireUsable, requireVolume } from './rows'
import { retire } from './retire'

const materialWords = { film: 'film', 'rc-paper': 'RC paper', 'fibre-paper': 'fibre paper' }

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

/** What changes how much is in a bottle. */
export function pouringRoutes(router: Router, house: House): void {
  const { db } = house

  /** What comes of pouring ml of one bottle onto what another holds, by what is really in them. */
  async function meetingOf(into: Bottle, from: Bottle, ml: number, tx: Transaction | undefined) {
    const catalogue = await catalogueOf(db, tx)
    return pouredTogether(
      [
        { formula: await contentsOf(db, into.id, catalogue, tx), ml: into.state.volumeMl },
        { formula: await contentsOf(db, from.id, catalogue, tx), ml },
      ],
      catalogue,
    )
  }

  /** Liquid of another bottle, safe to join this one's; taken from its ledger. */
  async function takeFrom(
    fromId: string,
    into: Bottle,
    ml: number,
    call: { by: string; now: number; groupId: string; overrule: string | undefined },
    tx: Transaction | undefined,
  ) {
    const from = await bottleById(db, fromId, call.now, tx)
    const why = requireUsable(from, call.overrule)
    requireVolume(from, ml)
    const meeting = await meetingOf(into, from, ml, tx)
    if (meeting) throw new Refusal(422, 'never-meets', `${from.label} and ${into.label} are not poured together: ${meeting.danger}`)
    if (from.formulaId !== into.formulaId && from.family !== into.family)
      throw new Refusal(
        422,
        'other-family',
        `${from.label} ${from.name} does not belong into ${into.label} ${into.name}. If it was poured there, write that down as poured into the wrong bottle.`,
      )
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: from.id,
        kind: 'pour-out',
        at: call.now,
        by: call.by,
        ml: -ml,
        otherBottleId: into.id,
        groupId: call.groupId,
        note: [`into ${into.label}`, why].filter(Boolean).join('. '),
      },
      tx,
    )
    return broughtFrom(from.state)
  }

  route(router, house, api.bottle.pour, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], tx)
    const bottle = await bottleById(db, params.id, now, tx)
    if (body.ml === 0 && body.rolls === 0 && body.paper === 0)
      throw new Refusal(422, 'nothing', 'Say how much, or how many rolls.', { field: 'ml' })
    const takes = body.kind === 'pour-out' || body.kind === 'discard' || body.kind === 'use' || body.kind === 'evaporate'
    const why = body.kind === 'pour-out' || body.kind === 'use' ? requireUsable(bottle, body.overrule) : ''
    if (body.kind === 'use' && body.paper > 0 && body.overrule === undefined) requireOpenFor(bottle, body.paperKind ?? 'rc-paper')
    if (bottle.retiredAt !== null && !takes) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
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
    const waterInMl = body.kind === 'water' ? body.ml : body.kind === 'use' ? body.waterInMl : 0
    const ml = takes ? -body.ml + (body.kind === 'use' ? waterInMl : 0) : body.ml
    if (ml < 0) requireVolume(bottle, -ml)
    else requireRoom(bottle, ml)
    const groupId = uuid()
    const brings =
      body.kind === 'top-up' && body.fromId
        ? await takeFrom(body.fromId, bottle, body.ml, { by: who.id, now, groupId, overrule: body.overrule }, tx)
        : null
    await writeEntry(
      db,
      {
        id: body.entryId,
        bottleId: bottle.id,
        kind: body.kind,
        at: now,
        by: who.id,
        ml,
        rolls: body.rolls,
        paper: body.paper,
        colourRolls: body.colourRolls,
        waterInMl,
        brings,
        otherBottleId: body.fromId ?? null,
        groupId,
        note: [body.note, why].filter(Boolean).join('. '),
      },
      tx,
    )
    if (body.kind === 'discard')
      await writeWaste(
        db,
        {
          at: now,
          by: who.id,
          family: bottle.family,
          ml: body.ml,
          silverGPerL: bottle.state.silverGPerL,
          bottleId: bottle.id,
          entryId: body.entryId,
          note: body.note,
        },
        tx,
      )
    return bottlePage(db, bottle.id, now, tx)
  })

  route(router, house, api.bottle.measure, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const bottle = await bottleById(db, params.id, now, tx)
    if (bottle.retiredAt !== null) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
    if (body.ml > bottle.sizeMl)
      throw new Refusal(
        422,
        'too-full',
        `${bottle.label} is a bottle of ${bottle.sizeMl.toFixed(0)} ml: it cannot hold ${body.ml.toFixed(0)} ml.`,
        {
          field: 'ml',
        },
      )
    const off = body.ml - bottle.state.volumeMl
    const says = `measured ${body.ml.toFixed(0)} ml, ${Math.abs(off).toFixed(0)} ml ${off < 0 ? 'less' : 'more'} than its lines come to`
    await writeEntry(
      db,
      {
        id: body.entryId,
        bottleId: bottle.id,
        kind: 'correct',
        at: now,
        by: who.id,
        ml: off,
        note: [says, body.note].filter(Boolean).join('. '),
      },
      tx,
    )
    return bottlePage(db, bottle.id, now, tx)
  })

  route(router, house, api.bottle.replenish, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], tx)
    const bottle = await bottleById(db, params.id, now, tx)
    if (bottle.use.school !== 'replenished')
      throw new Refusal(422, 'not-replenished', `${bottle.label} is not a replenished bath. Change how it is used first.`)
    if (bottle.retiredAt !== null) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
    const steps = replenishSteps({
      volumeMl: bottle.state.volumeMl,
      nominalMl: bottle.state.nominalMl,
      dueMl: body.ml,
      evaporatedMl: body.evaporatedMl,
    })
    const groupId = uuid()
    const line = { bottleId: bottle.id, at: now, by: who.id, groupId }
    if (steps.waterMl > 0) {
      requireVolume(bottle, steps.waterMl)
      await writeEntry(db, { ...line, id: uuid(), kind: 'evaporate', ml: -steps.waterMl }, tx)
      await writeEntry(db, { ...line, id: uuid(), kind: 'water', ml: steps.waterMl, note: 'for what evaporated' }, tx)
    }
    if (steps.bleedMl > 0) {
      const entryId = uuid()
      await writeEntry(db, { ...line, id: entryId, kind: 'bleed', ml: -steps.bleedMl }, tx)
      await writeWaste(
        db,
        {
          at: now,
          by: who.id,
          family: bottle.family,
          ml: steps.bleedMl,
          silverGPerL: bottle.state.silverGPerL,
          bottleId: bottle.id,
          entryId,
          note: 'bleed',
        },
        tx,
      )
    }
    requireRoom({ ...bottle, state: { ...bottle.state, volumeMl: bottle.state.volumeMl - steps.bleedMl } }, body.ml)
    const brings = body.fromId
      ? await takeFrom(body.fromId, bottle, body.ml, { by: who.id, now, groupId, overrule: body.overrule }, tx)
      : null
    await writeEntry(db, { ...line, id: body.entryId, kind: 'replenish', ml: body.ml, brings, otherBottleId: body.fromId ?? null }, tx)
    return bottlePage(db, bottle.id, now, tx)
  })

  route(router, house, api.bottle.decant, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const from = await bottleById(db, params.id, now, tx)
    const why = requireUsable(from, body.overrule)
    requireVolume(
      from,
      body.into.reduce((sum, one) => sum + one.ml, 0),
    )
    const source = await db.one<{ versionId: string }>('select formula_version_id as "versionId" from bottle where id = $1', [from.id], tx)
    if (!source) throw notFound('bottle')
    const groupId = uuid()
    for (const one of body.into) {
      await putOnShelf(
        house,
        {
          id: one.id,
          family: from.family,
          formulaVersionId: source.versionId,
          batchId: from.batchId,
          fromBottleId: from.id,
          sizeMl: one.sizeMl,
          ml: one.ml,
          parts: from.parts,
          by: who.id,
          now,
          madeAt: from.madeAt,
          brings: broughtFrom(from.state),
          shelfId: from.shelfId,
          ownUse: from.ownUse ? from.use : null,
          groupId,
        },
        tx,
      )
      await writeEntry(
        db,
        { id: uuid(), bottleId: from.id, kind: 'decant', at: now, by: who.id, ml: -one.ml, otherBottleId: one.id, groupId, note: why },
        tx,
      )
    }
    const made: Bottle[] = []
    for (const one of body.into) made.push(await bottleById(db, one.id, now, tx))
    return { from: await bottleById(db, from.id, now, tx), made }
  })

  route(router, house, api.bottle.wrong, async ({ params, body, who, now, tx }) => {
    if (params.id === body.intoId) throw new Refusal(422, 'same-bottle', 'Say into which other bottle it was poured.', { field: 'intoId' })
    await lockBottles(db, [params.id, body.intoId], tx)
    const from = await bottleById(db, params.id, now, tx)
    const into = await bottleById(db, body.intoId, now, tx)
    requireVolume(from, body.ml)
    const meeting = await meetingOf(into, from, body.ml, tx)
    const groupId = uuid()
    const line = { at: now, by: who.id, groupId, note: body.reason }
    await writeEntry(db, { ...line, id: body.entryId, bottleId: from.id, kind: 'wrong-bottle', ml: -body.ml, otherBottleId: into.id }, tx)
    await writeEntry(
      db,
      {
        ...line,
        id: uuid(),
        bottleId: into.id,
        kind: 'wrong-bottle',
        ml: body.ml,
        otherBottleId: from.id,
        brings: broughtFrom(from.state),
      },
      tx,
    )
    const warns = meeting ? ` Danger: ${meeting.danger}` : ''
    if (from.retiredAt === null)
      await retire(db, from, { by: who.id, now, why: `Some of it was poured into ${into.label}: ${body.reason}${warns}`, groupId }, tx)
    if (into.retiredAt === null)
      await retire(db, into, { by: who.id, now, why: `${from.label} ${from.name} was poured into it: ${body.reason}${warns}`, groupId }, tx)
    return { from: await bottleById(db, from.id, now, tx), into: await bottleById(db, into.id, now, tx) }
  })
}
