import { vesselBody } from '../contract/run'
import { shelfBody } from '../contract/shelf'
import { z } from 'zod'
import { showTemperature, showVolume } from '../quantity/format'
import { cellReader } from './reader'
import { shelfRecord, tankRecord, type ShelfRecord, type TankRecord } from './schemas'
import { answer, fits, settler } from './settled'
import { shaped, wrong, type Present, type Reader } from './understood'
import { amount, given } from './written'

export const shelvesOut = (present: Present): ShelfRecord[] => (present.shelves ?? []).map(shelfCells)
export const tanksOut = (present: Present): TankRecord[] => (present.tanks ?? []).map(tankCells)

const shelfCells = ({ name, celsius }: { name: string; celsius: number | null }): ShelfRecord => ({
  name,
  ...given('temperature', celsius === null ? null : amount(celsius, '°C')),
})
type Tank = z.infer<z.ZodObject<typeof vesselBody>>
const tankCells = ({ name, kind, format, coversMl, carryMl }: Tank): TankRecord => ({
  name,
  kind,
  format,
  covers: coversMl.map((ml) => amount(ml, 'ml')).join('; '),
  ...given('carries_out', carryMl === null ? null : amount(carryMl, 'ml')),
})

/** Shelves by their names. A temperature a file leaves blank stays as it is. */
export function shelfReader(present: Present, newId: () => string): Reader {
  const settle = settler(present.shelves ?? [], newId)
  return (one) => {
    const shape = shaped(shelfRecord, one)
    if (!('record' in shape)) return shape
    const problems: string[] = []
    const read = cellReader(problems)
    const name = read.needText('name', shape.record.name)
    const { before, id, wrongly } = settle(one.line, name)
    const celsius = read.quantity('temperature', shape.record.temperature, 'temperature') ?? before?.celsius ?? null
    const body = fits(z.strictObject(shelfBody), { name: before?.name ?? name, celsius }, problems)
    if (!body || problems.length > 0 || wrongly) return wrong(one.line, name, [...problems, ...(wrongly ? [wrongly] : [])])
    const says = `${body.name}${body.celsius === null ? ', not measured' : `, ${showTemperature(body.celsius)}`}`
    return answer(one.line, says, before && shelfCells(before), shelfCells(body), {
      kind: 'shelves',
      id,
      version: before?.version ?? null,
      body,
    })
  }
}

/** Tanks and drums by their names. */
export function tankReader(present: Present, newId: () => string): Reader {
  const settle = settler(present.tanks ?? [], newId)
  return (one) => {
    const shape = shaped(tankRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const name = read.needText('name', record.name)
    const { before, id, wrongly } = settle(one.line, name)
    const coversMl = record.covers.split(';').map((cell) => read.needQuantity('covers', cell.trim(), 'volume'))
    const carryMl = read.quantity('carries_out', record.carries_out, 'volume') ?? before?.carryMl ?? null
    const wanted = { name: before?.name ?? name, kind: record.kind, format: record.format, coversMl, carryMl }
    const body = problems.length > 0 ? null : fits(z.strictObject(vesselBody), wanted, problems)
    if (!body || wrongly) return wrong(one.line, name, [...problems, ...(wrongly ? [wrongly] : [])])
    const says = `${body.name}: ${body.coversMl.map((ml) => showVolume(ml)).join(', ')} for ${body.coversMl.length === 1 ? 'one film' : `one to ${body.coversMl.length} films`} of ${body.format}`
    return answer(one.line, says, before && tankCells(before), tankCells(body), {
      kind: 'tanks',
      id,
      version: before?.version ?? null,
      body,
    })
  }
}
