import { formulaToRecord } from './formulaExchange'
import { toCsv } from './csv'
import { bottlesOut } from './bottleExchange'
import { ledgerOut } from './ledgerExchange'
import { coatedOut, lampsOut } from './bench/coated'
import { swatchesOut } from './bench/swatches'
import { calibrationsOut } from './print/calibrations'
import { printsOut } from './print/prints'
import { enlargersOut, papersOut } from './print/stock'
import { shelvesOut, tanksOut } from './placeExchange'
import { testsOut } from './testExchange'
import type { ChartRecord, ExchangeKind, JarRecord } from './schemas'
import type { Present } from './understood'
import { amount, dilution, round } from './written'

/** What is there, as the records of a file. */
function recordsOf(kind: ExchangeKind, present: Present): object[] {
  const names = new Map(present.formulas.map((row) => [row.id, row.body.name]))
  const nameOf = (id: string) => names.get(id) ?? ''
  if (kind === 'formulas') return inOrder(present.formulas).map((row) => formulaToRecord(row.body, nameOf))
  if (kind === 'jars')
    return present.jars.map((jar): JarRecord => ({
      code: jar.code,
      chemical: jar.chemical,
      lot: jar.lot,
      place: jar.place,
      holds: amount(jar.grams, 'g'),
      ...(jar.openedAt === null ? {} : { opened: new Date(jar.openedAt).toISOString().slice(0, 10) }),
      ...(jar.assay === null ? {} : { assay: `${round(jar.assay * 100)} %` }),
      ...(jar.pricePerKg === null ? {} : { price_per_kg: jar.pricePerKg }),
      ...(jar.reorderG === null ? {} : { reorder_below: amount(jar.reorderG, 'g') }),
    }))
  if (kind === 'shelves') return shelvesOut(present)
  if (kind === 'tanks') return tanksOut(present)
  if (kind === 'bottles') return bottlesOut(present, nameOf)
  if (kind === 'ledger') return ledgerOut(present)
  if (kind === 'tests') return testsOut(present)
  if (kind === 'papers') return papersOut(present)
  if (kind === 'enlargers') return enlargersOut(present)
  if (kind === 'calibrations') return calibrationsOut(present)
  if (kind === 'prints') return printsOut(present)
  if (kind === 'swatches') return swatchesOut(present)
  if (kind === 'lamps') return lampsOut(present)
  if (kind === 'coated') return coatedOut(present)
  return present.chart.map((row): ChartRecord => ({
    film: row.film,
    formula: nameOf(row.formulaId),
    dilution: dilution(row.parts),
    ei: row.ei,
    temperature: amount(row.temperatureC, '°C'),
    time: amount(row.seconds, 's'),
    source: row.source,
    note: row.note,
  }))
}

/** Formulas so that what one is made of, or replenished from, stands before it: a file is read from its top. */
function inOrder(formulas: Present['formulas']): Present['formulas'] {
  const byId = new Map(formulas.map((row) => [row.id, row]))
  const done = new Set<string>()
  const add = (row: Present['formulas'][number]): Present['formulas'] => {
    if (done.has(row.id)) return []
    done.add(row.id)
    const needs = [...(row.body.combine ?? []).map((part) => part.formulaId), row.body.use.replenishment?.formulaId ?? '']
    return [...needs.flatMap((id) => byId.get(id) ?? []).flatMap(add), row]
  }
  return formulas.flatMap(add)
}

/**
 * The text of a file: JSON after docs/formats, or CSV.
 * @example
 * writeFile('shelves', 'csv', { formulas: [], jars: [], chart: [], shelves: [] }).split(',')[0] // → 'name'
 */
export function writeFile(kind: ExchangeKind, format: 'json' | 'csv', present: Present): string {
  const rows = recordsOf(kind, present)
  return format === 'csv' ? toCsv(kind, rows) : `${JSON.stringify({ format: `selvrin-${kind}`, version: 1, rows }, null, 2)}\n`
}
