import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { shareOf } from '../dilution/shareOf'
import { requireAmounts } from '../error'
import { forecastClearing, isTrend } from '../proof/forecast'
import { dayMs } from '../calendar/span'
import { keepingDays } from './ageing'
import type { BottleEntry, BottleFacts, BottleState, Governs } from './bottle'
import type { UsedFormula } from '../formula/use'
import { carryOn, carryTo, emptyCarry, type Carry } from './carry'
import { findingsOf } from './findings'
import { least, nextTime, schoolCapacity } from './schools'
import { bleachingOf, closedFor, fixerSaltOf, rollsToSilver, silverLimit, takesSilver } from './silver'
import { stopAfter, stopCapacity } from './stopBath'

/**
 * The entries that count: without reversing entries and what they reverse, in order of time.
 * @example
 * standing([...ledger, { ...ledger[1], id: 'back', kind: 'reverse', reverses: 'use' }]).map((entry) => entry.id) // → ['fill']
 */
export function standing<E extends BottleEntry>(entries: E[]): E[] {
  const reversed = new Set(entries.flatMap((entry) => (entry.reverses === null ? [] : [entry.reverses])))
  return entries.filter((entry) => entry.reverses === null && !reversed.has(entry.id)).sort((a, b) => a.at - b.at)
}

/**
 * What a ledger comes to, entries in any order, begun from what an earlier part of it came to.
 * @example
 * stateFrom(fixer, bottle, carryOf(fixer, bottle, ledger), tenDays).volumeMl // → 940
 */
export const carryOf = (formula: UsedFormula, bottle: BottleFacts, entries: BottleEntry[], from: Carry = emptyCarry()): Carry =>
  standing(entries).reduce((carry, entry) => carryOn(carry, formula.use, bottle, entry), from)

/**
 * What a bottle holds and what life it has left at a time (ms), from its ledger alone, entries in any order. Life is lost by use and by age,
 * which add up (linear damage rule); what use means is the formula's school. A clearing test's forecast shortens a fixer's capacity, and lengthens
 * it for film only, never past the silver limit. Volumes ml, times s.
 * @example
 * bottleState(fixer, bottle, ledger, tenDays).volumeMl // → 940
 * bottleState(fixer, bottle, ledger, tenDays).used // → 0.2
 */
export function bottleState(
  formula: UsedFormula,
  bottle: BottleFacts,
  entries: BottleEntry[],
  at: number,
  catalogue: Catalogue = builtIn,
): BottleState {
  return stateFrom(
    formula,
    bottle,
    carryOf(
      formula,
      bottle,
      entries.filter((entry) => entry.at <= at),
    ),
    at,
    catalogue,
  )
}

/**
 * The same from what the ledger came to.
 * @example
 * stateFrom(fixer, bottle, carryOf(fixer, bottle, ledger), tenDays).rolls // → 4
 */
export function stateFrom(formula: UsedFormula, bottle: BottleFacts, last: Carry, at: number, catalogue: Catalogue = builtIn): BottleState {
  requireAmounts({ 'The bottle’s size': bottle.sizeMl, 'The time': at })
  const { use } = formula
  const carry = carryTo(last, use, bottle, at)
  const position = carry.twoBath?.position ?? 1
  const limit = takesSilver(formula.family) ? silverLimit(formula, position, catalogue) : null
  const clearing = isTrend(carry.clearing) ? forecastClearing(carry.clearing) : null
  const all = carry.rolls + carry.paper
  const paper = all > 0 ? carry.paper / all : 0
  const counted = countedCapacity(formula, position, paper, catalogue)
  const capacity = tested(counted, formula, carry, clearing?.rollsPerLitreLeft ?? null, limit)
  const usedByCount = capacity !== null && capacity > 0 ? carry.rollsPerL / capacity : 0
  const throughput = throughputOf(formula, carry)
  const used = Math.min(1, Math.max(usedByCount, throughput))
  const aged = Math.min(carry.aged, 1)
  const remaining = Math.max(0, 1 - used - aged)
  const share = shareOf(bottle.parts)
  const stop = formula.family === 'stop-bath' ? stopAfter(formula, share, { rollsPerL: carry.rollsPerL, paper }, catalogue) : null
  const keepsDays = keepingDays(use.keeping, bottle, carry)
  const next = nextTime(use, carry)
  const state: BottleState = {
    volumeMl: carry.volumeMl,
    rolls: carry.rolls,
    paper: carry.paper,
    used,
    aged,
    remaining,
    governs: 'age',
    rollsLeft: rollsLeft(formula, bottle, carry, capacity, remaining, share),
    ageDays: Math.max(0, (at - bottle.madeAt) / dayMs),
    keepsDays,
    openedAt: carry.openedAt,
    daysLeft: keepsDays === null ? null : remaining * keepsDays,
    nextTimeFactor: next.factor,
    nextTimeWhy: next.why,
    rollsPerL: carry.rollsPerL,
    strength: carry.strength,
    silverGPerL: limit === null ? null : carry.silverGPerL,
    silverLimitGPerL: limit,
    closedFor: limit === null ? [] : closedFor(formula, position, carry.silverGPerL, catalogue),
    acidUsed: stop?.acidUsed ?? null,
    ph: stop?.ph ?? null,
    container: carry.container,
    celsius: carry.celsius,
    nominalMl: carry.nominalMl,
    replenishDueMl: carry.replenishDueMl,
    twoBath: carry.twoBath,
    tests: carry.tests,
    fixS: carry.fixS,
    clearing,
    clearingTimes: carry.clearing,
    clearingRead: carry.clearingRead ?? [],
    fixerSalt: takesSilver(formula.family) ? fixerSaltOf(formula, catalogue) : null,
    bleaches: formula.family === 'bleach' ? bleachingOf(formula, catalogue) : null,
    findings: [],
  }
  const shown = { ...state, governs: governs(formula, state, throughput > usedByCount, capacity !== counted) }
  return { ...shown, findings: findingsOf(formula, bottle, shown, at) }
}

