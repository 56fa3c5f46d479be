import { printEquivalents, type TrayFilling, type TrayRole } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { fillTray } from '../line/filling'
import { passThrough } from '../line/passing'
import type { Database } from '../table/database'
import type { DemoBottle } from './seasonBook'

const minuteMs = 60_000
const trays: [name: string, widthCm: number, heightCm: number][] = [
  ['White 1', 30, 40],
  ['White 2', 30, 40],
  ['White 3', 30, 40],
  ['White 4', 30, 40],
  ['Grey, large', 43, 53],
  ['Small red', 20, 27],
]
/** minutes before now, prints of 20.3 × 25.4 cm, and what they were */
const passes: [minutes: number, count: number, what: string][] = [
  [74, 0.25, 'strip'],
  [66, 1, 'print 30'],
  [58, 1, 'print 30'],
  [41, 3, 'contact sheets'],
  [22, 0.25, 'strip'],
  [15, 1, 'by hand'],
]

/** A tray line that stands open this evening, for resin-coated paper. */
export async function trayLine(db: Database, { by, bottles, today }: { by: string; bottles: DemoBottle[]; today: number }): Promise<void> {
  const openedAt = today - 85 * minuteMs
  const ids = trays.map((_, i) => uuid({ msecs: today - 130 * 86_400_000 + i }))
  await db.Tray.bulkCreate(trays.map(([name, widthCm, heightCm], i) => ({ id: ids[i] ?? '', body: { name, widthCm, heightCm } })))
  const lineId = uuid({ msecs: openedAt })
  const paper = { base: 'rc' as const, widthCm: 20.3, heightCm: 25.4 }
  await db.TrayLine.create({ id: lineId, number: 1, ...paper, celsius: 20, openedAt, openedBy: by })
  const stock = (formula: string): string =>
    bottles.findLast((one) => one.formula === formula && one.parts === null && one.retiredAt === null)?.id ?? ''
  const filling = (role: TrayRole, from: TrayFilling['from'], i: number): TrayFilling => ({
    id: uuid(),
    trayId: ids[i] ?? '',
    role,
    from,
    ml: 1440,
  })
  const fills = [
    filling('develop', { way: 'dilute', bottleId: stock('loftPrint'), newId: uuid(), parts: [1, 2] }, 0),
    filling('stop', { way: 'part', bottleId: stock('aceticStop'), newId: uuid() }, 1),
    filling('fix', { way: 'dilute', bottleId: stock('rapidConcentrate'), newId: uuid(), parts: [1, 9] }, 2),
    filling('wash', { way: 'water' }, 3),
  ]
  for (const one of fills) await fillTray(db, one, { lineId, ...paper, twoBaths: false, by, now: openedAt })
  const line = await db.TrayLine.findByPk(lineId, { rejectOnEmpty: true })
  for (const [minutes, count, what] of passes)
    await passThrough(db, line, {
      id: uuid(),
      base: 'rc',
      equivalents: printEquivalents({ widthCm: 20.3, heightCm: 25.4, count }),
      what,
      by,
      now: today - minutes * minuteMs,
    })
}
