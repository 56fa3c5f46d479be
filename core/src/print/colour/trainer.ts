import { seeded } from '../../chance/seeded'
import { DomainError } from '../../error'
import { castTurns, casts } from './casts'
import type { PackTurn } from './photoCast'

/** How hard the hidden casts of a level are: between what units, in steps of five, and whether two dials are off independently. */
export interface TrainerLevel {
  from: number
  to: number
  mixed: boolean
  /** the right print lies beside */
  beside: boolean
}
/** House default: strong pure casts beside the right print first, faint mixed ones by themselves at the end. */
export const trainerLevels: readonly TrainerLevel[] = [
  { from: 40, to: 40, mixed: false, beside: true },
  { from: 20, to: 40, mixed: false, beside: true },
  { from: 10, to: 30, mixed: false, beside: false },
  { from: 10, to: 30, mixed: true, beside: false },
  { from: 5, to: 20, mixed: true, beside: false },
  { from: 5, to: 10, mixed: true, beside: false },
]

/**
 * The cast that is hidden in a picture: what the filters lack of yellow and magenta, in steps of five. The same seed hides the same.
 * @throws DomainError 'no-level'
 * @example
 * Math.hypot(...Object.values(hiddenCast(1, 7))) > 0 // → true
 */
export function hiddenCast(level: number, seed: number): PackTurn {
  const of = trainerLevels[level - 1]
  if (!of) throw new DomainError('no-level', `The trainer has levels 1 to ${trainerLevels.length}.`)
  const random = seeded(seed)
  const units = (): number => 5 * Math.floor(of.from / 5 + random() * (of.to / 5 - of.from / 5 + 1))
  if (of.mixed) {
    const sign = (): number => (random() < 0.5 ? -1 : 1)
    return { y: sign() * units(), m: sign() * units() }
  }
  const cast = casts[Math.floor(random() * casts.length)] ?? 'yellow'
  const { y, m } = castTurns(cast, units(), 'negative')
  return { y, m }
}

/** What somebody turned before each print, one after another: units of yellow and magenta. */
export type TrainerTurns = PackTurn[]

/** How much is still off, as the eye sees it: √(ΔY² + ΔM²) units. */
const restOf = ({ y, m }: PackTurn): number => Math.hypot(y, m)

/** Where a round stands: what the filters still lack, how far off that is, and whether the last print went the wrong way. */
export interface TrainerState {
  lacks: PackTurn
  rest: number
  wrongWay: boolean
}

/**
 * What is still off after the prints that were made.
 * @example
 * trainerState({ y: 20, m: 0 }, [{ y: 10, m: 0 }]) // → { lacks: { y: 10, m: 0 }, rest: 10, wrongWay: false }
 */
export function trainerState(hidden: PackTurn, turns: TrainerTurns): TrainerState {
  let lacks = hidden
  let wrongWay = false
  for (const turn of turns) {
    if (!Number.isFinite(turn.y) || !Number.isFinite(turn.m)) throw new DomainError('out-of-range', 'A turn is a number of units.')
    const next = { y: lacks.y - turn.y || 0, m: lacks.m - turn.m || 0 }
    wrongWay = restOf(next) > restOf(lacks)
    lacks = next
  }
  return { lacks, rest: restOf(lacks), wrongWay }
}

/** points for a print that is right at once; what each print after the first costs, and each unit that is left. House default. */
const points = { best: 100, perPrint: 15, perUnit: 4 }

/**
 * The score of a round that was called right, 0 to 100: by the prints it took and by what is left.
 * @throws DomainError 'nothing-printed'
 * @example
 * trainerScore({ y: 20, m: 0 }, [{ y: 10, m: 0 }, { y: 10, m: 0 }]) // → 85
 */
export function trainerScore(hidden: PackTurn, turns: TrainerTurns): number {
  if (turns.length === 0) throw new DomainError('nothing-printed', 'Turn the filters and print before you call it right.')
  const { rest } = trainerState(hidden, turns)
  return Math.max(0, points.best - points.perPrint * (turns.length - 1) - points.perUnit * rest)
}

/** A round somebody finished. */
export interface TrainerRound {
  level: number
  score: number
}
/** points from which a round counts as mastered, and below which as too hard; so many mastered in a row lead on */
const mastered = { from: 70, inRow: 2, tooHard: 30 }

/**
 * The level somebody is given next, from their rounds, the oldest first: a level up after two in a row that were mastered on it, one down after two that were not.
 * @example
 * levelAfter([{ level: 1, score: 90 }, { level: 1, score: 85 }]) // → 2
 */
export function levelAfter(rounds: TrainerRound[]): number {
  const last = rounds.at(-1)
  if (!last) return 1
  const recent = rounds.slice(-mastered.inRow)
  const same = recent.length === mastered.inRow && recent.every((one) => one.level === last.level)
  if (same && recent.every((one) => one.score >= mastered.from)) return Math.min(trainerLevels.length, last.level + 1)
  if (same && recent.every((one) => one.score < mastered.tooHard)) return Math.max(1, last.level - 1)
  return last.level
}
