import type { BottleState, Brought } from '../bottle'

/** What liquid taken from a bottle in that state takes along. */
export const broughtFrom = (state: BottleState): Brought => ({
  strength: state.strength,
  rollsPerL: state.rollsPerL,
  silverGPerL: state.silverGPerL ?? 0,
  aged: state.aged,
  ...(state.tests.length > 0 ? { tests: state.tests } : {}),
  ...(state.fixS === null ? {} : { fixS: state.fixS }),
  ...(state.clearingTimes.length > 0 ? { clearingTimes: state.clearingTimes } : {}),
  ...(state.clearingRead.length > 0 ? { clearingRead: state.clearingRead } : {}),
})

/** What working strength made of a stock has behind it: it is fresh, but what the stock failed it has failed too. */
export const dilutedFrom = ({ tests }: BottleState): Brought | undefined => {
  const failed = tests.filter((one) => one.failed)
  return failed.length > 0 ? { strength: 1, rollsPerL: 0, silverGPerL: 0, aged: 0, tests: failed } : undefined
}
