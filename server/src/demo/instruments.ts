import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'
import { insert } from './insert'
import { seeded } from './random'
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
  tx: Transaction,
): Promise<void> {
  const glass = [
    { readC: 0.3, trueC: 0 },
    { readC: 20.4, trueC: 20 },
  ]
  await insert(
    db,
    'instrument',
    {
      id: uuid(),
      kind: 'thermometer',
      name: 'Spirit thermometer, blue',
      points: JSON.stringify(glass),
      tested_at: new Date(today - 40 * day),
    },
    tx,
  )
  await insert(db, 'instrument', { id: uuid(), kind: 'thermometer', name: 'Dial thermometer' }, tx)
  await insert(
    db,
    'instrument',
    { id: uuid(), kind: 'lamp', name: 'Red lamp over the trays', safe_minutes: 4, tested_at: new Date(today - 90 * day) },
    tx,
  )
  await insert(db, 'instrument', { id: uuid(), kind: 'lamp', name: 'This screen in safelight' }, tx)
  const id = uuid()
  await insert(
    db,
    'instrument',
    { id, kind: 'process', name: 'Film in soft borax 1+1, 20 °C', tested_at: new Date(hourOf(today, newestDaysAgo, 18)) },
    tx,
  )
  const random = seeded(31)
  const near = (value: number, spread: number) => Math.round((value + (random() + random() - 1) * spread) * 100) / 100
  for (let i = 0; i < strips; i++) {
    // by whole days, like the batches: whichever hour the demo is loaded at, each strip stands behind the same one
    const at = hourOf(today, newestDaysAgo + (strips - 1 - i) * 5, 18)
    const tired = Math.max(0, i - tiredFrom) * 0.022
    const low = near(usual.low - tired * 0.2, 0.02)
    const strip = {
      fog: near(usual.fog, 0.022),
      low,
      high: Math.round((low + near(usual.high - usual.low - tired, 0.012)) * 100) / 100,
      max: near(usual.max - tired, 0.04),
    }
    await insert(
      db,
      'proof',
      {
        id: uuid({ msecs: at }),
        kind: 'control-strip',
        at: new Date(at),
        by_person: by,
        instrument_id: id,
        good: i < 10,
        batch_id: batches.filter((batch) => batch.madeAt < at).at(-1)?.batchId ?? null,
        reading: JSON.stringify(strip),
        judgement: JSON.stringify({
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
        }),
      },
      tx,
    )
  }
}
