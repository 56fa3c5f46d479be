import { dayMs } from '@selvrin/core'
import type { FormulaUse, TestKind } from '@selvrin/core'

export const day = dayMs
export const hour = 3_600_000
/** That many days before, at an hour of the day (UTC). */
export const hourOf = (today: number, daysAgo: number, at: number): number => Math.floor((today - daysAgo * day) / day) * day + at * hour

/** Where bottles stand, and how warm it is there. */
export const demoShelves = {
  film: { name: 'Film bench', celsius: 20 },
  print: { name: 'Print room', celsius: 21 },
  cold: { name: 'Cold cupboard', celsius: 12 },
}
/** Fresh readings of what the darkroom tests, in s at 20 °C, and the rolls a litre at which a clearing time doubles. */
export const demoTests: Record<string, { kind: TestKind; value: number; doublesAt?: number }> = {
  neutralFixer: { kind: 'clearing-time', value: 68, doublesAt: 25 },
  softBorax: { kind: 'leader-black', value: 95 },
  ascorbate: { kind: 'leader-black', value: 70 },
}
/** One bottle that is used otherwise than its formula says. */
export const compensatedMetol: FormulaUse = {
  school: 'compensated',
  capacityRollsPerL: 10,
  compensation: { perRoll: 0.06 },
  keeping: { fullDays: 180, halfDays: 60, workingDays: 1 },
  dilutions: [[1]],
  minConcentrateMlPerRoll: 0,
}

type Delivery = [formula: string, daysAgo: number, sizeMl: number, ml: number, parts: number[] | null, ph: number | null]
const fullLitre = (formula: string): Delivery => [formula, 3, 1000, 1000, null, null]

/** What was mixed, brought and diluted, and how many days before today. */
export const deliveries: Delivery[] = [
  ['alkalineFixer', 124, 500, 500, null, 7.8],
  ['hardeningFixer', 96, 1000, 1000, null, 4.4],
  ['aminophenol', 210, 500, 500, null, null],
  ['wetting', 200, 250, 250, null, null],
  ['citricStop', 88, 2000, 2000, null, 2.1],
  ['softBorax', 86, 2500, 2500, null, 8.6],
  ['neutralFixer', 82, 1000, 1000, null, 7.1],
  ['sepiaA', 70, 500, 500, null, null],
  ['sepiaB', 70, 500, 500, null, null],
  ['ferricyanide', 60, 500, 480, null, null],
  ['ascorbate', 57, 1000, 1000, null, 8.2],
  ['softBorax', 47, 2500, 2500, null, 8.5],
  ['neutralFixer', 46, 1000, 1000, null, 7.0],
  ['citricStop', 45, 2000, 2000, null, 2.15],
  ['loftPrint', 38, 2000, 2000, null, 10.1],
  ['washAid', 30, 1000, 1000, null, null],
  ['rapidConcentrate', 26, 1000, 1000, null, null],
  ['neutralFixer', 17, 1000, 1000, null, 7.2],
  ['ascorbate', 15, 1000, 1000, null, 8.2],
  ['citricStop', 14, 2000, 2000, null, 2.15],
  ['plainMetol', 9, 1000, 1000, null, 7.9],
  ['softBorax', 5, 2500, 2500, null, 8.6],
  ['citricStop', 3, 2000, 2000, null, 2.15],
  ['washAid', 2, 1000, 1000, [1, 9], null],
  ['rapidConcentrate', 4, 1000, 1000, [1, 4], null],
  ['pairFixer', 12, 2000, 2000, null, 5.2],
  ['pairFixer', 12, 2000, 2000, null, 5.2],
  ['deepTank', 33, 2500, 2400, null, 8.5],
  ['bromideStock', 20, 500, 420, null, null],
  ['loftPrint', 0.4, 1000, 1000, [1, 2], null],
  // for the other processes: what was mixed for this week's colour and slide evenings
  ...['monobath', 'clearFirst', 'clearing', 'colourDeveloper', 'kitBleachFix'].map(fullLitre),
  ['kitStabiliser', 2, 1000, 1000, null, null],
  ...['slideFirst', 'slideReversal', 'slideColour', 'slideConditioner', 'slideBleach'].map(fullLitre),
  ['permanganateA', 3, 500, 500, null, null],
  ['permanganateB', 3, 500, 500, null, null],
  ['aceticStop', 2, 2000, 2000, null, null],
  // for the coating bench
  ['Iron-blue sensitizer, part A', 26, 500, 420, null, null],
  ['Iron-blue sensitizer, part B', 26, 500, 425, null, null],
  ...['A', 'B', 'C'].map((part): Delivery => [`Iron–silver sensitizer, part ${part}`, 31, 100, 100, null, null]),
  ['Iron A, ferric oxalate 27 %', 19, 50, 46, null, null],
  ['Iron B, ferric oxalate with chlorate', 19, 50, 48, null, null],
  ['Palladium salt 15 %', 19, 50, 41, null, null],
  ['Ammonium citrate developer for platinum', 2, 1000, 1000, null, null],
  ['EDTA clearing bath', 2, 2000, 2000, null, null],
]

export const demoFilms: [string, string, string, number[], number][] = [
  ['Millrace 400', '135-36', 'softBorax', [1, 1], 400],
  ['Millrace 400', '135-36', 'aminophenol', [1, 50], 400],
  ['Millrace 100', '135-36', 'softBorax', [1, 1], 100],
  ['Millrace 100', '120', 'aminophenol', [1, 50], 100],
  ['Saltpan 50', '120', 'softBorax', [1, 1], 50],
  ['Ebbtide 125', '135-24', 'softBorax', [1, 1], 125],
  ['Millrace 400', '120', 'ascorbate', [1, 1], 400],
  ['Lantern 3200', '135-36', 'ascorbate', [1], 3200],
  ['Ebbtide 125', '120', 'aminophenol', [1, 50], 125],
  ['Millrace 400', '135-24', 'ascorbate', [1, 1], 400],
]
