import { isAny } from '../lines'
import { after, finding, moveAfter, type Rule } from './rule'

const needSulfite = ['hydroquinone', 'catechol', 'pyrogallol']

/** mix-3: hydroquinone, catechol and pyrogallol go in after the sulfite that protects them. */
export const protectedBySulfite: Rule = (_formula, lines) =>
  lines
    .filter((line) => needSulfite.includes(line.chemical.id) && !line.dissolved)
    .flatMap((line) => {
      const last = after(lines, line).findLast((later) => isAny(later, 'sulfite', 'acid-sulfite'))
      return last ? [{ line, last }] : []
    })
    .map(({ line, last }) =>
      finding(
        'mix-3',
        'warning',
        `${line.chemical.name} goes in before the sulfite that protects it from the air: dissolve the sulfite first.`,
        line.step,
        moveAfter(line, last),
      ),
    )
