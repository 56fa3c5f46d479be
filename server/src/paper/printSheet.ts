import {
  filterSays,
  inManner,
  measuresOf,
  percentSays,
  placeTimes,
  printOfStrip,
  saidSays,
  secondsSay,
  stopsSay,
  stripTotals,
  type Manner,
  type WholeTry,
} from '@selvrin/core'
import type { BoxOfPaper, Enlarger, Paper, PrintSheet, PrintTryRow } from '@selvrin/core/contract'
import { finished, lines, mm, newDocument, oneLine, qr, type Page } from './page'

/** What stands beside the tries of a print. */
export interface PrintSheetFacts {
  sheet: PrintSheet
  tries: PrintTryRow[]
  paper: Paper | null
  box: BoxOfPaper | null
  enlarger: Enlarger | null
}

const [width, height] = [148 * mm, 210 * mm]
const pad = 10 * mm
const inner = width - 2 * pad
const line = 9.5
/** Times, dodges and burns of a print, a line each; `before`: what they are measured against. */
function printLines(print: WholeTry, before: WholeTry | null): string[] {
  return print.exposures.flatMap(({ seconds: s, filter }, i) => {
    const was = before?.exposures[i]?.seconds
    const change =
      was === undefined || Math.abs(was - s) < 1e-9
        ? ''
        : `, ${stopsSay(measuresOf(s, was).stops)}, ${percentSays(measuresOf(s, was).stops)}`
    const places = placeTimes(
      s,
      print.places.filter((one) => one.exposure === i),
    ).times
    const part = print.exposures.length > 1 ? (i === 0 ? 'soft: ' : 'hard: ') : ''
    return [
      `${part}${secondsSay(s)}, ${filterSays(filter)}${change}`,
      ...places.map(
        (one) => `${one.when === 'after' ? 'burn in' : 'hold back'} ${one.name} ${stopsSay(one.stops)} = ${secondsSay(one.seconds)}`,
      ),
    ]
  })
}

/** A try as lines: a strip's bands and the one that was chosen, or a print and what was said of it. */
export function tryLines(one: PrintTryRow, before: PrintTryRow | undefined): string[] {
  const { plan, said, note } = one
  const noted = note === '' ? [] : [note]
  if (plan.kind === 'strip') {
    const bands = stripTotals(plan.steps, plan.bands).map((s) => s.toFixed(1))
    const chosen =
      plan.chosen === null
        ? 'no band chosen'
        : `band ${plan.chosen.map((band) => band + 1).join(' to ')}: ${printLines(printOfStrip(plan), null).join('; ')}`
    return [`${plan.bands} bands, ${filterSays(plan.filter)}: ${bands.join(' · ')} s`, chosen, ...noted]
  }
  const earlier = before?.plan.kind === 'print' ? before.plan : null
  return [
    ...printLines(plan, earlier),
    said.length === 0 ? '' : `said: ${said.map((word) => saidSays(word, plan.exposures.length)).join(', ')}`,
    ...noted,
  ].filter(Boolean)
}

const madeWith = ({ sheet, paper, box, enlarger }: PrintSheetFacts): string[] => {
  const { m, lensN, developer } = sheet.setup
  const { widthMm, heightMm, what } = sheet.negative
  return [
    `${what}, ${sheet.member}`,
    `${((widthMm * m) / 10).toFixed(1)} × ${((heightMm * m) / 10).toFixed(1)} cm (${m.toFixed(2)} times) on ${paper?.name ?? 'paper that is gone'}${box?.batch ? `, batch ${box.batch}` : ''}`,
    [enlarger?.name, `f/${Number(lensN.toFixed(1))}`, developer].filter(Boolean).join(', '),
  ]
}

/** One after another; a new page where a try would be cut. */
function writeTries(doc: Page, { tries }: PrintSheetFacts, from: number, manner: Manner): number {
  let top = from
  for (const [i, one] of tries.entries()) {
    const said = tryLines(one, tries[i - 1]).map((text) => inManner(text, manner))
    const need = line * 1.4 * (said.length + 1) + 6
    if (top + need > height - pad) {
      doc.addPage()
      top = pad
    }
    oneLine(doc, `${i + 1} · ${one.plan.kind === 'strip' ? 'strip' : 'print'}`, pad, top, inner, 'bold', line)
    top += line * 1.4
    for (const text of said) top += lines(doc, text, pad + 10, top, inner - 10, 'text', line, 3) + 2
    top += 6
    doc
      .moveTo(pad, top - 4)
      .lineTo(width - pad, top - 4)
      .lineWidth(0.4)
      .stroke()
  }
  return top
}

/** Where the places lie: what is burned in within a whole line, what is held back within a broken one. */
function writeOutline(doc: Page, { sheet, tries }: PrintSheetFacts, from: number, manner: Manner): void {
  if (sheet.outline.length === 0) return
  const ratio = sheet.negative.widthMm / sheet.negative.heightMm
  const [wide, high] = ratio >= 1 ? [70 * mm, (70 * mm) / ratio] : [55 * mm * ratio, 55 * mm]
  if (from + high > height - pad) doc.addPage()
  const top = from + high > height - pad ? pad : from + 4
  const last = tries.findLast((one) => one.plan.kind === 'print')?.plan
  const places = last?.kind === 'print' ? last.places : []
  doc.rect(pad, top, wide, high).lineWidth(1).stroke()
  for (const area of sheet.outline) {
    const stops = places.filter((one) => one.name === area.name).reduce((sum, one) => sum + one.stops, 0)
    const [x, y, w, h] = [pad + area.x * wide, top + area.y * high, area.width * wide, area.height * high]
    if (stops < 0) doc.dash(3, { space: 2 })
    if (area.shape === 'round') doc.ellipse(x + w / 2, y + h / 2, w / 2, h / 2)
    else doc.rect(x, y, w, h)
    doc.lineWidth(0.8).stroke().undash()
    const words = inManner(`${area.name}${stops === 0 ? '' : ` ${stopsSay(stops)}`}`, manner)
    oneLine(doc, words, x + 3, y + h / 2 - 4, Math.max(24, w - 6), 'text', 8)
  }
}

/** A print's own sheet on A5: what it was made with, and every try with what was said of it. */
export function printSheetPdf(facts: PrintSheetFacts, origin: string, manner: Manner): Promise<Uint8Array> {
  const { sheet, tries } = facts
  const doc = newDocument([width, height], sheet.title)
  qr(doc, `${origin}/trays/prints/${sheet.id}`, width - pad - 18 * mm, pad, 18 * mm)
  oneLine(doc, sheet.title, pad, pad, inner - 22 * mm, 'bold', 18)
  let top = pad + 26
  for (const text of madeWith(facts)) {
    oneLine(doc, inManner(text, manner), pad, top, inner - 22 * mm, 'text', line)
    top += line * 1.4
  }
  const known = tries.every((one) => one.cost !== null)
  const sheets = tries.reduce((sum, one) => sum + one.sheets, 0)
  const cost = known && tries.length > 0 ? `, ${tries.reduce((sum, one) => sum + (one.cost ?? 0), 0).toFixed(2)} of paper` : ''
  oneLine(
    doc,
    inManner(`${Number(sheets.toFixed(2))} sheets${cost}${sheet.done ? '; finished' : ''}`, manner),
    pad,
    top,
    inner,
    'text',
    line,
  )
  writeOutline(doc, facts, writeTries(doc, facts, Math.max(top + 20, pad + 20 * mm), manner), manner)
  return finished(doc)
}
