import { percentSolutionVolume } from '../../dilution/percentSolutionVolume'
import { is, isAny } from '../lines'
import { after, before, finding, moveAfter, type Rule } from './rule'

/** Agents that dissolve only with alkali, and so may wait for it. */
export const mayWaitForAlkali = ['phenidone', 'dimezone-s', 'glycin']

/** mix-4: alkali after developing agents and sulfite (phenidone, dimezone-s and glycin may wait for it); restrainers last, benzotriazole dissolved beforehand. */
export const alkaliAndRestrainer: Rule = (_formula, lines) => {
  if (!lines.some((line) => is(line, 'developing-agent'))) return []
  const early = lines
    .filter((line) => is(line, 'alkali'))
    .flatMap((alkali) => {
      const late = after(lines, alkali).filter(
        (line) => is(line, 'sulfite') || (is(line, 'developing-agent') && !mayWaitForAlkali.includes(line.chemical.id)),
      )
      const names = [...new Set(late.map((line) => line.chemical.name))].join(' and ')
      return late.length === 0
        ? []
        : [
            finding(
              'mix-4',
              'warning',
              `${alkali.chemical.name} goes in before ${names}: in alkali without its sulfite a developing agent browns at once. Add alkali after them.`,
              alkali.step,
              moveAfter(alkali, late.at(-1) ?? alkali),
            ),
          ]
    })
  const restrainers = lines.filter((line) => is(line, 'restrainer') || line.addition.role === 'restrainer')
  const notLast = restrainers
    .filter((line) => after(lines, line).some((later) => !restrainers.includes(later)))
    .map((line) =>
      finding(
        'mix-4',
        'advice',
        `${line.chemical.name} goes in last, when all else is dissolved.`,
        line.step,
        moveAfter(line, lines.at(-1) ?? line),
      ),
    )
  const undissolved = lines
    .filter((line) => line.chemical.id === 'benzotriazole' && !line.dissolved && line.celsius < 40)
    .filter((line) => !before(lines, line).some((earlier) => isAny(earlier, 'solvent')))
    .map((line) =>
      finding(
        'mix-4',
        'advice',
        'Benzotriazole hardly dissolves in cool water: dissolve it beforehand in hot water or glycol, or draw it from a stock solution.',
        line.step,
        { kind: 'stock-solution', step: line.step, percent: 1, millilitres: percentSolutionVolume(line.grams, 1) },
      ),
    )
  return [...early, ...notLast, ...undissolved]
}
