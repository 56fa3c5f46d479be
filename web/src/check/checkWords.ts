import type { CheckResult, FixtureBody } from '@selvrin/core'
import type { Fixture } from '@selvrin/core/contract'

type Standing = Fixture['standing']['standing']
export const standingWords: Record<Standing, string> = {
  good: '✓ in order',
  due: '● due',
  overdue: '▲ overdue',
  failed: '✕ failed',
  never: '▲ never looked at',
}
export const kindWords: Record<FixtureBody['kind'], string> = {
  eyewash: 'Eyewash',
  ventilation: 'Ventilation',
  mains: 'Mains switch',
  gloves: 'Gloves',
}
/** What the press for a check says. */
export const askWords: Record<CheckResult['kind'], string> = {
  flush: 'Flush it',
  date: 'A new bottle',
  tissue: 'Hold a tissue to it',
  meter: 'Measure it',
  trip: 'Press its button',
  count: 'Count them',
}
/** How it is done, in a sentence. */
export const howWords: Record<CheckResult['kind'], string> = {
  flush: 'Let it run 3 minutes; a jug under it for half a minute says how much it gives, a thermometer in the jug how warm.',
  date: 'The date stands on the bottle. It is thrown away at that day, opened or not.',
  tissue: 'Hold a paper tissue to the opening: it stays there by itself where air is drawn.',
  meter: 'Hold the meter in the middle of the opening and at its corners; write down what it shows on the average.',
  trip: 'Press the button of the residual-current device: the sockets of the wet side go dead, and it is switched on again.',
  count: 'Pairs that lie there, unopened boxes among them.',
}
