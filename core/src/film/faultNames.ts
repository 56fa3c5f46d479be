import type { Fault, Wiping } from './faults'

export const faultNames: Record<Fault, string> = {
  'thin-shadows': 'thin in the shadows only',
  streaks: 'streaks',
  uneven: 'uneven',
  milky: 'milky',
  'purple-base': 'purple base',
  'clear-spots': 'small clear round spots',
  'long-scratch': 'a long scratch along the film',
  'drying-marks': 'drying marks',
  fogged: 'fogged',
  reticulated: 'a net of cracks',
}
export const wipingNames: Record<Wiping, string> = { none: 'not wiped', fingers: 'two wet fingers', wiper: 'a soaked soft wiper' }
