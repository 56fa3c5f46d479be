import { equivalentMass } from '../../chemical/equivalentMass'
import { is, type Line } from '../lines'
import { before, finding, moveBefore, type Rule } from './rule'

/** g/L of sulfite that may go in ahead of the metol, and the most of the whole it should be. Rounded literature values. */
const pinchGramsPerLitre = 3
const pinchShare = 0.05

/** what can be reckoned as anhydrous sulfite: bought mixtures cannot */
const isSulfite = (line: Line): boolean => is(line, 'sulfite') && line.chemical.group === 'sulfite'

/** mix-2: metol goes in before all but a pinch of the sulfite, and the pinch goes before the metol. */
export const metolBeforeSulfite: Rule = (_formula, lines, catalogue) => {
  const anhydrous = (some: Line[]): number =>
    some.reduce((sum, line) => sum + equivalentMass(line.chemical.id, 'sodium-sulfite', line.gramsPerLitre, catalogue), 0)
  return lines
    .filter((line) => line.chemical.id === 'metol' && !line.dissolved)
    .flatMap((metol) => {
      const sulfite = lines.filter((line) => isSulfite(line))
      const all = anhydrous(sulfite)
      if (all === 0) return []
      const tooMuch = sulfite.find((line) => anhydrous(sulfite.filter((one) => one.step <= line.step)) > pinchGramsPerLitre + 1e-9)
      const later = sulfite.find((line) => line.step > metol.step && line.addition.grams !== undefined)
      const pinch = Math.min(pinchGramsPerLitre, 0.03 * all)
      const first = anhydrous(before(lines, metol).filter((line) => isSulfite(line)))
      if (first > pinchGramsPerLitre + 1e-9)
        return [
          finding(
            'mix-2',
            'error',
            'Metol after the sulfite salts out in it: dissolve the metol before all but a pinch of the sulfite (2–5 % of it, at most 3 g/L).',
            metol.step,
            tooMuch && moveBefore(metol, tooMuch),
          ),
        ]
      if (first > pinchShare * all * (1 + 1e-9) && all > pinchGramsPerLitre)
        return [
          finding(
            'mix-2',
            'advice',
            'More than a pinch of the sulfite goes in before the metol: 2–5 % of it is enough to take up the oxygen.',
            metol.step,
          ),
        ]
      if (first === 0)
        return [
          finding(
            'mix-2',
            'advice',
            'Put a pinch of the sulfite (2–5 %, at most 3 g/L) in first: it takes up the oxygen in the water that would brown the metol.',
            metol.step,
            later && {
              kind: 'pinch',
              from: later.step,
              to: metol.step,
              grams: (later.grams * pinch) / anhydrous([later]),
            },
          ),
        ]
      return []
    })
}
