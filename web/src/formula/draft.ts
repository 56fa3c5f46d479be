import {
  DomainError,
  parseNumber,
  parseQuantity,
  parseRatio,
  readKept,
  usualManner,
  withSign,
  writeExactly,
  type Formula,
  type FormulaUse,
  type Manner,
} from '@selvrin/core'
import { schemaSentence, formulaBody, type FormulaBody } from '@selvrin/core/contract'
import { catalogue } from '../chemical/chemistry'
import { emptySchool, readSchool, schoolDraftOf, type SchoolDraft } from './schoolDraft'

/** A formula as it is being typed: everything is text until it is read. */
export interface DraftLine {
  key: number
  chemical: string | null
  amount: string
  percent: string
  at: string
  note: string
  /** parts of the line that have no field here and stay as they were */
  kept: Pick<FormulaBody['additions'][number], 'role' | 'wholePack'>
}
export interface Draft {
  name: string
  family: FormulaBody['family'] | null
  purpose: string
  final: string
  start: string
  mix: string
  water: 'tap' | 'deionised' | null
  lines: DraftLine[]
  parts: { part: string; formulaId: string | null }[]
  school: SchoolDraft
  dilutions: string
  full: string
  half: string
  working: string
  tray: string
  usual: string
  note: string
  kept: Pick<FormulaBody, 'temperatureCoefficient' | 'rangeC' | 'storeMinC'>
}

let keys = 0
export const emptyLine = (): DraftLine => ({ key: keys++, chemical: null, amount: '', percent: '', at: '', note: '', kept: {} })
const number = (value: number | null | undefined, manner: Manner): string =>
  value === null || value === undefined ? '' : withSign(String(Math.round(value * 1e4) / 1e4), manner)

export const emptyDraft = (manner = usualManner): Draft => ({
  name: '',
  family: null,
  purpose: '',
  final: writeExactly(manner.units === 'us' ? 946.353 : 1000, 'volume', manner),
  start: writeExactly(manner.units === 'us' ? 709.765 : 750, 'volume', manner),
  mix: writeExactly(45, 'temperature', manner),
  water: 'tap',
  lines: [emptyLine()],
  parts: [],
  school: emptySchool(manner),
  dilutions: 'stock',
  full: '180',
  half: '60',
  working: '1',
  tray: '',
  usual: '',
  note: '',
  kept: { temperatureCoefficient: null, rangeC: null },
})

export const draftOf = (body: FormulaBody, manner = usualManner): Draft => ({
  name: body.name,
  family: body.family,
  purpose: body.purpose,
  final: writeExactly(body.finalMl, 'volume', manner),
  start: writeExactly(body.startMl, 'volume', manner),
  mix: writeExactly(body.mixC, 'temperature', manner),
  water: body.water ?? 'tap',
  lines: body.additions.map((line) => ({
    ...emptyLine(),
    chemical: line.chemical,
    amount: line.grams === undefined ? writeExactly(line.millilitres ?? 0, 'volume', manner) : writeExactly(line.grams, 'mass', manner),
    percent: number(line.percent, manner),
    at: line.atC === undefined ? '' : writeExactly(line.atC, 'temperature', manner),
    note: line.note ?? '',
    kept: { ...(line.role ? { role: line.role } : {}), ...(line.wholePack === undefined ? {} : { wholePack: line.wholePack }) },
  })),
  parts: (body.combine ?? []).map((part) => ({ ...part })),
  school: schoolDraftOf(body.use as FormulaUse, manner),
  dilutions: body.use.dilutions.map((parts) => (parts.length === 1 ? 'stock' : parts.join('+'))).join(', '),
  full: number(body.use.keeping.fullDays, manner),
  half: number(body.use.keeping.halfDays, manner),
  working: number(body.use.keeping.workingDays, manner),
  tray: number(body.use.keeping.trayDays, manner),
  usual: body.usualS === null ? '' : `${body.usualS} s`,
  note: body.note,
  kept: {
    temperatureCoefficient: body.temperatureCoefficient,
    rangeC: body.rangeC,
    ...(body.storeMinC === undefined ? {} : { storeMinC: body.storeMinC }),
  },
})

/** The line as a sealed pack, or as no pack at all. */
export const withPack = ({ wholePack: _was, ...rest }: DraftLine['kept'], pack: boolean): DraftLine['kept'] =>
  pack ? { ...rest, wholePack: true } : rest

export type Problems = Record<string, string>

