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
