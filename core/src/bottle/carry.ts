import type { ClearingRead } from '../proof/proof'
import { standingAfter, type Standing } from '../proof/judgement'
import { agedIn } from './ageing'
import type { BathPlace, BottleEntry, BottleFacts, Brought, Container } from './bottle'
import type { FormulaUse } from '../formula/use'
import { silverG } from './silver'
import { countsOf, type Counts } from './throughput'

/**
 * What a ledger has come to at its last entry: everything the next entry builds on, as plain data, so that a long ledger can be cut off behind it
 * and reckoned on from there. What is per litre refers to the liquid that was filled in: carry-out is part of it, decanting is not.
 */
export interface Carry {
  /** ms of the last entry; null before the first */
  at: number | null
  /** ms of the first liquid taken or the first film through; null while untouched */
  openedAt: number | null
  volumeMl: number
  referenceMl: number
  nominalMl: number
  strength: number
  rolls: number
  paper: number
  rollsPerL: number
  silverGPerL: number
  aged: number
  container: Container
  celsius: number
  replenishedMl: number
  replenishDueMl: number
  twoBath: BathPlace | null
  tests: Standing[]
  fixS: number | null
  /** clearing times against use, for the forecast */
  clearing: { rollsPerLitre: number; seconds: number }[]
  /** the newest clearing time of each kind of film, as it was read; a ledger cut off before there were any has none */
  clearingRead?: ClearingRead[]
}

const roomC = 20
/** Of a pair, the share of the silver that reaches the second bath; an assumption, the limits of both baths stand 4 to 1. */
const intoSecondBath = 0.2
/** As many clearing readings as a trend can use. */
const mostReadings = 60

/**
 * What a bottle carries before anything was filled into it.
 * @example
 * emptyCarry().volumeMl // → 0
 */
export const emptyCarry = (): Carry => ({
  at: null,
  openedAt: null,
  volumeMl: 0,
  referenceMl: 0,
  nominalMl: 0,
  strength: 1,
  rolls: 0,
  paper: 0,
  rollsPerL: 0,
  silverGPerL: 0,
  aged: 0,
  container: 'bottle',
  celsius: roomC,
  replenishedMl: 0,
  replenishDueMl: 0,
  twoBath: null,
  tests: [],
  fixS: null,
  clearing: [],
  clearingRead: [],
})

const fresh: Brought = { strength: 1, rollsPerL: 0, silverGPerL: 0, aged: 0 }
/** Below this a bottle counts as empty: what is filled in then brings its own history alone. ml */
const emptyMl = 1e-6

/** How long and in which state it stood since the last entry, up to a time or its retirement. */
function agedTo(carry: Carry, use: FormulaUse, bottle: BottleFacts, at: number): number {
  if (carry.at === null || carry.volumeMl <= emptyMl) return carry.aged
  const until = Math.min(at, bottle.retiredAt ?? at)
  return carry.aged + agedIn(use.keeping, bottle, carry, until - carry.at)
}

/** A carry, grown older without anything happening. */
export const carryTo = (carry: Carry, use: FormulaUse, bottle: BottleFacts, at: number): Carry => ({
  ...carry,
  aged: agedTo(carry, use, bottle, at),
  at: carry.at === null ? null : Math.max(carry.at, at),
})

/** What a ledger comes to after one more entry that stands; entries in order of time. */
export function carryOn(before: Carry, use: FormulaUse, bottle: BottleFacts, entry: BottleEntry): Carry {
  const carry: Carry = { ...before, aged: agedTo(before, use, bottle, entry.at), at: Math.max(entry.at, before.at ?? entry.at) }
  const counts = countsOf(entry)
  const loads = counts.rolls + counts.paper
  if (loads > 0) through(carry, use, counts)
  if (entry.waterInMl > 0 && carry.volumeMl > 0) carry.strength *= keptOfStrength(entry, loads, carry.volumeMl)
  if (entry.ml < 0 || loads > 0) carry.openedAt ??= entry.at
  if (liquidIn(entry)) mixIn(carry, entry)
  carry.volumeMl += entry.ml
  if (entry.kind === 'fill') carry.nominalMl = carry.volumeMl
  if (countsAsFilled(entry, use)) carry.referenceMl = Math.max(0, carry.referenceMl + entry.ml)
  if (entry.kind === 'replenish') {
    carry.replenishedMl += entry.ml
    carry.replenishDueMl = Math.max(0, carry.replenishDueMl - entry.ml)
  }
  if (entry.container) carry.container = entry.container
  if (entry.celsius !== undefined && entry.celsius !== null) carry.celsius = entry.celsius
  if (entry.twoBath) {
    // a second bath that moves up begins its count as the first one
    if (entry.kind === 'move-up') carry.rollsPerL = 0
    carry.twoBath = entry.twoBath
  }
  if (entry.test) {
    const failed = carry.tests.find((one) => one.kind === entry.test?.kind)?.failed ?? null
    carry.tests = standingAfter(carry.tests, entry.test, entry.at, carry.rollsPerL)
    if (entry.test.fixS !== null) carry.fixS = entry.test.fixS
    clearingOf(carry, entry.test)
    // a failure that is cleared no longer speaks in the trend
    if (failed?.kind === 'clearing-time' && !carry.tests.some((one) => one.failed === failed))
      carry.clearing = carry.clearing.filter((one) => one.seconds !== failed.reading)
  }
  return carry
}

