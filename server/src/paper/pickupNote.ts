import { drumLabel, drumNames, type Catalogue, type SinkFacts } from '@selvrin/core'
import type { Pickup, WasteDrum } from '@selvrin/core/contract'
import { rangeOf } from './drumLabel'
import { finished, lines, mm, newDocument, oneLine } from './page'

const day = (at: number | null, zone: string): string =>
  at === null ? 'none' : new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: zone }).format(at)
/** how well silver is known from ledgers */
const silverWords = (grams: number): string => (grams < 0.05 ? '' : `, silver about ${grams.toFixed(1)} g ± 30 %`)
const mostParts = 8

/** The note that goes with drums to a contractor, as PDF. Transport class and UN number are theirs to say. */
export function pickupNotePdf(
  pickup: Pickup,
  drums: WasteDrum[],
  { facts, zone, catalogue }: { facts: SinkFacts; zone: string; catalogue: Catalogue },
): Promise<Uint8Array> {
  const doc = newDocument('A4', `Collection ${pickup.number}`)
  const [left, inner, bottom] = [18 * mm, (210 - 36) * mm, (297 - 20) * mm]
  let top = 16 * mm
  const say = (text: string, font: 'text' | 'bold', size: number, most = 3): void => {
    top += lines(doc, text, left, top, inner, font, size, most) + size * 0.35
  }
  oneLine(doc, `Collection ${pickup.number}, ${day(pickup.at, zone)}`, left, top, inner, 'bold', 22)
  top += 30
  const { name, address, telephone } = facts.responsible
  say(`From: ${[name, address, telephone].filter(Boolean).join(', ') || '______________________________'}`, 'text', 11)
  say(`To: ${pickup.contractor}, licence ${pickup.licence}`, 'text', 11)
  say(`Handed over by: ${pickup.handedBy}`, 'text', 11)
  say('The local authority, the suppliers’ sheets and the licensed contractor decide.', 'text', 9)
  top += 8
  for (const drum of drums) {
    if (top > bottom - 40 * mm) {
      doc.addPage()
      top = 16 * mm
    }
    const { state } = drum
    const label = drumLabel(drum, state, catalogue)
    doc
      .moveTo(left, top)
      .lineTo(left + inner, top)
      .lineWidth(0.6)
      .stroke('black')
    top += 6
    say(`${drum.code}  ${drumNames[drum.family]}${drum.metal === null ? '' : `, ${drum.metal}`}`, 'bold', 13, 1)
    say(
      `${(state.ml / 1000).toFixed(1)} L, ${state.kg.toFixed(1)} kg with the drum${silverWords(state.silverG)}. First pour ${day(state.firstAt, zone)}, last ${day(state.lastAt, zone)}.`,
      'text',
      10.5,
    )
    if (drum.quarantinedWhy !== null) say(`IN QUARANTINE: ${drum.quarantinedWhy}`, 'bold', 10.5)
    const parts = label.parts.slice(0, mostParts).map((part) => `${part.name} ${rangeOf(part.percent)}`)
    if (parts.length > 0) say(`Holds ${parts.join(', ')}.`, 'text', 10)
    if (label.unknownShare > 0.005) say(`Of ${Math.round(100 * label.unknownShare)} % it is not written what is in it.`, 'text', 10)
    say(`${label.signal ?? 'No signal word'}${label.statements.length > 0 ? `: ${label.statements.join('. ')}.` : ''}`, 'text', 9.5, 4)
    say('UN number __________   Transport class __________   Packing group __________', 'text', 10, 1)
    top += 6
  }
  top += 10
  say('Received: ______________________________   Date: ______________   Signature: ______________________', 'text', 10.5, 1)
  return finished(doc)
}
