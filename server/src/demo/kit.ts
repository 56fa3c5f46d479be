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

type Bath = [name: string, formula: string]
interface BoughtKit {
  name: string
  note: string
  baths: Bath[]
  capacity: { fromEi: number; rolls: number }[]
  processId: string
}

/** A kit as it was bought, and one of it that was mixed three days ago: what stands on the shelf of its baths belongs to it. */
async function bought(
  db: Database,
  kit: BoughtKit,
  number: number,
  { by, today, formulaIds }: { by: string; today: number; formulaIds: Record<string, string> },
): Promise<void> {
  const baths = kit.baths.map(([name, key]) => ({ name, formulaId: formulaIds[key] ?? '', ml: 1000 }))
  const body = { ...kit, baths, sealedDays: 365 }
  // listed in the order they were bought in
  const kitId = uuid({ msecs: today - 40 * dayMs + number })
  await db.Kit.create({ id: kitId, body })
  const begunAt = today - 3 * dayMs
  const setId = uuid({ msecs: begunAt })
  await db.KitSet.create({ id: setId, kitId, number, body, begunAt, begunBy: by })
  for (const { formulaId } of baths) {
    const bottle = await db.Bottle.findOne({
      where: { retiredAt: null, kitSetId: null },
      include: [{ association: 'madeOf', where: { formulaId } }],
    })
    await bottle?.update({ kitSetId: setId })
  }
}

/** The bought colour kits: negatives by the process of their leaflet, slides by the house's with six baths, whose first developer nobody has tested yet. */
export async function colourKits(db: Database, by: string, today: number, formulaIds: Record<string, string>): Promise<void> {
  const changedAt = today - 40 * dayMs
  const processId = uuid({ msecs: changedAt })
  await db.Process.create({ id: processId })
  await db.ProcessVersion.create({ id: uuid({ msecs: changedAt }), processId, number: 1, body: leafletProcess(), changedBy: by, changedAt })
  const note = 'Its leaflet’s figures decide over the house’s. Gloves and goggles; ventilate; the supplier’s safety sheet decides.'
  const known = { by, today, formulaIds }
  await bought(
    db,
    {
      ...{ name: 'Loft colour negative kit', note, processId },
      baths: [
        ['Colour developer', 'colourDeveloper'],
        ['Bleach-fix', 'kitBleachFix'],
        ['Stabiliser', 'kitStabiliser'],
      ],
      capacity: [
        { fromEi: 1, rolls: 16 },
        { fromEi: 400, rolls: 12 },
      ],
    },
    1,
    known,
  )
  await bought(
    db,
    {
      ...{ name: 'Loft slide kit', note, processId: houseIds['slide-six'] },
      baths: [
        ['First developer', 'slideFirst'],
        ['Reversal bath', 'slideReversal'],
        ['Colour developer', 'slideColour'],
        ['Conditioner', 'slideConditioner'],
        ['Bleach', 'slideBleach'],
      ],
      capacity: [{ fromEi: 1, rolls: 10 }],
    },
    2,
    known,
  )
}
