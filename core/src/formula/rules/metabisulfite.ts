import { is } from '../lines'
import { finding, type Rule } from './rule'

/** g of sulfur dioxide that 1 g of metabisulfite can free. Rounded literature value. */
const gasPerGram = 0.67

/** mix-12: metabisulfite and bisulfite want cold water and no strong acid: sulfur dioxide. */
export const metabisulfite: Rule = (_formula, lines) =>
  lines
    .filter((line) => is(line, 'acid-sulfite'))
    .flatMap((line) => {
      const gas = `up to ${(line.grams * gasPerGram).toFixed(line.grams < 15 ? 1 : 0)} g of sulfur dioxide, dangerous to people with asthma`
      const cold = { kind: 'temperature' as const, step: line.step, celsius: 20 }
      const acid = lines.find((other) => is(other, 'strong-acid'))
      const met = acid
        ? [
            finding(
              'mix-12',
              'error',
              `${line.chemical.name} with ${acid.chemical.name} gives off ${gas}. Never in one solution.`,
              Math.max(line.step, acid.step),
            ),
          ]
        : []
      if (line.dissolved || line.celsius < 30) return met
      const hot = line.celsius > 40
      return [
        ...met,
        finding(
          'mix-12',
          hot ? 'error' : 'warning',
          `${line.chemical.name} goes into ${hot ? 'hot' : 'warm'} water (${line.celsius} °C): it gives off ${gas}. Cold water, air on.`,
          line.step,
          cold,
        ),
      ]
    })
