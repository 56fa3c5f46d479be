import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { mixtureStatements } from '../chemical/concentration'
import { cautions } from '../chemical/hazards'
import type { Formula } from './formula'
import { is, isAny, linesOf, type Line } from './lines'

/** Statements that call for someone within call: burns, poison by touch or breath, cancer and genetic damage. */
const graveStatements = ['H300', 'H301', 'H310', 'H311', 'H314', 'H330', 'H331', 'H340', 'H350']

/** Statements of a line as it is handled: of the product, or of the percent solution it is drawn from. */
const statementsOf = ({ chemical, addition }: Line): readonly string[] =>
  addition.percent === undefined
    ? (chemical.statements ?? [])
    : mixtureStatements([{ chemical: { ...chemical, content: 1 }, gramsPerLitre: addition.percent * 10 }]).statements

const spills: { says: string; of: (line: Line) => boolean }[] = [
  { says: 'Spilled hydroxide: sweep up what is dry, then much water; never acid on it.', of: (line) => is(line, 'hydroxide') },
  { says: 'Spilled dichromate: damp cloth, gloves, into its own waste; no sweeping.', of: (line) => is(line, 'dichromate') },
  {
    says: 'Spilled ammonia: everyone out, air through, then much water; never acid or hypochlorite on it.',
    of: (line) => is(line, 'ammonia'),
  },
  { says: 'Spilled sulfide: soak it up, much water and air; never acid on it, it frees a deadly gas.', of: (line) => is(line, 'sulfide') },
  {
    says: 'Spilled silver nitrate: wipe with salt water and keep the cloth for the silver waste; it stains and burns.',
    of: (line) => is(line, 'silver'),
  },
  {
    says: 'Spilled oxidiser: a wet cloth, much water; never paper or sawdust left to dry with it.',
    of: (line) => isAny(line, 'permanganate', 'persulfate', 'chlorate'),
  },
  {
    says: 'Spilled acid: bicarbonate until it no longer foams, then much water.',
    of: (line) => isAny(line, 'weak-acid', 'strong-acid', 'concentrated-acid'),
  },
  { says: 'Spilled: soak it up with a damp cloth in gloves, no dust; into the waste its sheet names.', of: () => true },
]

/**
 * What is said before a dangerous mix is begun: not alone, eyewash, what to do with a spill. It follows from the hazard statements of what goes in;
 * empty where none of them is grave.
 * @example
 * safetyFirst(developer) // → []
 */
export function safetyFirst(formula: Formula, catalogue: Catalogue = builtIn): string[] {
  const grave = linesOf(formula, catalogue).filter((line) => statementsOf(line).some((code) => graveStatements.includes(code)))
  if (grave.length === 0) return []
  const names = [...new Set(grave.map((line) => line.chemical.name))].join(' and ')
  return [
    `Not alone: there is ${names} in it. Someone else is within call.`,
    'The eyewash is filled and within reach. Skin or eye: water for 15 to 20 minutes, and call.',
    ...new Set(grave.flatMap((line) => spills.find((spill) => spill.of(line))?.says ?? [])),
  ]
}

/**
 * The cautions for handling what goes into a formula, each once, with the chemicals it is about; in the order of the lines.
 * @example
 * cautionsOf(stopBath).map((caution) => caution.names) // → [['Citric acid, 1-water']]
 */
export function cautionsOf(formula: Formula, catalogue: Catalogue = builtIn): { words: string; names: string[] }[] {
  const byWords = new Map<string, Set<string>>()
  for (const { chemical } of linesOf(formula, catalogue))
    for (const words of cautions(chemical)) byWords.set(words, (byWords.get(words) ?? new Set()).add(chemical.name))
  return [...byWords].map(([words, names]) => ({ words, names: [...names] }))
}

/**
 * Which bottle a solution wants, in words.
 * @example
 * containerAdvice(developer).at(-1) // → 'Full to the neck.'
 */
export function containerAdvice(formula: Formula, catalogue: Catalogue = builtIn): string[] {
  const lines = linesOf(formula, catalogue)
  const any = (...natures: Parameters<typeof is>[1][]) => lines.some((line) => isAny(line, ...natures))
  const gassy = any('bleach-fix-part') || (any('thiosulfate') && any('ferricyanide'))
  return [
    'Never a food or drink bottle.',
    ...(any('hydroxide') ? ['Polyethylene, no ground stopper: hydroxide eats glass and seizes it.'] : []),
    ...(any('silver') ? ['A dark bottle, glass or plastic, no metal.'] : []),
    gassy ? 'A vented cap and headspace: it gives off gas.' : 'Full to the neck.',
  ]
}
