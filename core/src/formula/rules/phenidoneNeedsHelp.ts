import { isAny } from '../lines'
import { after, before, finding, moveAfter, type Rule } from './rule'

/** mix-5: phenidone and dimezone-s want hot water, alkali or glycol. */
export const phenidoneNeedsHelp: Rule = (_formula, lines) =>
  lines
    .filter((line) => (line.chemical.id === 'phenidone' || line.chemical.id === 'dimezone-s') && !line.dissolved && line.celsius < 40)
    .filter((line) => !before(lines, line).some((earlier) => isAny(earlier, 'alkali', 'solvent')))
    .map((line) => {
      const help = after(lines, line).find((later) => isAny(later, 'alkali', 'solvent'))
      return finding(
        'mix-5',
        'warning',
        `${line.chemical.name} hardly dissolves in water under 40 °C: use hot water, add it after the alkali, or dissolve it in glycol first.`,
        line.step,
        help ? moveAfter(line, help) : { kind: 'temperature', step: line.step, celsius: 45 },
      )
    })
