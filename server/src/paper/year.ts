import { wasteNames, type SinkFacts } from '@selvrin/core'
import type { YearReport } from '@selvrin/core/contract'
import { finished, lines, mm, newDocument, oneLine, printable, type Page } from './page'

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
// A4 across: twelve months need the width
const [left, inner, bottom] = [12 * mm, (297 - 24) * mm, (210 - 12) * mm]
const nameWidth = 54 * mm
const column = (inner - nameWidth) / 15
/** where the last lines end; the table for a spreadsheet holds all of them */
const lowest = bottom - 10 * mm

const litres = (ml: number): string => (ml === 0 ? '' : (ml / 1000).toFixed(ml < 9950 ? 2 : 1))
const kilograms = (grams: number): string => (grams / 1000).toFixed(1)

/** A row of the table: the family, each month, and the year. */
function row(doc: Page, top: number, cells: string[], font: 'text' | 'bold'): void {
  const [name = '', ...figures] = cells
  oneLine(doc, name, left, top, nameWidth - 2 * mm, font, 9)
  figures.forEach((text, i) => {
    doc.font(font === 'bold' ? 'bold' : 'mono').fontSize(8)
    doc.text(printable(text), left + nameWidth + i * column, top + 0.5, { width: column - 1 * mm, align: 'right', lineBreak: false })
  })
}

function table(doc: Page, from: number, { rows }: YearReport): number {
  let top = from
  row(doc, top, ['litres', ...months, 'litres', 'kg', 'silver g'], 'bold')
  top += 5 * mm
  doc
    .moveTo(left, top - 1)
    .lineTo(left + inner, top - 1)
    .lineWidth(0.8)
    .stroke('black')
  for (const one of rows) {
    const name = `${one.drain ? 'Drain: ' : ''}${wasteNames[one.family]}`
    const figures = [litres(one.ml) || '0', kilograms(one.grams), one.silverG < 0.05 ? '' : one.silverG.toFixed(1)]
    row(doc, top, [name, ...one.months.map((month) => litres(month.ml)), ...figures], 'text')
    top += 4.6 * mm
  }
  const sum = (of: (one: YearReport['rows'][number]) => number): number => rows.reduce((all, one) => all + of(one), 0)
  const by = months.map((_, i) => litres(sum((one) => one.months[i]?.ml ?? 0)))
  doc
    .moveTo(left, top)
    .lineTo(left + inner, top)
    .lineWidth(0.8)
    .stroke('black')
  row(
    doc,
    top + 1.5,
    ['All', ...by, litres(sum((one) => one.ml)) || '0', kilograms(sum((one) => one.grams)), sum((one) => one.silverG).toFixed(1)],
    'bold',
  )
  return top + 9 * mm
}

/** A heading and lines under it, in a column at the foot of the page; how many more there are where not all fit. */
function beside(doc: Page, { x, top, width }: { x: number; top: number; width: number }, title: string, said: string[]): void {
  oneLine(doc, title, x, top, width, 'bold', 12)
  let at = top + 6 * mm
  for (const [i, text] of said.entries()) {
    if (at > lowest) {
      lines(doc, `and ${said.length - i} more, in the table`, x, at, width, 'text', 8.5, 1)
      break
    }
    at += lines(doc, text, x, at, width, 'text', 8.5, 2) + 1.5
  }
  if (said.length === 0) lines(doc, 'none', x, at, width, 'text', 8.5, 1)
}

/** The year of the sink on one page, for the board and the authority, as PDF. */
export function yearPdf(
  report: YearReport,
  { darkroom, facts, now }: { darkroom: string; facts: SinkFacts; now: number },
): Promise<Uint8Array> {
  const { year, zone, recoveries, pickups, incidents, standing } = report
  const day = (at: number): string => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: zone }).format(at)
  const doc = newDocument([297 * mm, 210 * mm], `The sink in ${year}`)
  oneLine(doc, `${darkroom}: the sink in ${year}`, left, 10 * mm, inner, 'bold', 22)
  const { name, address, telephone } = facts.responsible
  oneLine(doc, ['Responsible:', [name, address, telephone].filter(Boolean).join(', ')].join(' '), left, 19 * mm, inner, 'text', 10)
  const top = table(doc, 27 * mm, report)
  const width = inner / 3 - 4 * mm
  const foot = { top, width }
  const found = recoveries.reduce((sum, one) => sum + one.silverG, 0)
  const still = `In ${standing.drums} drums now: ${litres(standing.ml) || '0'} L, ${kilograms(standing.grams)} kg`
  beside(doc, { ...foot, x: left }, `Silver recovered: ${found.toFixed(1)} g`, recoveries.map((one) => `${day(one.at)}: ${one.silverG.toFixed(1)} g, ${one.method}`)) // prettier-ignore
  beside(doc, { ...foot, x: left + inner / 3 }, `Collected: ${pickups.reduce((sum, one) => sum + one.kg, 0).toFixed(1)} kg`, [
    ...pickups.map(
      (one) => `${day(one.at)}: ${one.kg.toFixed(1)} kg, ${one.contractor}, licence ${one.licence}, receipt ${one.receipt || 'none'}`,
    ),
    still,
  ])
  beside(doc, { ...foot, x: left + (2 * inner) / 3 }, `Spills: ${incidents.length}`, incidents.map((one) => `${day(one.at)}: ${one.what}${one.ml === null ? '' : `, ${litres(one.ml)} L`}`)) // prettier-ignore
  const written = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: zone }).format(now)
  oneLine(doc, `Written on ${written}. Litres and silver by the ledgers, silver ± 30 %; weights of collections by their receipts. The local authority decides.`, left, bottom - 4 * mm, inner, 'text', 8.5) // prettier-ignore
  return finished(doc)
}
