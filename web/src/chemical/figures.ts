import { DomainError, type Chemical } from '@selvrin/core'
import type { ChemicalBody } from '@selvrin/core/contract'
import { readFigure, writeFigure } from '../fields/read'

/* A chemical's figures as they are typed and read. */

/** What a form of it begins with; what has no field in it stays as it was, or as in the chemical it is like. */
export function bodyOf({ id: _, ...chemical }: Chemical): ChemicalBody {
  const { molarMass, heatOfSolution, name, note, source } = chemical
  return {
    name,
    molarMass,
    heatOfSolution,
    note,
    source,
    natures: [...chemical.natures],
    solubility: chemical.solubility.map((point) => ({ ...point })),
    ...optional(chemical, 'group', 'units', 'content', 'densityGPerMl', 'usualAssay'),
    ...(chemical.inWater === undefined ? {} : { inWater: structuredClone(chemical.inWater) as ChemicalBody['inWater'] }),
    ...(chemical.statements === undefined ? {} : { statements: [...chemical.statements] }),
  }
}
const optional = <T extends object, K extends keyof T>(of: T, ...keys: K[]): Partial<Pick<T, K>> =>
  Object.fromEntries(keys.flatMap((key) => (of[key] === undefined ? [] : [[key, of[key]]]))) as Partial<Pick<T, K>>

/** 'Sodium formate' → 'sodium-formate' */
export const idFor = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

type Point = ChemicalBody['solubility'][number]
/** '20: 26, 50: 35', with a semicolon between where commas are decimal signs */
export const readSolubility = (text: string): Point[] =>
  text
    .split(/;\s*|,\s+/)
    .filter((pair) => pair.trim() !== '')
    .map((pair) => {
      const [celsius, grams, more] = pair.split(':')
      if (celsius === undefined || grams === undefined || more !== undefined)
        throw new DomainError('solubility', 'Write pairs of °C and g in 100 ml of water, such as 20: 26, 50: 35.')
      return { celsius: readSigned(celsius), gPer100Ml: readFigure(grams) }
    })
export const writeSolubility = (points: Point[]): string =>
  points.map((point) => `${writeFigure(point.celsius)}: ${writeFigure(point.gPer100Ml)}`).join('; ')

/** A figure that may be below nothing. */
export function readSigned(text: string): number {
  const [, below, rest = ''] = /^\s*([-−])?(.*)$/.exec(text) ?? []
  return below ? -readFigure(rest) : readFigure(rest)
}

/** what is typed where the sheet says that nothing is to be feared */
const noHazard = 'none'
export const readStatements = (text: string): string[] => {
  const codes = text.split(/[\s,;]+/).filter(Boolean)
  return codes.length === 1 && codes[0] === noHazard ? [] : codes
}
export const writeStatements = (codes: string[]): string => (codes.length === 0 ? noHazard : codes.join(' '))
