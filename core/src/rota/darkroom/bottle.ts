import type { BottleEntry } from '../../bottle/bottle'
import { carryOf, stateFrom } from '../../bottle/bottleState'
import { throughputFrom } from '../../bottle/throughput'
import { byGravity } from '../../finding'
import type { BottleUse } from '../../process/load'
import { dueTests, type Due } from '../../proof/due'
import { dueFactsOf } from '../../proof/dueFacts'
import { guideOf } from '../../proof/guide'
import type { DarkroomEvening, EveningBottle } from './evening'

type Known = Pick<DarkroomEvening, 'catalogue' | 'rules' | 'zone'>

/** Tests a bottle is due for as it stands, and what stands before a critical load beside them. */
export const dueOf = ({ shelf, asks }: EveningBottle, { rules, zone }: Known, at: number, critical: boolean): Due[] =>
  dueTests(rules, dueFactsOf(asks, shelf.family, shelf.state), { at, zone, critical })

/**
 * A bottle after a load has gone through it, at a time (ms). What else was said of it than its ledger says (a pH that was off, the count of its kit) stays said, and counts on.
 */
export function afterUses(bottle: EveningBottle, uses: BottleUse[], by: string, known: Known, at: number): EveningBottle {
  const { formula, facts, shelf } = bottle
  const before = stateFrom(formula, facts, bottle.carry, at, known.catalogue)
  const said = shelf.state.findings.filter((one) => !before.findings.some((own) => own.rule === one.rule))
  const kitLeft =
    shelf.state.rollsLeft !== null && shelf.state.rollsLeft < (before.rollsLeft ?? Infinity) - 1e-9 ? shelf.state.rollsLeft : null
  let carry = bottle.carry
  uses.forEach(({ kind, ml, waterInMl, rolls, colourRolls = 0 }, i) => {
    const line: BottleEntry = {
      ...{ id: `${by} ${i}`, kind, at, ml: Math.max(ml, -carry.volumeMl), waterInMl, reverses: null },
      throughput: throughputFrom({ rolls, colourRolls }),
    }
    carry = carryOf(formula, facts, [line], carry)
  })
  const own = stateFrom(formula, facts, carry, at, known.catalogue)
  const rolls = uses.reduce((sum, use) => sum + use.rolls, 0)
  const state = {
    ...own,
    rollsLeft: kitLeft === null ? own.rollsLeft : Math.min(own.rollsLeft ?? Infinity, kitLeft - rolls),
    findings: [...own.findings, ...said].sort(byGravity),
  }
  const next: EveningBottle = { ...bottle, carry, shelf: { ...shelf, state } }
  const critical = dueOf(next, known, at, true).map(({ kind, says }) => ({ name: guideOf(kind).name, says }))
  return { ...next, shelf: { ...next.shelf, critical } }
}
