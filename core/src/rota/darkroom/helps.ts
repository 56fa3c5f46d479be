import { carryOf, stateFrom } from '../../bottle/bottleState'
import type { BottleEntry } from '../../bottle/bottle'
import { arrangeUntil, type Patience } from './arrangeUntil'
import type { DarkroomEvening, DarkroomPlan, EveningBottle } from './evening'

/** One thing more than there is. */
export type Help =
  | { kind: 'person' | 'closet' | 'wash' | 'longer' }
  | { kind: 'vessel'; vessel: string }
  | { kind: 'bath'; bath: string }
  | { kind: 'bottle'; bottle: string; label: string }

/** What an evening comes to: loads and weight without a place, weighted s late, s at which all is over. */
export interface Comes {
  without: number
  unplaced: number
  lateS: number
  endS: number
}

/** s by which it is open longer */
const longerS = 1800

const comesTo = ({ loads }: DarkroomEvening, { rota, left }: DarkroomPlan): Comes => {
  const out = new Set([...rota.unplaced, ...left].map((one) => one.load))
  return {
    without: out.size,
    unplaced: loads.reduce((sum, one) => sum + (out.has(one.id) ? one.weight : 0), 0),
    lateS: rota.lateS,
    endS: rota.endS,
  }
}

/** The same bottle, mixed fresh and full. */
function freshOf(bottle: EveningBottle, { midnight, room, catalogue }: DarkroomEvening): EveningBottle {
  const at = midnight + 1000 * room.opensS
  const facts = { ...bottle.facts, madeAt: at }
  const fill: BottleEntry = { id: 'fresh', kind: 'fill', at, ml: facts.sizeMl, waterInMl: 0, reverses: null }
  const carry = carryOf(bottle.formula, facts, [fill])
  const state = { ...bottle.shelf.state, ...stateFrom(bottle.formula, facts, carry, at, catalogue) }
  return { ...bottle, facts, carry, shelf: { ...bottle.shelf, state, reserved: undefined, critical: [] } }
}

/** The evening with one thing more. */
function withHelp(evening: DarkroomEvening, help: Help): DarkroomEvening {
  const { room, vessels } = evening
  const more = (id: string): DarkroomEvening => ({
    ...evening,
    room: { ...room, resources: (room.resources ?? []).map((one) => (one.id === id ? { ...one, places: one.places + 1 } : one)) },
  })
  switch (help.kind) {
    case 'person':
      return { ...evening, room: { ...room, hands: room.hands + 1 } }
    case 'longer':
      return {
        ...evening,
        room: {
          ...room,
          closesS: room.closesS + longerS,
          duty: room.duty?.map((one) => (one.toS >= room.closesS ? { ...one, toS: one.toS + longerS } : one)),
        },
      }
    case 'vessel':
      return {
        ...evening,
        vessels: [...vessels, ...vessels.filter((one) => one.id === help.vessel).map((one) => ({ ...one, id: `${one.id} too` }))],
      }
    case 'bath':
      return {
        ...evening,
        room: {
          ...room,
          baths: [...room.baths, ...room.baths.filter((one) => one.id === help.bath).map((one) => ({ ...one, id: `${one.id} too` }))],
        },
      }
    case 'bottle':
      return { ...evening, bottles: evening.bottles.map((one) => (one.shelf.id === help.bottle ? freshOf(one, evening) : one)) }
    default:
      return more(help.kind)
  }
}

/** What could be had more: of tanks and bottles those its loads use, each kind once. */
function helpsOf(evening: DarkroomEvening, plan: DarkroomPlan): Help[] {
  const { vessels, loads, room, bottles } = evening
  const kinds = new Map(
    vessels
      .filter((one) => loads.some((load) => load.request.vesselId === one.id))
      .map((one) => [JSON.stringify([one.kind, one.format, one.reels, one.coversMl]), one.id]),
  )
  const lacking = new Set(
    plan.left.flatMap(({ load }) => loads.find((one) => one.id === load)?.request.baths.map((bath) => bath.bottleId) ?? []),
  )
  return [
    { kind: 'person' },
    ...[...kinds.values()].map((vessel): Help => ({ kind: 'vessel', vessel })),
    ...room.baths.slice(0, 1).map((bath): Help => ({ kind: 'bath', bath: bath.id })),
    ...bottles.flatMap(({ shelf }): Help[] => (lacking.has(shelf.id) ? [{ kind: 'bottle', bottle: shelf.id, label: shelf.label }] : [])),
    { kind: 'closet' },
    { kind: 'wash' },
    { kind: 'longer' },
  ]
}

const better = (a: Comes, b: Comes): number => a.unplaced - b.unplaced || a.lateS - b.lateS || a.endS - b.endS

/**
 * What would help an evening most: another person, tank, bath, place, a fresh bottle, half an hour more, each tried by arranging it anew with the same patience; the best first,
 * and only what helps. `asItIs` is what it comes to without.
 * @example
 * whatHelps({ ...darkroomEvening, loads: [] }, { seed: 1, rounds: 1 }).helps // → []
 */
export function whatHelps(
  evening: DarkroomEvening,
  patience: Patience,
  told: (progress: { tried: number; of: number }) => void = () => undefined,
): { asItIs: Comes; helps: { help: Help; comes: Comes }[] } {
  const plan = arrangeUntil(evening, patience)
  const asItIs = comesTo(evening, plan)
  const all = helpsOf(evening, plan)
  const helps = all.map((help, i) => {
    const changed = withHelp(evening, help)
    const comes = comesTo(changed, arrangeUntil(changed, patience))
    told({ tried: i + 1, of: all.length })
    return { help, comes }
  })
  return { asItIs, helps: helps.filter(({ comes }) => better(comes, asItIs) < 0).sort((a, b) => better(a.comes, b.comes)) }
}
