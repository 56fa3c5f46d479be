import { DomainError, parseNumber, usualManner, withSign, type Manner } from '@selvrin/core'
import { shallowRef } from 'vue'

/** How whoever is signed in reads and writes amounts; set by the session. */
export const manner = shallowRef<Manner>(usualManner)

/** A figure with so many decimals and the person's decimal sign. */
export const digits = (value: number, decimals: number): string => withSign(value.toFixed(decimals), manner.value)
/** A figure as short as it is, with the person's decimal sign: 24, 2.5. */
export const figure = (value: number): string => withSign(String(Number(value.toFixed(4))), manner.value)

/** A bare figure as the person writes it; NaN where it is none. */
export function readNumber(text: string): number {
  try {
    return parseNumber(text, { decimal: manner.value.decimal })
  } catch (error) {
    if (error instanceof DomainError) return NaN
    throw error
  }
}
