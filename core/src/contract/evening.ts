import { z } from 'zod'
import { eveningBody } from '../evening/body'
import type { EveningHouse, LoadRun } from '../evening/house'
import { roomBody } from '../evening/room'
import { done, id, idParams, listQuery, millis, page, version } from '../shape/common'
import { endpoint } from './endpoint'
import { orderRow } from './order'

const room = z.object({ version, ...roomBody.shape })

/** What was done to an evening, a line each. */
const eveningActs = [
  'planned',
  'arranged',
  'moved',
  'fixed',
  'split',
  'merged',
  'taken-out',
  'put-in',
  'sent',
  'rebottled',
  'people',
  'hours',
  'undone',
] as const
const act = z.enum(eveningActs)
const evening = z.object({
  id,
  version,
  /** of the calendar, such as 2026-04-14 */
  day: z.string(),
  body: eveningBody,
  /** the last that was done to it; null where nothing was but planning it */
  last: z.object({ what: act, by: z.string(), at: z.number() }).nullable(),
})
const summary = z.object({
  id,
  version,
  day: z.string(),
  opensAt: z.number(),
  closesAt: z.number(),
  loads: z.int(),
  /** of them, without a place */
  without: z.int(),
})
/** What it stands on, plain data that core takes. */
const house = z.custom<Omit<EveningHouse, 'catalogue'>>((value) => typeof value === 'object' && value !== null)
const runs = z.custom<LoadRun[]>((value) => Array.isArray(value))

export const eveningApi = {
  room: endpoint('GET', '/api/room', 'technician', 'What the room has, and when it is open', { response: room }),
  changeRoom: endpoint('PUT', '/api/room', 'technician', 'Say what the room has, and when it is open', {
    body: z.strictObject({ version, ...roomBody.shape }),
    /** and how many places at enlargers were given back by it */
    response: room.extend({ released: z.int() }),
  }),
  list: endpoint('GET', '/api/evenings', 'technician', 'Evenings, the latest first', { query: listQuery, response: page(summary) }),
  plan: endpoint('POST', '/api/evenings', 'technician', 'Plan the evening of a day', {
    body: z.strictObject({ id, day: z.iso.date(), opensAt: millis, closesAt: millis, people: eveningBody.shape.people }),
    response: evening,
  }),
  get: endpoint('GET', '/api/evenings/:id', 'technician', 'An evening with all it stands on', {
    params: idParams,
    response: z.object({
      /** orders that are in it, and those that wait, the most pressing first; not all of them where many do */
      ...{ evening, house, runs, orders: z.array(orderRow), people: z.record(z.string(), z.string()) },
      /** how many wait that can be there before it closes */
      waiting: z.int(),
      /** tasks of its list that somebody has ticked off */ ticked: z.array(z.string()),
    }),
  }),
  change: endpoint('PUT', '/api/evenings/:id', 'technician', 'Another plan of an evening, as its writer saw it', {
    params: idParams,
    bodyBytes: 512_000,
    body: z.strictObject({ version, what: act.exclude(['undone', 'planned']), body: eveningBody }),
    response: evening,
  }),
  undo: endpoint('POST', '/api/evenings/:id/undo', 'technician', 'Take the last change back', {
    params: idParams,
    body: z.strictObject({ version }),
    response: evening,
  }),
  send: endpoint(
    'POST',
    '/api/evenings/:id/loads/:loadId/send',
    'technician',
    'A load goes to another evening, where it has no place yet',
    {
      params: z.strictObject({ id, loadId: id }),
      body: z.strictObject({ version, to: id }),
      response: evening,
    },
  ),
  tick: endpoint('PUT', '/api/evenings/:id/ticks', 'technician', 'Tick a task of its list off, or not done after all', {
    params: idParams,
    body: z.strictObject({ task: z.string().max(120), done: z.boolean() }),
    response: done,
  }),
  begin: endpoint('POST', '/api/evenings/:id/loads/:loadId/begin', 'technician', 'A load becomes a run: its bottles are promised to it', {
    params: z.strictObject({ id, loadId: id }),
    body: z.strictObject({ version }),
    response: z.object({ runId: id }),
  }),
}
export type Evening = z.infer<typeof evening>
export type EveningSummary = z.infer<typeof summary>
export type EveningPage = z.infer<(typeof eveningApi.get)['response']>
export type Room = z.infer<typeof room>
export type EveningAct = (typeof eveningActs)[number]
