const nth = (n: number): string => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`

/** Ids of the processes every house begins with: the same in every house, so that what was planned with one is known anywhere. */
export const houseIds = {
  'bw-negative': nth(1),
  'bw-negative-rotary': nth(2),
  monobath: nth(3),
  'colour-negative': nth(4),
  'slide-three': nth(5),
  'slide-six': nth(6),
  'bw-slide': nth(7),
  'colour-as-bw': nth(8),
  'slide-crossed': nth(9),
} as const

/**
 * The id of the first version of a house process.
 * @example
 * houseFirstVersion(houseIds['bw-slide']) // → '01900000-0000-7000-8000-000000001007'
 */
export const houseFirstVersion = (houseId: string): string => `${houseId.slice(0, -4)}1${houseId.slice(-3)}`