/**
 * What is left of the strength: water that is added thins by V/(V + w); a load that comes wet brings in as much as each roll carries out, (1 − carry/V) a
 * roll.
 */
function keptOfStrength({ ml, waterInMl }: BottleEntry, load: number, volumeMl: number): number {
  if (ml >= waterInMl) return volumeMl / (volumeMl + waterInMl)
  const loads = Math.max(1, load)
  return Math.max(0, 1 - waterInMl / loads / volumeMl) ** loads
}

/** A clearing time goes into the trend, which begins with the fresh one of its batch wherever that was read, and sets what to fix. */
function clearingOf(carry: Carry, test: NonNullable<BottleEntry['test']>): void {
  if (test.kind !== 'clearing-time' || test.overruled !== null) return
  const { clearing: read, reading, reference } = test
  if (read) carry.clearingRead = [...(carry.clearingRead ?? []).filter((one) => one.slow !== read.slow), read]
  if (reading === null || reading <= 0) return
  const begins = test.ofBatch && reference !== null && reference > 0 && !carry.clearing.some((one) => one.rollsPerLitre === 0)
  carry.clearing = [
    ...(begins ? [{ rollsPerLitre: 0, seconds: reference }] : []),
    ...carry.clearing,
    { rollsPerLitre: carry.rollsPerL, seconds: reading },
  ].slice(-mostReadings)
}

/** Film and paper that went through: count, silver, and the replenisher they call for. */
function through(carry: Carry, use: FormulaUse, counts: Counts): void {
  const { rolls, paper } = counts
  carry.rolls += rolls
  carry.paper += paper
  const litres = carry.referenceMl / 1000
  if (litres > 0) {
    carry.rollsPerL += (rolls + paper) / litres
    const share = carry.twoBath?.position === 2 ? intoSecondBath : 1
    carry.silverGPerL += (share * silverG(counts)) / litres
  }
  if (use.school === 'replenished') carry.replenishDueMl += (rolls + paper) * (use.replenishment?.mlPerRoll ?? 0)
}

/** Entries that bring liquid of a history of its own, or fresh. What is poured back is the bottle's own. */
const liquidIn = (entry: BottleEntry): boolean => entry.ml > 0 && ['fill', 'top-up', 'replenish', 'wrong-bottle'].includes(entry.kind)

function mixIn(carry: Carry, entry: BottleEntry): void {
  const comes = entry.brings ?? fresh
  if (carry.volumeMl <= emptyMl) {
    const { tests = [], fixS = null, clearingTimes: clearing = [], clearingRead = [], strength, rollsPerL, silverGPerL, aged } = comes
    Object.assign(carry, { strength, rollsPerL, silverGPerL, aged, tests, fixS, clearing, clearingRead })
    return
  }
  const mean = (own: number, ownMl: number, theirs: number) => (own * ownMl + theirs * entry.ml) / (ownMl + entry.ml)
  carry.strength = mean(carry.strength, carry.volumeMl, comes.strength)
  carry.rollsPerL = mean(carry.rollsPerL, carry.referenceMl, comes.rollsPerL)
  carry.silverGPerL = mean(carry.silverGPerL, carry.referenceMl, comes.silverGPerL)
  // fresh liquid gives capacity, not youth: the older of the two counts
  carry.aged = Math.max(carry.aged, comes.aged)
  // and a bath that something failed was poured into has failed with it
  const failures = (comes.tests ?? []).filter((one) => one.failed && !carry.tests.some((own) => own.kind === one.kind && own.failed))
  carry.tests = [...carry.tests.filter((own) => !failures.some((one) => one.kind === own.kind)), ...failures]
}

/** What changes the volume the count per litre refers to. */
function countsAsFilled(entry: BottleEntry, use: FormulaUse): boolean {
  if (entry.kind === 'water' || entry.kind === 'evaporate' || entry.kind === 'test') return false
  // a replenished bath is kept at its volume: what is carried out of it is made good
  return entry.kind !== 'use' || use.school === 'replenished'
}
