import { takesPrints } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { counted, percent, showRollsLeft } from '../marks/words'
import { figure } from '../session/manner'

/** Whole percents of what use and age took and of what is left, that come to a hundred together. */
export function lifeShares(used: number, aged: number): { used: number; aged: number; left: number } {
  const left = Math.round(Math.max(0, 1 - used - aged) * 100)
  const gone = 100 - left
  const byUse = used + aged > 0 ? Math.round((gone * used) / (used + aged)) : 0
  return { used: byUse, aged: gone - byUse, left }
}

type Standing = Pick<Bottle, 'state' | 'retiredAt'>
const isEmpty = (bottle: Standing): boolean => bottle.state.volumeMl <= 0.5

/** '78 % left'; an empty bottle has no life to speak of. */
export const leftWords = (bottle: Standing): string =>
  bottle.retiredAt !== null ? 'Retired' : isEmpty(bottle) ? 'Empty' : `${percent(bottle.state.remaining)} left`

/** What it is still good for, '12 rolls' or '40 prints'; nothing where it is not counted, empty, or past its time for another reason. */
export function goodForWords(bottle: Standing & Pick<Bottle, 'family' | 'use'>): string {
  const { rollsLeft, remaining } = bottle.state
  if (rollsLeft === null || bottle.retiredAt !== null || isEmpty(bottle) || remaining === 0) return ''
  if (!takesPrints(bottle)) return showRollsLeft(rollsLeft)
  const prints = rollsLeft >= 10 ? Math.floor(rollsLeft) : Math.floor(rollsLeft * 10) / 10
  return Number.isInteger(prints) ? counted(prints, 'print') : `${figure(prints)} prints`
}
