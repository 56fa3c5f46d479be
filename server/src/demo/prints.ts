import {
  filterWayOf,
  layersOf,
  nextTry,
  printOfStrip,
  stripAround,
  usualWeights,
  type BatchLabel,
  type EnlargerBody,
  type FilterWay,
  type PaperBody,
  type PrintSaid,
  type PrintTry,
  type TrySetup,
  type WholeTry,
} from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'
import { colourPicture, outlineOf, printPicture } from './printPicture'
import { told, type Told } from './toldPrints'

const dayMs = 86_400_000
const minuteMs = 60_000

const grey = { material: 'black-and-white', holdsDeveloper: false } as const
const papers: PaperBody[] = [
  { ...grey, name: 'Sluice satin, variable', base: 'rc', grade: null, speed: 250, dryDown: 0.02 },
  { ...grey, name: 'Loft fibre, variable', base: 'fibre', grade: null, speed: 160, dryDown: 0.1 },
  { ...grey, name: 'Millwheel fibre, grade 3', base: 'fibre', grade: '3', speed: null, dryDown: 0.1 },
  { ...grey, name: 'Ebb gloss, colour', material: 'negative', base: 'rc', grade: null, speed: null, dryDown: 0 },
]
type Box = [paper: number, widthCm: number, heightCm: number, sheets: number, price: number, days: number, label?: BatchLabel]
/** boxes of each: cm, sheets, price, days ago, of colour paper how its batch differs */
const boxes: Box[] = [
  [0, 20.3, 25.4, 100, 78, 62],
  [0, 24, 30.5, 50, 66, 40],
  [1, 24, 30.5, 50, 92, 33],
  [2, 20.3, 25.4, 25, 41, 120],
  [3, 20.3, 25.4, 100, 64, 48, { y: 5, m: -10, factor: 1.1 }],
  [3, 20.3, 25.4, 100, 66, 6, { y: -5, m: 5, factor: 0.95 }],
]
const enlargers: EnlargerBody[] = [
  {
    ...{ name: 'By the window', filters: { kind: 'set' }, lagS: 0.1 },
    lenses: [
      { name: 'for 35 mm', focalMm: 50 },
      { name: 'for rolls', focalMm: 80 },
    ],
  },
  { name: 'Under the beam', filters: { kind: 'single', max: 170 }, lagS: 0.06, lenses: [{ name: 'for rolls', focalMm: 105 }] },
]

/** Wedges of the head on the first paper: dials, s, and the steps below black, like the grey, still grey. */
const wedges: [y: number, m: number, seconds: number, black: number, grey: number, white: number][] = [
  [130, 0, 12, 3, 8.5, 14],
  [60, 0, 10, 3.5, 8, 12],
  [0, 0, 8, 4, 7.5, 11],
  [0, 50, 12, 4.5, 7.5, 10.3],
  [0, 120, 20, 5, 7.5, 9.6],
]

const colourDeveloper = 'colour developer in the drum, 35 °C'

interface Made {
  paperIds: string[]
  boxIds: string[]
  enlargerIds: string[]
}
async function stock(db: Database, by: string, ago: (days: number) => number): Promise<Made> {
  const paperIds = papers.map(() => uuid({ msecs: ago(130) }))
  await db.Paper.bulkCreate(papers.map((body, i) => ({ id: paperIds[i] ?? '', body })))
  const enlargerIds = enlargers.map(() => uuid({ msecs: ago(130) }))
  const relay = await db.Device.findOne({ attributes: ['id'], where: { kind: 'lamp' } })
  await db.Enlarger.bulkCreate(
    enlargers.map((body, i) => ({ id: enlargerIds[i] ?? '', body: i === 0 && relay ? { ...body, relayId: relay.id } : body })),
  )
  const boxIds = boxes.map(([, , , , , days]) => uuid({ msecs: ago(days) }))
  await db.PaperBox.bulkCreate(
    boxes.map(([paper, widthCm, heightCm, sheets, price, days, label = null], i) => ({
      ...{
        id: boxIds[i] ?? '',
        paperId: paperIds[paper] ?? '',
        body: { widthCm, heightCm, sheets, price, batch: `${100 + 7 * i}`, label },
      },
      ...{ madeBy: by, madeAt: ago(days), openedAt: ago(days - 1) },
    })),
  )
  await db.PaperEntry.bulkCreate(
    boxes.map(([, , , sheets, , days], i) => ({
      id: uuid(),
      boxId: boxIds[i] ?? '',
      at: ago(days),
      byPerson: by,
      kind: 'in' as const,
      sheets,
    })),
  )
  return { paperIds, boxIds, enlargerIds }
}

