/** A question that cannot be answered. `code` is for programs, the message is a sentence for people that says what to do. */
export class DomainError extends Error {
  override name = 'DomainError'
  constructor(
    readonly code: string,
    message: string,
    /** the chemicals the answer would need data for, where that is the reason */
    readonly chemicals?: string[],
  ) {
    super(message)
  }
}

/** Throws `out-of-range` unless every named figure is a finite number of at least 0. */
export function requireAmounts(amounts: Record<string, number>): void {
  for (const [name, value] of Object.entries(amounts))
    if (!Number.isFinite(value) || value < 0) throw new DomainError('out-of-range', `${name} must be a number of at least 0, not ${value}.`)
}

/** Throws `out-of-range` unless every named figure is a finite number above 0. */
export function requirePositive(amounts: Record<string, number>): void {
  for (const [name, value] of Object.entries(amounts))
    if (!Number.isFinite(value) || value <= 0) throw new DomainError('out-of-range', `${name} must be a number above 0, not ${value}.`)
}

/** Throws `out-of-range` unless every named temperature is finite and above absolute zero. */
export function requireTemperatures(temperatures: Record<string, number>): void {
  for (const [name, value] of Object.entries(temperatures))
    if (!Number.isFinite(value) || value < -273.15)
      throw new DomainError('out-of-range', `${name} must be a temperature in °C, not ${value}.`)
}

/** An act that is not written: by how things stand (`conflict`), or because what was asked cannot be. */
export class Refused extends DomainError {
  override name = 'Refused'
  constructor(
    readonly conflict: boolean,
    code: string,
    message: string,
    readonly more: { field?: string; /** what the thing is, where that speaks against it */ current?: unknown } = {},
  ) {
    super(code, message)
  }
}

/**
 * How things stand speaks against it: another time, or another bottle, it may be.
 * @example
 * conflict('retired', 'F1 is retired.').conflict // → true
 */
export const conflict = (code: string, message: string, more: Refused['more'] = {}): Refused => new Refused(true, code, message, more)

/**
 * What was asked cannot be.
 * @example
 * impossible('nothing', 'Say how much.', { field: 'ml' }).more.field // → 'ml'
 */
export const impossible = (code: string, message: string, more: Refused['more'] = {}): Refused => new Refused(false, code, message, more)
