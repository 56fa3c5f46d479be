import { is, isWaterFree, type Line } from '../lines'
import { before, finding, type Rule } from './rule'

const carbonates = (line: Line): boolean => line.chemical.group === 'carbonate' || is(line, 'bicarbonate')
const foams = ['ascorbic-acid', 'citric-acid', 'citric-acid-monohydrate']

/** L of carbon dioxide 1 g of the acid can free at 20 °C: 24 L/mol over its molar mass per acid proton. */
const gasLitresPerGram = (line: Line): number => (24 * (line.chemical.id === 'ascorbic-acid' ? 1 : 3)) / (line.chemical.molarMass ?? NaN)

/** mix-6: ascorbate in water wants it pure or sequestered, and no heat; ascorbic and citric acid foam with carbonates. */
export const ascorbate: Rule = (formula, lines) => {
  // in glycol or triethanolamine there is neither metal nor air to speak of: it is even dissolved hot
  const agents = isWaterFree(formula, lines) ? [] : lines.filter((line) => is(line, 'ascorbate'))
  const water = agents
    .slice(0, 1)
    .flatMap((agent) =>
      formula.water === 'deionised' || before(lines, agent).some((line) => line.chemical.id === 'dtpa-pentasodium')
        ? []
        : [
            finding(
              'mix-6',
              'warning',
              'A trace of iron or copper kills ascorbate: use deionised water, or put DTPA in first.',
              agent.step,
              { kind: 'deionised' },
            ),
          ],
    )
  const edta = agents.length === 0 ? [] : lines.filter((line) => line.chemical.id === 'edta-disodium')
  const iron = edta.map((line) => finding('mix-6', 'warning', 'EDTA makes iron work faster on ascorbate: use DTPA instead.', line.step))
  const hot = agents
    .filter((line) => line.celsius > 40)
    .map((line) =>
      finding(
        'mix-6',
        'warning',
        `${line.chemical.name} goes in at ${line.celsius} °C: above 40 °C it is destroyed. Cool the water to 25–30 °C first.`,
        line.step,
        { kind: 'temperature', step: line.step, celsius: 28 },
      ),
    )
  const gas = lines
    .filter((line) => foams.includes(line.chemical.id))
    .flatMap((acid) => {
      const carbonate = lines.find(carbonates)
      if (!carbonate) return []
      const litres = (acid.grams * gasLitresPerGram(acid)).toFixed(1)
      return [
        finding(
          'mix-6',
          'warning',
          `${acid.chemical.name} and ${carbonate.chemical.name} foam: up to ${litres} L of gas. Add in small portions, in a vessel with headspace.`,
          Math.max(acid.step, carbonate.step),
        ),
      ]
    })
  return [...water, ...iron, ...hot, ...gas]
}
