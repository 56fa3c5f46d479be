import { dayMs } from '../../calendar/span'
import type { BoxOfPaper, Enlarger, Paper } from '../../contract/trays'
import { DomainError } from '../../error'
import type { BatchLabel } from '../../print/colour/batch'
import { grades } from '../../print/grade'
import { enlargerBody, paperBody, paperBoxBody, type EnlargerBody, type PaperBody, type PaperBoxBody } from '../../print/sheet/room'
import { cellReader } from '../reader'
import { answer, fits, settler } from '../settled'
import { shaped, wrong, type Present, type Reader } from '../understood'
import { amount, given, moment, round } from '../written'
import { readFigures, readSides, showFigures, showSides } from './cells'
import { enlargerRecord, paperRecord, type BoxRecord, type EnlargerRecord, type PaperRecord } from './records'

const paperCells = ({ name, base, material, grade, speed, dryDown, holdsDeveloper }: PaperBody): PaperRecord => ({
  ...{
    name,
    base,
    ...(material === 'black-and-white' ? {} : { prints: material }),
    ...given('grade', grade),
    ...given('speed', speed),
    darkens: `${round(100 * dryDown)} %`,
  },
  ...(holdsDeveloper ? { holds_developer: true } : {}),
})
const boxCells = (box: BoxOfPaper): BoxRecord => ({
  ...{ box: box.id, size: showSides(box.widthCm, box.heightCm), sheets: box.sheets, left: round(box.left) },
  ...{ ...given('price', box.price), ...given('batch', box.batch) },
  ...given('label', box.label && showFigures([box.label.y, box.label.m, box.label.factor], ' / ')),
  ...given('opened', box.openedAt === null ? null : moment(box.openedAt)),
})
/** Papers, each with its boxes. */
export const papersOut = ({ papers = [], boxes = [] }: Present): PaperRecord[] =>
  papers.map((paper: Paper) => ({ ...paperCells(paper), boxes: boxes.filter((one) => one.paperId === paper.id).map(boxCells) }))

/** A box that comes in; `at` null where nobody says when it did. */
interface NewBox {
  id: string
  body: PaperBoxBody
  left: number
  at: number | null
  openedAt: number | null
}

