import type { EveningBody } from './evening/body'
import type { EveningHouse } from './evening/house'
import type { EveningOrder } from './evening/require'
import { usualRoom } from './evening/room'
import type { EveningNames } from './evening/words'
import type { Acted } from './bottle/acts/act'
import type { BottleEntry, BottleFacts } from './bottle/bottle'
import { bottleState, carryOf } from './bottle/bottleState'
import { dayMs } from './calendar/span'
import { catalogue } from './chemical/catalogue'
import type { Formula } from './formula/formula'
import { linesOf } from './formula/lines'
import type { UsedFormula } from './formula/use'
import type { ShelfJar } from './jar/asOnShelf'
import { mixState } from './mix/mixState'
import type { MixEvent } from './mix/mixEvent'
import { houseProcesses } from './process/families'
import { houseFirstVersion, houseIds } from './process/families/ids'
import { planFor } from './process/planFor'
import type { RunRequest, Tank } from './process/shelf'
import type { Process } from './process/process'
import type { DarkroomEvening } from './rota/darkroom/evening'
import type { ColourWay } from './print/sheet/recoloured'
import type { SwapBody, WedgesBody } from './print/calibration'
import type { PrintSetup } from './print/sheet/moved'
import type { EnlargerBody, PaperBody } from './print/sheet/room'
import type { StripTry, WholeTry } from './print/sheet/tries'
import type { CoatedBody } from './coat/sheet'
import type { SwatchBody } from './tone/swatch'
import type { BookingKnown } from './printing/booking'
import type { Order, RotaProblem } from './rota/problem'
import type { OrderWish } from './order/order'
import type { RunEvent } from './run/runEvent'
import type { DrainKnown } from './waste/drain'
import type { DrumFacts } from './waste/drum'

/** What the worked examples of the doc comments speak of, in one made-up darkroom: a developer, a fixer and a stop bath, their jars and bottles, a mix and a run. */
export const developer: UsedFormula = {
  id: 'developer',
  name: 'Metol–hydroquinone borax developer',
  family: 'film-developer',
  finalMl: 1000,
  startMl: 750,
  mixC: 50,
  additions: [
    { chemical: 'metol', grams: 2 },
    { chemical: 'sodium-sulfite', grams: 100 },
    { chemical: 'hydroquinone', grams: 5 },
    { chemical: 'borax-decahydrate', grams: 2 },
  ],
  use: {
    school: 'one-shot',
    capacityRollsPerL: null,
    keeping: { fullDays: 180, halfDays: 60, workingDays: 1 },
    dilutions: [[1, 1]],
    minConcentrateMlPerRoll: 100,
  },
}
export const fixer: UsedFormula = {
  id: 'fixer',
  name: 'Plain fixer',
  family: 'fixer',
  finalMl: 1000,
  startMl: 700,
  mixC: 50,
  additions: [
    { chemical: 'sodium-thiosulfate-pentahydrate', grams: 240 },
    { chemical: 'sodium-sulfite', grams: 15 },
  ],
  use: {
    school: 'counted',
    capacityRollsPerL: 20,
    keeping: { fullDays: 180, halfDays: 90, workingDays: 60 },
    dilutions: [[1]],
    minConcentrateMlPerRoll: 0,
  },
}
export const stopBath: Formula = {
  id: 'stop',
  name: 'Citric stop bath',
  family: 'stop-bath',
  finalMl: 1000,
  startMl: 800,
  mixC: 20,
  additions: [{ chemical: 'citric-acid-monohydrate', grams: 15 }],
}

/** A full litre bottle of the fixer, ten days old, through which four rolls went. */
export const bottle: BottleFacts = { sizeMl: 1000, parts: null, madeAt: 0, retiredAt: null }
const line = { waterInMl: 0, reverses: null }
export const ledger: BottleEntry[] = [
  { ...line, id: 'fill', kind: 'fill', at: 0, ml: 1000 },
  { ...line, id: 'use', kind: 'use', at: 5 * dayMs, ml: -60, rolls: 4 },
]
export const tenDays = 10 * dayMs
export const acted: Acted = {
  ...{ id: 'f1', label: 'F1', name: 'Plain fixer', family: 'fixer', formulaId: 'fixer', use: fixer.use },
  ...bottle,
  state: bottleState(fixer, bottle, ledger, tenDays),
}

