import { assumedShelfC } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { forgetCheckpoints } from './checkpoint'
import { lockBottles, writeEntry } from './ledger'
import { retire } from './retire'
import { bottleById } from './rows'

/** Where and how a bottle stands and is used: shelf, container, school, pair, retirement. */
export function standingRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.bottle.move, async ({ params, body, who, now, tx }) => {
    if (!body.shelfId && !body.container) throw new Refusal(422, 'nothing', 'Say where to.')
    await lockBottles(db, [params.id], tx)
    const shelf = body.shelfId
      ? await db.one<{ name: string; celsius: number | null }>('select name, celsius from shelf where id = $1', [body.shelfId], tx)
      : undefined
    if (body.shelfId && !shelf) throw notFound('shelf')
    if (body.shelfId) await db.run('update bottle set shelf_id = $2, version = version + 1 where id = $1', [params.id, body.shelfId], tx)
    const words = { bottle: 'in its bottle, with its air', airless: 'the air pressed out', tray: 'in an open tray' }
    await writeEntry(
      db,
      {
        id: body.entryId,
        bottleId: params.id,
        kind: 'move',
        at: now,
        by: who.id,
        ml: 0,
        celsius: shelf ? (shelf.celsius ?? assumedShelfC) : null,
        container: body.container ?? null,
        note: [...(shelf ? [`to ${shelf.name}`] : []), ...(body.container ? [words[body.container]] : [])].join(', '),
      },
      tx,
    )
    return bottleById(db, params.id, now, tx)
  })

  route(router, house, api.bottle.pair, async ({ body, who, now, tx }) => {
    if (body.firstId === body.secondId) throw new Refusal(422, 'same-bottle', 'A pair is two bottles.', { field: 'secondId' })
    await lockBottles(db, [body.firstId, body.secondId], tx)
    const groupId = uuid()
    for (const [id, position] of [
      [body.firstId, 1],
      [body.secondId, 2],
    ] as const) {
      const bottle = await bottleById(db, id, now, tx)
      if (bottle.use.school !== 'two-bath')
        throw new Refusal(422, 'not-two-bath', `${bottle.label} is not used as one of two baths. Change how it is used first.`)
      if (bottle.retiredAt !== null) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
      await writeEntry(
        db,
        {
          id: uuid(),
          bottleId: id,
          kind: 'change',
          at: now,
          by: who.id,
          ml: 0,
          groupId,
          twoBath: { position, moves: 0, since: now },
          note: position === 1 ? 'first bath of a pair' : 'second bath of a pair',
        },
        tx,
      )
    }
    return { first: await bottleById(db, body.firstId, now, tx), second: await bottleById(db, body.secondId, now, tx) }
  })

  route(router, house, api.bottle.moveUp, async ({ params, body, who, now, tx }) => {
    if (new Set([params.id, body.firstId, body.freshId]).size < 3)
      throw new Refusal(422, 'same-bottle', 'That takes three bottles: the old first, the second, and a fresh one.')
    await lockBottles(db, [params.id, body.firstId, body.freshId], tx)
    const [first, second, fresh] = [
      await bottleById(db, body.firstId, now, tx),
      await bottleById(db, params.id, now, tx),
      await bottleById(db, body.freshId, now, tx),
    ]
    const place = second.state.twoBath
    if (place?.position !== 2 || first.state.twoBath?.position !== 1)
      throw new Refusal(422, 'not-a-pair', `${first.label} and ${second.label} are not the first and the second bath of a pair.`)
    if (place.moves >= (second.use.twoBath?.moves ?? 0))
      throw new Refusal(409, 'last-move', `The pair has had its ${place.moves} moves: discard both baths and begin with a fresh pair.`)
    if (fresh.formulaId !== second.formulaId || fresh.retiredAt !== null || fresh.use.school !== 'two-bath')
      throw new Refusal(422, 'wrong-fresh', `${fresh.label} is no fresh bath of the same kind.`, { field: 'freshId' })
    const groupId = uuid()
    await retire(db, first, { by: who.id, now, why: `First bath used up; ${second.label} moves up`, groupId, discard: true }, tx)
    const line = { at: now, by: who.id, ml: 0, groupId }
    await writeEntry(
      db,
      {
        ...line,
        id: uuid(),
        bottleId: second.id,
        kind: 'move-up',
        otherBottleId: first.id,
        twoBath: { ...place, position: 1, moves: place.moves + 1 },
        note: 'second bath becomes the first',
      },
      tx,
    )
    await writeEntry(
      db,
      {
        ...line,
        id: uuid(),
        bottleId: fresh.id,
        kind: 'change',
        otherBottleId: second.id,
        twoBath: { ...place, moves: place.moves + 1 },
        note: 'fresh second bath',
      },
      tx,
    )
    return { first: await bottleById(db, second.id, now, tx), second: await bottleById(db, fresh.id, now, tx) }
  })

  route(router, house, api.bottle.change, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const changed = await db.rows(
      'update bottle set own_use = $3, version = version + 1 where id = $1 and version = $2 returning id',
      [params.id, body.version, body.use ? JSON.stringify(body.use) : null],
      tx,
    )
    if (changed.length === 0) throw stale(await bottleById(db, params.id, now, tx))
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: params.id,
        kind: 'change',
        at: now,
        by: who.id,
        ml: 0,
        note: `${body.use ? `used as ${body.use.school.replace('-', ' ')}` : 'used as its formula says'}: ${body.reason}`,
      },
      tx,
    )
    await forgetCheckpoints(db, [params.id], tx)
    return bottleById(db, params.id, now, tx)
  })

  route(router, house, api.bottle.retire, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const bottle = await bottleById(db, params.id, now, tx)
    await retire(db, bottle, { by: who.id, now, why: body.reason, discard: body.discard, version: body.version }, tx)
    return bottleById(db, params.id, now, tx)
  })
}
