import type { Swatch } from '../../contract/tone'
import { DomainError } from '../../error'
import { requireSwatch, swatchBody } from '../../tone/swatch'
import { readFigures, showFigures } from '../print/cells'
import { cellReader } from '../reader'
import { fits } from '../settled'
import { shaped, wrong, type Present, type Reader } from '../understood'
import { amount, given, moment } from '../written'
import { swatchRecord, type SwatchRecord } from './records'

/** Strips of the swatch book, the oldest first. */
export const swatchesOut = ({ swatches = [] }: Present): SwatchRecord[] =>
  [...swatches].reverse().map(({ id, at, by, body }: Swatch) => ({
    ...{ id, at: moment(at), toner: body.toner, ...given('dilution', body.dilution), ...given('bleached', body.bleaching) },
    ...given('ratio', body.ratio && showFigures([body.ratio.thiourea, body.ratio.hydroxide], ' / ')),
    ...given('bleach_time', body.bleachS === null ? null : amount(body.bleachS, 's')),
    ...given('tone_time', body.toneS === null ? null : amount(body.toneS, 's')),
    ...{ paper: body.paper, ...given('note', body.note), by },
  }))

function ratioOf(cell: string): { thiourea: number; hydroxide: number } | null {
  if (cell === '') return null
  const [thiourea, hydroxide] = readFigures(cell, '/')
  if (thiourea === undefined || hydroxide === undefined) throw new DomainError('not-a-cell', `“${cell}” is not read here: write 80 / 40.`)
  return { thiourea, hydroxide }
}

/** Strips of another house, or of here; what is here already is passed over. */
export function swatchReader(present: Present, newId: () => string): Reader {
  const there = new Set(present.swatches?.map((one) => one.id))
  return (one) => {
    const shape = shaped(swatchRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const id = read.id('id', record.id)
    const wanted = {
      ...{ toner: record.toner, ratio: read.as('ratio', record.ratio, ratioOf, null), dilution: read.number('dilution', record.dilution) },
      ...{ bleaching: record.bleached ? record.bleached : null, paper: read.text(record.paper), note: read.text(record.note) },
      bleachS: read.quantity('bleach_time', record.bleach_time, 'time'),
      toneS: read.quantity('tone_time', record.tone_time, 'time'),
    }
    const at = read.moment('at', record.at)
    const body = problems.length > 0 ? null : fits(swatchBody, wanted, problems)
    if (body) read.as('toner', '', () => requireSwatch(body), undefined)
    if (!body || problems.length > 0) return wrong(one.line, read.text(record.paper), problems)
    const isHere = id !== null && there.has(id)
    if (id !== null) there.add(id)
    const row = isHere ? null : { kind: 'swatches' as const, id: id ?? newId(), at, body }
    const says = `${record.toner}${record.ratio ? `, ${record.ratio}` : ''} on ${body.paper}`
    return { line: one.line, state: isHere ? 'same' : 'new', says, changes: [], problems: [], notes: [], row }
  }
}