export const jars: ShelfJar[] = [
  { id: 'j1', chemical: 'metol', grams: 50, openedAt: 0 },
  { id: 'j2', chemical: 'sodium-sulfite-heptahydrate', grams: 900, openedAt: 0 },
  { id: 'j3', chemical: 'hydroquinone', grams: 3, openedAt: null },
  { id: 'j4', chemical: 'borax-decahydrate', grams: 250, openedAt: null },
]
/** The first line of the developer. */
const [first] = linesOf(developer)
if (!first) throw new Error('The developer has lines.')
export const metolLine = first

/** The developer begun at the scales: the water is in, and 1.9 g of metol are on the pan. */
export const mixEvents: MixEvent[] = [
  { id: 'e1', kind: 'water', celsius: 50 },
  { id: 'e2', kind: 'weigh', step: 0, amount: 1.9, jarId: 'j1' },
]
export const begun = mixState(developer, 1000, mixEvents)
const [weighed] = begun.lines
if (!weighed) throw new Error('The mix has lines.')
export const weighing = weighed

const shelfBottle = { rangeC: null, temperatureCoefficient: null, usualS: null, critical: [] }
const developerFacts: BottleFacts = { sizeMl: 1000, parts: null, madeAt: 0, retiredAt: null }
const runRequest: RunRequest = {
  processVersionId: houseFirstVersion(houseIds['bw-negative']),
  options: { 'water-stop': true, 'wetting-agent': false },
  vesselId: 'tank',
  films: [{ film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 0 }],
  chartRowIds: ['row'],
  baths: [
    { role: 'developer', bottleId: 'd1', parts: [1, 1] },
    { role: 'fixer', bottleId: 'f1', parts: [1] },
  ],
  temperatureC: 20,
  agitation: '30-5-30',
}
const tank: Tank = { id: 'tank', name: 'Tank 2', kind: 'hand', reels: 2, coversMl: [300, 600], carryMl: null }
const chart = [{ id: 'row', film: 'Millrace 400', formulaId: 'developer', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 600 }]
const filled: BottleEntry[] = [{ ...line, id: 'fill', kind: 'fill', at: 0, ml: 1000 }]
const developerBottle = {
  ...shelfBottle,
  ...{ id: 'd1', label: 'D1', name: developer.name, family: 'film-developer', formulaId: 'developer', parts: null, use: developer.use },
  state: bottleState(developer, developerFacts, filled, tenDays),
}
const fixerBottle = { ...shelfBottle, ...acted }
export const run = planFor(runRequest, {
  process: houseProcesses[0],
  vessels: [tank],
  chart,
  bottles: [developerBottle, fixerBottle],
})
export const runEvents: RunEvent[] = [{ id: 'r1', seq: 0, device: 'tablet', at: 0, kind: 'start', step: 0 }]

const timed = { toleranceC: 2, light: 'tank', drainS: 10 } as const
const inWater = { ...timed, liquid: 'water', fate: 'drain', toleranceC: 3 } as const
/** A hand tank's process of five steps: pre-wet 60 s (waits), develop by the chart, stop 60, fix 300, wash 480 (waits); pouring out takes 10 s of each. */
export const handProcess: Process = {
  id: 'hand',
  name: 'Black-and-white negative',
  material: 'bw-film',
  roles: ['film-developer', 'stop-bath', 'fixer'].map((family) => ({ id: family, name: family, family })),
  options: [
    { id: 'acid', name: 'Acid stop', on: true, steps: ['stop'], group: 'stop' },
    { id: 'water', name: 'Water stop', on: false, steps: ['water-stop'], group: 'stop' },
  ],
  steps: [
    { ...inWater, key: 'pre-wet', kind: 'pre-wet', name: 'Pre-wet', time: { s: 60 } },
    { ...timed, key: 'develop', kind: 'develop', name: 'Develop', liquid: { role: 'film-developer' }, time: 'chart', fate: 'discard' },
    { ...timed, key: 'stop', kind: 'stop', name: 'Stop', liquid: { role: 'stop-bath' }, time: { s: 60 }, fate: 'back' },
    { ...inWater, key: 'water-stop', kind: 'stop', name: 'Water stop', time: { s: 60 } },
    { ...timed, key: 'fix', kind: 'fix', name: 'Fix', liquid: { role: 'fixer' }, time: { s: 300 }, fate: 'back' },
    { ...inWater, key: 'wash', kind: 'wash', name: 'Wash, three fills', time: { s: 480 }, light: 'white' },
  ],
}

