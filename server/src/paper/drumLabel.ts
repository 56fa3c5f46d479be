import { drumLabel, drumLimitMl, type Catalogue, type SinkFacts } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'
import { finished, hazardSign, lines, mm, newDocument, oneLine, qr } from './page'

/** mm; the least for up to 50 L, and twice that for more */
const [small, large] = [
  [74, 105],
  [105, 148],
] as const
const smallTo = 50_000

const day = (at: number | null, zone: string): string =>
  at === null
    ? '____________'
    : new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: zone }).format(at)
/** a part of it as a range a contractor can go by, % */
export function rangeOf(percent: number): string {
  const steps = [0, 0.1, 0.5, 1, 3, 5, 10, 25, 50, 100]
  const i = steps.findIndex((step) => percent < step)
  return i < 0 ? '100 %' : i === 1 ? 'under 0.1 %' : `${steps[i - 1]}–${steps[i]} %`
}
/** parts that are named on a label */
const mostParts = 6

interface Of {
  facts: SinkFacts
  zone: string
  origin: string
  catalogue: Catalogue
}

/** The label of a drum as PDF: what it is, its signs and statements in words, who is responsible, and a code that opens it. */
export function drumLabelPdf(drum: WasteDrum, { facts, zone, origin, catalogue }: Of): Promise<Uint8Array> {
  const [width, height] = (drum.volumeMl <= smallTo ? small : large).map((one) => one * mm) as [number, number]
  const doc = newDocument([width, height], `Drum ${drum.code}`)
  const label = drumLabel(drum, drum.state, catalogue)
  const [pad, size] = [4 * mm, width / 30]
  const inner = width - 2 * pad
  const code = 17 * mm
  oneLine(doc, 'WASTE', pad, pad, inner - code - pad, 'bold', size * 2.6)
  oneLine(doc, drum.code, pad, pad + size * 3, inner - code - pad, 'mono', size * 2.2)
  qr(doc, `${origin}/b/${drum.code}`, width - pad - code, pad, code)
  let top = pad + code + size * 0.6
  const say = (text: string, font: 'text' | 'bold', scale = 1, most = 2): void => {
    top += lines(doc, text, pad, top, inner, font, size * scale, most) + size * 0.3
  }
  say(label.name, 'bold', 1.3)
  const side = 15 * mm
  label.pictograms.forEach((sign, i) => hazardSign(doc, sign, pad + i * (side + mm), top, side))
  if (label.signal !== null)
    oneLine(doc, label.signal.toUpperCase(), pad + label.pictograms.length * (side + mm) + mm, top + side / 3, inner, 'bold', size * 1.7)
  if (label.pictograms.length > 0 || label.signal !== null) top += side + size * 0.5
  say(label.statements.length > 0 ? `${label.statements.join('. ')}.` : 'No statement by what is written of it.', 'text', 0.95, 7)
  say('Gloves and goggles, ventilate. Closed except while pouring. Never with another family. Not down the drain.', 'text', 0.9, 3)
  const parts = label.parts.slice(0, mostParts).map(({ name, percent }) => `${name} ${rangeOf(percent)}`)
  if (parts.length > 0) say(`Holds ${parts.join(', ')}.`, 'text', 0.85, 4)
  if (label.allergens.length > 0) say(`Contains ${label.allergens.join(', ')}: may cause an allergic reaction.`, 'text', 0.85, 2)
  if (label.unknownShare > 0.005) say(`Of ${Math.round(100 * label.unknownShare)} % it is not written what is in it.`, 'text', 0.85, 1)
  say(
    `At most ${(drumLimitMl(drum) / 1000).toFixed(1)} L of ${(drum.volumeMl / 1000).toFixed(1)} L. First pour ${day(drum.state.firstAt, zone)}. Sealed ${day(drum.sealedAt, zone)}. Litres ________.`,
    'text',
    0.9,
  )
  const { name, address, telephone } = facts.responsible
  say([name, address, telephone].filter(Boolean).join(', ') || 'Responsible: ______________________________', 'bold', 0.9)
  say(facts.emergency === '' ? 'Emergency: ____________________' : `Emergency: ${facts.emergency}`, 'bold', 0.9, 1)
  return finished(doc)
}
