import { guideOf } from '../proof/guide'
import { showParts, showVolume } from '../quantity/format'
import { cellReader } from './reader'
import { bottleRecord, ledgerRecord, testRecord, type BottleRecord, type LedgerRecord, type TestRecord } from './schemas'
import { shaped, wrong, type Present, type Reader } from './understand'

const round = (value: number): number => Number(value.toFixed(4))
const codePattern = /^[2-9A-HJKMNP-Z]{6}$/
const idPattern = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i
const moment = (at: number): string => new Date(at).toISOString()
const sayTrue = (cell: unknown): boolean => /^(true|yes|1)$/i.test(String(cell ?? ''))

/** Bottles as the records of a file; what they hold and went through is their ledger's, a file of its own. */
export const bottlesOut = (present: Present, nameOf: (formulaId: string) => string): BottleRecord[] =>
  (present.bottles ?? []).map((bottle) => {
    const shelf = present.shelves?.find((one) => one.id === bottle.shelfId)
    return {
      code: bottle.code,
      label: bottle.label,
      formula: nameOf(bottle.formulaId),
      dilution: bottle.parts === null ? 'stock' : bottle.parts.join('+'),
      size: `${round(bottle.sizeMl)} ml`,
      made: moment(bottle.madeAt),
      ...(shelf ? { shelf: shelf.name } : {}),
      ...(bottle.retiredAt === null ? {} : { retired: moment(bottle.retiredAt), retired_because: bottle.retiredWhy ?? '' }),
    }
  })

/** Lines of the ledgers; tests go into a file of their own, with what was read. */
export function ledgerOut(present: Present): LedgerRecord[] {
  const tests = new Set(present.ledger?.flatMap((line) => (line.kind === 'test' ? [line.id] : [])))
  const codes = new Map(present.bottles?.map((bottle) => [bottle.id, bottle.code]))
  const lines = (present.ledger ?? []).filter((line) => !tests.has(line.id) && !(line.reverses !== null && tests.has(line.reverses)))
  return lines.map((line) => ({
    id: line.id,
    bottle: codes.get(line.bottleId) ?? '',
    at: moment(line.at),
    what: line.kind,
    change: `${round(line.ml)} ml`,
    ...(line.rolls > 0 ? { rolls: round(line.rolls) } : {}),
    ...(line.paper > 0 ? { prints: round(line.paper) } : {}),
    ...(line.colourRolls > 0 ? { colour_rolls: round(line.colourRolls) } : {}),
    ...(line.waterInMl > 0 ? { water_in: `${round(line.waterInMl)} ml` } : {}),
    ...(line.reverses === null ? {} : { takes_back: line.reverses }),
    by: line.by,
    ...(line.note ? { note: line.note } : {}),
  }))
}

export function testsOut(present: Present): TestRecord[] {
  const codes = new Map(present.bottles?.map((bottle) => [bottle.id, bottle.code]))
  return (present.tests ?? []).flatMap((proof) =>
    proof.bottleId === null
      ? []
      : [
          {
            id: proof.id,
            bottle: codes.get(proof.bottleId) ?? '',
            at: moment(proof.at),
            test: proof.kind,
            ...(proof.reading.value === undefined ? {} : { reading: round(proof.reading.value) }),
            ...(proof.reading.look === undefined ? {} : { seen: proof.reading.look }),
            ...(proof.reading.celsius === undefined ? {} : { temperature: `${round(proof.reading.celsius)} °C` }),
            ...(proof.fresh ? { fresh: true } : {}),
            verdict: proof.judgement.verdict,
            ...(proof.note ? { note: proof.note } : {}),
          },
        ],
  )
}