/** Rolls a litre by the school's count; a stop bath's is never beyond where its acid ends. */
function countedCapacity(formula: UsedFormula, position: 1 | 2, paper: number, catalogue: Catalogue): number | null {
  const counted = schoolCapacity(formula.use, position)
  return formula.family === 'stop-bath' && counted !== null ? least(counted, stopCapacity(formula, paper, catalogue)) : counted
}

/** Rolls a litre after which clearing tests and silver end it, beside its count: shorter anywhere, longer for film only. */
function tested(counted: number | null, formula: UsedFormula, carry: Carry, leftPerL: number | null, limit: number | null): number | null {
  if (leftPerL === null || limit === null) return counted
  const lastAt = Math.max(...carry.clearing.map((one) => one.rollsPerLitre))
  const byTest = lastAt + leftPerL
  const forFilm = formula.use.fixes === undefined || formula.use.fixes === 'film'
  return forFilm && carry.paper === 0 ? Math.min(byTest, rollsToSilver(limit, formula.use)) : least(counted, byTest)
}

/** Replenished: the share of its turnovers that went in. */
function throughputOf({ use }: UsedFormula, carry: Carry): number {
  if (use.school !== 'replenished' || !use.replenishment || carry.referenceMl <= 0) return 0
  const { turnovers } = use.replenishment
  return turnovers > 0 ? carry.replenishedMl / (turnovers * carry.referenceMl) : 0
}

function governs({ use, family }: UsedFormula, state: BottleState, byThroughput: boolean, byTest: boolean): Governs {
  if (state.tests.some((one) => one.failed)) return 'test'
  if (use.school === 'one-shot' && use.minConcentrateMlPerRoll > 0 && state.volumeMl < use.minConcentrateMlPerRoll) return 'volume'
  if (
    state.silverLimitGPerL !== null &&
    state.silverGPerL !== null &&
    use.school !== 'one-shot' &&
    family !== 'monobath' &&
    state.silverGPerL >= state.silverLimitGPerL
  )
    return 'silver'
  if (state.used <= state.aged) return 'age'
  return byThroughput ? 'throughput' : byTest ? 'test' : 'use'
}

function rollsLeft(
  formula: UsedFormula,
  bottle: BottleFacts,
  carry: Carry,
  capacity: number | null,
  remaining: number,
  share: number,
): number | null {
  const { use } = formula
  if (remaining === 0 || bottle.retiredAt !== null) return 0
  if (use.school === 'replenished') {
    const rate = use.replenishment?.mlPerRoll ?? 0
    return rate > 0 ? (remaining * (use.replenishment?.turnovers ?? 0) * carry.referenceMl) / rate : null
  }
  if (use.school === 'one-shot') return use.minConcentrateMlPerRoll > 0 ? (carry.volumeMl * share) / use.minConcentrateMlPerRoll : null
  if (capacity === null) return null
  // capacity is per litre of working solution: stock counts as what it will make at its first dilution
  const makes = bottle.parts === null ? (use.dilutions[0] ?? [1]) : [1]
  const workingL = (carry.referenceMl / 1000) * (makes.reduce((sum, part) => sum + part, 0) / (makes[0] ?? 1))
  return remaining * capacity * workingL
}
