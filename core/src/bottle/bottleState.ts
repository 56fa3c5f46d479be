import { rollAreaCm2 } from '../dilution/rollEquivalents'
import { requireAmounts } from '../error'
import type { Finding } from '../finding'
import { agedShare, dayMs, keepingDays } from './ageing'
import type { BottleEntry, BottleFacts, BottleState, FormulaUse, UsedFormula } from './bottle'

/** g of silver per m² of black-and-white film, and the share of it that goes into the fixer. Rounded literature values. */
const filmSilverGPerM2 = 5
const intoFixer = 0.7

/** The entries that count: without reversing entries and what they reverse, in order of time. */
export function standing(entries: BottleEntry[]): BottleEntry[] {
  const reversed = new Set(entries.flatMap((entry) => (entry.reverses === null ? [] : [entry.reverses])))
  return entries.filter((entry) => entry.reverses === null && !reversed.has(entry.id)).sort((a, b) => a.at - b.at)
}

/**
 * What a bottle holds and what life it has left at a time (ms), from its ledger alone, entries in any order. One-shot and counted
 * schools: one-shot stock lives by its age and is used up by volume; counted baths add the rolls' share of the capacity to the age.
 */
export function bottleState(formula: UsedFormula, bottle: BottleFacts, entries: BottleEntry[], at: number): BottleState {
  requireAmounts({ 'The bottle’s size': bottle.sizeMl, 'The time': at })
  const { use } = formula
  const ledger = standing(entries).filter((entry) => entry.at <= at)
  const volumes: { at: number; ml: number }[] = []
  let volumeMl = 0
  let strength = 1
  let usedShare = 0
  let referenceMl = 0
  for (const entry of ledger) {
    if (entry.rolls + entry.paper > 0 && use.capacityRollsPerL !== null && use.school === 'counted' && referenceMl > 0)
      usedShare += (entry.rolls + entry.paper) / (use.capacityRollsPerL * (referenceMl / 1000))
    if (entry.waterInMl > 0 && volumeMl > 0) strength *= volumeMl / (volumeMl + entry.waterInMl)
    volumeMl += entry.ml
    // capacity is counted on what was filled in: carry-out is part of it, decanting is not
    if (entry.kind !== 'use') referenceMl += entry.ml
    volumes.push({ at: entry.at, ml: volumeMl })
  }
  const rolls = ledger.reduce((sum, entry) => sum + entry.rolls, 0)
  const paper = ledger.reduce((sum, entry) => sum + entry.paper, 0)
  const aged = Math.min(agedShare(use.keeping, bottle, volumes, bottle.retiredAt ?? at), 1)
  const used = Math.min(usedShare, 1)
  const remaining = Math.max(0, 1 - used - aged)
  const silver =
    formula.family === 'fixer' && referenceMl > 0
      ? (rolls * (rollAreaCm2 / 1e4) * filmSilverGPerM2 * intoFixer) / (referenceMl / 1000)
      : null
  return {
    volumeMl,
    rolls,
    paper,
    used,
    aged,
    remaining,
    governs:
      use.school === 'one-shot' && use.minConcentrateMlPerRoll > 0 && volumeMl < use.minConcentrateMlPerRoll
        ? 'volume'
        : used > aged
          ? 'use'
          : 'age',
    rollsLeft: rollsLeft(use, bottle, volumeMl, referenceMl, remaining),
    ageDays: Math.max(0, (at - bottle.madeAt) / dayMs),
    keepsDays: keepingDays(use.keeping, bottle, volumeMl),
    nextTimeFactor: 1,
    strength,
    silverGPerL: formula.family === 'fixer' ? (silver ?? 0) : null,
    findings: findingsOf(bottle, volumeMl, used, aged, remaining),
  }
}

function rollsLeft(use: FormulaUse, bottle: BottleFacts, volumeMl: number, referenceMl: number, remaining: number): number | null {
  if (remaining === 0 || bottle.retiredAt !== null) return 0
  // capacity is per litre of working solution: stock counts as what it will make at its first dilution
  const makes = bottle.parts === null ? (use.dilutions[0] ?? [1]) : [1]
  const workingL = (referenceMl / 1000) * (makes.reduce((sum, part) => sum + part, 0) / (makes[0] ?? 1))
  if (use.school === 'counted') return use.capacityRollsPerL === null ? null : remaining * use.capacityRollsPerL * workingL
  const share = bottle.parts === null ? 1 : (bottle.parts[0] ?? 1) / bottle.parts.reduce((sum, part) => sum + part, 0)
  return use.minConcentrateMlPerRoll > 0 ? (volumeMl * share) / use.minConcentrateMlPerRoll : null
}

function findingsOf(bottle: BottleFacts, volumeMl: number, used: number, aged: number, remaining: number): Finding[] {
  if (bottle.retiredAt !== null) return [{ rule: 'bottle-retired', severity: 'error', message: 'It is retired.' }]
  if (volumeMl <= 1e-6) return [{ rule: 'bottle-empty', severity: 'error', message: 'It is empty.' }]
  if (used >= 1) return [{ rule: 'bottle-exhausted', severity: 'error', message: 'Its capacity is used up: retire it.' }]
  if (aged >= 1) return [{ rule: 'bottle-expired', severity: 'error', message: 'It is past its keeping life: retire it.' }]
  if (remaining === 0)
    return [{ rule: 'bottle-exhausted', severity: 'error', message: 'Use and age together have ended its life: retire it.' }]
  if (remaining <= 0.15) return [{ rule: 'bottle-low', severity: 'warning', message: 'Little of its life is left: mix the next one.' }]
  return []
}
