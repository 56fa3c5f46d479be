import type { Cast, PrintFilter, PrintSaid } from '@selvrin/core'

/** A print of the demo, as it was made: its first strip, the band that was chosen, and what was said of one print after another. */
export interface Told {
  title: string
  what: string
  of: [widthMm: number, heightMm: number]
  box: number
  enlarger: number
  m: number
  lensN: number
  filter: PrintFilter
  /** s the first strip goes about, and the band that was chosen */
  guessS: number
  band: number
  /** what was said of each print in turn; the last of nothing is as it should be */
  said: PrintSaid[][]
  done: boolean
  days: number
  /** whose it is, by the order of the members */
  owner: number
}
const grade = (one: '2' | '2.5' | '3'): PrintFilter => ({ kind: 'set', grade: one })
const dark = (stops: number): PrintSaid => ({ of: 'print', stops })
const hard = (halves: number): PrintSaid => ({ of: 'grade', halves })
const at = (name: string, stops: number): PrintSaid => ({ of: 'place', name, stops, exposure: 0 })
const pack = (y: number, m: number): PrintFilter => ({ kind: 'pack', y, m, c: 0 })
const too = (cast: Cast, units: number): PrintSaid => ({ of: 'cast', cast, units })
const small: [number, number] = [36, 24]
const roll: [number, number] = [56, 56]

