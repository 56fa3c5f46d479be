import type { RoomLight } from '@selvrin/core'

/** Lights of a room in words, the darkest first. */
export const roomLightWords: Record<RoomLight, string> = {
  dark: 'dark',
  red: 'red safelight',
  amber: 'amber safelight',
  yellow: 'yellow safelight',
  white: 'white light',
}
