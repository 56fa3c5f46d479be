import type { Finding, Severity } from '../../finding'
import type { Formula } from '../formula'
import type { Line } from '../lines'

/** One rule of mixing: what it finds in a formula whose lines are worked out. */
export type Rule = (formula: Formula, lines: Line[]) => Finding[]

export const finding = (rule: string, severity: Severity, message: string, step?: number): Finding => ({
  rule,
  severity,
  ...(step === undefined ? {} : { step }),
  message,
})

export const before = (lines: Line[], line: Line): Line[] => lines.slice(0, line.step)
export const after = (lines: Line[], line: Line): Line[] => lines.slice(line.step + 1)
