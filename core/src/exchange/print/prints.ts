import type { ImportRow } from '../../contract/import'
import { stripShare } from '../../print/sheet/cost'
import { printOfStrip } from '../../print/sheet/judged'
import { printOutline } from '../../print/sheet/outline'
import { requireTry } from '../../print/sheet/requireTry'
import { negativeBody, trySetup, type TrySetup } from '../../print/sheet/room'
import { printPlan, printSaid, type PrintTry } from '../../print/sheet/tries'
import { DomainError } from '../../error'
import { z } from 'zod'
import { cellReader } from '../reader'
import { fits } from '../settled'
import { shaped, wrong, type Present, type Reader } from '../understood'
import { given, moment, round } from '../written'
import * as cells from './cells'
import { printRecord, type PrintRecord, type SetupRecord, type TryRecord } from './records'

type Tried = Extract<ImportRow, { kind: 'prints' }>['body']['tries'][number]
type Written = NonNullable<Present['prints']>[number]

function setupCells(setup: TrySetup, { boxes = [], papers = [], enlargers = [] }: Present): SetupRecord {
  const box = boxes.find((one) => one.id === setup.boxId)
  return {
    ...given('paper', papers.find((one) => one.id === box?.paperId)?.name),
    ...{ box: setup.boxId, ...given('size', box && cells.showSides(box.widthCm, box.heightCm)) },
    ...given('enlarger', enlargers.find((one) => one.id === setup.enlargerId)?.name),
    ...{
      enlargement: round(setup.m),
      ...given('lens', setup.focalMm),
      lens_stop: round(setup.lensN),
      ...given('developer', setup.developer),
    },
  }
}
const planCells = (plan: PrintTry): Pick<TryRecord, 'strip' | 'filter' | 'exposures' | 'places' | 'band'> =>
  plan.kind === 'strip'
    ? {
        ...{ strip: cells.showStrip(plan), filter: cells.showFilter(plan.filter) },
        ...{ ...given('exposures', cells.showExposures(plan.under)), ...given('band', cells.showBand(plan.chosen)) },
      }
    : { exposures: cells.showExposures(plan.exposures), ...given('places', cells.showPlaces(plan.places)) }

/** Sheets of prints, the oldest first, each with its tries, the first first. A try says what it was made with where that was another than the sheet says. */
export function printsOut(present: Present): PrintRecord[] {
  const oldest = (present.prints ?? []).toSorted((a, b) => a.sheet.at - b.sheet.at)
  return oldest.map(({ sheet, tries }: Written) => {
    const own = setupCells(sheet.setup, present)
    return {
      ...{ id: sheet.id, title: sheet.title, ...given('member', sheet.member), begun: moment(sheet.at), negative: sheet.negative.what },
      ...{ negative_size: cells.showSides(sheet.negative.widthMm, sheet.negative.heightMm), ...(sheet.done ? { done: true } : {}), ...own },
      ...given('outline', cells.showOutline(sheet.outline)),
      tries: tries.map((one): TryRecord => ({
        ...{ kind: one.plan.kind, at: moment(one.at) },
        ...Object.fromEntries(
          Object.entries(setupCells(one.setup, present)).filter(([key, value]) => own[key as keyof SetupRecord] !== value),
        ),
        ...{ ...planCells(one.plan), ...given('said', cells.showSaid(one.said)), sheets: round(one.sheets), ...given('note', one.note) },
      })),
    }
  })
}

type Read = ReturnType<typeof cellReader>
function planOf(record: TryRecord, read: Read): unknown {
  const exposures = read.as('exposures', record.exposures, cells.readExposures, [])
  if (record.kind === 'print') return { kind: 'print', exposures, places: read.as('places', record.places, cells.readPlaces, []) }
  const strip = read.as('strip', read.needText('strip', record.strip), cells.readStrip, null)
  const filter = read.as('filter', record.filter, cells.readFilter, { kind: 'none' })
  return { kind: 'strip', ...strip, filter, under: exposures, chosen: read.as('band', record.band, cells.readBand, null) }
}

