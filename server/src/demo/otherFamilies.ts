import type { houseIds } from '@selvrin/core'

/** Runs of the last evenings that were no black-and-white negatives: which process, film, vessel, and what of the shelf is in which role. */
export interface OtherRun {
  daysAgo: number
  /** after the evening began, h */
  later: number
  process: keyof typeof houseIds
  film: string
  ei: number
  vessel: string
  temperatureC: number
  options?: Record<string, boolean>
  baths: [role: string, formula: string][]
}
export const otherRuns: OtherRun[] = [
  {
    ...{ daysAgo: 2, later: 1.5, process: 'monobath', film: 'Millrace 400', ei: 400, vessel: 'Tank 1', temperatureC: 24 },
    options: { 'wetting-agent': false },
    baths: [['monobath', 'monobath']],
  },
  {
    ...{ daysAgo: 2, later: 2, process: 'colour-negative', film: 'Harbour colour 200', ei: 200, vessel: 'Tank 1', temperatureC: 37.8 },
    baths: [
      ['developer', 'colourDeveloper'],
      ['bleach-fix', 'kitBleachFix'],
      ['stabiliser', 'kitStabiliser'],
    ],
  },
  {
    ...{ daysAgo: 2, later: 2.5, process: 'slide-three', film: 'Harbour slide 100', ei: 100, vessel: 'Tank 1', temperatureC: 38 },
    baths: [
      ['first-developer', 'slideFirst'],
      ['colour-developer', 'slideColour'],
      ['bleach-fix', 'kitBleachFix'],
      ['stabiliser', 'kitStabiliser'],
    ],
  },
]
