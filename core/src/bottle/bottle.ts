import { z } from 'zod'
import { finding } from '../finding'
import { fixables } from '../formula/use'
import { bleachings } from './bleachings'
import { fixerSalts } from '../proof/fixingTime'
import { forecast } from '../proof/forecast'
import { standingTest } from '../proof/judgement'
import { clearingRead, testKinds, type TestMark } from '../proof/proof'
import { amount } from '../shape/common'
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

const clearingTime = z.object({ rollsPerLitre: amount, seconds: amount })

/** What liquid from another bottle had behind it when it came. */
export const brought = z.object({
  strength: amount,
  rollsPerL: amount,
  silverGPerL: amount,
  aged: amount,
  /** what its tests said, the fixing time they set, and its clearing times so far; nothing where it was never tested */
  tests: z.array(standingTest).max(testKinds.length).optional(),
  fixS: z.number().optional(),
  clearingTimes: z.array(clearingTime).max(100).optional(),
  clearingRead: z.array(clearingRead).max(2).optional(),
})
export type Brought = z.output<typeof brought>

/** Place in a two-bath chain: which bath, how many moves it has behind it, and since when (ms) the pair is in use. */
export const bathPlace = z.object({ position: z.union([z.literal(1), z.literal(2)]), moves: z.int().min(0), since: z.number() })
export type BathPlace = z.output<typeof bathPlace>

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

/** What a bottle comes to by its ledger, and what its tests say. */
export const bottleState = z.object({
  volumeMl: z.number(),
  rolls: z.number(),
  paper: z.number(),
  /** shares of the life, and what is left of it */
  used: z.number(),
  aged: z.number(),
  remaining: z.number(),
  /** which part of its life ended or ends it first */
  governs: z.enum(['use', 'age', 'volume', 'silver', 'test', 'moves', 'throughput']),
  /** roll equivalents it is still good for; null where nothing limits them */
  rollsLeft: z.number().nullable(),
  ageDays: z.number(),
  /** days it keeps in its present state, null where the formula does not say */
  keepsDays: z.number().nullable(),
  /** ms of the first liquid taken or the first film through; null while untouched */
  openedAt: z.number().nullable(),
  /** days until it is too old if it stays as it stands; null where the formula does not say */
  daysLeft: z.number().nullable(),
  /** factor on the next roll's time, and why */
  nextTimeFactor: z.number(),
  nextTimeWhy: z.string(),
  /** roll equivalents of film and paper together that a litre of it has seen */
  rollsPerL: z.number(),
  /** share of its strength when filled, after water carried in */
  strength: z.number(),
  /** g/L of silver by count, and the limit for what it fixes; fixers only */
  silverGPerL: z.number().nullable(),
  silverLimitGPerL: z.number().nullable(),
  /** what may no longer go in because of the silver in it */
  closedFor: z.array(z.enum(fixables)),
  /** stop baths of known acid: share of the acid used up and the predicted pH */
  acidUsed: z.number().nullable(),
  ph: z.number().nullable(),
  container: z.enum(containers),
  celsius: z.number(),
  /** ml it is kept at: what its last filling came to */
  nominalMl: z.number(),
  /** replenished: ml of replenisher due before the next roll */
  replenishDueMl: z.number(),
  twoBath: bathPlace.nullable(),
  /** what the tests say, newest of each kind, and what a clearing test sets */
  tests: z.array(standingTest),
  fixS: z.number().nullable(),
  clearing: forecast.nullable(),
  /** what that forecast rests on: clearing times by use, s */
  clearingTimes: z.array(clearingTime),
  /** the newest clearing time of each kind of film, which the fixing time of a run follows from; and the salt that does the fixing */
  clearingRead: z.array(clearingRead),
  fixerSalt: z.enum(fixerSalts).nullable(),
  /** what a bleach bleaches with, by what is in it */
  bleaches: z.enum(bleachings).nullable(),
  findings: z.array(finding),
})
export type BottleState = z.output<typeof bottleState>
/** Which part of its life ended or ends a bottle first. */
export type Governs = BottleState['governs']
