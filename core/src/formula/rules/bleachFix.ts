import { is, type Line } from '../lines'
import { before, finding, moveBefore, type Rule } from './rule'

const iron = (line: Line): boolean => line.chemical.id === 'bleach-fix-powder-a' || is(line, 'ferricyanide')
const fixing = (line: Line): boolean => line.chemical.id === 'bleach-fix-powder-b' || is(line, 'thiosulfate')

/** mix-10: the powders of a bleach-fix go in in their order, the iron part first, and slowly: it gives off gas. */
export const bleachFix: Rule = (_formula, lines) => {
  const second = lines.find(fixing)
  const first = lines.find(iron)
  if (!second || !first) return []
  const order = before(lines, first).includes(second)
    ? [
        finding(
          'mix-10',
          'warning',
          `${first.chemical.name} goes in before ${second.chemical.name}: the parts of a bleach-fix go in in their order.`,
          first.step,
          moveBefore(first, second),
        ),
      ]
    : []
  const slow = finding(
    'mix-10',
    'advice',
    'A bleach-fix gives off gas while it is mixed: the second part slowly, air on, headspace in the jug, a vented cap on the bottle.',
    Math.max(first.step, second.step),
  )
  return [...order, slow]
}
