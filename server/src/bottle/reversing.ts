import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import { route, type House } from '../http/route'
import { bottlePage } from './rows'
import { reverseEntry } from './takeBack'

/** Taking lines back: what was written together is taken back together, and nothing that later lines need. */
export function reversingRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.bottle.reverse, async ({ params, body, who, now, tx }) => {
    await reverseEntry(db, { bottleId: params.id, entryId: params.entryId, ...body, by: who.id, now }, tx)
    return bottlePage(db, params.id, now, tx)
  })
}