/** Papers by their names; a box with an id that is here is passed over, every other one comes in. */
export function paperReader(present: Present, newId: () => string): Reader {
  const settle = settler(present.papers ?? [], newId)
  const boxes = new Set(present.boxes?.map((one) => one.id))
  return (one) => {
    const shape = shaped(paperRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const name = read.needText('name', record.name)
    const { before, id, wrongly } = settle(one.line, name)
    const grade = read.text(record.grade).replace(',', '.')
    const wanted = {
      ...{ name: before?.name ?? name, base: record.base, grade: grade === '' ? null : grade },
      material: record.prints ? record.prints : (before?.material ?? 'black-and-white'),
      holdsDeveloper: record.holds_developer === undefined ? (before?.holdsDeveloper ?? false) : read.yes(record.holds_developer),
      speed: read.number('speed', record.speed) ?? before?.speed ?? null,
      dryDown: read.percent('darkens', record.darkens) ?? before?.dryDown ?? 0,
    }
    if (grade !== '' && !grades.some((known) => known === grade))
      problems.push(`grade: a paper has grade ${grades.join(', ')}, or is variable.`)
    const body = problems.length > 0 ? null : fits(paperBody, wanted, problems)
    const fresh = (record.boxes ?? []).flatMap((box) => boxOf(box, { problems, boxes, newId }) ?? [])
    if (!body || problems.length > 0 || wrongly) return wrong(one.line, name, [...problems, ...(wrongly ? [wrongly] : [])])
    const says = `${body.name}, ${body.base === 'rc' ? 'resin-coated' : 'fibre'}${body.material === 'black-and-white' ? '' : `, colours from ${body.material === 'negative' ? 'negatives' : 'slides'}`}${fresh.length > 0 ? `, ${fresh.length} ${fresh.length === 1 ? 'box comes' : 'boxes come'} in` : ''}`
    const count = (extra: number) => ({ boxes: (present.boxes ?? []).filter((box) => box.paperId === id).length + extra })
    const after = { ...paperCells(body), ...count(fresh.length) }
    const row = { kind: 'papers' as const, id, version: before?.version ?? null, body, boxes: fresh }
    return answer(one.line, says, before && { ...paperCells(before), ...count(0) }, after, row)
  }
}

/** +5 / -10 / 1.1 */
function labelOf(cell: string): BatchLabel | null {
  if (cell === '') return null
  const [y, m, factor] = readFigures(cell, '/')
  if (y === undefined || m === undefined || factor === undefined)
    throw new DomainError('not-a-cell', `“${cell}” is not read here: write +5 / -10 / 1.1.`)
  return { y, m, factor }
}

interface ReadingBox {
  problems: string[]
  boxes: Set<string>
  newId: () => string
}
function boxOf(record: BoxRecord, { problems, boxes, newId }: ReadingBox): NewBox | null {
  const read = cellReader(problems)
  const id = read.id('box', record.box) ?? newId()
  if (boxes.has(id)) return null
  boxes.add(id)
  const [widthCm, heightCm] = read.as('size', record.size, readSides, [1, 1])
  const sheets = read.number('sheets', record.sheets) ?? 0
  const left = read.number('left', record.left) ?? sheets
  const opened = read.text(record.opened) === '' ? null : read.moment('opened', record.opened)
  // a box that nobody says a day of came in as it is read
  const came = read.text(record.came_in) === '' ? null : read.moment('came_in', record.came_in)
  const at = came ?? (opened === null ? null : opened - dayMs)
  if (left > sheets) problems.push('left: there are no more sheets in a box than it was bought with.')
  const price = read.number('price', record.price)
  const label = read.as('label', read.text(record.label), labelOf, null)
  const body = fits(paperBoxBody, { widthCm, heightCm, sheets, price, batch: read.text(record.batch), label }, problems)
  return body && { id, body, left, at, openedAt: opened }
}

const ways = { filters: 'set', 'one dial': 'single', 'two dials': 'double' } as const
const wayNames = { set: 'filters', single: 'one dial', double: 'two dials' } as const
const enlargerCells = ({ name, filters, lagS, lenses }: EnlargerBody): EnlargerRecord => ({
  ...{ name, grades_by: wayNames[filters.kind] },
  ...(filters.kind === 'set' ? {} : { dials_to: filters.max }),
  ...{ lag: amount(lagS, 's'), lenses: lenses.map((lens) => `${round(lens.focalMm)} ${lens.name}`.trim()).join('; ') },
})
export const enlargersOut = ({ enlargers = [] }: Present): EnlargerRecord[] => enlargers.map((one: Enlarger) => enlargerCells(one))

const lensOf = (cell: string): { name: string; focalMm: number } => {
  const [, mm = '', name = ''] = /^([\d.,]+)\s*(?:mm\b)?\s*(.*)$/i.exec(cell.trim()) ?? []
  return { name, focalMm: mm === '' ? NaN : Number(mm.replace(',', '.')) }
}

/** Enlargers by their names; the relay of a lamp is not in a file. */
export function enlargerReader(present: Present, newId: () => string): Reader {
  const settle = settler(present.enlargers ?? [], newId)
  return (one) => {
    const shape = shaped(enlargerRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const name = read.needText('name', record.name)
    const { before, id, wrongly } = settle(one.line, name)
    const kind = ways[record.grades_by]
    const max = read.number('dials_to', record.dials_to)
    if (kind !== 'set' && max === null) problems.push('dials_to is missing.')
    const lenses = read.text(record.lenses)
    const wanted = {
      name: before?.name ?? name,
      filters: kind === 'set' ? { kind } : { kind, max: max ?? 1 },
      lagS: read.quantity('lag', record.lag, 'time') ?? before?.lagS ?? 0,
      lenses: lenses === '' ? (before?.lenses ?? []) : lenses.split(';').map(lensOf),
      ...(before?.relayId === undefined ? {} : { relayId: before.relayId }),
    }
    const body = problems.length > 0 ? null : fits(enlargerBody, wanted, problems)
    if (!body || wrongly) return wrong(one.line, name, [...problems, ...(wrongly ? [wrongly] : [])])
    const says = `${body.name}: ${record.grades_by}, ${body.lenses.map((lens) => `${lens.focalMm} mm`).join(', ') || 'no lens'}`
    return answer(one.line, says, before && enlargerCells(before), enlargerCells(body), {
      ...{ kind: 'enlargers', id, version: before?.version ?? null, body },
    })
  }
}
