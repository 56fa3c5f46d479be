import fc from 'fast-check'
import type { BoxOfPaper, Enlarger, Paper } from '../../contract/trays'
import { grades } from '../../print/grade'
import { printPlan, printSaid, type PrintFilter, type PrintSaid, type PrintTry } from '../../print/sheet/tries'
import { anEnlarger, aPaper, aStrip, aSwap, someWedges } from '../../samples'
import { readFile, understander } from '../understand'
import type { Present } from '../understood'
import { writeFile } from '../write'
import * as cells from './cells'

const id = (n: number) => `0198f000-0000-7000-8000-0000000000${String(n).padStart(2, '0')}`
let ids = 50
const newId = () => id((ids = 50 + ((ids + 1) % 49)))
const paper: Paper = { id: id(1), version: 1, ...aPaper, name: 'Sluice satin', grade: null }
const box: BoxOfPaper = {
  ...{ id: id(2), version: 1, paperId: id(1), widthCm: 24, heightCm: 30.5, sheets: 50, left: 48.75, price: 66, batch: '=7', label: null },
  openedAt: Date.parse('2026-04-01T10:00:00Z'),
}
const enlarger: Enlarger = { id: id(3), version: 1, ...anEnlarger, name: 'By the window', filters: { kind: 'single', max: 170 } }
const setup = { boxId: id(2), enlargerId: id(3), m: 6.6, lensN: 8, developer: 'metol–hydroquinone 1+9', focalMm: 50 }
const at = Date.parse('2026-04-14T18:30:00Z')
const dials: PrintFilter = { kind: 'dials', y: 0, m: 45, grade: '3' }
const strip: PrintTry = {
  ...aStrip,
  filter: dials,
  under: [{ seconds: 6, filter: { kind: 'dials', y: 160, m: 0, grade: '00' } }],
  chosen: [2, 3],
}
const print: PrintTry = {
  kind: 'print',
  exposures: [{ seconds: 12.5, filter: dials }],
  places: [
    { name: 'sky; the upper "half"', stops: 0.5, exposure: 0 },
    { name: 'face', stops: -0.25, exposure: 0 },
  ],
}
const sheet = {
  ...{ id: id(4), version: 2, number: 9, title: 'Gulls; over the weir', memberId: id(5), member: 'Tilda Rook', at, done: true, tries: 2 },
  ...{ negative: { what: 'roll 12, frame 5', widthMm: 36, heightMm: 24 }, setup },
  ...{ photo: false, outline: [{ name: 'sky; the "upper" round half', shape: 'straight' as const, x: 0, y: 0, width: 1, height: 0.3125 }] },
}
const tried = { version: 1, at, by: 'Tilda Rook', cost: 1, note: '' }
const known: Present = {
  ...{
    formulas: [],
    jars: [],
    chart: [],
    papers: [paper],
    boxes: [box],
    enlargers: [enlarger],
    people: [{ id: id(5), name: 'Tilda Rook' }],
  },
}
const whole: Present = {
  ...known,
  calibrations: [
    { id: id(6), version: 1, at, by: 'Ilse', body: { ...aSwap, paperId: id(1) } },
    { id: id(7), version: 1, at, by: 'Ilse', body: { ...someWedges, enlargerId: id(3), paperId: id(1) } },
    {
      ...{ id: id(8), version: 1, at, by: 'Ilse' },
      body: {
        ...{ kind: 'contact', enlargerId: id(3), paperId: id(1), m: 8, lensN: 8, grade: '2.5', developer: '', film: 'Millrace 400' },
        ...{ firstS: 4, stepStops: 0.5, bands: 6, chosen: null, densities: [1.4, 1.75, 1.95, 2.05, 2.07, 2.08] },
      },
    },
  ],
  prints: [
    {
      sheet,
      tries: [
        { id: id(9), ...tried, setup: { ...setup, m: 4 }, plan: strip, sheets: 0.25, said: [] },
        {
          id: id(10),
          ...tried,
          setup,
          plan: print,
          sheets: 1,
          said: [
            { of: 'grade', halves: -1 },
            { of: 'place', name: 'a @2', stops: 1, exposure: 0 },
          ],
        },
      ],
    },
  ],
}
const understand = (kind: 'papers' | 'enlargers' | 'calibrations' | 'prints', text: string, here: Present) =>
  readFile(kind, text).map(understander(kind, here, newId))

