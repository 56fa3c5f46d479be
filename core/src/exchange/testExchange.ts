import { guideOf } from '../proof/guide'
import { bottleFinder } from './bottleExchange'
import { cellReader } from './reader'
import { testRecord, type TestRecord } from './schemas'
import { shaped, wrong, type Present, type Reader } from './understood'
import { amount, given, moment, round } from './written'

export function testsOut(present: Present): TestRecord[] {
  const codes = new Map(present.bottles?.map((bottle) => [bottle.id, bottle.code]))
  return (present.tests ?? []).flatMap((proof) =>
    proof.bottleId === null || proof.takenBack
      ? []
      : [
          {
            id: proof.id,
            bottle: codes.get(proof.bottleId) ?? '',
            at: moment(proof.at),
            test: proof.kind,
            ...given('reading', proof.reading.value === undefined ? null : round(proof.reading.value)),
            ...given('seen', proof.reading.look),
            ...given('fresh_beside', proof.reading.fresh === undefined ? null : round(proof.reading.fresh)),
            ...given('temperature', proof.reading.celsius === undefined ? null : amount(proof.reading.celsius, '°C')),
            ...given('base_fog', proof.reading.base === undefined ? null : round(proof.reading.base)),
            ...given('kept_because', proof.reading.doubtful),
            ...(proof.reading.slowClearing === undefined ? {} : { slow_film: proof.reading.slowClearing }),
            ...(proof.reading.approximate ? { approximate: true } : {}),
            ...(proof.fresh ? { fresh: true } : {}),
            verdict: proof.judgement.verdict,
            ...given('note', proof.note),
          },
        ],
  )
}

/** Tests of bottles that are here; they are judged again when they are written. */
export function testReader(present: Present, newId: () => string): Reader {
  const find = bottleFinder(present)
  return (one) => {
    const shape = shaped(testRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const bottle = find(record.bottle, problems)
    const guide = guideOf(record.test)
    const look = read.text(record.seen)
    const value = read.number('reading', record.reading)
    if (look === '' && value === null) problems.push('reading: a test has a reading, or what was seen.')
    if (look !== '' && !guide.looks.some((known) => known.value === look))
      problems.push(`seen: ${guide.name} shows ${guide.looks.map((known) => known.value).join(', ') || 'a figure'}, not “${look}”.`)
    if (bottle && !guide.families.includes(bottle.family)) problems.push(`${guide.name} is no test of ${bottle.label}.`)
    const body = {
      bottleId: bottle?.id ?? '',
      test: record.test,
      at: read.moment('at', record.at),
      value: look === '' ? value : null,
      look: look === '' ? null : look,
      freshBeside: read.number('fresh_beside', record.fresh_beside),
      celsius: read.quantity('temperature', record.temperature, 'temperature'),
      slowClearing: read.text(record.slow_film) === '' ? null : read.yes(record.slow_film),
      base: read.number('base_fog', record.base_fog),
      doubtful: read.text(record.kept_because) || null,
      approximate: read.yes(record.approximate),
      fresh: read.yes(record.fresh),
      note: read.text(record.note),
    }
    const id = read.id('id', record.id) ?? newId()
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${bottle?.label ?? ''}: ${guide.name}, ${look || value}`
    return { line: one.line, state: 'new', says, changes: [], problems, notes: [], row: { kind: 'tests', id, body } }
  }
}
