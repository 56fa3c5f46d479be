import { byGravity, type Finding } from '../finding'
import { bottles, reversalBleach, testsDue, twoBathFix } from './checks/bottles'
import { lightTooSoon } from './checks/light'
import { bathGone, noFix, noReexposure, rinseAfterLast, washBetween } from './checks/order'
import { coloursCross, permanganateWarm, reticulation, temperature } from './checks/temperatures'
import { shortDeveloping, stepShort } from './checks/times'
import { vessel, vesselTaken } from './checks/vessel'
import type { Plan } from './load'

const checks = [
  ...[noFix, rinseAfterLast, noReexposure, bathGone, washBetween, lightTooSoon],
  ...[temperature, coloursCross, reticulation, permanganateWarm, shortDeveloping, stepShort],
  ...[vessel, vesselTaken, bottles, reversalBleach, twoBathFix, testsDue],
]

/**
 * What is wrong with a plan before anyone loads film, worst first.
 * @example
 * checkPlan(run) // → []
 */
export const checkPlan = (plan: Plan): Finding[] => checks.flatMap((check) => check(plan)).sort(byGravity)
