import type { Finding } from '../finding'

/** A bottle as far as it matters whether it may be used. */
export interface Usable {
  retiredAt: number | null
  state: { findings: Finding[] }
}

const grave = (bottle: Usable): Finding[] => bottle.state.findings.filter((finding) => finding.severity === 'error')

/**
 * What forbids that a film, a print or another bath is put through this bottle: the gravest finding of its state; null where nothing does. Who overrules it says why.
 * That nothing is in it is not said here: an empty bottle is filled before it is used.
 * @example
 * reasonAgainst({ retiredAt: null, state: { findings: [{ rule: 'bottle-age', severity: 'error', message: 'Too old.' }] } })?.rule // → 'bottle-age'
 */
export const reasonAgainst = (bottle: Usable): Finding | null => grave(bottle).find((finding) => finding.rule !== 'bottle-empty') ?? null

/**
 * Whether this bottle may be used now, as it stands: it is in use, and nothing forbids it.
 * @example
 * mayBeUsed({ retiredAt: null, state: { findings: [] } }) // → true
 * mayBeUsed({ retiredAt: 1_790_000_000_000, state: { findings: [] } }) // → false
 */
export const mayBeUsed = (bottle: Usable): boolean => bottle.retiredAt === null && grave(bottle).length === 0

/**
 * The gravest finding against a bottle, that it is empty among them; null where there is none.
 * @example
 * gravest({ retiredAt: null, state: { findings: [] } }) // → null
 */
export const gravest = (bottle: Usable): Finding | null => grave(bottle)[0] ?? null

/**
 * Whether a test of it would say anything: nothing forbids its use but a failed test, which another may lift.
 * @example
 * mayBeTested({ retiredAt: null, state: { findings: [{ rule: 'bottle-failed', severity: 'error', message: 'Failed.' }] } }) // → true
 */
export const mayBeTested = (bottle: Usable): boolean =>
  bottle.retiredAt === null && grave(bottle).every(({ rule }) => rule === 'bottle-failed')