/** The tries of a print as they were made: a strip, the print of its band, and one after another as each was judged. */
function triesOf({ guessS, band, filter, said, enlarger }: Told): { plan: PrintTry; said: PrintSaid[]; sheets: number }[] {
  const strip = { ...stripAround(guessS, filter), chosen: [band] as [number] }
  let print: WholeTry = printOfStrip(strip)
  const way: FilterWay =
    filter.kind === 'pack'
      ? { by: 'pack', material: 'negative', weights: usualWeights, loose: false }
      : filterWayOf(enlargers[enlarger]?.filters ?? { kind: 'set' })
  return [
    { plan: strip, said: [], sheets: 0.25 },
    ...said.map((one) => {
      const plan = print
      print = nextTry(print, one, way).print
      return { plan: rounded(plan), said: one, sheets: 1 }
    }),
  ]
}
/** prints that somebody photographed, the one in colours as it came out of the drum */
const photographs: Record<string, () => Promise<Buffer>> = {
  'The sluice at low water': printPicture,
  'Hands at the wheel': () => colourPicture(2, { r: 0, g: 0, b: 0 }),
  'Breakfast in the loft': () => colourPicture(1, layersOf({ lacks: { y: 10, m: 10 }, factor: 1, material: 'negative' })),
}
/** A timer is set to a tenth of a second. */
const rounded = (print: WholeTry): WholeTry => ({
  ...print,
  exposures: print.exposures.map((one) => ({ ...one, seconds: Math.round(10 * one.seconds) / 10 })),
})

/** The print room of the demo: papers, enlargers, and the sheets of prints that were made and are being made. */
export async function prints(db: Database, { by, members, today }: { by: string; members: string[]; today: number }): Promise<void> {
  const ago = (days: number): number => today - days * dayMs
  const { paperIds, boxIds, enlargerIds } = await stock(db, by, ago)
  await db.Calibration.create({
    ...{ id: uuid({ msecs: ago(31) }), at: ago(31), byPerson: by },
    body: {
      ...{ kind: 'contact', enlargerId: enlargerIds[0] ?? '', paperId: paperIds[0] ?? '', m: 8, lensN: 8, grade: '2' },
      ...{ developer: 'metol–hydroquinone 1+9', film: 'Millrace 400, soft borax developer', firstS: 4, stepStops: 0.5, bands: 7 },
      ...{ chosen: 3, densities: [] },
    },
  })
  await db.Calibration.create({
    ...{ id: uuid({ msecs: ago(20) }), at: ago(20), byPerson: by },
    body: {
      ...{ kind: 'wedges', enlargerId: enlargerIds[1] ?? '', paperId: paperIds[0] ?? '', stepD: 0.15, key: 'middle' },
      ...{ developer: 'metol–hydroquinone 1+9', note: '' },
      readings: wedges.map(([y, m, seconds, black, grey, white]) => ({ y, m, seconds, black, grey, white, light: null })),
    },
  })
  for (const [i, one] of told.entries()) {
    const id = uuid({ msecs: ago(one.days) })
    const owner = members[one.owner] ?? by
    const [widthMm, heightMm] = one.of
    const setup: TrySetup = {
      ...{ boxId: boxIds[one.box] ?? '', enlargerId: enlargerIds[one.enlarger] ?? '', m: one.m, lensN: one.lensN },
      ...{ developer: one.filter.kind === 'pack' ? colourDeveloper : 'metol–hydroquinone 1+9' },
      focalMm: enlargers[one.enlarger]?.lenses[0]?.focalMm ?? 50,
    }
    await db.Sheet.create({
      ...{ id, number: i + 1, memberId: owner, title: one.title, negative: { what: one.what, widthMm, heightMm }, setup },
      ...{ done: one.done, byPerson: owner, at: ago(one.days), outline: outlineOf(one.said.flat()) },
    })
    for (const [k, { plan, said, sheets }] of triesOf(one).entries()) {
      const tryId = uuid()
      const then = ago(one.days) + 12 * k * minuteMs
      await db.PrintTry.create({ id: tryId, sheetId: id, at: then, byPerson: owner, setup, plan, said })
      await db.PaperEntry.create({ id: uuid(), boxId: setup.boxId, at: then, byPerson: owner, kind: 'draw', sheets: -sheets, tryId })
    }
    const taken = photographs[one.title]
    if (taken) await db.SheetPhoto.create({ sheetId: id, type: 'image/jpeg', bytes: await taken(), at: ago(one.days - 1) })
  }
}