/** What a print or a try was made with, found among what is here. */
function setupOf(record: SetupRecord, present: Present, { read, problems }: { read: Read; problems: string[] }): TrySetup | null {
  const [paper, boxId, enlarger] = [read.text(record.paper), read.id('box', record.box), read.text(record.enlarger)]
  const paperId = present.papers?.find((one) => one.name.toLowerCase() === paper.toLowerCase())?.id
  const sides = read.text(record.size) === '' ? null : read.as('size', record.size, cells.readSides, null)
  const box =
    present.boxes?.find((one) => one.id === boxId) ??
    present.boxes?.findLast((one) => one.paperId === paperId && (!sides || (one.widthCm === sides[0] && one.heightCm === sides[1])))
  if (!box)
    problems.push(`box: there is no box of “${paper}”${sides ? `, ${cells.showSides(...sides)} cm,` : ''} here. Read the papers in first.`)
  const head = present.enlargers?.find((one) => one.name.toLowerCase() === enlarger.toLowerCase())
  if (!head) problems.push(`enlarger: there is no enlarger “${enlarger}” here. Read the enlargers in first.`)
  if (!box || !head) return null
  const focalMm = read.number('lens', record.lens)
  const wanted = {
    ...{ boxId: box.id, enlargerId: head.id, developer: read.text(record.developer) },
    ...{ m: read.number('enlargement', record.enlargement), lensN: read.number('lens_stop', record.lens_stop) },
    ...(focalMm === null ? {} : { focalMm }),
  }
  return fits(trySetup, wanted, problems)
}

/** One try, with what its sheet says where it says nothing of its own. */
function triedOf(
  record: TryRecord,
  of: { sheet: PrintRecord; begun: number; present: Present; read: Read; problems: string[] },
): Tried | null {
  const { sheet, begun, present, read, problems } = of
  const { paper, box, size, enlarger, enlargement, lens, lens_stop, developer } = sheet
  const own = Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined && value !== ''))
  // another paper has a box and a size of its own
  const base = record.paper || record.box || record.size ? { paper } : { paper, box, size }
  const setup = setupOf({ ...base, enlarger, enlargement, lens, lens_stop, developer, ...own }, present, { read, problems })
  const plan = fits(printPlan, planOf(record, read), problems)
  const said = fits(z.array(printSaid).max(20), read.as('said', record.said, cells.readSaid, []), problems)
  const at = read.text(record.at) === '' ? begun : read.moment('at', record.at)
  const sheets = read.number('sheets', record.sheets) ?? (record.kind === 'strip' ? stripShare(4) : 1)
  if (!setup || !plan || !said) return null
  const boxHere = present.boxes?.find((one) => one.id === setup.boxId)
  const [onPaper, under] = [
    present.papers?.find((one) => one.id === boxHere?.paperId),
    present.enlargers?.find((one) => one.id === setup.enlargerId),
  ]
  try {
    if (plan.kind === 'strip' && plan.chosen !== null) printOfStrip(plan)
    if (onPaper && under) requireTry(plan, { paper: onPaper, enlarger: under })
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    problems.push(error.message)
  }
  return { at, setup, plan, said, sheets, note: read.text(record.note) }
}

/** Sheets of prints, with their tries; one whose id is here is passed over. */
export function printReader(present: Present, newId: () => string): Reader {
  const there = new Set(present.prints?.map((one) => one.sheet.id))
  return (one) => {
    const shape = shaped(printRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const id = read.id('id', record.id)
    const title = read.needText('title', record.title)
    const member = read.text(record.member)
    const owner = present.people?.find((person) => person.name.toLowerCase() === member.toLowerCase())
    if (member !== '' && !owner) problems.push(`member: nobody here is called “${member}”. Leave it out, or invite them first.`)
    const begun = read.text(record.begun) === '' ? null : read.moment('begun', record.begun)
    if (begun === null) problems.push('begun is missing.')
    const [widthMm, heightMm] = read.as('negative_size', record.negative_size, cells.readSides, [1, 1])
    const negative = fits(negativeBody, { what: record.negative, widthMm, heightMm }, problems)
    const setup = setupOf(record, present, { read, problems })
    const outline = fits(printOutline, read.as('outline', record.outline, cells.readOutline, []), problems)
    const tries = (record.tries ?? []).map((tried) => triedOf(tried, { sheet: record, begun: begun ?? 0, present, read, problems }))
    if (!negative || !setup || !outline || begun === null || problems.length > 0)
      return wrong(one.line, title, [...new Set(problems)].slice(0, 4))
    const says = `${title}, ${member || 'nobody’s'}: ${tries.length} ${tries.length === 1 ? 'try' : 'tries'}`
    const isHere = id !== null && there.has(id)
    if (id !== null) there.add(id)
    const body = {
      ...{ memberId: owner?.id ?? null, title, at: begun, done: read.yes(record.done), negative, setup, outline },
      tries: tries.flatMap((tried) => tried ?? []),
    }
    const row = isHere ? null : { kind: 'prints' as const, id: id ?? newId(), body }
    return { line: one.line, state: isHere ? 'same' : 'new', says, changes: [], problems: [], notes: [], row }
  }
}
