import { is } from '../lines'
import { after, finding, moveAfter, type Rule } from './rule'

/** mix-9: silver nitrate wants deionised water and glass or plastic, goes in last of the parts, and is kept dark. */
export const silverNitrate: Rule = (formula, lines) =>
  lines
    .filter((line) => is(line, 'silver'))
    .flatMap((line) => {
      const water =
        formula.water === 'deionised'
          ? []
          : [
              finding(
                'mix-9',
                'error',
                `${line.chemical.name} in tap water turns milky: the chloride takes the silver. Use deionised water, glass or plastic, never metal, and a dark bottle.`,
                line.step,
                { kind: 'deionised' },
              ),
            ]
      const last = lines.at(-1) ?? line
      const order = after(lines, line).some((later) => !is(later, 'silver'))
        ? [
            finding(
              'mix-9',
              'warning',
              `${line.chemical.name} goes in last of the parts, from glass or plastic, never with a metal spoon; the bottle is dark.`,
              line.step,
              moveAfter(line, last),
            ),
          ]
        : []
      return [...water, ...order]
    })
