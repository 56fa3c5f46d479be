import type { FilmOrder } from '@selvrin/core/contract'
import { finished, lines, mm, newDocument, oneLine, qr } from './page'

/** Of each: width, height, mm. A label of a common label printer, and a sheet of A6. */
const sizes = { label: [62, 40], a6: [105, 148] } as const

const when = (at: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', timeZone: zone })
    .format(at)
    .replace(',', '')

/** What stands on the slip, the most needed first: a small label has room for the first lines only. */
export function slipLines(order: FilmOrder, zone: string): string[] {
  const { film, format, count, ei, pushStops, processName, developerName, developer, wantedBy, earliest, present, critical, note } = order
  const push = pushStops === 0 ? '' : pushStops > 0 ? `, push ${pushStops}` : `, pull ${-pushStops}`
  return [
    `${count} × ${film}, ${format}, EI ${ei}${push}`,
    ...(critical ? ['ONLY NEGATIVES: alone, on tested chemistry'] : []),
    developer ? `${processName}, ${developerName} ${developer.parts.join('+')}` : processName,
    ...(wantedBy === null ? [] : [`wanted by ${when(wantedBy, zone)}`]),
    ...(earliest === null ? [] : [`not before ${when(earliest, zone)}`]),
    present ? 'owner waits here' : `handed in ${when(order.at, zone)}`,
    ...(note === '' ? [] : [note]),
  ]
}

/** The slip of an order as PDF: its number, its place in the rack and a code that opens it. */
export function slipPdf(order: FilmOrder, on: keyof typeof sizes, { zone, origin }: { zone: string; origin: string }): Promise<Uint8Array> {
  const [width, height] = [sizes[on][0] * mm, sizes[on][1] * mm]
  const doc = newDocument(on === 'a6' ? 'A6' : [width, height], `Order ${order.number}`)
  const pad = on === 'a6' ? 8 * mm : 2.5 * mm
  const code = on === 'a6' ? 38 * mm : 17 * mm
  const head = on === 'a6' ? 40 : 19
  const line = on === 'a6' ? 13 : 7.5
  const beside = width - 3 * pad - code
  qr(doc, `${origin}/rota/orders/${order.id}`, width - pad - code, pad, code)
  oneLine(doc, `No ${order.number}`, pad, pad, beside, 'bold', head)
  let top = pad + head * 1.2
  oneLine(doc, order.rack === null ? 'not in the rack' : `rack ${order.rack}`, pad, top, beside, 'mono', head * 0.55)
  top += head * 0.75
  oneLine(doc, order.member, pad, top, beside, 'bold', line * 1.25)
  top = Math.max(top + line * 1.8, pad + code + line * 0.5)
  for (const text of slipLines(order, zone)) {
    if (top + line * 1.2 > height - pad) break
    top += lines(doc, text, pad, top, width - 2 * pad, text.startsWith('ONLY') ? 'bold' : 'text', line, on === 'a6' ? 4 : 1) + line * 0.25
  }
  return finished(doc)
}
