import { countsOf, throughputFrom } from '../bottle/throughput'
import type { LedgerLine } from '../contract/bottle'
import { brought as broughtShape } from '../bottle/bottle'
import type { z } from 'zod'
import { showVolume } from '../quantity/format'
import { bottleFinder } from './bottleExchange'
import { cellReader } from './reader'
import { ledgerRecord, type LedgerRecord } from './schemas'
import { shaped, wrong, type Present, type Reader } from './understood'
import { amount, given, moment, round } from './written'

const testsBehindShape = broughtShape.pick({ tests: true, fixS: true, clearingTimes: true, clearingRead: true })
type TestsBehind = z.infer<typeof testsBehindShape>

/** Lines of the ledgers; tests go into a file of their own, with what was read. What a technician overruled is a line here. */
export function ledgerOut(present: Present): LedgerRecord[] {
  const isTest = (line: { kind: string; overrules: string | null }) => line.kind === 'test' && line.overrules === null
  const tests = new Set(present.ledger?.flatMap((line) => (isTest(line) ? [line.id] : [])))
  const codes = new Map(present.bottles?.map((bottle) => [bottle.id, bottle.code]))
  const lines = (present.ledger ?? []).filter((line) => !tests.has(line.id) && !(line.reverses !== null && tests.has(line.reverses)))
  return lines.map((line) => ({
    id: line.id,
    bottle: codes.get(line.bottleId) ?? '',
    at: moment(line.at),
    what: line.kind,
    change: amount(line.ml, 'ml'),
    ...through(line),
    ...(line.waterInMl > 0 ? { water_in: amount(line.waterInMl, 'ml') } : {}),
    ...given('stands_in', line.container),
    ...given('stands_at', line.celsius === null ? null : amount(line.celsius, '°C')),
    ...given(
      'brought',
      line.brings && [line.brings.strength, line.brings.rollsPerL, line.brings.silverGPerL, line.brings.aged].map(round).join('; '),
    ),
    ...given('brought_tests', testsBehind(line.brings)),
    ...given('bath', line.twoBath && [line.twoBath.position, line.twoBath.moves, moment(line.twoBath.since)].join('; ')),
    ...given('other', line.otherBottleId === null ? null : codes.get(line.otherBottleId)),
    ...given('together', line.groupId),
    ...given('overrules', line.overrules),
    ...given('takes_back', line.reverses),
    by: line.by,
    ...given('note', line.note),
  }))
}

/** What liquid was tested for before it came, as one cell; nothing where it was not. */
/** What went through, in the file's words. */
function through(line: LedgerLine): Pick<LedgerRecord, 'rolls' | 'prints' | 'colour_rolls'> {
  const { rolls, paper, colourRolls } = countsOf(line)
  return {
    ...(rolls > 0 ? { rolls: round(rolls) } : {}),
    ...(paper > 0 ? { prints: round(paper) } : {}),
    ...(colourRolls > 0 ? { colour_rolls: round(colourRolls) } : {}),
  }
}

function testsBehind(brings: LedgerLine['brings']): string | null {
  if (!brings) return null
  const { tests, fixS, clearingTimes, clearingRead } = brings
  return tests || fixS !== undefined || clearingTimes || clearingRead ? JSON.stringify({ tests, fixS, clearingTimes, clearingRead }) : null
}

function testsBehindOf(cell: string, problems: string[]): TestsBehind {
  if (cell === '') return {}
  try {
    return testsBehindShape.parse(JSON.parse(cell))
  } catch {
    problems.push('brought_tests: leave it out, or keep it as it was written here.')
    return {}
  }
}

function bathPlaceOf(read: ReturnType<typeof cellReader>, cell: string | undefined, problems: string[]) {
  const [place = '', moves = '', since = '', ...rest] = read.text(cell).split(/\s*;\s*/)
  if (place === '') return null
  const position = place === '1' ? (1 as const) : place === '2' ? (2 as const) : null
  if (position === null || !/^\d+$/.test(moves) || rest.length > 0) {
    problems.push(`bath: write which bath; moves behind it; since when, such as 2; 1; 2026-04-14, not “${cell}”.`)
    return null
  }
  return { position, moves: Number(moves), since: read.moment('bath', since) }
}

/** Lines for the ledgers of bottles that are here. */
export function ledgerReader(present: Present, newId: () => string): Reader {
  const find = bottleFinder(present)
  return (one) => {
    const shape = shaped(ledgerRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const bottle = find(record.bottle, problems)
    const reverses = read.id('takes_back', record.takes_back)
    const brought = read.figures('brought', record.brought, ['strength', 'rolls a litre', 'silver', 'age'])
    const [strength = 1, rollsPerL = 0, silverGPerL = 0, aged = 0] = brought ?? []
    const overrules = record.overrules || null
    const rolls = read.number('rolls', record.rolls) ?? 0
    const colourRolls = read.number('colour_rolls', record.colour_rolls) ?? 0
    if (colourRolls > rolls) problems.push('colour_rolls: of the rolls, no more can be colour than there are.')
    const body = {
      bottleId: bottle?.id ?? '',
      what: record.what,
      at: read.moment('at', record.at),
      ml: read.change('change', record.change),
      throughput: throughputFrom({ rolls, colourRolls, paper: read.number('prints', record.prints) ?? 0 }),
      waterInMl: read.quantity('water_in', record.water_in, 'volume') ?? 0,
      reverses,
      container: record.stands_in || null,
      celsius: read.quantity('stands_at', record.stands_at, 'temperature'),
      brings: brought && { strength, rollsPerL, silverGPerL, aged, ...testsBehindOf(read.text(record.brought_tests), problems) },
      twoBath: bathPlaceOf(read, record.bath, problems),
      otherBottleId: read.text(record.other) === '' ? null : (find(record.other, problems)?.id ?? null),
      groupId: read.id('together', record.together),
      overrules,
      note: read.text(record.note),
    }
    if ((record.what === 'reverse') !== (reverses !== null))
      problems.push('takes_back: belongs to a line that takes one back, and only to that.')
    if ((record.what === 'test') !== (overrules !== null))
      problems.push('overrules: a test stands in the file of tests; here only what a technician says against a failed one.')
    if (overrules !== null && body.note === '') problems.push('note: overruling a test needs its reason.')
    const id = read.id('id', record.id) ?? newId()
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${bottle?.label ?? ''}: ${record.what.replace('-', ' ')}, ${body.ml < 0 ? '−' : ''}${showVolume(Math.abs(body.ml))}${rolls > 0 ? `, ${rolls} rolls` : ''}`
    return { line: one.line, state: 'new', says, changes: [], problems, notes: [], row: { kind: 'ledger', id, body } }
  }
}
