import { readSteps } from '../bottle/compensationSteps'
import { catalogue as builtIn } from '../chemical/catalogue'
import { namesOf } from '../chemical/names'
import type { Catalogue, Chemical } from '../chemical/chemical'
import { DomainError } from '../error'
import { parseQuantity } from '../quantity/parseQuantity'
import { parseRatio } from '../quantity/parseRatio'
import type { QuantityKind } from '../quantity/units'

const idPattern = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i
type Cell = string | number | boolean | undefined

/** Reads the cells of one record; what cannot be read is kept as a sentence and read as its fallback. */
export function cellReader(problems: string[]) {
  const blank = (cell: Cell): boolean => cell === undefined || String(cell).trim() === ''
  const attempt = <T>(field: string, work: () => T, instead: T): T => {
    try {
      return work()
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      problems.push(`${field}: ${error.message}`)
      return instead
    }
  }
  const need = (field: string): void => void problems.push(`${field} is missing.`)
  const read = {
    text: (cell: Cell): string => (cell === undefined ? '' : String(cell).trim()),
    needText: (field: string, cell: Cell): string => {
      if (blank(cell)) need(field)
      return read.text(cell)
    },
    quantity: (field: string, cell: Cell, kind: QuantityKind): number | null =>
      blank(cell) ? null : attempt(field, () => quantityOf(cell, kind), null),
    needQuantity: (field: string, cell: Cell, kind: QuantityKind): number => {
      if (blank(cell)) {
        need(field)
        return 0
      }
      return read.quantity(field, cell, kind) ?? 0
    },
    yes: (cell: Cell): boolean => /^(true|yes|1)$/i.test(read.text(cell)),
    number: (field: string, cell: Cell): number | null => (blank(cell) ? null : attempt(field, () => plain(cell), null)),
    percent: (field: string, cell: Cell): number | null => {
      if (blank(cell)) return null
      const value = attempt(field, () => plain(String(cell).replace('%', '')), 0)
      return String(cell).includes('%') || value > 1.2 ? value / 100 : value
    },
    parts: (field: string, cell: Cell): number[] => {
      const written = read.text(cell)
      if (written === '' || /^(stock|undiluted|1)$/i.test(written)) return [1]
      return attempt(field, () => {
        const ratio = parseRatio(written)
        if (ratio.ambiguous)
          throw new DomainError(
            'not-a-ratio',
            `“${written}” is read in two ways: write ${ratio.parts.join('+')} if that many parts are added.`,
          )
        return ratio.parts
      }, [1])
    },
    /** a day (noon, UTC) or a moment with its zone */
    moment: (field: string, cell: Cell): number => {
      const written = read.text(cell)
      const at = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2}))?$/.test(written)
        ? Date.parse(written.includes('T') ? written : `${written}T12:00:00Z`)
        : NaN
      if (written === '') need(field)
      else if (Number.isNaN(at)) problems.push(`${field}: write it as 2026-04-14 or 2026-04-14T18:30:00Z, not “${written}”.`)
      return Number.isNaN(at) ? 0 : at
    },
    /** figures of at least 0 with semicolons between them, as many as they have names */
    figures: (field: string, cell: Cell, names: string[]): number[] | null => {
      if (blank(cell)) return null
      const cells = read.text(cell).split(';')
      if (cells.length !== names.length) {
        problems.push(`${field}: write ${names.join('; ')}, not “${String(cell)}”.`)
        return null
      }
      return cells.map((one) => attempt(field, () => plain(one), 0))
    },
    /** a cell of its own grammar, read by what reads it */
    as: <T>(field: string, cell: Cell, reading: (text: string) => T, instead: T): T =>
      attempt(field, () => reading(read.text(cell)), instead),
    /** steps of a compensated bath */
    steps: (field: string, cell: Cell) => (blank(cell) ? null : attempt(field, () => readSteps(String(cell)), null)),
    /** an id of ours, as it was written out; null where it is left out */
    id: (field: string, cell: Cell): string | null => {
      const written = read.text(cell)
      if (written !== '' && !idPattern.test(written)) problems.push(`${field}: leave it out, or keep it as it was written here.`)
      return written === '' ? null : written.toLowerCase()
    },
    /** a change of volume in ml, which may be negative */
    change: (field: string, cell: Cell): number => {
      const written = read.text(cell)
      if (written === '') {
        need(field)
        return 0
      }
      const away = /^[-−]/.test(written)
      return (away ? -1 : 1) * (read.quantity(field, away ? written.slice(1).trim() : written.replace(/^\+/, ''), 'volume') ?? 0)
    },
    date: (field: string, cell: Cell): number | null => {
      if (blank(cell)) return null
      const at = /^\d{4}-\d{2}-\d{2}$/.test(read.text(cell)) ? Date.parse(`${read.text(cell)}T12:00:00Z`) : NaN
      if (Number.isNaN(at)) problems.push(`${field}: write the date as 2026-04-14, not “${read.text(cell)}”.`)
      return Number.isNaN(at) ? null : at
    },
  }
  return read
}

/** A number of a JSON file is g, ml, °C or s; a text may come from anywhere, so 1.000 in it is asked about. */
function quantityOf(cell: Cell, kind: QuantityKind): number {
  if (typeof cell !== 'number') return parseQuantity(String(cell), kind)
  return parseQuantity(`${cell}${kind === 'time' ? ' s' : ''}`, kind, { decimal: 'point' })
}

function plain(cell: Cell): number {
  const value = Number(String(cell).trim().replace(',', '.'))
  if (!Number.isFinite(value) || value < 0) throw new DomainError('not-a-number', `“${String(cell)}” is no number of at least 0.`)
  return value
}

/** A chemical by its id or its name, whatever the case. */
export function chemicalNamed(text: string, catalogue: Catalogue = builtIn): Chemical | undefined {
  const wanted = text.trim().toLowerCase()
  if (Object.hasOwn(catalogue, wanted)) return catalogue[wanted]
  const named = Object.values(catalogue).find((one) => one.name.toLowerCase() === wanted)
  if (named) return named
  // by another name or its CAS number, where only one is called that
  const called = Object.values(catalogue).filter((one) => {
    const { others, cas } = namesOf(one.id)
    return cas === wanted || others.some((name) => name.toLowerCase() === wanted)
  })
  return called.length === 1 ? called[0] : undefined
}
