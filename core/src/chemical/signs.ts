import type { Pictogram } from './hazardStatements'

/** A layer of a sign in a square of 100: filled with ink, left blank in the ink, or a line so wide. */
export interface SignLayer {
  path: string
  paint: 'ink' | 'blank' | 'line'
  width?: number
}
const ink = (path: string): SignLayer => ({ path, paint: 'ink' })
const blank = (path: string): SignLayer => ({ path, paint: 'blank' })
const line = (path: string, width: number): SignLayer => ({ path, paint: 'line', width })
const circle = (x: number, y: number, r: number): string => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`

/** The frame of every sign: red on its edge. */
export const signFrame = 'M50 3 97 50 50 97 3 50z'

/** The signs of the harmonised system, drawn by us, for screens and paper. */
export const signs: Record<Pictogram, SignLayer[]> = {
  flame: [
    ink(
      'M51 20c4 12 17 17 17 32 0 7-4 13-9 16 3-8 0-15-6-19 1 8-2 12-6 15-1-4-3-6-6-8-1 5-1 9 2 13-7-3-12-9-12-17 0-14 19-17 20-32zM32 74h36v4H32z',
    ),
  ],
  'flame-over-circle': [
    line(circle(50, 64, 12), 6),
    ink('M51 16c3 9 12 13 12 23 0 5-2 9-5 11 1-5-1-10-5-13 0 6-2 9-5 12-4-2-10-4-10-11 0-9 12-13 13-22zM33 80h34v4H33z'),
  ],
  corrosion: [
    ink('M26 36l18-10 3 5-18 10zM42 40l3 6-3 6-3-6zM36 52l2 5-2 5-3-5z'),
    ink('M24 66h26v5c-3 0-5 2-6 5H24zM53 34l18-9 3 5-18 10zM66 40l3 5-3 5-3-5z'),
    ink('M54 66c6-8 18-10 24-6v6c-4 0-8 3-9 7-2-3-5-3-7 0-2-3-6-4-8-1z'),
  ],
  skull: [
    ink('M50 22c13 0 20 8 20 18 0 7-4 11-8 13v7H38v-7c-4-2-8-6-8-13 0-10 7-18 20-18z'),
    blank(circle(42, 41, 5)),
    blank(circle(58, 41, 5)),
    blank('M47 50h6l-3-5z'),
    line('M28 62l44 14M72 62 28 76', 5),
  ],
  health: [
    ink(circle(50, 29, 9)),
    ink('M30 78c0-24 6-36 20-36s20 12 20 36z'),
    blank('M50 48l4 9 9-3-5 8 8 5-9 1 1 9-8-6-8 6 1-9-9-1 8-5-5-8 9 3z'),
  ],
  exclamation: [ink('M44 24h12l-3 34h-6zM45 66h10v10H45z')],
  environment: [
    ink('M20 74h60v4H20zM36 74V44l-8-9 3-3 7 8V28h4v18l9-10 3 3-12 14v21z'),
    ink('M52 66c6-8 16-8 22 0l4-4v10l-4-4c-6 6-16 6-22-2z'),
  ],
}
