import { z } from 'zod'
import { dropMl, coatPer1000Cm2 } from '../../coat/coating'
import { uvLampBody, type UvLampBody } from '../../coat/light'
import { coatedBody, requireCoated } from '../../coat/sheet'
import { coatToldRow } from '../../coat/told'
import { coatStanding, requireCoatAct, type CoatTold } from '../../coat/standing'
import type { CoatedSheet, UvLamp } from '../../contract/coat'
import { DomainError } from '../../error'
import { readSides, showSides } from '../print/cells'
import { cellReader } from '../reader'
import { answer, fits, settler } from '../settled'
import { shaped, wrong, type Present, type Reader } from '../understood'
import { amount, given, moment, round } from '../written'
import { coatedRecord, lampRecord, type CoatedRecord, type LampRecord } from './records'

const lampCells = (body: UvLampBody): LampRecord => ({
  ...{ name: body.name, kind: body.kind, watts: round(body.watts), ...given('width', body.bankCm), hours: round(body.hours) },
  ...given('uv_meter', body.measured === null ? null : `${round(100 * body.measured)} %`),
  ...given('note', body.note),
})
export const lampsOut = ({ lamps = [] }: Present): LampRecord[] => lamps.map(({ body }: UvLamp) => lampCells(body))

/** UV lamps by their names. */
export function lampReader(present: Present, newId: () => string): Reader {
  const settle = settler(
    (present.lamps ?? []).map((one) => ({ ...one, name: one.body.name })),
    newId,
  )
  return (one) => {
    const shape = shaped(lampRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const name = read.needText('name', record.name)
    const { before, id, wrongly } = settle(one.line, name)
    const wanted = {
      ...{ name: before?.name ?? name, kind: record.kind, watts: read.number('watts', record.watts) },
      ...{ bankCm: read.number('width', record.width), hours: read.number('hours', record.hours) ?? before?.body.hours ?? 0 },
      ...{ measured: read.percent('uv_meter', record.uv_meter), note: read.text(record.note) },
    }
    const body = problems.length > 0 ? null : fits(uvLampBody, wanted, problems)
    if (!body || wrongly) return wrong(one.line, name, [...problems, ...(wrongly ? [wrongly] : [])])
    const row = { kind: 'lamps' as const, id, version: before?.version ?? null, body }
    return answer(one.line, `${body.name}: ${body.watts} W`, before && lampCells(before.body), lampCells(body), row)
  }
}

/** Hand-coated prints, the newest first. */
export const coatedOut = ({ coated = [] }: Present): CoatedRecord[] =>
  coated.map(({ id, at, member, memberId, body, acts }: CoatedSheet) => {
    const { exposed, said } = coatStanding(body.process, acts)
    return {
      ...{ id, title: body.title, ...(memberId === null ? {} : { member }), begun: moment(at), process: body.process },
      ...{ ...given('negative', body.negative), ...given('range', body.range), size: showSides(body.widthCm, body.heightCm) },
      ...{ strips: body.strips, coated_with: body.coatedWith, coats: body.coats, takes: round(body.mlPer1000) },
      ...{ drops_in_ml: round(1 / body.dropMl), ...given('contrast', body.contrast), platinum_drops: body.platinumDrops },
      ...{ paper: body.paper, ...given('paper_price', body.paperPrice) },
      ...{ ...given('exposed', exposed && amount(exposed.seconds, 's')), ...given('said', said) },
      ...(acts.length === 0
        ? {}
        : { acts: JSON.stringify(acts.map(({ at: when, act, light, cost }) => ({ at: when, act, light, cost }))) }),
    }
  })

type Read = ReturnType<typeof cellReader>
/** What was done with it, one after another as it can have been. */
function actsOf(record: CoatedRecord, process: CoatedRecord['process']): z.infer<typeof coatToldRow>[] {
  const text = (record.acts ?? '').trim()
  if (text === '') return []
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw new DomainError('not-a-cell', 'Leave it out, or keep it as it was written here.')
  }
  const parsed = z.array(coatToldRow).max(200).safeParse(json)
  if (!parsed.success) throw new DomainError('not-a-cell', 'Leave it out, or keep it as it was written here.')
  const told: CoatTold[] = []
  for (const one of parsed.data) {
    requireCoatAct(process, coatStanding(process, told), one.act)
    told.push(one)
  }
  return parsed.data
}
function bodyOf(record: CoatedRecord, read: Read): unknown {
  const [widthCm, heightCm] = read.as('size', record.size, readSides, [1, 1])
  return {
    ...{ title: read.needText('title', record.title), process: record.process, negative: read.text(record.negative) },
    ...{ range: read.number('range', record.range), widthCm, heightCm, strips: read.number('strips', record.strips) ?? 0 },
    ...{ coatedWith: record.coated_with, coats: read.number('coats', record.coats) ?? 1 },
    mlPer1000: read.number('takes', record.takes) ?? coatPer1000Cm2.usual,
    dropMl: 1 / (read.number('drops_in_ml', record.drops_in_ml) ?? 1 / dropMl),
    ...{ contrast: record.contrast ? record.contrast : null, platinumDrops: read.number('platinum_drops', record.platinum_drops) ?? 0 },
    ...{ paper: read.needText('paper', record.paper), paperPrice: read.number('paper_price', record.paper_price) },
  }
}

/** Hand-coated prints; one whose id is here is passed over. */
export function coatedReader(present: Present, newId: () => string): Reader {
  const there = new Set(present.coated?.map((one) => one.id))
  return (one) => {
    const shape = shaped(coatedRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const id = read.id('id', record.id)
    const member = read.text(record.member)
    const owner = present.people?.find((person) => person.name.toLowerCase() === member.toLowerCase())
    if (member !== '' && !owner) problems.push(`member: nobody here is called “${member}”. Leave it out, or invite them first.`)
    const at = read.moment('begun', record.begun)
    const body = fits(coatedBody, bodyOf(record, read), problems)
    if (body) read.as('contrast', '', () => requireCoated(body), undefined)
    const acts = read.as('acts', '', () => actsOf(record, record.process), [])
    if (!body || problems.length > 0) return wrong(one.line, record.title, [...new Set(problems)].slice(0, 4))
    const isHere = id !== null && there.has(id)
    if (id !== null) there.add(id)
    const row = isHere ? null : { kind: 'coated' as const, id: id ?? newId(), body: { memberId: owner?.id ?? null, at, body, acts } }
    return {
      line: one.line,
      state: isHere ? 'same' : 'new',
      says: `${body.title}, ${body.process}`,
      changes: [],
      problems: [],
      notes: [],
      row,
    }
  }
}
