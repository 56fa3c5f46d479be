import { shelfBottle, today } from '../src/test/shelf'
import { controlChart, houseFirstVersion, houseIds, houseProcesses, planFor, type Finding, type LifeCurve } from '@selvrin/core'
import type { BottlePage, ChartRow, Instrument, Jar, JarPage, PlanRequest, Run, Vessel } from '@selvrin/core/contract'

// made-up things in every state that changes a look
const developer = shelfBottle({
  label: 'D3',
  family: 'film-developer',
  formulaId: 'borax',
  name: 'Soft borax developer',
  ml: 620,
  rolls: 2,
})
const oneShot = { ...developer, use: { ...developer.use, school: 'one-shot' as const } }
export const bottles = {
  full: shelfBottle({ label: 'F1' }),
  'half used': shelfBottle({ label: 'F2', rolls: 9, daysAgo: 20 }),
  'nearly over': shelfBottle({ label: 'F3', rolls: 19, daysAgo: 40, ml: 400 }),
  'too old': shelfBottle({ label: 'F4', daysAgo: 130 }),
  empty: shelfBottle({ label: 'F5', ml: 0 }),
  retired: shelfBottle({ label: 'F6', retiredAt: today - 86_400_000, retiredWhy: 'cloudy' }),
  'a developer': oneShot,
  'of five litres': shelfBottle({ label: 'S1', family: 'stop-bath', name: 'Acetic stop bath, 2 %', sizeMl: 5000, ml: 4200 }),
}
export const page: BottlePage = {
  ...shelfBottle({ label: 'F2', rolls: 9, daysAgo: 20 }),
  ...{ ledger: [], more: false, mixedFrom: null, batchNote: '', decant: null, lostPerOpening: null, runs: [], drum: null },
}
export const findings: Finding[] = [
  { rule: 'a', severity: 'error', message: 'It failed its test: retire it.' },
  { rule: 'b', severity: 'warning', message: 'It is past half of its keeping life.' },
  { rule: 'c', severity: 'advice', message: 'Decant it into smaller bottles: it gains 40 days.' },
]
const facts = { openedAt: today, assay: null, pricePerKg: null, reorderG: 100, storage: null, spoonG: null }
export const jar = (chemical: string, grams: number): Jar =>
  ({ id: chemical, version: 1, code: 'ABC234', chemical, grams, lot: '26-A', place: 'upper cabinet', sheet: null, ...facts }) as Jar

const request: PlanRequest = {
  ...{ processVersionId: houseFirstVersion(houseIds['bw-negative']), options: { 'wetting-agent': false } },
  ...{ vesselId: 'v', chartRowIds: ['r'], temperatureC: 20, agitation: '10-4inv-30' },
  films: [{ id: 'f', memberId: 'm', film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 1 }],
  baths: [
    { role: 'developer', bottleId: 'D3', parts: [1, 1] },
    { role: 'stop', bottleId: 'S1', parts: [1] },
    { role: 'fixer', bottleId: 'F1', parts: [1] },
  ],
}
export const plan = planFor(request, {
  process: houseProcesses[0],
  vessels: [{ id: 'v', version: 1, name: 'Tank 2', kind: 'hand', format: '135', reels: 2, coversMl: [300, 600], carryMl: null } as Vessel],
  bottles: [oneShot, bottles['of five litres'], bottles.full],
  chart: [
    {
      ...{ id: 'r', film: 'Millrace 400', formulaId: 'borax', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 600 },
      ...{ source: '', note: '', by: '', version: 1, tried: null },
    } as ChartRow,
  ],
})

export const run = {
  id: 'run',
  version: 1,
  number: 7,
  state: 'running',
  plan,
  request,
  events: [],
  filmRows: [],
  startedAt: today,
} as unknown as Run
export const jarPage: JarPage = { ...jar('hydroquinone', 180), ledger: [] }
export const chartRow: ChartRow = {
  ...{ id: 'r', film: 'Millrace 400', formulaId: 'borax', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 600 },
  ...{
    source: 'the house’s own wedge',
    note: '',
    by: 'Ilse Varn',
    version: 1,
    tried: { at: today, by: 'Ilse Varn', note: 'a little hard' },
  },
}
const limit = { action: 0.06, control: 0.09 }
export const limits = { fog: { action: 0.03, control: 0.05 }, low: limit, contrast: limit, max: limit }
export const instrument = { id: 'i', version: 1, kind: 'process', name: 'Film in soft borax 1+1, 20 °C', limits } as unknown as Instrument

export const curves = [
  {
    name: 'soft borax developer',
    points: [
      [100, 7.5],
      [200, 8.6],
      [400, 10],
      [800, 12.5],
      [1600, 16],
    ] as [number, number][],
  },
  {
    name: 'the same, 1+1',
    points: [
      [100, 9],
      [200, 10.5],
      [400, 12.8],
      [800, 16],
      [1600, 21],
    ] as [number, number][],
  },
]
export const trend = {
  unit: 's',
  points: [
    [0, 40],
    [4, 47],
    [8, 55],
    [11, 62],
  ] as [number, number][],
  fit: [
    [0, 39.6],
    [22, 83],
  ] as [number, number][],
  limit: { at: 80, name: 'twice the fresh' },
  crossing: { at: 20.4, low: 18, high: 24 },
  says: 'At this rate it clears in twice the fresh time after 20 rolls a litre.',
}
const strips = [1.3, 1.31, 1.29, 1.3, 1.33, 1.35, 1.38, 1.4]
export const control = {
  measure: 'contrast' as const,
  values: strips,
  days: strips.map((_, i) => `${i + 1} May`),
  mean: 1.3,
  limits: limit,
  flags: controlChart(strips, { mean: 1.3, ...limit }),
}
const day = 86_400_000
const at = (days: number, used: number, aged: number) => ({ at: today + days * day, used, aged, volumeMl: 1000 })
export const life: LifeCurve = {
  past: [at(-20, 0, 0), at(-12, 0.2, 0.08), at(-12, 0.3, 0.08), at(0, 0.45, 0.2)],
  ahead: [at(0, 0.45, 0.2), at(24, 0.99, 0.44)],
  endsAt: today + 24 * day,
  tests: [
    { at: today - 10 * day, kind: 'clearing-time', verdict: 'keep' },
    { at: today - 2 * day, kind: 'clearing-time', verdict: 'marginal' },
  ],
}
