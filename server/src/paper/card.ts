import {
  asTaken,
  byGravity,
  cautionsOf,
  checkFormula,
  chemicalOf,
  linesOf,
  scaleFormula,
  showMass,
  showTemperature,
  showVolume,
  whatToWatch,
  inManner,
  type Catalogue,
  type Formula,
  type Manner,
  type Taking,
} from '@selvrin/core'
import type { FormulaRow } from '@selvrin/core/contract'
import { bottom, ladder, left, right } from './ladder'
import { finished, mark, mm, newDocument, oneLine, printable, qr, type Page } from './page'

/** Whose formula it is, how much, and where its page is found. */
function heading(doc: Page, row: FormulaRow, finalMl: number, origin: string, manner: Manner): void {
  const width = right - left - 46 - 70
  mark(doc, row.body.family, left, 18 * mm, 34)
  oneLine(doc, row.body.name, left + 46, 18 * mm, width, 'bold', 20)
  const what = `${showVolume(finalMl, manner)} · version ${row.number} · ${row.body.purpose}`
  oneLine(doc, what, left + 46, 18 * mm + 26, width, 'text', 10)
  qr(doc, `${origin}/formulary/${row.id}`, right - 52, 16 * mm, 52)
}

/** The bench card of a formula at a volume: its ladder with a box to tick for every rung, what to watch, cautions, and room for pH and initials. */
export function cardPdf(
  row: FormulaRow,
  finalMl: number,
  takings: Taking[],
  origin: string,
  catalogue: Catalogue,
  manner: Manner,
): Promise<Uint8Array> {
  const formula = scaleFormula({ id: row.id, ...row.body } as Formula, finalMl)
  const doc = newDocument('A4', row.body.name)
  heading(doc, row, finalMl, origin, manner)
  const { rung, reached } = ladder(doc, manner)
  const water = row.body.water === 'deionised' ? 'Deionised water' : 'Water'
  rung(showVolume(formula.startMl), `${water} at ${showTemperature(row.body.mixC)}`, 'Never start with the full volume.')
  for (const line of linesOf(formula, catalogue)) {
    const taking = takings.find((one) => one.step === line.step)
    const converted = taking && Math.abs(taking.factor - 1) > 1e-9 ? taking : undefined
    const chemical = converted ? chemicalOf(converted.chemical, catalogue) : line.chemical
    const amount =
      line.addition.grams === undefined && !converted
        ? showVolume(line.addition.millilitres ?? 0)
        : showMass(converted?.grams ?? line.grams)
    const temperature = line.addition.atC === undefined ? '' : ` at ${showTemperature(line.addition.atC)}`
    const name = `${chemical.name}${line.addition.percent ? `, ${line.addition.percent} % solution` : ''}${temperature}`
    rung(amount, `${line.step + 1}  ${name}`, [whatToWatch(line), converted?.because].filter(Boolean).join(' '))
  }
  const last = 'Only when everything is dissolved. Cool, measure pH, bottle full to the neck, label.'
  rung(showVolume(finalMl), 'Cold water to the mark', last)
  closing(doc, reached(), asTaken(formula, takings, catalogue), catalogue, manner)
  return finished(doc)
}

/** Findings, cautions, and what is written by hand. */
function closing(doc: Page, from: number, formula: Formula, catalogue: Catalogue, manner: Manner): void {
  let y = from + 8
  const say = (canonical: string, font: 'text' | 'bold' = 'text') => {
    const text = inManner(canonical, manner)
    doc.font(font).fontSize(9.5)
    const height = doc.heightOfString(printable(text), { width: right - left })
    if (y + height > bottom) {
      doc.addPage({ size: 'A4', margin: 0 })
      y = 20 * mm
    }
    doc.text(printable(text), left, y, { width: right - left })
    y += height + 3
  }
  for (const finding of checkFormula(formula, catalogue)
    .sort(byGravity)
    .filter((one) => one.severity !== 'advice'))
    say(`${finding.step === undefined ? '' : `Step ${finding.step + 1}: `}${finding.message}`, 'bold')
  for (const { words, names } of cautionsOf(formula, catalogue)) say(`${words} (${names.join(', ')}).`)
  say(
    'Gloves, eye protection, apron; air on; away from film and paper. The supplier’s safety sheet decides. Skin or eye: water for 15 to 20 minutes, and call.',
  )
  y += 10
  say(
    `Mixed on ______________   by ______________   looked at by ______________   pH ________ at ________ ${manner.units === 'us' ? '°F' : '°C'}   bottles ______________`,
  )
}
