import type { Finding } from '../finding'
import type { Fixable } from '../formula/use'
import type { ClearingRead, FixerSalt } from '../proof/fixingTime'
import type { Forecast } from '../proof/forecast'
import type { Standing } from '../proof/judgement'
import type { TestMark } from '../proof/proof'
import type { Throughput } from './throughput'

/** How it stands: a closed bottle with its air, one with the air pressed or purged out, or an open tray. */
export const containers = ['bottle', 'airless', 'tray'] as const
export type Container = (typeof containers)[number]

export interface BottleFacts {
  sizeMl: number
  /** parts it was diluted with when it was made; null for stock */
  parts: number[] | null
  /** ms since 1970 when it was mixed or diluted */
  madeAt: number
  retiredAt: number | null
}

export const entryKinds = [
  'fill',
  'dilute-out',
  'decant',
  'pour-out',
  'pour-back',
  'use',
  'top-up',
  'water',
  'evaporate',
  'replenish',
  'bleed',
  'test',
  'move',
  'move-up',
  'change',
  'discard',
  'wrong-bottle',
  'retire',
  'correct',
  'reverse',
] as const
export type EntryKind = (typeof entryKinds)[number]

/** What liquid from another bottle had behind it when it came. */
export interface Brought {
  strength: number
  rollsPerL: number
  silverGPerL: number
  aged: number
  /** what its tests said, the fixing time they set, and its clearing times so far; nothing where it was never tested */
  tests?: Standing[] | undefined
  fixS?: number | undefined
  clearingTimes?: { rollsPerLitre: number; seconds: number }[] | undefined
  clearingRead?: ClearingRead[] | undefined
}

/** Place in a two-bath chain: which bath, how many moves it has behind it, and since when (ms) the pair is in use. */
export interface BathPlace {
  position: 1 | 2
  moves: number
  since: number
}

/** One line of a bottle's ledger. Amounts are changes: what leaves is negative. */
export interface BottleEntry {
  id: string
  kind: EntryKind
  at: number
  ml: number
  /** what went through; or the same said as counts */
  throughput?: Throughput[] | undefined
  rolls?: number
  paper?: number
  /** ml of water carried in by the load, part of `ml` */
  waterInMl: number
  reverses: string | null
  /** of `rolls`, how many were colour or slide film */
  colourRolls?: number
  /** liquid from another bottle; fresh where not given */
  brings?: Brought | null
  /** where and how it stands from now on */
  celsius?: number | null
  container?: Container | null
  twoBath?: BathPlace | null
  test?: TestMark | null
}

/** Which part of its life ended or ends a bottle first. */
export type Governs = 'use' | 'age' | 'volume' | 'silver' | 'test' | 'moves' | 'throughput'

export interface BottleState {
  volumeMl: number
  rolls: number
  paper: number
  /** shares of the life, and what is left of it */
  used: number
  aged: number
  remaining: number
  governs: Governs
  /** roll equivalents it is still good for; null where nothing limits them */
  rollsLeft: number | null
  ageDays: number
  /** days it keeps in its present state, null where the formula does not say */
  keepsDays: number | null
  /** ms of the first liquid taken or the first film through; null while untouched */
  openedAt: number | null
  /** days until it is too old if it stays as it stands; null where the formula does not say */
  daysLeft: number | null
  /** factor on the next roll's time, and why */
  nextTimeFactor: number
  nextTimeWhy: string
  /** roll equivalents of film and paper together that a litre of it has seen */
  rollsPerL: number
  /** share of its strength when filled, after water carried in */
  strength: number
  /** g/L of silver by count, and the limit for what it fixes; fixers only */
  silverGPerL: number | null
  silverLimitGPerL: number | null
  /** what may no longer go in because of the silver in it */
  closedFor: Fixable[]
  /** stop baths of known acid: share of the acid used up and the predicted pH */
  acidUsed: number | null
  ph: number | null
  container: Container
  celsius: number
  /** ml it is kept at: what its last filling came to */
  nominalMl: number
  /** replenished: ml of replenisher due before the next roll */
  replenishDueMl: number
  twoBath: BathPlace | null
  /** what the tests say, newest of each kind, and what a clearing test sets */
  tests: Standing[]
  fixS: number | null
  clearing: Forecast | null
  /** what that forecast rests on: clearing times by use, s */
  clearingTimes: { rollsPerLitre: number; seconds: number }[]
  /** the newest clearing time of each kind of film, which the fixing time of a run follows from; and the salt that does the fixing */
  clearingRead: ClearingRead[]
  fixerSalt: FixerSalt | null
  findings: Finding[]
}