describe.each(['json', 'csv'] as const)('as %s', (format) => {
  test('a print goes out with its tries and comes to the same elsewhere', () => {
    const file = writeFile('prints', format, whole)
    const [read] = understand('prints', file, known)
    expect(read?.problems).toEqual([])
    const [first, second] = whole.prints?.[0]?.tries ?? []
    const of = (one: typeof first) => one && { at, setup: one.setup, plan: one.plan, said: one.said, sheets: one.sheets, note: '' }
    expect(read?.row).toEqual({
      ...{ kind: 'prints', id: id(4) },
      body: {
        ...{ memberId: id(5), title: sheet.title, at, done: true, negative: sheet.negative, setup, outline: sheet.outline },
        tries: [of(first), of(second)],
      },
    })
    // here it is passed over
    expect(understand('prints', file, whole)[0]).toMatchObject({ state: 'same', row: null })
  })

  test('papers bring their boxes, once; enlargers and what was matched come as they were', () => {
    const papers = writeFile('papers', format, whole)
    const bare: Present = { formulas: [], jars: [], chart: [] }
    const { id: boxId, version: _, paperId: __, left, openedAt, ...boxBody } = box
    const { id: ___, version: ____, ...paperBody } = paper
    expect(understand('papers', papers, bare)[0]?.row).toEqual({
      ...{ kind: 'papers', id: expect.any(String), version: null, body: paperBody },
      boxes: [{ id: boxId, body: boxBody, left, openedAt, at: (openedAt ?? 0) - 86_400_000 }],
    })
    expect(understand('papers', papers, whole)[0]?.state).toBe('same')
    expect(understand('enlargers', writeFile('enlargers', format, whole), bare)[0]?.row).toMatchObject({
      body: { name: 'By the window', filters: enlarger.filters, lagS: enlarger.lagS, lenses: enlarger.lenses },
    })
    const matched = writeFile('calibrations', format, whole)
    expect(understand('calibrations', matched, known).map((one) => one.row)).toEqual(
      whole.calibrations?.map(({ id: own, body }) => ({
        ...{ kind: 'calibrations', id: own, at },
        body: body.kind === 'swap' ? { ...body, stepStops: 0.1667 } : body,
      })),
    )
    expect(understand('calibrations', matched, whole).map((one) => one.state)).toEqual(['same', 'same', 'same'])
  })
})

describe.each(['json', 'csv'] as const)('colour as %s', (format) => {
  const label = { y: 5, m: -10, factor: 1.1 }
  const { speed: _, ...rest } = paper
  const colour: Paper = { ...rest, name: 'Ebb gloss', material: 'negative', speed: null, dryDown: 0 }
  const plan: PrintTry = { kind: 'print', exposures: [{ seconds: 11.7, filter: { kind: 'pack', y: 70, m: 60.5, c: 0 } }], places: [] }
  const said: PrintSaid[] = [
    { of: 'cast', cast: 'red', units: 10 },
    { of: 'turn', y: 4, m: -2.5 },
  ]
  const filters = {
    kind: 'filters' as const,
    enlargerId: id(3),
    paperId: null,
    dial: 'm' as const,
    units: 20,
    beforeS: 10,
    afterS: 13.2,
    note: '',
  }
  const here: Present = {
    ...{ ...known, papers: [colour], boxes: [{ ...box, label }], calibrations: [{ id: id(6), version: 1, at, by: 'Ilse', body: filters }] },
    prints: [{ sheet, tries: [{ id: id(9), ...tried, setup, plan, sheets: 1, said }] }],
  }
  test('packs, casts, labels and what dials cost come to the same', () => {
    const elsewhere: Present = { ...here, papers: [{ ...colour, material: 'black-and-white' }], boxes: [], calibrations: [], prints: [] }
    expect(understand('papers', writeFile('papers', format, here), elsewhere)[0]?.row).toMatchObject({
      body: { material: 'negative' },
      boxes: [{ body: { label } }],
    })
    expect(understand('calibrations', writeFile('calibrations', format, here), elsewhere)[0]?.row).toMatchObject({ body: filters })
    const [read] = understand('prints', writeFile('prints', format, here), { ...here, prints: [] })
    expect([read?.problems, read?.row]).toMatchObject([[], { body: { tries: [{ plan, said }] } }])
  })
})

