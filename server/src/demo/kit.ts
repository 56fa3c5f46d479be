import { dayMs, houseIds, houseProcesses } from '@selvrin/core'
import type { ProcessBody } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

/** The house's colour negative process as the leaflet of the kit wants it: 3:30 at 38.9 °C. */
function leafletProcess(): ProcessBody {
  const process = houseProcesses.find((one) => one.id === houseIds['colour-negative'])
  if (!process) throw new Error('The house has a colour negative process.')
  const { id: _, ...body } = process
  const steps = body.steps.map((step) =>
    step.key === 'developer'
      ? { ...step, atC: 38.9, time: { s: 210 } }
      : step.key === 'pre-heat' || step.key === 'pre-wet'
        ? { ...step, atC: 38.9 }
        : step,
  )
  return { ...body, name: 'Loft kit, colour negative', steps }
}

/** A bought colour kit: its three baths, mixed a few days ago, and the process its leaflet asks for. */
export async function colourKit(db: Database, by: string, today: number, formulaIds: Record<string, string>): Promise<void> {
  const changedAt = today - 40 * dayMs
  const processId = uuid({ msecs: changedAt })
  await db.Process.create({ id: processId })
  await db.ProcessVersion.create({ id: uuid({ msecs: changedAt }), processId, number: 1, body: leafletProcess(), changedBy: by, changedAt })
  const bath = (name: string, key: string) => ({ name, formulaId: formulaIds[key] ?? '', ml: 1000 })
  const body = {
    name: 'Loft colour negative kit',
    note: 'Its leaflet’s figures decide over the house’s. Gloves and goggles; ventilate the bleach-fix; the supplier’s safety sheet decides.',
    baths: [bath('Colour developer', 'colourDeveloper'), bath('Bleach-fix', 'kitBleachFix'), bath('Stabiliser', 'kitStabiliser')],
    capacity: [
      { fromEi: 1, rolls: 16 },
      { fromEi: 400, rolls: 12 },
    ],
    processId,
    sealedDays: 365,
  }
  const kitId = uuid({ msecs: changedAt })
  await db.Kit.create({ id: kitId, body })
  const setId = uuid({ msecs: today - 3 * dayMs })
  await db.KitSet.create({ id: setId, kitId, number: 1, body, begunAt: today - 3 * dayMs, begunBy: by })
  for (const { formulaId } of body.baths) {
    const bottle = await db.Bottle.findOne({ where: { retiredAt: null }, include: [{ association: 'madeOf', where: { formulaId } }] })
    await bottle?.update({ kitSetId: setId })
  }
}
