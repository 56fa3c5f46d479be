import type { Cast } from '@selvrin/core'

/** How a cast looks, for eyes in white light; its word always stands beside. */
export const castSwatch: Record<Cast, string> = {
  yellow: '#d9b400',
  magenta: '#c2188f',
  cyan: '#0093b8',
  red: '#c62828',
  green: '#2f8a2f',
  blue: '#2d4fb3',
}
