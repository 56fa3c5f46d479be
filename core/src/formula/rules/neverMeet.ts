import { whatNeverMeets } from '../../chemical/meetings'
import type { Finding } from '../../finding'
import { is, type Line } from '../lines'
import { finding, type Rule } from './rule'

/** g/L of sulfuric acid up to which it is the dilute acid of a bleach, poured into water first. Rounded literature value. */
const diluteAcid = 100
const hotC = 40

/**
 * The table of what never meets, within one solution. What is dangerous between jars but usual in a diluted bath (a fixer's own acid, a bleach's dilute
 * acid) is left to the rules of order.
 */
export const neverMeet: Rule = (_formula, lines) =>
  lines.flatMap((later, i) =>
    lines.slice(0, i).flatMap((earlier): Finding[] => {
      const meeting = whatNeverMeets(earlier.chemical, later.chemical)
      if (!meeting || harmless(meeting.rule, meeting.severity, earlier, later)) return []
      const severity = meeting.rule === 'never-2' ? 'error' : meeting.severity
      return [
        finding(
          meeting.rule,
          severity,
          `${later.chemical.name} never meets ${earlier.chemical.name.toLowerCase()}: ${meeting.danger}.`,
          later.step,
        ),
      ]
    }),
  )

function harmless(rule: string, severity: string, one: Line, other: Line): boolean {
  const both = [one, other]
  // weak or diluted acid: only heat makes it dangerous
  if (rule === 'never-2' && severity === 'warning')
    return !both.some((line) => is(line, 'weak-acid') && Math.max(one.celsius, other.celsius) > hotC)
  // a fixer's weak acid, glacial acetic among them, is a matter of order and of sulfite
  if (rule === 'never-4') return !both.some((line) => is(line, 'strong-acid'))
  if (rule === 'never-6') return both.every((line) => !is(line, 'strong-acid') || line.gramsPerLitre <= diluteAcid)
  return false
}
