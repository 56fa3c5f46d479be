import type { Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import type { House } from './house'

/** A run of one film, planned, as somebody's other page would have planned it, and started. */
export async function runPlanned(page: Page, vessel = 'Tank 2', started = false): Promise<string> {
  const id = uuid()
  const film = uuid()
  await page.evaluate(
    async ({ id, film, vessel, started }) => {
      const get = async (path: string) =>
        (await (await fetch(path)).json()) as { rows: Record<string, unknown>[] } & Record<string, unknown>
      const send = async (path: string, key: string, body: unknown) => {
        const headers = { 'content-type': 'application/json', 'idempotency-key': key }
        const answer = await fetch(path, { method: 'POST', headers, body: JSON.stringify(body) })
        if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
        return (await answer.json()) as { version: number }
      }
      const past = (await get('/api/runs?which=over&limit=50')).rows
      const [bottles, vessels] = [(await get('/api/bottles')).rows, (await get('/api/vessels')).rows]
      const least = (bottleId: unknown) =>
        (bottles.find((one) => one.id === bottleId)?.state as { volumeMl: number } | undefined)?.volumeMl ?? 0
      for (const one of past) {
        const { request } = (await get(`/api/runs/${String(one.id)}`)) as unknown as {
          request: { baths: { bottleId: string }[]; films: object[] } | null
        }
        if (one.processName !== 'Black-and-white negative' || !request || request.baths.some((bath) => least(bath.bottleId) < 320)) continue
        const asked = {
          ...request,
          films: [{ ...request.films[0], id: film, format: '135-36' }],
          vesselId: vessels.find((v) => v.name === vessel)?.id,
        }
        const { version } = await send('/api/runs', `plan-${id}`, { id, request: asked, overrule: 'a walk of the clock' })
        if (started) await send(`/api/runs/${id}/start`, `start-${id}`, { version, at: Date.now() })
        return
      }
      throw new Error('no run of the season can be planned again')
    },
    { id, film, vessel, started },
  )
  return id
}

/** The same at its clock; `change` is of its plan before that. */
export async function runAtClock(page: Page, house: Pick<House, 'ask'>, vessel = 'Tank 2', change?: string): Promise<string> {
  const id = await runPlanned(page, vessel, true)
  if (change) await house.ask(`update run set plan = ${change}, version = version + 1 where id = $1 returning id`, [id])
  return id
}
/** What the server has of a run’s clock, in its order. */
export const eventsOf = (house: Pick<House, 'ask'>, id: string) =>
  house.ask<{ kind: string; device: string; late: boolean | null }>(
    `select event->>'kind' as kind, event->>'device' as device, (event->>'late')::boolean as late from run_event where run_id = $1 order by at, event->>'seq'`,
    [id],
  )