/** Reads a draft: the formula it describes, or what is wrong with which field. */
export function readDraft(draft: Draft, manner = usualManner): { body: FormulaBody | null; problems: Problems } {
  const problems: Problems = {}
  const read = <T>(field: string, work: () => T, instead: T): T => {
    try {
      return work()
    } catch (error) {
      problems[field] = error instanceof DomainError ? error.message : 'This cannot be read.'
      return instead
    }
  }
  const days = (field: 'full' | 'half' | 'working' | 'tray') =>
    read(field, () => (draft[field].trim() === '' ? null : parseNumber(draft[field].replace(/\s*days?$/, ''), manner)), null)
  const additions = draft.lines
    .filter((line) => line.chemical !== null || line.amount.trim() !== '')
    .map((line) => {
      const field = `line ${line.key}`
      const chemical = line.chemical ? catalogue()[line.chemical] : undefined
      if (!chemical) problems[field] = 'Choose the chemical.'
      const liquid = chemical?.densityGPerMl !== undefined || line.percent.trim() !== ''
      const inMl = liquid && !/(?:^|[^l]) ?(?:g|kg|mg|oz|lb|grains?)$/i.test(line.amount.trim().replace(/fl\s*oz$/i, 'fl'))
      const amount = read(field, () => readKept(line.amount, inMl ? 'volume' : 'mass', manner), 0)
      return {
        chemical: line.chemical ?? '',
        ...line.kept,
        ...(inMl ? { millilitres: amount } : { grams: amount }),
        ...(line.percent.trim() === '' ? {} : { percent: read(field, () => parseNumber(line.percent.replace('%', ''), manner), 1) }),
        ...(line.at.trim() === '' ? {} : { atC: read(field, () => readKept(line.at, 'temperature', manner), 20) }),
        ...(line.note.trim() === '' ? {} : { note: line.note.trim() }),
      }
    })
  if (draft.parts.length > 0 && (draft.parts.length < 2 || draft.parts.some((part) => part.formulaId === null || part.part.trim() === '')))
    problems.parts = 'Two parts or more, each with its letter and its formula.'
  if (draft.parts.length > 0 && additions.length > 0) problems.parts = 'Either chemicals or parts: parts have formulas of their own.'
  if (draft.family === null) problems.family = 'Choose what it is for.'
  const candidate = {
    name: draft.name,
    family: draft.family ?? 'other',
    purpose: draft.purpose,
    finalMl: read('final', () => readKept(draft.final, 'volume', manner), 1000),
    startMl: read('start', () => readKept(draft.start, 'volume', manner), 750),
    mixC: read('mix', () => readKept(draft.mix, 'temperature', manner), 45),
    water: draft.water ?? 'tap',
    additions,
    ...(draft.parts.length > 0 ? { combine: draft.parts.map(({ part, formulaId }) => ({ part, formulaId: formulaId ?? '' })) } : {}),
    use: {
      keeping: {
        fullDays: days('full'),
        halfDays: days('half'),
        workingDays: days('working'),
        ...(draft.tray.trim() === '' ? {} : { trayDays: days('tray') }),
      },
      dilutions: read(
        'dilutions',
        () => draft.dilutions.split(/[,;]\s+|,(?=\s*\d+\s*[+:])/).map((text) => (text.trim() === 'stock' ? [1] : parseRatio(text).parts)),
        [[1]],
      ),
      ...readSchool(
        draft.school,
        draft.family === 'fixer' || draft.family === 'bleach-fix',
        read,
        (field, says) => void (problems[field] = says),
        manner,
      ),
    },
    usualS: read('usual', () => (draft.usual.trim() === '' ? null : parseQuantity(draft.usual, 'time', manner)), null),
    note: draft.note,
    ...draft.kept,
  }
  if (draft.dilutions.includes(':')) problems.dilutions = 'Write 1+4 for one part plus four; 1:4 is read in two ways.'
  const parsed = formulaBody.safeParse(candidate, { error: schemaSentence })
  if (!parsed.success && Object.keys(problems).length === 0)
    problems[String(parsed.error.issues[0]?.path[0] ?? 'name')] = parsed.error.issues[0]?.message ?? 'This cannot be kept.'
  return { body: parsed.success && Object.keys(problems).length === 0 ? parsed.data : null, problems }
}

/** The draft as far as it can be read, for the rules of mixing. */
export const formulaOf = (body: FormulaBody): Formula => ({ id: 'draft', ...body }) as Formula
