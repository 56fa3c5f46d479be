import {
  inManner,
  measuresOf,
  percentOf,
  placeTimes,
  printOfStrip,
  stripTotals,
  type Manner,
  type PrintFilter,
  type PrintSaid,
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
const sign = (value: number): string => (value < 0 ? '−' : '+')
const seconds = (s: number): string => `${s.toFixed(1)} s`
const stops = (value: number): string => `${sign(value)}${Math.abs(value).toFixed(2)} stop`
const percent = (value: number): string => `${sign(value)}${Math.abs(percentOf(value)).toFixed(0)} %`

function filterWords(filter: PrintFilter): string {
  if (filter.kind === 'none') return 'no filter'
  if (filter.kind === 'set') return `grade ${filter.grade}`
  const dials = [filter.y > 0 ? `${filter.y.toFixed(0)} Y` : '', filter.m > 0 ? `${filter.m.toFixed(0)} M` : ''].filter(Boolean).join(' ')
  return `${filter.grade === null ? '' : `grade ${filter.grade}, `}${dials === '' ? 'dials at 0' : dials}`
}

function saidWords(one: PrintSaid): string {
  if (one.of === 'grade') return `${Math.abs(one.halves) / 2} grade ${one.halves < 0 ? 'softer' : 'harder'}`
  if (one.of === 'place') return `${one.name} ${stops(one.stops)}`
  const whose = one.of === 'print' ? '' : one.exposure === 0 ? 'soft exposure ' : 'hard exposure '
  return `${whose}${one.stops < 0 ? 'lighter' : 'darker'} ${percent(one.stops)}`
}

/** Times, dodges and burns of a print, a line each; `before`: what they are measured against. */
function printLines(print: WholeTry, before: WholeTry | null): string[] {
  return print.exposures.flatMap(({ seconds: s, filter }, i) => {
    const was = before?.exposures[i]?.seconds
    const change =
      was === undefined || Math.abs(was - s) < 1e-9 ? '' : `, ${stops(measuresOf(s, was).stops)}, ${percent(measuresOf(s, was).stops)}`
    const places = placeTimes(
      s,
      print.places.filter((one) => one.exposure === i),
    ).times
    const part = print.exposures.length > 1 ? (i === 0 ? 'soft: ' : 'hard: ') : ''
    return [
      `${part}${seconds(s)}, ${filterWords(filter)}${change}`,
      ...places.map((one) => `${one.when === 'after' ? 'burn in' : 'hold back'} ${one.name} ${stops(one.stops)} = ${seconds(one.seconds)}`),
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
    return [`${plan.bands} bands, ${filterWords(plan.filter)}: ${bands.join(' · ')} s`, chosen, ...noted]
  }
  const earlier = before?.plan.kind === 'print' ? before.plan : null
  return [...printLines(plan, earlier), said.length === 0 ? '' : `said: ${said.map(saidWords).join(', ')}`, ...noted].filter(Boolean)
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
function writeTries(doc: Page, { tries }: PrintSheetFacts, from: number, manner: Manner): void {
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
  writeTries(doc, facts, Math.max(top + 20, pad + 20 * mm), manner)
  return finished(doc)
}
