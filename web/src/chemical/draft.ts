import type { Chemical, Nature } from '@selvrin/core'
import type { ChemicalBody } from '@selvrin/core/contract'
import { schemaSentence, chemicalBody } from '@selvrin/core/contract'

/** A chemical as it is being typed; what has no field here stays as it was, or as in the chemical it is like. */
export interface ChemicalDraft {
  name: string
  molarMass: string
  content: string
  density: string
  /** '20: 26, 50: 35' */
  solubility: string
  heat: string
  usualAssay: string
  statements: string
  note: string
  source: string
  natures: Nature[]
  kept: Pick<Chemical, 'group' | 'units' | 'inWater'>
}

const number = (value: number | null | undefined): string => (value === null || value === undefined ? '' : String(value))
const percent = (share: number | undefined): string => (share === undefined ? '' : `${Math.round(share * 1000) / 10} %`)

export const chemicalDraft = (chemical: Chemical): ChemicalDraft => ({
  name: chemical.name,
  molarMass: number(chemical.molarMass),
  content: percent(chemical.content),
  density: number(chemical.densityGPerMl),
  solubility: chemical.solubility.map((point) => `${point.celsius}: ${point.gPer100Ml}`).join(', '),
  heat: number(chemical.heatOfSolution),
  usualAssay: percent(chemical.usualAssay),
  statements: chemical.statements?.length === 0 ? noHazard : (chemical.statements ?? []).join(' '),
  note: chemical.note,
  source: chemical.source,
  natures: [...chemical.natures],
  kept: {
    ...(chemical.group === undefined ? {} : { group: chemical.group }),
    ...(chemical.units === undefined ? {} : { units: chemical.units }),
    ...(chemical.inWater === undefined ? {} : { inWater: chemical.inWater }),
  },
})

/** what is typed where the sheet says that nothing is to be feared */
const noHazard = 'none'
/** The codes that were typed: undefined where nothing was said, none where the sheet names none. */
export const statementsOf = (text: string): string[] | undefined => {
  const codes = text.split(/[\s,;]+/).filter(Boolean)
  return codes.length === 0 ? undefined : codes.length === 1 && codes[0] === noHazard ? [] : codes
}

/** 'Sodium formate' → 'sodium-formate' */
export const idFor = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

/** Reads a draft: the chemical, or what is wrong with which field. */
export function readChemical(draft: ChemicalDraft): { body: ChemicalBody | null; problems: Record<string, string> } {
  const problems: Record<string, string> = {}
  const figure = (field: string, text: string): number | null => {
    const plain = text.trim().replace('−', '-').replace(',', '.')
    if (plain === '') return null
    const value = Number(plain)
    if (!Number.isFinite(value)) problems[field] = 'Write a number, or leave it empty where it is not known.'
    return value
  }
  const share = (field: string, text: string): number | undefined => {
    const value = figure(field, text.replace('%', ''))
    return value === null ? undefined : text.includes('%') || value > 1.2 ? value / 100 : value
  }
  const solubility = draft.solubility
    .split(/[,;]\s*/)
    .filter((pair) => pair.trim() !== '')
    .map((pair) => {
      const [celsius, grams] = pair.split(':').map((one) => figure('solubility', one) ?? NaN)
      if (grams === undefined || Number.isNaN(grams))
        problems.solubility = 'Write pairs of °C and g in 100 ml of water, such as 20: 26, 50: 35.'
      return { celsius: celsius ?? 0, gPer100Ml: grams ?? 1 }
    })
  const content = share('content', draft.content)
  const usualAssay = share('usualAssay', draft.usualAssay)
  const density = figure('density', draft.density)
  const statements = statementsOf(draft.statements)
  const candidate = {
    name: draft.name,
    molarMass: figure('molarMass', draft.molarMass),
    ...draft.kept,
    ...(content === undefined ? {} : { content }),
    ...(density === null ? {} : { densityGPerMl: density }),
    natures: draft.natures,
    solubility,
    heatOfSolution: figure('heat', draft.heat),
    ...(usualAssay === undefined ? {} : { usualAssay }),
    ...(statements === undefined ? {} : { statements }),
    note: draft.note,
    source: draft.source,
  }
  const parsed = chemicalBody.safeParse(candidate, { error: schemaSentence })
  if (!parsed.success && Object.keys(problems).length === 0) {
    const issue = parsed.error.issues[0]
    const field = String(issue?.path[0] ?? 'name')
    problems[{ heatOfSolution: 'heat', densityGPerMl: 'density' }[field] ?? field] = issue?.message ?? 'This cannot be kept.'
  }
  return { body: parsed.success && Object.keys(problems).length === 0 ? parsed.data : null, problems }
}
