import { drumNames, firstAid, hurtNames, hurts, spillCard, unknownSubstance, wasteFamilies, type SinkFacts } from '@selvrin/core'
import { finished, lines, mm, newDocument, oneLine, type Page } from './page'

const [left, inner, bottom] = [16 * mm, (210 - 32) * mm, (297 - 34) * mm]
/** what nobody knows is treated as the worst; what the poison is in a bottle stands on its own label */
const anything = { ...unknownSubstance, corrosive: false }

/** A page with its title, and whom to call at its foot. */
function pageOf(doc: Page, title: string, { emergency, poison }: SinkFacts): void {
  oneLine(doc, title, left, 14 * mm, inner, 'bold', 34)
  doc
    .moveTo(left, bottom)
    .lineTo(left + inner, bottom)
    .lineWidth(1)
    .stroke('black')
  oneLine(doc, `Call: ${emergency || '____________________'}`, left, bottom + 3 * mm, inner, 'bold', 24)
  oneLine(doc, `Poison centre: ${poison || '____________________'}`, left, bottom + 13 * mm, inner, 'bold', 18)
  oneLine(doc, 'The supplier’s safety sheet and local rules decide.', left, bottom + 22 * mm, inner, 'text', 10)
}

/** Lines one under another, as large as is asked; answers where the next begins. */
function steps(doc: Page, top: number, said: string[], size: number, font: 'text' | 'bold' = 'text'): number {
  return said.reduce((at, text) => at + lines(doc, text, left, at, inner, font, size, 3) + size * 0.35, top)
}

/** First aid on one page, then a page for each kind of spill, to hang where it is needed, as PDF. */
export function aidCardsPdf(facts: SinkFacts): Promise<Uint8Array> {
  const doc = newDocument('A4', 'Spill cards and first aid')
  pageOf(doc, 'First aid', facts)
  let top = 30 * mm
  for (const hurt of hurts) {
    top = steps(doc, top, [hurtNames[hurt]], 17, 'bold')
    top = steps(doc, top, [firstAid(hurt, anything).join(' ')], 14.5) + 3 * mm
  }
  steps(
    doc,
    top,
    ['Silver nitrate, pyrogallol, catechol, oxalates on the skin, and anything that burns: call. After what burns nothing to drink.'],
    14.5,
    'bold',
  )
  for (const family of [...wasteFamilies, null]) {
    doc.addPage()
    const name = family === null ? 'nobody knows what' : family === 'chl' ? 'chlorine cleaner' : drumNames[family]
    pageOf(doc, `Spilled: ${name}`, facts)
    const { leave, first, then, never, bin } = spillCard({ family })
    let at = steps(doc, 32 * mm, [leave], 20, 'bold') + 4 * mm
    at = steps(doc, at, first, 22) + 4 * mm
    at = steps(doc, at, then, 27, 'bold')
    at = steps(doc, at, never, 27, 'bold') + 4 * mm
    steps(doc, at, [bin, 'Write it down: when, how much, who, and whether the kit is full again.'], 17)
  }
  return finished(doc)
}
