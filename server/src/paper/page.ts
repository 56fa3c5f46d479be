import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { markOf, signFrame, signs, type Mark, type Pictogram } from '@selvrin/core'
import PDFDocument from 'pdfkit'
import QRCode from 'qrcode'

export type Page = PDFKit.PDFDocument
/** points in a millimetre */
export const mm = 72 / 25.4

// the server runs in the project's folder, and finds its fonts among its packages
const packages = createRequire(join(process.cwd(), 'package.json'))
const read = new Map<string, Buffer>()
function fontFile(family: string, weight: number): Buffer {
  const key = `${family} ${weight}`
  const file = read.get(key) ?? readFont(family, weight)
  read.set(key, file)
  return file
}
const readFont = (family: string, weight: number): Buffer =>
  readFileSync(
    packages.resolve(`@fontsource/atkinson-hyperlegible-${family}/files/atkinson-hyperlegible-${family}-latin-${weight}-normal.woff`),
  )

/** A PDF with the application's own fonts: text, bold, mono. */
export function newDocument(size: 'A4' | 'LETTER' | 'A6' | [width: number, height: number], title: string): Page {
  const doc = new PDFDocument({ size, margin: 0, info: { Title: title, Creator: 'Selvrin' }, autoFirstPage: true, bufferPages: true })
  doc.registerFont('text', fontFile('next', 400))
  doc.registerFont('bold', fontFile('next', 700))
  doc.registerFont('mono', fontFile('mono', 500))
  return doc.font('text')
}

export const finished = (doc: Page): Promise<Uint8Array> =>
  new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    doc.on('data', (chunk: Buffer) => chunks.push(chunk))
    doc.on('end', () => resolve(Buffer.concat(chunks)))
    doc.on('error', reject)
    doc.end()
  })

/** The characters of the shipped fonts: what they lack is written another way. */
export const printable = (text: string): string => text.replace(/[   ]/g, ' ').replace(/→/g, '>').replace(/−/g, '–')

type Font = 'text' | 'bold' | 'mono'
/** how far text may shrink before it is cut */
const smallest = 0.62

/** Text on one line: smaller where it would run over, cut with an ellipsis where that is not enough. */
export function oneLine(doc: Page, text: string, x: number, y: number, width: number, font: Font, size: number): void {
  const said = printable(text)
  const needs = doc.font(font).fontSize(size).widthOfString(said)
  const fitted = Math.max(size * smallest, Math.min(size, (size * width * 0.99) / needs))
  doc.fontSize(fitted).text(said, x, y + (size - fitted) * 0.6, { width, height: fitted * 1.2, lineBreak: false, ellipsis: true })
}

/** Text on at most so many lines, as large as it fits; answers the height it took. */
export function lines(doc: Page, text: string, x: number, y: number, width: number, font: Font, size: number, most: number): number {
  const said = printable(text)
  doc.font(font)
  let fitted = size
  while (fitted > size * smallest && doc.fontSize(fitted).heightOfString(said, { width }) > most * fitted * 1.3) fitted -= 0.5
  const height = Math.min(doc.fontSize(fitted).heightOfString(said, { width }), most * fitted * 1.3)
  doc.text(said, x, y, { width, height, ellipsis: true })
  return height
}

/** A square QR code whose modules are drawn, so that it prints sharp at any size. */
export function qr(doc: Page, text: string, x: number, y: number, side: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' })
  const module = side / modules.size
  doc.save().fillColor('black')
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      // a hair wider than its place, so that no white line shows between two
      if (modules.get(row, column)) doc.rect(x + column * module, y + row * module, module + 0.05, module + 0.05)
  doc.fill().restore()
}

/** A sign of the harmonised system in its red diamond. */
export function hazardSign(doc: Page, sign: Pictogram, x: number, y: number, side: number): void {
  doc
    .save()
    .translate(x, y)
    .scale(side / 100)
    .lineJoin('round')
    .lineCap('round')
  doc.path(signFrame).lineWidth(6).fillAndStroke('white', '#c8102e')
  for (const { path, paint, width = 1 } of signs[sign]) {
    doc.path(path)
    if (paint === 'line') doc.lineWidth(width).stroke('black')
    else doc.fill(paint === 'ink' ? 'black' : 'white')
  }
  doc.restore()
}

/** The mark of a bath: its letter in its shape, in black. */
export function mark(doc: Page, family: string, x: number, y: number, side: number): void {
  const { letter, shape } = markOf(family)
  doc
    .save()
    .lineWidth(side / 14)
    .strokeColor('black')
  outline(doc, shape, x, y, side)
  doc.stroke()
  const size = side * (shape === 'triangle' ? 0.42 : 0.5)
  doc.font('bold').fontSize(size).fillColor('black')
  doc.text(letter, x, y + side / 2 - size * (shape === 'triangle' ? 0.35 : 0.6), { width: side, align: 'center', lineBreak: false })
  doc.restore()
}

function outline(doc: Page, shape: Mark['shape'], x: number, y: number, side: number): void {
  const points = (...pairs: [number, number][]) => doc.polygon(...pairs.map(([u, v]) => [x + u * side, y + v * side]))
  if (shape === 'circle' || shape === 'ring') doc.circle(x + side / 2, y + side / 2, side / 2)
  else if (shape === 'square') doc.rect(x, y, side, side)
  else if (shape === 'triangle') points([0.5, 0], [1, 0.95], [0, 0.95])
  else if (shape === 'diamond') points([0.5, 0], [1, 0.5], [0.5, 1], [0, 0.5])
  else if (shape === 'pentagon') points([0.5, 0], [1, 0.38], [0.81, 1], [0.19, 1], [0, 0.38])
  else if (shape === 'hexagon') points([0.25, 0.05], [0.75, 0.05], [1, 0.5], [0.75, 0.95], [0.25, 0.95], [0, 0.5])
  else if (shape === 'drop')
    doc.path(
      `M ${x + side / 2} ${y} C ${x + side} ${y + side * 0.5} ${x + side} ${y + side} ${x + side / 2} ${y + side} C ${x} ${y + side} ${x} ${y + side * 0.5} ${x + side / 2} ${y} Z`,
    )
  else doc.path(`M ${x} ${y + side * 0.85} A ${side / 2} ${side / 2} 0 0 1 ${x + side} ${y + side * 0.85} Z`)
}