/** New bottles, with the code on their label where the file gives one; what is here already stays as its ledger has it. */
export function bottleReader(present: Present, newId: () => string): Reader {
  const there = new Map(present.bottles?.map((bottle) => [bottle.code, bottle]))
  const formulas = new Map(present.formulas.map((row) => [row.body.name.toLowerCase(), row]))
  const shelves = new Map(present.shelves?.map((shelf) => [shelf.name.toLowerCase(), shelf.id]))
  const seen = new Map<string, number>()
  return (one) => {
    const shape = shaped(bottleRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const code = read.text(record.code).toUpperCase()
    const formula = formulas.get(read.needText('formula', record.formula).toLowerCase())
    if (!formula && record.formula) problems.push(`There is no formula “${record.formula}” here. Import it first, or correct its name.`)
    if (code !== '' && !codePattern.test(code)) problems.push(`code: six of the letters and digits of our labels, not “${code}”.`)
    const parts = read.parts('dilution', record.dilution)
    const shelf = read.text(record.shelf)
    const shelfId = shelf === '' ? null : (shelves.get(shelf.toLowerCase()) ?? null)
    const body = {
      code: code === '' ? null : code,
      formulaId: formula?.id ?? '',
      parts: parts.length === 1 ? null : parts,
      sizeMl: read.needQuantity('size', record.size, 'volume'),
      madeAt: read.moment('made', record.made),
      shelfId,
    }
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${code || 'a new bottle'}, ${formula?.body.name ?? ''}, ${showParts(parts)}, ${showVolume(body.sizeMl)}`
    const earlier = code === '' ? undefined : seen.get(code)
    if (earlier !== undefined) return wrong(one.line, says, [`Line ${earlier} has a bottle of that code already.`])
    if (code !== '') seen.set(code, one.line)
    const known = there.has(code)
    const notes = shelf !== '' && shelfId === null ? [`There is no shelf “${shelf}” here: it will stand on none.`] : []
    const understood = { line: one.line, says, changes: [], problems, notes }
    return known
      ? { ...understood, state: 'same', row: null }
      : { ...understood, state: 'new', row: { kind: 'bottles', id: newId(), body } }
  }
}

/** Finds a bottle by the code on its label, or says that there is none. */
function bottleFinder(present: Present) {
  const byCode = new Map(present.bottles?.map((bottle) => [bottle.code, bottle]))
  return (cell: string | undefined, problems: string[]) => {
    const code = (cell ?? '').trim().toUpperCase()
    const bottle = byCode.get(code)
    if (!bottle) problems.push(`No bottle here carries the code “${code}”. Import the bottles first.`)
    return bottle
  }
}

const ownId = (text: string, problems: string[], newId: () => string): string => {
  if (text === '') return newId()
  if (!idPattern.test(text)) problems.push('id: leave it out, or keep it as it was written here.')
  return text.toLowerCase()
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
    const reverses = read.text(record.takes_back)
    const body = {
      bottleId: bottle?.id ?? '',
      what: record.what,
      at: read.moment('at', record.at),
      ml: read.change('change', record.change),
      rolls: read.number('rolls', record.rolls) ?? 0,
      paper: read.number('prints', record.prints) ?? 0,
      colourRolls: read.number('colour_rolls', record.colour_rolls) ?? 0,
      waterInMl: read.quantity('water_in', record.water_in, 'volume') ?? 0,
      reverses: reverses === '' ? null : reverses.toLowerCase(),
      note: read.text(record.note),
    }
    if ((record.what === 'reverse') !== (reverses !== ''))
      problems.push('takes_back: belongs to a line that takes one back, and only to that.')
    if (reverses !== '' && !idPattern.test(reverses)) problems.push('takes_back: the id of a line, as it was written here.')
    const id = ownId(read.text(record.id), problems, newId)
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${bottle?.label ?? ''}: ${record.what.replace('-', ' ')}, ${body.ml < 0 ? '−' : ''}${showVolume(Math.abs(body.ml))}${body.rolls > 0 ? `, ${body.rolls} rolls` : ''}`
    return { line: one.line, state: 'new', says, changes: [], problems, notes: [], row: { kind: 'ledger', id, body } }
  }
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
      celsius: read.quantity('temperature', record.temperature, 'temperature'),
      fresh: sayTrue(record.fresh),
      note: read.text(record.note),
    }
    const id = ownId(read.text(record.id), problems, newId)
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${bottle?.label ?? ''}: ${guide.name.toLowerCase()}, ${look || value}`
    return { line: one.line, state: 'new', says, changes: [], problems, notes: [], row: { kind: 'tests', id, body } }
  }
}
