import { byGravity, type Finding } from '../finding'
import { governing } from '../proof/judgement'
import { dayMs } from '../calendar/span'
import type { BottleFacts, BottleState } from './bottle'
import type { UsedFormula } from '../formula/use'
import { stopEndsPh } from './stopBath'

const little = 0.15
const error = (rule: string, message: string): Finding => ({ rule, severity: 'error', message })
const warning = (rule: string, message: string): Finding => ({ rule, severity: 'warning', message })

/** What speaks against pouring from a bottle, worst first. An error stops it short of a technician's reason. */
export function findingsOf(formula: UsedFormula, bottle: BottleFacts, state: BottleState, at: number): Finding[] {
  if (bottle.retiredAt !== null) return [error('bottle-retired', 'It is retired.')]
  if (state.volumeMl <= 1e-6) return [error('bottle-empty', 'It is empty.')]
  return [
    ...testsOf(state),
    ...lifeOf(formula, state),
    ...silverOf(formula, state),
    ...twoBathOf(formula, state, at),
    ...stopOf(state),
    ...replenishOf(formula, state),
  ].sort(byGravity)
}

function lifeOf({ use }: UsedFormula, state: BottleState): Finding[] {
  const { used, aged, remaining } = state
  if (used >= 1) {
    if (use.school === 'two-bath') return [error('bottle-move-up', movesLeft(use.twoBath?.moves ?? 0, state))]
    return [error('bottle-exhausted', 'Its capacity is used up: retire it.')]
  }
  if (aged >= 1) return [error('bottle-expired', 'It is past its keeping life: retire it.')]
  if (remaining === 0) return [error('bottle-exhausted', 'Use and age together have ended its life: retire it.')]
  return remaining <= little ? [warning('bottle-low', 'Little of its life is left: mix the next one.')] : []
}

const movesLeft = (moves: number, state: BottleState): string =>
  (state.twoBath?.moves ?? 0) < moves
    ? 'As a first bath it is used up: discard it, move the second bath up and mix a fresh second.'
    : 'The last move’s cycle is over: discard both baths and mix a fresh pair.'

function silverOf({ use, family }: UsedFormula, { silverGPerL, silverLimitGPerL }: BottleState): Finding[] {
  if (silverGPerL === null || silverLimitGPerL === null || use.school === 'one-shot' || family === 'monobath') return []
  const says = `${silverGPerL.toFixed(1)} g/L of silver by count, of ${silverLimitGPerL} g/L for what it fixes`
  if (silverGPerL >= silverLimitGPerL) return [error('bottle-silver', `${says}: retire it.`)]
  return silverGPerL >= 0.85 * silverLimitGPerL ? [warning('bottle-silver', `${says}.`)] : []
}

function testsOf(state: BottleState): Finding[] {
  const worst = governing(state.tests)
  if (!worst) return []
  if (worst.verdict === 'failed')
    return [
      error(
        'bottle-failed',
        `It failed a test: ${worst.mark.reason}${worst.passes > 0 ? ' It has passed once since; a second pass clears it.' : ''}`,
      ),
    ]
  return worst.verdict === 'marginal'
    ? [warning('bottle-marginal', worst.mark.overruled ? `Used for a technician’s reason: ${worst.mark.overruled}` : worst.mark.reason)]
    : []
}

function twoBathOf({ use }: UsedFormula, state: BottleState, at: number): Finding[] {
  const { twoBath } = state
  if (use.school !== 'two-bath' || !twoBath || use.twoBath?.days == null) return []
  const days = (at - twoBath.since) / dayMs
  return days >= use.twoBath.days
    ? [error('bottle-pair-date', `The pair has been in use for ${Math.floor(days)} days of ${use.twoBath.days}: discard both baths.`)]
    : []
}

const stopOf = ({ ph }: BottleState): Finding[] =>
  ph !== null && ph >= stopEndsPh
    ? [
        warning(
          'bottle-stop-turning',
          `Its acid is nearly used up, pH about ${ph.toFixed(1)} by count: look at the indicator and replace it.`,
        ),
      ]
    : []

const replenishOf = ({ use }: UsedFormula, { replenishDueMl }: BottleState): Finding[] =>
  use.school === 'replenished' && replenishDueMl > 0.5
    ? [warning('bottle-replenish', `Replenish it with ${Math.round(replenishDueMl)} ml before the next roll.`)]
    : []
