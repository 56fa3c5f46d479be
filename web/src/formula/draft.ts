import { DomainError, parseQuantity, parseRatio, showVolume, type Formula, type FormulaUse } from '@selvrin/core'
import { formulaBody, type FormulaBody } from '@selvrin/core/contract'
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
const number = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(Math.round(value * 1e4) / 1e4)

export const emptyDraft = (): Draft => ({
  name: '',
  family: null,
  purpose: '',
  final: '1 L',
  start: '750 ml',
  mix: '45 °C',
  water: 'tap',
  lines: [emptyLine()],
  parts: [],
  school: emptySchool(),
  dilutions: 'stock',
  full: '180',
  half: '60',
  working: '1',
  tray: '',
  usual: '',
  note: '',
  kept: { temperatureCoefficient: null, rangeC: null },
})

export const draftOf = (body: FormulaBody): Draft => ({
  name: body.name,
  family: body.family,
  purpose: body.purpose,
  final: showVolume(body.finalMl),
  start: showVolume(body.startMl),
  mix: `${body.mixC} °C`,
  water: body.water ?? 'tap',
  lines: body.additions.map((line) => ({
    ...emptyLine(),
    chemical: line.chemical,
    amount: line.grams === undefined ? `${number(line.millilitres)} ml` : `${number(line.grams)} g`,
    percent: number(line.percent),
    at: line.atC === undefined ? '' : `${line.atC} °C`,
    note: line.note ?? '',
    kept: { ...(line.role ? { role: line.role } : {}), ...(line.wholePack === undefined ? {} : { wholePack: line.wholePack }) },
  })),
  parts: (body.combine ?? []).map((part) => ({ ...part })),
  school: schoolDraftOf(body.use as FormulaUse),
  dilutions: body.use.dilutions.map((parts) => (parts.length === 1 ? 'stock' : parts.join('+'))).join(', '),
  full: number(body.use.keeping.fullDays),
  half: number(body.use.keeping.halfDays),
  working: number(body.use.keeping.workingDays),
  tray: number(body.use.keeping.trayDays),
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
export function readDraft(draft: Draft): { body: FormulaBody | null; problems: Problems } {
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
    read(field, () => (draft[field].trim() === '' ? null : parseQuantity(draft[field].replace(/\s*days?$/, ''), 'volume')), null)
  const additions = draft.lines
    .filter((line) => line.chemical !== null || line.amount.trim() !== '')
    .map((line) => {
      const field = `line ${line.key}`
      const chemical = line.chemical ? catalogue()[line.chemical] : undefined
      if (!chemical) problems[field] = 'Choose the chemical.'
      const liquid = chemical?.densityGPerMl !== undefined || line.percent.trim() !== ''
      const inMl = liquid && !/(g|kg|oz|lb|grains?)$/i.test(line.amount.trim())
      const amount = read(field, () => parseQuantity(line.amount, inMl ? 'volume' : 'mass'), 0)
      return {
        chemical: line.chemical ?? '',
        ...line.kept,
        ...(inMl ? { millilitres: amount } : { grams: amount }),
        ...(line.percent.trim() === '' ? {} : { percent: read(field, () => parseQuantity(line.percent.replace('%', ''), 'volume'), 1) }),
        ...(line.at.trim() === '' ? {} : { atC: read(field, () => parseQuantity(line.at, 'temperature'), 20) }),
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
    finalMl: read('final', () => parseQuantity(draft.final, 'volume'), 1000),
    startMl: read('start', () => parseQuantity(draft.start, 'volume'), 750),
    mixC: read('mix', () => parseQuantity(draft.mix, 'temperature'), 45),
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
      ),
    },
    usualS: read('usual', () => (draft.usual.trim() === '' ? null : parseQuantity(draft.usual, 'time')), null),
    note: draft.note,
    ...draft.kept,
  }
  if (draft.dilutions.includes(':')) problems.dilutions = 'Write 1+4 for one part plus four; 1:4 is read in two ways.'
  const parsed = formulaBody.safeParse(candidate)
  if (!parsed.success && Object.keys(problems).length === 0)
    problems[String(parsed.error.issues[0]?.path[0] ?? 'name')] = parsed.error.issues[0]?.message ?? 'This cannot be kept.'
  return { body: parsed.success && Object.keys(problems).length === 0 ? parsed.data : null, problems }
}

/** The draft as far as it can be read, for the rules of mixing. */
export const formulaOf = (body: FormulaBody): Formula => ({ id: 'draft', ...body }) as Formula
