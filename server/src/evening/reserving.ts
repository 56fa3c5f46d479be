import { isMovable, wantsOf, type EveningBody, type LoadRun, type PlacedEvening } from '@selvrin/core'
import type { Database } from '../table/database'

interface Wants {
  loadId: string
  bottleId: string
  ml: number
  rolls: number
}

/** What every load that has a place and is no run yet wants of each bottle. */
function wantsIn(body: EveningBody, runs: LoadRun[], { plans, rota }: Pick<PlacedEvening, 'plans' | 'rota'>): Wants[] {
  const placed = new Set(rota.placed.map((one) => one.load))
  return body.loads.flatMap((load) => {
    const plan = plans[load.id]
    if (!plan || !placed.has(load.id) || !isMovable(load, runs)) return []
    const wants = new Map<string, Wants>()
    for (const { bottleId, ml, equivalents, oneShot } of wantsOf(plan)) {
      const sum = wants.get(bottleId) ?? { loadId: load.id, bottleId, ml: 0, rolls: 0 }
      wants.set(bottleId, { ...sum, ...(oneShot ? { ml: sum.ml + ml } : { rolls: sum.rolls + equivalents }) })
    }
    return [...wants.values()]
  })
}

const same = (a: Wants, b: Wants): boolean =>
  a.loadId === b.loadId && a.bottleId === b.bottleId && Math.abs(a.ml - b.ml) < 0.001 && Math.abs(a.rolls - b.rolls) < 0.001

/** Reservations on bottles follow the plan: what it wants no more is free, and a bottle of which nothing changed hears nothing. */
export async function reserve(
  db: Database,
  eveningId: string,
  { body, runs, asIs }: { body: EveningBody; runs: LoadRun[]; asIs: Pick<PlacedEvening, 'plans' | 'rota'> },
): Promise<void> {
  const wanted = wantsIn(body, runs, asIs)
  const there: Wants[] = await db.EveningBath.findAll({ where: { eveningId }, raw: true })
  for (const { loadId, bottleId } of there.filter((one) => !wanted.some((each) => same(each, one))))
    await db.EveningBath.destroy({ where: { loadId, bottleId } })
  await db.EveningBath.bulkCreate(wanted.filter((one) => !there.some((each) => same(each, one))).map((one) => ({ ...one, eveningId })))
}
