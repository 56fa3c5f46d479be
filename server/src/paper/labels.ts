import { goodUntil, labelHazards, rollsOfFull, showMass, showParts, showVolume, type Chemical } from '@selvrin/core'
import type { Bottle, Jar, LabelSheet } from '@selvrin/core/contract'
import { finished, lines, mark, mm, newDocument, oneLine, qr, type Page } from './page'

interface Sheet {
  page: 'A4' | 'LETTER'
  columns: number
  rows: number
  /** mm */
  width: number
  height: number
  left: number
  top: number
  /** mm between columns */
  gap: number
  /** plain paper is cut along thin lines */
  cut: boolean
}
/** Measures of common label sheets, by how many stand on one. Rounded from the sheets themselves. */
const sheets: Record<LabelSheet, Sheet> = {
  plain: { page: 'A4', columns: 2, rows: 5, width: 90, height: 54, left: 15, top: 13.5, gap: 0, cut: true },
  'a4-24': { page: 'A4', columns: 3, rows: 8, width: 70, height: 37, left: 0, top: 0.5, gap: 0, cut: false },
  'a4-14': { page: 'A4', columns: 2, rows: 7, width: 99.1, height: 38.1, left: 4.7, top: 15.2, gap: 2.5, cut: false },
  'letter-30': { page: 'LETTER', columns: 3, rows: 10, width: 66.7, height: 25.4, left: 4.8, top: 12.7, gap: 3.2, cut: false },
  'letter-10': { page: 'LETTER', columns: 2, rows: 5, width: 101.6, height: 50.8, left: 4, top: 12.7, gap: 4.7, cut: false },
}

export interface LabelContent {
  /** large: D5, or the chemical's name */
  head: string
  family: string | null
  name: string
  lines: string[]
  /** worst first */
  hazard: string[]
  /** squares to tick, one a roll */
  ticks: number
  code: string
  /** opens it */
  url: string
}

const date = (at: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: zone }).format(at)

/** A bottle's label as of `at` (ms): good until what the shelf itself forecasts on that day, hazards of what is in it at its strength. */
export function bottleLabel(bottle: Bottle, hazards: Pick<Chemical, 'statements'>, at: number, zone: string, origin: string): LabelContent {
  const { state } = bottle
  const until = goodUntil(state, at)
  const rolls = rollsOfFull(bottle) ?? 0
  return {
    head: bottle.label,
    family: bottle.family,
    name: bottle.name,
    // what a small label has no room for comes last
    lines: [
      until === null ? 'good until: not known' : `good until ${date(until, zone)} (as of ${date(at, zone)})`,
      `mixed ${date(bottle.madeAt, zone)}, ${bottle.madeBy}`,
      `${showParts(bottle.parts)}, ${showVolume(bottle.sizeMl)}`,
      ...(bottle.kit ? [`kit ${bottle.kit.number}: ${bottle.kit.name}`] : []),
      ...(rolls > 0 ? [`for ${rolls} rolls`] : []),
    ],
    hazard: labelHazards(hazards),
    ticks: Math.min(rolls, 30),
    code: bottle.code,
    url: `${origin}/b/${bottle.code}`,
  }
}

export function jarLabel(jar: Jar, chemical: Chemical, zone: string, origin: string): LabelContent {
  return {
    head: chemical.name,
    family: null,
    name: [jar.lot && `lot ${jar.lot}`, jar.place].filter(Boolean).join(', '),
    lines: [`${showMass(jar.grams)} when printed`, jar.openedAt === null ? 'opened: ____________' : `opened ${date(jar.openedAt, zone)}`],
    hazard: labelHazards(chemical),
    ticks: 0,
    code: jar.code,
    url: `${origin}/b/${jar.code}`,
  }
}

/** Labels on a sheet, beginning at its `from`th place, as PDF. */
export function labelsPdf(labels: LabelContent[], sheetName: LabelSheet, from: number): Promise<Uint8Array> {
  const sheet = sheets[sheetName]
  const perPage = sheet.columns * sheet.rows
  const doc = newDocument(sheet.page, 'Labels')
  for (const [i, label] of labels.entries()) {
    const place = (from - 1 + i) % perPage
    if (i > 0 && place === 0) doc.addPage({ size: sheet.page, margin: 0 })
    const x = (sheet.left + (place % sheet.columns) * (sheet.width + sheet.gap)) * mm
    const y = (sheet.top + Math.floor(place / sheet.columns) * sheet.height) * mm
    if (sheet.cut)
      doc
        .lineWidth(0.3)
        .strokeColor('#999999')
        .rect(x, y, sheet.width * mm, sheet.height * mm)
        .stroke()
    drawLabel(doc, label, x, y, sheet.width * mm, sheet.height * mm)
  }
  return finished(doc)
}

function drawLabel(doc: Page, label: LabelContent, x: number, y: number, width: number, height: number): void {
  const pad = Math.max(6, height * 0.07)
  const code = Math.min(height - 2 * pad - 9, width * 0.28)
  const right = x + width - pad - code
  const left = x + pad
  const textWidth = right - left - pad
  const head = Math.min(height * 0.23, 24)
  const line = Math.max(6.5, Math.min(height * 0.085, 10))
  doc.fillColor('black')
  qr(doc, label.url, right, y + pad, code)
  oneLine(doc, label.code, right, y + pad + code + 2, code, 'mono', 8)
  let top = y + pad
  if (label.family) {
    mark(doc, label.family, left, top, head)
    oneLine(doc, label.head, left + head + 6, top + head * 0.04, textWidth - head - 6, 'bold', head * 0.85)
    top += head * 1.15
  } else top += lines(doc, label.head, left, top, textWidth, 'bold', head * 0.62, 2) + 2
  oneLine(doc, label.name, left, top, textWidth, 'bold', line * 1.15)
  top += line * 1.5
  const bottom = y + height - pad
  const hazardTop = bottom - line * 1.1
  const ticksTop = hazardTop - (label.ticks > 0 ? 9 : 0)
  for (const text of label.lines) {
    if (top + line * 1.2 > ticksTop) break
    oneLine(doc, text, left, top, textWidth, 'text', line)
    top += line * 1.25
  }
  for (let i = 0; i < label.ticks; i++) {
    const tick = left + i * 7.5 + Math.floor(i / 5) * 3
    if (tick + 6 > right - 4) break
    doc.lineWidth(0.5).strokeColor('black').rect(tick, ticksTop, 6, 6).stroke()
  }
  // the worst alone where both would be too small to read
  const size = Math.max(6, line * 0.9)
  const room = hazardTop < y + pad + code + 11 ? textWidth : width - 2 * pad
  const both = label.hazard.join('. ')
  const fits =
    doc
      .font('bold')
      .fontSize(size * 0.85)
      .widthOfString(both) <= room
  oneLine(doc, fits ? both : (label.hazard[0] ?? ''), left, hazardTop, room, 'bold', size)
}