/** Two rolls somebody brings to an evening. */
export const anOrder: Order = {
  ...{ id: 'o1', memberId: 'm1', kind: 'hand', film: 'Millrace 400', format: '135', rolls: 2, ei: 400, process: 'bw-negative' },
  ...{ developer: 'd1', parts: [1, 1], temperatureC: 20, seconds: 600, agitation: '30-5-30', pushStops: 0 },
  ...{ readyS: 64_800, dueS: 72_000, critical: false },
}
/** An evening with one load in it. */
export const evening: RotaProblem = {
  ...{ opensS: 64_800, closesS: 79_200, hands: 1 },
  vessels: [{ id: 'tank', kinds: ['hand'], rolls: 2, resetS: 600 }],
  baths: [{ id: 'tub', startC: 20, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 4 }],
  loads: [
    {
      ...{ id: 'l1', kind: 'hand', rolls: 2, readyS: 64_800, dueS: 72_000, weight: 2, temperatureC: 20, toleranceC: 0.5 },
      steps: [
        { s: 600, handsOn: [[0, 40]], inBath: true },
        { s: 400, handsOn: [[0, 20]], inBath: false, maxWaitS: 600 },
      ],
    },
  ],
}

const asksNothing = { madeAt: 0, retiredAt: null, firstOfBatch: false, fresh: [], odd: [] }
/** The same evening with the darkroom's bottles: one roll in the developer and the fixer from above. */
export const darkroomEvening: DarkroomEvening = {
  ...{ midnight: tenDays, zone: 'UTC', rules: [], catalogue, chart },
  room: { opensS: 64_800, closesS: 79_200, hands: 1, baths: evening.baths },
  vessels: [{ ...tank, resetS: 600 }],
  processes: { [runRequest.processVersionId]: houseProcesses[0] },
  bottles: [
    {
      ...{ shelf: developerBottle, formula: developer, facts: developerFacts, asks: asksNothing },
      carry: carryOf(developer, developerFacts, filled),
    },
    { ...{ shelf: fixerBottle, formula: fixer, facts: bottle, asks: asksNothing }, carry: carryOf(fixer, bottle, ledger) },
  ],
  loads: [{ id: 'l1', request: runRequest, readyS: 64_800, dueS: 79_200, weight: 1, loadingS: 300 }],
}

/** The same evening as it is kept, with one load in it where it has its place. */
export const eveningOfOne: EveningBody = {
  ...{ opensAt: tenDays + 64_800_000, closesAt: tenDays + 79_200_000 },
  people: [{ personId: 'p1', fromAt: tenDays + 64_800_000, untilAt: tenDays + 79_200_000, rest: null }],
  loads: [
    {
      ...{ id: 'l1', orders: ['o1'], readyAt: tenDays + 64_800_000, dueAt: tenDays + 79_200_000, weight: 1, loadingS: 300 },
      request: {
        ...runRequest,
        films: [{ id: 'f1', memberId: 'm1', film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 0 }],
      },
      ...{ fixed: false, overruled: null, unplaced: null },
      place: { startAt: tenDays + 64_800_000, vesselId: 'tank', personId: 'p1', bathId: 'tub', waits: null },
    },
  ],
}
/** What it stands on. */
export const eveningHouse: EveningHouse = {
  ...{ zone: 'UTC', hangers: 8, room: { ...usualRoom, baths: [{ ...evening.baths[0]!, id: 'tub', name: 'Tub' }] }, prints: [], out: [] },
  ...{ processes: [], versions: darkroomEvening.processes, vessels: [tank], chart, partOf: {}, rules: [], catalogue },
  bottles: darkroomEvening.bottles as EveningHouse['bottles'],
}
export const eveningOrder: EveningOrder = {
  ...{ id: 'o1', number: 4, memberId: 'm1', member: 'Tilda Rook', film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 0 },
  ...{ count: 1, state: 'planned' },
}
export const eveningNames: EveningNames = {
  ...{
    midnight: tenDays,
    zone: 'UTC',
    load: (id) => id,
    shortly: (id) => id,
    vessel: (id) => id,
    bath: (id) => id,
    person: (index) => `person ${index}`,
  },
  plan: () => undefined,
}

/** A drum for fixers that nothing was poured into yet. */
export const aDrum: DrumFacts = {
  ...{ id: 'drum', code: '4K7Q2M', family: 'sil', metal: null, volumeMl: 20_000, tareKg: 1.2, vented: false, trayId: null },
  ...{ labelledAt: 0, sealedAt: null, collectedAt: null, quarantinedAt: null, quarantinedWhy: null },
}

