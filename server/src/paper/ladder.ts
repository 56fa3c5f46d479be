import { inManner, type Manner } from '@selvrin/core'
import { mm, oneLine, printable, type Page } from './page'

/* The measures of a bench card, and its rungs. Points. */

export const left = 18 * mm
export const right = 192 * mm
export const bottom = 280 * mm

/** Writes rungs below each other, each with a box to tick: how much, of what, what to watch. `reached` says how far down. */
export function ladder(doc: Page, manner: Manner, from = 42 * mm) {
  let y = from
  const told = (text: string) => inManner(text, manner)
  const rung = (amount: string, what: string, watch: string): void => {
    doc.font('text').fontSize(9.5)
    const height = Math.max(30, 20 + doc.heightOfString(printable(told(watch)), { width: right - left - 150 }))
    if (y + height > bottom) {
      doc.addPage({ size: 'A4', margin: 0 })
      y = 20 * mm
    }
    doc
      .lineWidth(1)
      .strokeColor('black')
      .rect(left, y + 4, 13, 13)
      .stroke()
    doc
      .font('mono')
      .fontSize(15)
      .fillColor('black')
      .text(printable(told(amount)), left + 20, y + 2, { width: 110, align: 'right', lineBreak: false })
    oneLine(doc, told(what), left + 146, y + 2, right - left - 146, 'bold', 13)
    doc
      .font('text')
      .fontSize(9.5)
      .text(printable(told(watch)), left + 146, y + 19, { width: right - left - 150 })
    doc
      .lineWidth(0.4)
      .strokeColor('#999999')
      .moveTo(left, y + height)
      .lineTo(right, y + height)
      .stroke()
    y += height + 2
  }
  return { rung, reached: () => y }
}