/** A season of prints, the last of them in the making. */
// prettier-ignore
export const told: Told[] = [
  { title: 'Gulls over the weir', what: 'roll 12, frame 5', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 9, band: 2, said: [[dark(0.2)], []], done: true, days: 60, owner: 0 },
  { title: 'Miller’s window', what: 'roll 14, frame 22', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 14, band: 3, said: [[hard(1)], [dark(-0.1)], []], done: true, days: 59, owner: 1 },
  { title: 'Salt marsh, first frost', what: 'roll 19, frame 8', of: roll, box: 1, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 45, grade: '3' }, guessS: 19, band: 4, said: [[dark(-0.33), hard(-1)], [at('corner', 0.5)], []], done: true, days: 58, owner: 2 },
  { title: 'Nell with the nets', what: 'roll 21, frame 31', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 10, band: 5, said: [[at('sky', 0.75)], []], done: true, days: 57, owner: 3 },
  { title: 'Wet cobbles', what: 'roll 22, frame 3', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 15, band: 2, said: [[]], done: true, days: 56, owner: 4 },
  { title: 'The old crane', what: 'roll 23, frame 11', of: roll, box: 1, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 0, grade: '2' }, guessS: 20, band: 3, said: [[dark(0.2)], []], done: true, days: 55, owner: 5 },
  { title: 'Bram asleep on the ferry', what: 'roll 24, frame 19', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 11, band: 4, said: [[hard(1)], [dark(-0.1)], []], done: true, days: 54, owner: 0 },
  { title: 'Reeds, going dark', what: 'roll 26, frame 6', of: roll, box: 2, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 0, grade: '2' }, guessS: 16, band: 5, said: [[dark(-0.33), hard(-1)], [at('corner', 0.5)], []], done: true, days: 53, owner: 1 },
  { title: 'Tide table on the wall', what: 'roll 27, frame 27', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('3'), guessS: 21, band: 2, said: [[at('sky', 0.75)], []], done: true, days: 52, owner: 2 },
  { title: 'Two boats, no wind', what: 'roll 28, frame 14', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 12, band: 3, said: [[]], done: true, days: 51, owner: 3 },
  { title: 'Lantern in the loft', what: 'roll 29, frame 2', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 17, band: 4, said: [[dark(0.2)], []], done: true, days: 50, owner: 4 },
  { title: 'Wanda’s hands', what: 'roll 30, frame 33', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('3'), guessS: 22, band: 5, said: [[hard(1)], [dark(-0.1)], []], done: true, days: 49, owner: 5 },
  { title: 'Fog at the lock gate', what: 'roll 31, frame 9', of: roll, box: 1, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 45, grade: '3' }, guessS: 13, band: 2, said: [[dark(-0.33), hard(-1)], [at('corner', 0.5)], []], done: true, days: 48, owner: 0 },
  { title: 'Ladder in the mud', what: 'roll 32, frame 17', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 18, band: 3, said: [[at('sky', 0.75)], []], done: true, days: 47, owner: 1 },
  { title: 'The wheel pit', what: 'roll 33, frame 24', of: small, box: 3, enlarger: 0, m: 6.6, lensN: 8, filter: { kind: 'none' }, guessS: 9, band: 4, said: [[]], done: true, days: 46, owner: 2 },
  { title: 'Oyster baskets', what: 'roll 34, frame 7', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 14, band: 5, said: [[dark(0.2)], []], done: true, days: 30, owner: 3 },
  { title: 'Slack water', what: 'roll 35, frame 12', of: roll, box: 2, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 45, grade: '3' }, guessS: 19, band: 2, said: [[hard(1)], [dark(-0.1)], []], done: true, days: 29, owner: 4 },
  { title: 'Corin reading', what: 'roll 36, frame 29', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('3'), guessS: 10, band: 3, said: [[dark(-0.33), hard(-1)], [at('corner', 0.5)], []], done: true, days: 28, owner: 5 },
  { title: 'Sluice keeper’s dog', what: 'roll 37, frame 4', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 15, band: 4, said: [[at('sky', 0.75)], []], done: true, days: 27, owner: 0 },
  { title: 'Nets on the rail', what: 'roll 39, frame 15', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 20, band: 5, said: [[]], done: true, days: 26, owner: 1 },
  { title: 'Harbour wall', what: 'roll 40, frame 17', of: roll, box: 1, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 45, grade: '3' }, guessS: 11, band: 2, said: [[dark(0.2)], []], done: true, days: 25, owner: 2 },
  { title: 'Rain on the skylight', what: 'roll 42, frame 21', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 16, band: 3, said: [[hard(1)], [dark(-0.1)], []], done: true, days: 24, owner: 3 },
  { title: 'The ferry steps', what: 'roll 43, frame 10', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 21, band: 4, said: [[dark(-0.33), hard(-1)], [at('corner', 0.5)], []], done: true, days: 23, owner: 4 },
  { title: 'Last light, mill pond', what: 'roll 45, frame 1', of: roll, box: 2, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 0, grade: '2' }, guessS: 12, band: 5, said: [[at('sky', 0.75)], []], done: true, days: 22, owner: 5 },
  { title: 'Jory and the eel', what: 'roll 46, frame 26', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 17, band: 2, said: [[]], done: true, days: 21, owner: 0 },
  { title: 'The sluice at low water', what: 'roll 41, frame 12', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2'), guessS: 12, band: 3, said: [[dark(0.25), hard(1)], [at('sky', 0.5)], []], done: true, days: 21, owner: 0 },
  { title: 'Rope and cleat', what: 'roll 38, frame 4', of: small, box: 0, enlarger: 0, m: 6.6, lensN: 8, filter: grade('2.5'), guessS: 10, band: 4, said: [[dark(-0.17)], []], done: true, days: 20, owner: 1 },
  { title: 'Tilda at the wheel', what: 'roll 44, frame 7', of: roll, box: 1, enlarger: 1, m: 4.2, lensN: 11, filter: { kind: 'dials', y: 0, m: 0, grade: '2' }, guessS: 16, band: 3, said: [[hard(1), at('face', -0.25)], [dark(0.1)], []], done: true, days: 9, owner: 2 },
  { title: 'Mud flats, November', what: 'roll 47, frame 2', of: roll, box: 2, enlarger: 1, m: 4.6, lensN: 11, filter: { kind: 'dials', y: 0, m: 45, grade: '3' }, guessS: 20, band: 2, said: [[dark(0.33), at('foreground', 0.33)]], done: false, days: 2, owner: 0 },
  { title: 'Hands at the wheel', what: 'roll C3, frame 14', of: small, box: 4, enlarger: 1, m: 5.6, lensN: 8, filter: pack(60, 50), guessS: 10, band: 3, said: [[too('green', 20)], [too('yellow', 5), dark(0.1)], []], done: true, days: 40, owner: 1 },
  { title: 'Snow on the dyke', what: 'roll C5, frame 2', of: small, box: 4, enlarger: 1, m: 5.6, lensN: 8, filter: pack(60, 35), guessS: 8, band: 3, said: [[too('blue', 10)], []], done: true, days: 12, owner: 2 },
  { title: 'Breakfast in the loft', what: 'roll C6, frame 21', of: small, box: 5, enlarger: 1, m: 5.6, lensN: 8, filter: pack(50, 65), guessS: 11, band: 3, said: [[too('red', 10)]], done: false, days: 2, owner: 0 },
  { title: 'Loft stairs', what: 'roll 48, frame 9', of: small, box: 3, enlarger: 0, m: 6.6, lensN: 8, filter: { kind: 'none' }, guessS: 9, band: 3, said: [[dark(-0.25)]], done: false, days: 1, owner: 3 },
]