/** A print of ten seconds through a filter of grade 2, with its sky burned in. */
export const aPrint: WholeTry = {
  kind: 'print',
  exposures: [{ seconds: 10, filter: { kind: 'set', grade: '2' } }],
  places: [{ name: 'sky', stops: 0.5, exposure: 0 }],
}
/** Variable paper of the house, and the enlarger it is printed with. */
export const aPaper: PaperBody = {
  name: 'Sluice satin',
  material: 'black-and-white',
  base: 'rc',
  holdsDeveloper: false,
  grade: null,
  speed: 250,
  dryDown: 0.02,
}
export const anEnlarger: EnlargerBody = { name: 'By the window', filters: { kind: 'set' }, lagS: 0.1, lenses: [{ name: '', focalMm: 50 }] }
/** What it was made with. */
export const aSetup: PrintSetup = { m: 4, lensN: 8, paper: { name: 'Sluice satin', speed: 250, dryDown: 0.02 } }
/** Five bands in halves of a stop, that nobody has looked at. */
export const aStrip: StripTry = {
  ...{ kind: 'strip', steps: { by: 'stops', firstS: 8, stepStops: 0.5 }, bands: 5, way: 'cover' },
  ...{ filter: { kind: 'set', grade: '2' }, under: [], chosen: null },
}

/** A strip of the swatch book. */
export const aSwatch: SwatchBody = {
  ...{ toner: 'sulfide-complete', ratio: { thiourea: 60, hydroxide: 60 }, dilution: null, bleaching: 'complete' },
  ...{ bleachS: 200, toneS: 105, paper: 'Loft fibre', note: '' },
}
/** Colour filters of a head before paper for negatives. */
export const aColourWay: ColourWay = { by: 'pack', material: 'negative', weights: { y: 0.1, m: 0.6, c: 0.3 }, loose: false }
/** A place in a photograph, in pixels. */
export const anArea = { x: 0, y: 0, width: 10, height: 10 }

/** Another developer, matched on strips in sixths of a stop: a quarter more for light and dark tones alike. */
export const aSwap: SwapBody = {
  ...{ kind: 'swap', of: 'developer', enlargerId: null, paperId: null, stepStops: 1 / 6, note: '' },
  ...{ light: { beforeS: 12, afterS: 15 }, dark: { beforeS: 20, afterS: 25 } },
}

/** Three wedges of a head with one dial at a time. */
export const someWedges: WedgesBody = {
  ...{ kind: 'wedges', enlargerId: 'e', paperId: 'p', stepD: 0.15, key: 'middle', developer: 'fibre developer 1+9', note: '' },
  readings: [
    { y: 90, m: 0, seconds: 10, black: 3, grey: 8, white: 13, light: null },
    { y: 0, m: 0, seconds: 10, black: 4, grey: 8, white: 11, light: null },
    { y: 0, m: 100, seconds: 20, black: 5, grey: 8, white: 10, light: null },
  ],
}

/** What goes down the drain stands on: a paper on stop baths, and nothing that went down this day. */
export const aDrain: DrainKnown = {
  rules: [{ family: 'acid', mlADay: 1000, dilution: 20, minutes: 10, paper: 'Letter of the water authority', ends: '2027-03-31' }],
  ...{ septic: false, day: '2026-04-14', now: 1_776_160_800_000, todayMl: 0, washLimitMgPerL: 1, lately: [], roomM3: 28.8 },
}

/** What a place at an enlarger stands on: an evening, two enlargers, nobody else there. */
export const printingKnown: BookingKnown = {
  ...{ open: { opensAt: 64_800_000, closesAt: 79_200_000 }, taken: [], own: [], places: 2, otherLight: [] },
  ...{ limits: usualRoom.printing, cleanMinutes: 30, now: 0, zone: 'UTC' },
}

/** What the owner of two rolls wants of them. */
export const aWish: OrderWish = {
  ...{ film: 'Millrace 400', format: '135-36', count: 2, ei: 400, pushStops: 0, processId: houseIds['bw-negative'], developer: null },
  ...{ earliest: null, wantedBy: null, present: false, critical: false, note: '' },
}

/** A sheet for a cyanotype, coated by brush once. */
export const cyanotypeSheet: CoatedBody = {
  ...{ title: 'Reeds at low water', process: 'cyanotype', negative: 'paper negative', range: 1.3, widthCm: 13, heightCm: 18, strips: 0 },
  ...{ coatedWith: 'brush', coats: 1, mlPer1000: 2.8, dropMl: 0.05, contrast: null, platinumDrops: 0, paper: 'rag paper', paperPrice: 0.9 },
}
