import type { Process } from '../process'
import { bwNegative, bwRotary, bwSlide, colourAsBw, monobath } from './blackAndWhite'
import { colourNegative, slideCrossed, slideSix, slideThree } from './colour'

/** The processes every house begins with, from plain to special. */
export const houseProcesses: [Process, ...Process[]] = [
  bwNegative,
  bwRotary,
  monobath,
  colourNegative,
  slideThree,
  slideSix,
  bwSlide,
  colourAsBw,
  slideCrossed,
]
