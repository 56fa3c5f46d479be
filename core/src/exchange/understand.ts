import type { ChartRow } from '../contract/chart'
import type { Jar } from '../contract/jar'
import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { DomainError } from '../error'
import { showMass, showParts, showTemperature, showTime, showVolume } from '../quantity/format'
import { fromCsv, type FileRecord } from './csv'
import { formulaToRecord, recordToFormula } from './formulaExchange'
import { bottleReader } from './bottleExchange'
import { ledgerReader } from './ledgerExchange'
import { coatedReader, lampReader } from './bench/coated'
import { swatchReader } from './bench/swatches'
import { calibrationReader } from './print/calibrations'
import { printReader } from './print/prints'
import { enlargerReader, paperReader } from './print/stock'
import { shelfReader, tankReader } from './placeExchange'
import { testReader } from './testExchange'
import { differences, shaped, wrong, type Present, type Reader } from './understood'
import { cellReader, chemicalNamed } from './reader'
import {
  chartRecord,
  exchangeFiles,
  formulaRecord,
  jarRecord,
  type ChartRecord,
  type ExchangeKind,
  type FormulaRecord,
  type JarRecord,
} from './schemas'

/**
 * The records of a file. JSON that is no file of that kind throws `not-this-format`.
 * @example
 * readFile('shelves', 'name,temperature\nFilm bench,20 °C').length // → 1
 */
