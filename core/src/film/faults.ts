/** What is seen on a developed film that should not be there, in the words of those who look at it. */
export const faults = [
  'thin-shadows',
  'streaks',
  'uneven',
  'milky',
  'purple-base',
  'clear-spots',
  'long-scratch',
  'drying-marks',
  'fogged',
  'reticulated',
] as const
export type Fault = (typeof faults)[number]

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

/** How water was taken off before hanging. */
export const wipings = ['none', 'fingers', 'wiper'] as const
export type Wiping = (typeof wipings)[number]
export const wipingNames: Record<Wiping, string> = { none: 'not wiped', fingers: 'two wet fingers', wiper: 'a soaked soft wiper' }
