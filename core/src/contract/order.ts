import { z } from 'zod'
import { orderStates, orderWish } from '../order/order'
import { done, find, id, idParams, listQuery, page, parts, reason, version, pictureQuery } from '../shape/common'
import { endpoint } from './endpoint'
import { pictureBytes } from './proof'

export const orderRow = z.object({
  id,
  version,
  /** raised only where its owner, or somebody for them, wants something else */
  wishVersion: version,
  /** on the slip */
  number: z.int(),
  memberId: id.nullable(),
  member: z.string(),
  state: z.enum(orderStates),
  ...orderWish.shape,
  processName: z.string(),
  /** name of the developer that is wished for; empty as the chart says */
  developerName: z.string(),
  /** place in the drop-off rack; null once it is out of it */
  rack: z.int().nullable(),
  /** when its load begins, and when its films hang in the dryer, as the evening is planned; null where it is in none */
  beginsAt: z.number().nullable(),
  hangsAt: z.number().nullable(),
  /** day of the calendar it was promised for; null while it is not */
  promisedFor: z.string().nullable(),
  /** of its chemicals, in the darkroom’s currency; null where nothing of it has a price */
  cost: z.number().nullable(),
  by: z.string(),
  at: z.number(),
  /** why it was withdrawn */
  why: z.string().nullable(),
  /** of its canister */
  photo: z.boolean(),
})
/** One line of what happened to an order. */
const change = z.object({
  id,
  at: z.number(),
  by: z.string(),
  what: z.enum(['handed-in', 'changed', 'withdrawn']),
  changes: z.array(z.object({ field: z.keyof(orderWish), before: z.unknown(), after: z.unknown() })),
  why: z.string(),
})

export const orderApi = {
  list: endpoint('GET', '/api/orders', 'member', 'Rolls that were handed in: one’s own, a technician everyone’s', {
    query: listQuery.extend({ which: z.enum(['open', 'over']).default('open'), find }),
    response: page(orderRow),
  }),
  choices: endpoint('GET', '/api/orders/choices', 'member', 'Films and developers the chart knows', {
    response: z.object({
      charted: z.array(z.object({ film: z.string(), ei: z.int(), formulaId: id, developer: z.string(), parts })),
    }),
  }),
  get: endpoint('GET', '/api/orders/:id', 'member', 'One order, with what happened to it', {
    params: idParams,
    response: orderRow.extend({ trace: z.array(change) }),
  }),
  handIn: endpoint('POST', '/api/orders', 'member', 'Hand in rolls to be developed', {
    body: z.strictObject({ id, memberId: id, ...orderWish.shape }),
    response: orderRow,
  }),
  change: endpoint('PUT', '/api/orders/:id', 'member', 'Want something else of them, until they are in the tank', {
    params: idParams,
    body: z.strictObject({ wishVersion: version, ...orderWish.shape }),
    response: orderRow,
  }),
  withdraw: endpoint('POST', '/api/orders/:id/withdraw', 'member', 'Take them back undeveloped', {
    params: idParams,
    body: z.strictObject({ wishVersion: version, why: reason }),
    response: orderRow,
  }),
  putPhoto: endpoint('PUT', '/api/orders/:id/photo', 'member', 'A photograph of the canister', {
    params: idParams,
    body: z.strictObject({}),
    upload: pictureBytes,
    response: done,
  }),
  getPhoto: endpoint('GET', '/api/orders/:id/photo', 'member', 'The photograph of the canister', {
    params: idParams,
    query: pictureQuery,
    file: true,
  }),
}
export type FilmOrder = z.infer<typeof orderRow>
export type OrderLine = z.infer<typeof change>
