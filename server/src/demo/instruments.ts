import { seeded } from '@selvrin/core'
import type { Judgement } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'
import { day, hourOf } from './seasonFacts'

/** The strip of a good day of the house process, in density. */
const usual = { fog: 0.24, low: 0.46, high: 1.32, max: 2.05 }
const strips = 16
const newestDaysAgo = 3
/** From this strip on the developer was getting tired. */
const tiredFrom = 11

/** Thermometers, the lamps of the print room, and the house process with its control strips: of late its contrast has been falling. */
export async function instruments(
  db: Database,
  by: string,
  today: number,
  batches: { batchId: string | null; madeAt: number }[],
): Promise<void> {
  const points = [
    { readC: 0.3, trueC: 0 },
    { readC: 20.4, trueC: 20 },
  ]
  const process = {
    id: uuid(),
    kind: 'process' as const,
    name: 'Film in soft borax 1+1, 20 °C',
    testedAt: hourOf(today, newestDaysAgo, 18),
  }
  await db.Instrument.bulkCreate([
    { id: uuid(), kind: 'thermometer', name: 'Spirit thermometer, blue', points, testedAt: today - 40 * day },
    { id: uuid(), kind: 'thermometer', name: 'Dial thermometer' },
    { id: uuid(), kind: 'lamp', name: 'Red lamp over the trays', safeMinutes: 4, testedAt: today - 90 * day },
    { id: uuid(), kind: 'lamp', name: 'This screen in safelight' },
    process,
  ])
  const random = seeded(31)
  const near = (value: number, spread: number) => Math.round((value + (random() + random() - 1) * spread) * 100) / 100
  const strip = (i: number) => {
    const tired = Math.max(0, i - tiredFrom) * 0.022
    const low = near(usual.low - tired * 0.2, 0.02)
    return {
      fog: near(usual.fog, 0.022),
      low,
      high: Math.round((low + near(usual.high - usual.low - tired, 0.012)) * 100) / 100,
      max: near(usual.max - tired, 0.04),
    }
  }
  await db.Proof.bulkCreate(
    Array.from({ length: strips }, (_, i) => {
      // by whole days, like the batches: whichever hour the demo is loaded at, each strip stands behind the same one
      const at = hourOf(today, newestDaysAgo + (strips - 1 - i) * 5, 18)
      return {
        id: uuid({ msecs: at }),
        kind: 'control-strip',
        at,
        byPerson: by,
        instrumentId: process.id,
        good: i < 10,
        batchId: batches.filter((batch) => batch.madeAt < at).at(-1)?.batchId ?? null,
        reading: strip(i) as object,
        judgement: onTheChart,
      }
    }),
  )
}

const onTheChart: Judgement = {
  verdict: 'keep',
  rule: 'control-strip',
  reason: 'See the control chart.',
  ratio: null,
  reference: null,
  restsOn: 'what was read',
  corrected: false,
  fixS: null,
  retire: false,
  againDays: null,
}
