import type { z } from 'zod'
import type { Bottle, LedgerLine } from '../contract/bottle'
import type { CoatedSheet, UvLamp } from '../contract/coat'
import type { Swatch } from '../contract/tone'
import type { ChartRow } from '../contract/chart'
import type { FormulaRow } from '../contract/formula'
import type { ImportRow } from '../contract/import'
import type { Jar } from '../contract/jar'
import type { Vessel } from '../contract/run'
import type { Shelf } from '../contract/shelf'
import type { Proof } from '../contract/proof'
import type { BoxOfPaper, CalibrationRow, Enlarger, Paper, PrintSheet, PrintTryRow } from '../contract/trays'
import type { FileRecord } from './csv'
import { schemaSentence } from '../contract/sentences'

/** What is there already, to say what an import would change. */
export interface Present {
  formulas: Pick<FormulaRow, 'id' | 'version' | 'body'>[]
  jars: Jar[]
  chart: ChartRow[]
  /** for bottles, their ledger and their tests */
  bottles?: Pick<
    Bottle,
    | 'id'
    | 'code'
    | 'label'
    | 'formulaId'
    | 'parts'
    | 'sizeMl'
    | 'madeAt'
    | 'shelfId'
    | 'retiredAt'
    | 'retiredWhy'
    | 'family'
    | 'batchId'
    | 'ph'
    | 'use'
    | 'ownUse'
  >[]
  shelves?: Pick<Shelf, 'id' | 'version' | 'name' | 'celsius'>[]
  tanks?: Pick<Vessel, 'id' | 'version' | 'name' | 'kind' | 'format' | 'coversMl' | 'carryMl'>[]
  ledger?: LedgerLine[]
  /** for the print room */
  papers?: Paper[]
  boxes?: BoxOfPaper[]
  enlargers?: Enlarger[]
  calibrations?: CalibrationRow[]
  prints?: { sheet: PrintSheet; tries: PrintTryRow[] }[]
  swatches?: Swatch[]
  lamps?: UvLamp[]
  coated?: CoatedSheet[]
  people?: { id: string; name: string }[]
  tests?: Proof[]
}

/** One record of a file, as it was understood. */
export interface Understood {
  line: number
  state: 'new' | 'changed' | 'same' | 'wrong'
  /** in words, amounts with their units */
  says: string
  changes: { what: string; from: string; to: string }[]
  problems: string[]
  /** worth knowing, not in the way */
  notes: string[]
  /** findings it is not written with short of a reason */
  grave?: string[]
  /** what would be written; null where nothing would */
  row: ImportRow | null
}

export type Reader = (one: FileRecord) => Understood

export const wrong = (line: number, says: string, problems: string[]): Understood => ({
  line,
  state: 'wrong',
  says,
  changes: [],
  problems,
  notes: [],
  row: null,
})

export function shaped<T extends z.ZodType>(schema: T, { line, record }: FileRecord): { record: z.output<T> } | Understood {
  const parsed = schema.safeParse(record, { error: schemaSentence })
  if (parsed.success) return { record: parsed.data }
  return wrong(
    line,
    '',
    parsed.error.issues.slice(0, 3).map((issue) => `${issue.path.join(', ') || 'line'}: ${issue.message}`),
  )
}

/** Differences of two records field by field, in words. */
export function differences(before: Record<string, unknown>, after: Record<string, unknown>): Understood['changes'] {
  const show = (value: unknown): string =>
    value === undefined || value === '' ? 'nothing' : typeof value === 'object' ? JSON.stringify(value) : String(value)
  return [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter((key) => JSON.stringify(before[key]) !== JSON.stringify(after[key]))
    .map((what) => ({ what, from: show(before[what]), to: show(after[what]) }))
}
