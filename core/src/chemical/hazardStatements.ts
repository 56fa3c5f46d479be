import type { Chemical } from './chemical'

/** The pictograms of the United Nations' harmonised system, by what they show. */
export type Pictogram = 'flame' | 'flame-over-circle' | 'corrosion' | 'skull' | 'health' | 'exclamation' | 'environment'

interface Statement {
  words: string
  pictogram?: Pictogram
  danger?: boolean
}

const all: Record<string, Statement> = {
  H226: { words: 'Flammable liquid and vapour', pictogram: 'flame' },
  H228: { words: 'Flammable solid', pictogram: 'flame', danger: true },
  H250: { words: 'Catches fire spontaneously if exposed to air', pictogram: 'flame', danger: true },
  H251: { words: 'Self-heating: may catch fire', pictogram: 'flame', danger: true },
  H260: { words: 'In contact with water releases flammable gas', pictogram: 'flame', danger: true },
  H271: { words: 'May cause fire or explosion; strong oxidiser', pictogram: 'flame-over-circle', danger: true },
  H272: { words: 'May intensify fire; oxidiser', pictogram: 'flame-over-circle', danger: true },
  H290: { words: 'May be corrosive to metals', pictogram: 'corrosion' },
  H300: { words: 'Fatal if swallowed', pictogram: 'skull', danger: true },
  H301: { words: 'Toxic if swallowed', pictogram: 'skull', danger: true },
  H302: { words: 'Harmful if swallowed', pictogram: 'exclamation' },
  H310: { words: 'Fatal in contact with skin', pictogram: 'skull', danger: true },
  H311: { words: 'Toxic in contact with skin', pictogram: 'skull', danger: true },
  H312: { words: 'Harmful in contact with skin', pictogram: 'exclamation' },
  H314: { words: 'Causes severe skin burns and eye damage', pictogram: 'corrosion', danger: true },
  H315: { words: 'Causes skin irritation', pictogram: 'exclamation' },
  H317: { words: 'May cause an allergic skin reaction', pictogram: 'exclamation' },
  H318: { words: 'Causes serious eye damage', pictogram: 'corrosion', danger: true },
  H319: { words: 'Causes serious eye irritation', pictogram: 'exclamation' },
  H330: { words: 'Fatal if inhaled', pictogram: 'skull', danger: true },
  H331: { words: 'Toxic if inhaled', pictogram: 'skull', danger: true },
  H332: { words: 'Harmful if inhaled', pictogram: 'exclamation' },
  H334: { words: 'May cause allergy or asthma symptoms if inhaled', pictogram: 'health', danger: true },
  H335: { words: 'May cause respiratory irritation', pictogram: 'exclamation' },
  H340: { words: 'May cause genetic defects', pictogram: 'health', danger: true },
  H341: { words: 'Suspected of causing genetic defects', pictogram: 'health' },
  H350: { words: 'May cause cancer', pictogram: 'health', danger: true },
  H351: { words: 'Suspected of causing cancer', pictogram: 'health' },
  H360: { words: 'May damage fertility or the unborn child', pictogram: 'health', danger: true },
  H361: { words: 'Suspected of damaging fertility or the unborn child', pictogram: 'health' },
  H372: { words: 'Causes damage to organs through prolonged exposure', pictogram: 'health', danger: true },
  H373: { words: 'May cause damage to organs through prolonged exposure', pictogram: 'health' },
  H400: { words: 'Very toxic to aquatic life', pictogram: 'environment' },
  H410: { words: 'Very toxic to aquatic life with long-lasting effects', pictogram: 'environment' },
  H411: { words: 'Toxic to aquatic life with long-lasting effects', pictogram: 'environment' },
  H412: { words: 'Harmful to aquatic life with long-lasting effects' },
  EUH031: { words: 'Contact with acids releases toxic gas' },
  EUH032: { words: 'Contact with acids releases very toxic gas' },
}
const order: Pictogram[] = ['flame', 'flame-over-circle', 'corrosion', 'skull', 'health', 'exclamation', 'environment']

export interface HazardLabel {
  signal: 'Danger' | 'Warning' | null
  pictograms: Pictogram[]
  statements: { code: string; words: string }[]
  /** false where the project has no classification on record: look at the supplier's sheet */
  known: boolean
}

/**
 * What the label of a chemical carries after the harmonised system. A skull makes the exclamation mark for swallowing superfluous, corrosion that for
 * skin and eyes; both are left out as the system asks.
 * @example
 * hazardLabel({ statements: ['H314'] }).signal // → 'Danger'
 */
export function hazardLabel(chemical: Pick<Chemical, 'statements'>): HazardLabel {
  const codes = chemical.statements
  if (codes === undefined) return { signal: null, pictograms: [], statements: [], known: false }
  const found = codes.flatMap((code) => (all[code] ? [{ code, ...all[code] }] : []))
  const shown = new Set(found.flatMap(({ pictogram }) => (pictogram ? [pictogram] : [])))
  const stillNeedsMark = found.some(
    ({ code, pictogram }) =>
      pictogram === 'exclamation' &&
      !(shown.has('skull') && ['H302', 'H312', 'H332'].includes(code)) &&
      !(shown.has('corrosion') && ['H315', 'H319'].includes(code)),
  )
  if (!stillNeedsMark) shown.delete('exclamation')
  return {
    // H411 has its sign, and no word
    signal: found.some(({ danger }) => danger)
      ? 'Danger'
      : found.some(({ code, pictogram }) => pictogram && code !== 'H411')
        ? 'Warning'
        : null,
    pictograms: order.filter((one) => shown.has(one)),
    statements: found.map(({ code, words }) => ({ code, words })),
    known: true,
  }
}

/**
 * What to wear and do while handling it, from its statements.
 * @example
 * protection(catalogue['sodium-hydroxide']) // → ['gloves', 'eyes']
 */
export function protection(chemical: Chemical): ('gloves' | 'eyes' | 'mask' | 'ventilation')[] {
  const codes = chemical.statements ?? []
  const any = (...wanted: string[]) => wanted.some((code) => codes.includes(code))
  const powder = chemical.densityGPerMl === undefined
  // nothing on record is no leave to touch it
  if (chemical.statements === undefined) return ['gloves', 'eyes']
  return [
    ...(any(
      'H300',
      'H301',
      'H302',
      'H310',
      'H311',
      'H312',
      'H314',
      'H315',
      'H317',
      'H340',
      'H341',
      'H350',
      'H351',
      'H360',
      'H361',
      'H372',
      'H373',
    )
      ? ['gloves' as const]
      : []),
    ...(any('H250', 'H260', 'H314', 'H318', 'H319') ? ['eyes' as const] : []),
    ...(powder && any('H330', 'H331', 'H332', 'H334', 'H340', 'H350', 'H360', 'H361', 'H372') ? ['mask' as const] : []),
    ...(any('H330', 'H331', 'H332', 'H334', 'H335', 'EUH031', 'EUH032', 'H340', 'H350') ? ['ventilation' as const] : []),
  ]
}
