import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { Formula } from './formula'
import { is, isAny, linesOf, type Line } from './lines'

/** What is said before a dangerous mix is begun: not alone, eyewash, what to do with a spill. Empty where nothing calls for it. */
export function safetyFirst(formula: Formula, catalogue: Catalogue = builtIn): string[] {
  const lines = linesOf(formula, catalogue)
  const grave = lines.filter((line) => !line.dissolved && isAny(line, 'concentrated-acid', 'hydroxide', 'dichromate'))
  if (grave.length === 0) return []
  const names = [...new Set(grave.map((line) => line.chemical.name.toLowerCase()))].join(' and ')
  const spill = (line: Line): string =>
    is(line, 'hydroxide')
      ? 'Spilled hydroxide: sweep up what is dry, then much water; never acid on it.'
      : is(line, 'dichromate')
        ? 'Spilled dichromate: damp cloth, gloves, into its own waste; no sweeping.'
        : 'Spilled acid: bicarbonate until it no longer foams, then much water.'
  return [
    `Not alone: there is ${names} in it. Someone else is within call.`,
    'The eyewash is filled and within reach. Skin or eye: water for 15 to 20 minutes, and call.',
    ...new Set(grave.map(spill)),
  ]
}

/** Which bottle a solution wants, in words. */
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
