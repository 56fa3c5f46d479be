import { shelfBottle, today } from '../src/test/shelf'
import { planFor, type Finding } from '@selvrin/core'
import type { BottlePage, ChartRow, Jar, PlanRequest, Vessel } from '@selvrin/core/contract'

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
  ...{ ledger: [], more: false, mixedFrom: null, batchNote: '', decant: null, lostPerOpening: null, runs: [] },
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
  ...{ vesselId: 'v', chartRowIds: ['r'], temperatureC: 20, agitation: '10-4inv-30', preWet: false, washAid: false, wettingAgent: false },
  films: [{ id: 'f', memberId: 'm', film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 1 }],
  baths: [
    { family: 'film-developer', bottleId: 'D3', parts: [1, 1] },
    { family: 'stop-bath', bottleId: 'S1', parts: [1] },
    { family: 'fixer', bottleId: 'F1', parts: [1] },
  ],
}
export const plan = planFor(request, {
  vessels: [{ id: 'v', version: 1, name: 'Tank 2', kind: 'hand', format: '135', reels: 2, coversMl: [300, 600], carryMl: null } as Vessel],
  bottles: [oneShot, bottles['of five litres'], bottles.full],
  chart: [
    {
      ...{ id: 'r', film: 'Millrace 400', formulaId: 'borax', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 600 },
      ...{ source: '', note: '', by: '', version: 1, tried: null },
    } as ChartRow,
  ],
})
