import { whatNeverMeets, type Met } from '../../meeting/whatNeverMeets'
import type { Line } from '../lines'
import { finding, type Rule } from './rule'

/** A line as it meets the others: with no water in the jug a powder is dry, and a liquid goes in as it is sold unless it comes from a percent solution. */
function metOf(line: Line, dry: boolean): Met {
  const asSold = line.chemical.densityGPerMl === undefined ? (dry ? 'solid' : 'solution') : 'concentrated'
  return { chemical: line.chemical.id, gramsPerLitre: line.gramsPerLitre, form: line.dissolved ? 'solution' : asSold }
}

/** The table of what never meets, on what goes into one solution in its order. */
export const neverMeet: Rule = (formula, lines, catalogue) => {
  const dry = formula.startMl === 0 && lines.every((line) => line.liquidMl === 0)
  const atC = lines.reduce((hot, line) => Math.max(hot, line.celsius), formula.mixC)
  return whatNeverMeets(
    lines.map((line) => metOf(line, dry)),
    { atC },
    catalogue,
  ).map(({ rule, one, other, danger }) => {
    const two = lines.filter(({ chemical }) => chemical.id === one || chemical.id === other)
    const name = (id: string) => two.find(({ chemical }) => chemical.id === id)?.chemical.name ?? id
    return finding(rule, 'error', `${name(one)} never meets ${name(other)}: ${danger}.`, Math.max(...two.map(({ step }) => step)))
  })
}
