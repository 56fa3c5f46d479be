import type { Finding, Severity } from '../../finding'
import type { Catalogue } from '../../chemical/chemical'
import type { Formula } from '../formula'
import type { Line } from '../lines'
import type { Repair } from '../repair'

/** One rule of mixing: what it finds in a formula whose lines are worked out. */
export type Rule = (formula: Formula, lines: Line[], catalogue: Catalogue) => Finding[]

export const finding = (rule: string, severity: Severity, message: string, step?: number, repair?: Repair): Finding => ({
  rule,
  severity,
  ...(step === undefined ? {} : { step }),
  message,
  ...(repair ? { repair } : {}),
})

/** Takes a line to just after another one. */
export const moveAfter = (line: Line, other: Line): Repair => ({
  kind: 'move',
  from: line.step,
  to: line.step < other.step ? other.step : other.step + 1,
})
/** Takes a line to just before another one. */
export const moveBefore = (line: Line, other: Line): Repair => ({
  kind: 'move',
  from: line.step,
  to: line.step < other.step ? other.step - 1 : other.step,
})

export const before = (lines: Line[], line: Line): Line[] => lines.slice(0, line.step)
export const after = (lines: Line[], line: Line): Line[] => lines.slice(line.step + 1)