test('what is not here, or cannot be exposed so, is said line by line', () => {
  const line = (more: object) =>
    understand(
      'prints',
      JSON.stringify({
        ...{ format: 'selvrin-prints', version: 1 },
        rows: [
          {
            title: 'x',
            begun: '2026-04-14',
            negative: 'r',
            negative_size: '36 x 24',
            paper: 'Sluice satin',
            enlarger: 'By the window',
            enlargement: 5,
            lens_stop: 8,
            ...more,
          },
        ],
      }),
      known,
    )[0]?.problems.join(' ')
  const tries = (more: object) => line({ tries: [{ kind: 'print', exposures: '10 s Y0 M45', ...more }] })
  expect(line({})).toBe('')
  expect(line({ paper: 'Cloud' })).toMatch(/no box of “Cloud” here/)
  expect(line({ enlarger: 'Tall' })).toMatch(/no enlarger “Tall”/)
  expect(line({ member: 'Nobody' })).toMatch(/nobody here is called/)
  expect(line({ negative_size: 'small' })).toMatch(/36|24 x 30\.5/)
  expect(tries({})).toBe('')
  expect(tries({ exposures: '10 s grade 2' })).toMatch(/dials, no loose filters/)
  expect(tries({ exposures: 'long' })).toMatch(/not read here: write 12\.5 s grade 2/)
  expect(tries({ exposures: '9999 s Y0 M0' })).toMatch(/an hour at most/)
  expect(tries({ places: 'sky a little' })).toMatch(/sky \+0\.5/)
  expect(tries({ said: 'nicer' })).toMatch(/whole \+0\.26/)
  expect(line({ tries: [{ kind: 'strip', strip: 'stops 8 s by 0.3333, 5 bands, cover', filter: 'Y0 M0', band: '9' }] })).toMatch(/band/)
})

test('every filter, place, word and strip comes back from its cell', () => {
  const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map((value) => Number(value.toFixed(4)))
  const name = fc
    .string({ minLength: 1, maxLength: 30 })
    .map((text) => text.trim())
    .filter((text) => text !== '')
  const grade = fc.constantFrom(...grades)
  const filter: fc.Arbitrary<PrintFilter> = fc.oneof(
    fc.constant<PrintFilter>({ kind: 'none' }),
    grade.map((one): PrintFilter => ({ kind: 'set', grade: one })),
    fc.record({ kind: fc.constant('dials' as const), y: figure(0, 400), m: figure(0, 400), grade: fc.option(grade) }),
  )
  const place = fc.record({ name, stops: figure(-6, 6), exposure: fc.integer({ min: 0, max: 3 }) })
  const said: fc.Arbitrary<PrintSaid> = fc.oneof(
    figure(-6, 6).map((stops): PrintSaid => ({ of: 'print', stops })),
    fc.integer({ min: -12, max: 12 }).map((halves): PrintSaid => ({ of: 'grade', halves })),
    place.map((one): PrintSaid => ({ of: 'place', ...one })),
    fc.record({ of: fc.constant('exposure' as const), exposure: fc.integer({ min: 0, max: 3 }), stops: figure(-6, 6) }),
  )
  fc.assert(
    fc.property(
      fc.array(fc.record({ seconds: figure(0.1, 3600), filter }), { maxLength: 4 }),
      fc.array(place, { maxLength: 5 }),
      fc.array(said, { maxLength: 5 }),
      (exposures, places, words) => {
        expect(cells.readExposures(cells.showExposures(exposures))).toEqual(exposures)
        const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value))
        expect(plain(cells.readPlaces(cells.showPlaces(places)))).toEqual(plain(places))
        expect(plain(cells.readSaid(cells.showSaid(words)))).toEqual(plain(words))
        expect(printSaid.array().safeParse(cells.readSaid(cells.showSaid(words))).success).toBe(true)
      },
    ),
  )
  for (const way of ['cover', 'uncover', 'mask'] as const)
    for (const steps of [{ by: 'stops', firstS: 8, stepStops: 0.25 } as const, { by: 'seconds', firstS: 3.5 } as const]) {
      const of = { steps, bands: 7, way }
      expect(cells.readStrip(cells.showStrip(of))).toEqual(of)
      expect(printPlan.safeParse({ kind: 'strip', ...of, filter: { kind: 'none' }, under: [], chosen: null }).success).toBe(true)
    }
})
