import { requireAmounts } from '../error'
import type { Chemical } from './chemical'

type Limits = readonly { from: number; codes: readonly string[] }[]

/**
 * Specific concentration limits of the harmonised system: from so many % w/w on a solution carries these statements. Highest first; the first that is
 * reached counts whole. Rounded literature values; the supplier's sheet decides.
 */
const acetic: Limits = [
  { from: 90, codes: ['H226', 'H290', 'H314'] },
  { from: 25, codes: ['H290', 'H314'] },
  { from: 10, codes: ['H315', 'H319'] },
]
const caustic: Limits = [
  { from: 2, codes: ['H290', 'H314'] },
  { from: 0.5, codes: ['H315', 'H319'] },
]
const specific: Record<string, Limits> = {
  'acetic-acid-glacial': acetic,
  'acetic-acid-80': acetic,
  'acetic-acid-60': acetic,
  'acetic-acid-28': acetic,
  'sulfuric-acid': [
    { from: 15, codes: ['H290', 'H314'] },
    { from: 5, codes: ['H290', 'H315', 'H319'] },
  ],
  'hydrochloric-acid': [
    { from: 25, codes: ['H290', 'H314', 'H335'] },
    { from: 10, codes: ['H290', 'H315', 'H319', 'H335'] },
  ],
  'nitric-acid': [
    { from: 65, codes: ['H272', 'H290', 'H314', 'H331'] },
    { from: 5, codes: ['H290', 'H314'] },
    { from: 1, codes: ['H315', 'H319'] },
  ],
  'sodium-hydroxide': caustic,
  'sodium-hydroxide-50': caustic,
  'potassium-hydroxide': caustic,
  'potassium-hydroxide-45': caustic,
  'ammonia-solution': [
    { from: 5, codes: ['H290', 'H314', 'H335', 'H400'] },
    { from: 3, codes: ['H315', 'H318'] },
    { from: 1, codes: ['H319'] },
  ],
  'sodium-hypochlorite': [
    { from: 5, codes: ['H290', 'H314', 'H410', 'EUH031'] },
    { from: 3, codes: ['H315', 'H318', 'H411'] },
    { from: 1, codes: ['H319', 'H412'] },
  ],
  'formaldehyde-37': [
    { from: 25, codes: ['H301', 'H311', 'H331', 'H314', 'H317', 'H335', 'H341', 'H350'] },
    { from: 5, codes: ['H302', 'H312', 'H332', 'H315', 'H319', 'H317', 'H335', 'H341', 'H350'] },
    { from: 1, codes: ['H317', 'H341', 'H350'] },
    { from: 0.1, codes: ['H317', 'H350'] },
  ],
  'hydrogen-peroxide-3': [
    { from: 50, codes: ['H272', 'H302', 'H314', 'H332', 'H335'] },
    { from: 8, codes: ['H302', 'H318'] },
    { from: 5, codes: ['H319'] },
  ],
}

/** % w/w from which a part of a mixture gives the whole its statement, where nothing more specific is known: the system's generic limits. */
const generic: Record<string, number> = {
  H300: 0.1,
  H310: 0.1,
  H330: 0.5,
  H301: 10,
  H311: 15,
  H331: 15,
  H302: 25,
  H312: 50,
  H332: 50,
  H314: 5,
  H315: 10,
  H318: 3,
  H319: 10,
  H317: 1,
  H334: 1,
  H335: 20,
  H340: 0.1,
  H350: 0.1,
  H341: 1,
  H351: 1,
  H360: 0.3,
  H361: 3,
  H372: 10,
  H373: 10,
  H400: 25,
  H410: 25,
  H411: 25,
  H412: 25,
  EUH031: 1,
  EUH032: 1,
}
/** Burns of a substance that a mixture is too weak for: what is left of them above the lower limit. */
const weaker: Record<string, { from: number; codes: readonly string[] }> = {
  H314: { from: 1, codes: ['H315', 'H319'] },
  H318: { from: 1, codes: ['H319'] },
}

/**
 * Statements of a substance at % w/w of it; null where the system has no limits of its own for it.
 * @example
 * statementsAt('sodium-hydroxide', 1) // → ['H315', 'H319']
 */
export function statementsAt(id: string, percent: number): readonly string[] | null {
  requireAmounts({ 'The strength': percent })
  const limits = Object.hasOwn(specific, id) ? specific[id] : undefined
  if (!limits) return null
  return limits.find(({ from }) => percent >= from)?.codes ?? []
}

/**
 * Statements of a solution from g/L of each product in it: specific limits first, the generic ones for the rest; a litre is taken to weigh 1 kg.
 * `unknown` names what has no classification on record.
 * @example
 * mixtureStatements([{ chemical: catalogue['sodium-hydroxide'], gramsPerLitre: 100 }]).statements // → ['H290', 'H314']
 */
export function mixtureStatements(parts: { chemical: Chemical; gramsPerLitre: number }[]): { statements: string[]; unknown: Chemical[] } {
  const codes = new Set<string>()
  const unknown: Chemical[] = []
  // two burning substances add up
  const burning = new Map<string, number>()
  for (const { chemical, gramsPerLitre } of parts) {
    const percent = gramsPerLitre / 10
    const own = statementsAt(chemical.id, percent * (chemical.content ?? 1))
    if (own) own.forEach((code) => codes.add(code))
    else if (!chemical.statements) unknown.push(chemical)
    else for (const code of chemical.statements) if (code in generic) burning.set(code, (burning.get(code) ?? 0) + percent)
  }
  for (const [code, percent] of burning) {
    const less = weaker[code]
    if (percent >= (generic[code] ?? 100)) codes.add(code)
    else if (less && percent >= less.from) less.codes.forEach((one) => codes.add(one))
  }
  return { statements: [...codes], unknown }
}