export function readFile(kind: ExchangeKind, text: string): FileRecord[] {
  if (!/^\s*[{[]/.test(text.replace(/^\uFEFF/, ''))) return fromCsv(kind, text)
  let json: unknown
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    throw new DomainError('not-this-format', 'This is neither CSV nor complete JSON. Save it again from where it came.')
  }
  const head = exchangeFiles[kind].pick({ format: true, version: true }).safeParse(json)
  const rows = (json as { rows?: unknown }).rows
  if (!head.success || !Array.isArray(rows))
    throw new DomainError('not-this-format', `This JSON is no “selvrin-${kind}” file of version 1: see docs/formats.`)
  return rows.map((record, i) => ({ line: i + 1, record: record as Record<string, unknown> }))
}

/**
 * Reads the records of one kind against what is there. `newId` makes ids for what is new. Matched by name, by code, or by film, developer, index and temperature.
 * @example
 * understander('shelves', { formulas: [], jars: [], chart: [], shelves: [] }, () => 'new').length // → 1
 */
export function understander(kind: ExchangeKind, present: Present, newId: () => string, catalogue: Catalogue = builtIn): Reader {
  if (kind === 'chart') return chartReader(present, newId)
  if (kind === 'shelves') return shelfReader(present, newId)
  if (kind === 'tanks') return tankReader(present, newId)
  if (kind === 'bottles') return bottleReader(present, newId)
  if (kind === 'ledger') return ledgerReader(present, newId)
  if (kind === 'tests') return testReader(present, newId)
  if (kind === 'papers') return paperReader(present, newId)
  if (kind === 'enlargers') return enlargerReader(present, newId)
  if (kind === 'calibrations') return calibrationReader(present, newId)
  if (kind === 'prints') return printReader(present, newId)
  if (kind === 'swatches') return swatchReader(present, newId)
  if (kind === 'lamps') return lampReader(present, newId)
  if (kind === 'coated') return coatedReader(present, newId)
  return kind === 'jars' ? jarReader(present, newId, catalogue) : formulaReader(present, newId, catalogue)
}

const chartKey = (row: Pick<ChartRow, 'film' | 'formulaId' | 'parts' | 'ei' | 'temperatureC'>): string =>
  [row.film.toLowerCase(), row.formulaId, row.parts.join('+'), row.ei, row.temperatureC].join('|')

function chartReader(present: Present, newId: () => string): Reader {
  const byName = new Map(present.formulas.map((row) => [row.body.name.toLowerCase(), row.id]))
  const there = new Map(present.chart.map((row) => [chartKey(row), row]))
  const seen = new Map<string, number>()
  return (one) => {
    const shape = shaped(chartRecord, one)
    if (!('record' in shape)) return shape
    const record: ChartRecord = shape.record
    const problems: string[] = []
    const read = cellReader(problems)
    const formulaId = byName.get(read.needText('formula', record.formula).toLowerCase())
    if (formulaId === undefined && record.formula)
      problems.push(`There is no formula “${record.formula}” here. Import it first, or correct its name.`)
    const body = {
      film: read.needText('film', record.film),
      formulaId: formulaId ?? '',
      parts: read.parts('dilution', record.dilution),
      ei: read.number('ei', record.ei) ?? 0,
      temperatureC: read.needQuantity('temperature', record.temperature, 'temperature'),
      seconds: read.needQuantity('time', record.time, 'time'),
      source: read.text(record.source),
      note: read.text(record.note),
    }
    const before = there.get(chartKey(body))
    // what a file leaves blank stays as it is
    if (before) {
      body.source ||= before.source
      body.note ||= before.note
    }
    if (problems.length === 0 && !(Number.isInteger(body.ei) && body.ei > 0))
      problems.push('ei: an exposure index is a whole number above 0.')
    if (problems.length === 0 && !(body.seconds > 0)) problems.push('time: a developing time is more than nothing.')
    const says = `${body.film} at EI ${body.ei} in ${record.formula} ${showParts(body.parts)}: ${showTime(body.seconds)} at ${showTemperature(body.temperatureC)}`
    if (problems.length > 0) return wrong(one.line, '', problems)
    const key = chartKey(body)
    const earlier = seen.get(key)
    if (earlier !== undefined) return wrong(one.line, says, [`Line ${earlier} says the time for the same already.`])
    seen.set(key, one.line)
    const changes = before
      ? differences(
          { time: showTime(before.seconds), source: before.source, note: before.note },
          { time: showTime(body.seconds), source: body.source, note: body.note },
        )
      : []
    const state = !before ? 'new' : changes.length > 0 ? 'changed' : 'same'
    return {
      line: one.line,
      state,
      says,
      changes,
      problems,
      notes: [],
      row:
        state === 'same'
          ? null
          : { kind: 'chart', id: before?.id ?? newId(), isNew: !before, ...(before ? { version: before.version } : {}), body },
    }
  }
}

function jarReader(present: Present, newId: () => string, catalogue: Catalogue): Reader {
  const byCode = new Map(present.jars.map((jar) => [jar.code, jar]))
  return (one) => {
    const shape = shaped(jarRecord, one)
    if (!('record' in shape)) return shape
    const record: JarRecord = shape.record
    const problems: string[] = []
    const read = cellReader(problems)
    const chemical = chemicalNamed(read.needText('chemical', record.chemical), catalogue)
    if (!chemical && record.chemical) problems.push(`“${record.chemical}” is not in the catalogue of chemicals.`)
    const code = read.text(record.code).toUpperCase()
    const before = code === '' ? undefined : byCode.get(code)
    if (code !== '' && !before) problems.push(`No jar here carries the code ${code}. Leave the code out for a new jar.`)
    if (before && chemical && before.chemical !== chemical.id)
      problems.push(`The jar ${code} holds ${catalogue[before.chemical]?.name ?? before.chemical}, not ${chemical.name}.`)
    // a liquid may be written in ml
    const inMl = chemical?.densityGPerMl !== undefined && /(ml|cc|cl|l|gal)$/i.test(read.text(record.holds))
    const amount = read.needQuantity('holds', record.holds, inMl ? 'volume' : 'mass')
    const grams = inMl ? amount * (chemical?.densityGPerMl ?? 1) : amount
    const body = {
      chemical: chemical?.id ?? '',
      // what a file leaves blank stays as it is
      lot: read.text(record.lot) || (before?.lot ?? ''),
      place: read.text(record.place) || (before?.place ?? ''),
      openedAt: read.date('opened', record.opened) ?? before?.openedAt ?? null,
      assay: read.percent('assay', record.assay) ?? before?.assay ?? null,
      pricePerKg: read.number('price_per_kg', record.price_per_kg) ?? before?.pricePerKg ?? null,
      reorderG: read.quantity('reorder_below', record.reorder_below, 'mass') ?? before?.reorderG ?? null,
    }
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${chemical?.name ?? ''}, ${showMass(grams)}${body.lot ? `, lot ${body.lot}` : ''}${body.place ? `, ${body.place}` : ''}`
    const changes = before ? differences(jarFields({ ...before, grams: before.grams }), jarFields({ ...body, grams })) : []
    const state = !before ? 'new' : changes.length > 0 ? 'changed' : 'same'
    return {
      line: one.line,
      state,
      says,
      changes,
      problems,
      notes: [],
      row: state === 'same' ? null : { kind: 'jars', id: before?.id ?? newId(), version: before?.version ?? null, grams, body },
    }
  }
}

const day = (at: number | null): string => (at === null ? '' : new Date(at).toISOString().slice(0, 10))
const jarFields = (jar: Pick<Jar, 'grams' | 'lot' | 'place' | 'openedAt' | 'assay' | 'pricePerKg' | 'reorderG'>) => ({
  holds: showMass(jar.grams),
  lot: jar.lot,
  place: jar.place,
  opened: day(jar.openedAt),
  assay: jar.assay === null ? '' : `${Math.round(jar.assay * 1000) / 10} %`,
  price_per_kg: jar.pricePerKg === null ? '' : String(jar.pricePerKg),
  reorder_below: jar.reorderG === null ? '' : showMass(jar.reorderG),
})

const additionsIn = (count: number): string => (count === 0 ? 'nothing to weigh' : `${count} ${count === 1 ? 'addition' : 'additions'}`)

function formulaReader(present: Present, newId: () => string, catalogue: Catalogue): Reader {
  const byName = new Map(present.formulas.map((row) => [row.body.name.toLowerCase(), row]))
  const ids = new Map(present.formulas.map((row) => [row.body.name.toLowerCase(), row.id]))
  const names = new Map(present.formulas.map((row) => [row.id, row.body.name]))
  const seen = new Map<string, number>()
  return (one) => {
    const shape = shaped(formulaRecord, one)
    if (!('record' in shape)) return shape
    const record: FormulaRecord = shape.record
    const { body, problems, notes, grave } = recordToFormula(record, (name) => ids.get(name.toLowerCase()), catalogue)
    if (!body) return wrong(one.line, record.name, problems)
    const key = body.name.toLowerCase()
    const earlier = seen.get(key)
    if (earlier !== undefined) return wrong(one.line, body.name, [`Line ${earlier} has a formula of that name already.`])
    seen.set(key, one.line)
    const before = byName.get(key)
    const id = before?.id ?? newId()
    ids.set(key, id)
    names.set(id, body.name)
    const nameOf = (formulaId: string) => names.get(formulaId) ?? ''
    const changes = before ? differences(formulaToRecord(before.body, nameOf), formulaToRecord(body, nameOf)) : []
    const state = !before ? 'new' : changes.length > 0 ? 'changed' : 'same'
    const says = `${body.name}: ${showVolume(body.finalMl)}, ${additionsIn(body.additions.length)}${body.combine ? `, ${body.combine.length} parts` : ''}`
    return {
      line: one.line,
      state,
      says,
      changes,
      problems,
      notes,
      ...(state === 'same' || !grave || grave.length === 0 ? {} : { grave }),
      row: state === 'same' ? null : { kind: 'formulas', id, version: before?.version ?? null, body },
    }
  }
}
