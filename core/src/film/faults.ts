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

/** How water was taken off before hanging. */
export const wipings = ['none', 'fingers', 'wiper'] as const
export type Wiping = (typeof wipings)[number]
