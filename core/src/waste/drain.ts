import type { Catalogue } from '../chemical/chemical'
import { conflict } from '../error'
import { dischargeOf, type DischargeRule } from './discharge'
import { drumNames } from './drumNames'
import type { Drum } from './drumIds'
import { blockWords, neverMeets, type Liquid } from './never'

/** What is about to go down the drain, with the g of silver in it. */
export interface Drained extends Liquid {
  family: Drum
  silverG: number
}

export interface DrainKnown {
  rules: DischargeRule[]
  septic: boolean
  /** of the calendar, and the moment */
  day: string
  now: number
  /** ml of this family that went down this day */
  todayMl: number
  /** mg of silver in a litre that the drain may have */
  washLimitMgPerL: number
  /** what went down lately, of whatever family, and the minutes of running water its paper asks for */
  lately: { at: number; liquid: Liquid; minutes: number }[]
  /** m³; null where nobody measured the room */
  roomM3: number | null
  catalogue?: Catalogue
}

/** Minutes of running water after which nothing of a pour stands in the trap any more, at the least. House default. */
const trapMinutes = 5
const litres = (ml: number): string => `${(ml / 1000).toFixed(2)} L`
const name = (family: Drum): string => drumNames[family].charAt(0).toUpperCase() + drumNames[family].slice(1)

function requireRule(family: Drum, { rules, septic, day }: DrainKnown): DischargeRule {
  if (septic) throw conflict('drain-septic', 'On a septic tank or open ground nothing goes down the drain. It goes into its drum.')
  const rule = dischargeOf(family, rules, { day, septic })
  if (rule) return rule
  const ended = rules.find((one) => one.family === family)
  throw ended
    ? conflict('drain-ended', `The paper that allowed it (${ended.paper}) ended on ${ended.ends}: it goes into its drum.`)
    : conflict('drain-forbidden', `${name(family)} may not go down the drain here: no paper allows it. It goes into its drum.`)
}

function requireSilver({ ml, silverG }: Drained, limit: number): void {
  const mgPerL = ml > 0 ? (1000 * silverG) / (ml / 1000) : 0
  if (mgPerL > limit)
    throw conflict(
      'drain-silver',
      `There are ${mgPerL >= 100 ? mgPerL.toFixed(0) : mgPerL.toPrecision(2)} mg of silver in a litre of it, and the drain may have ${limit}: it goes into its drum.`,
    )
}

/** What the trap still has in it is met by what comes after: running water comes first. */
function requireRinsed(drained: Drained, { lately, now, roomM3, catalogue }: DrainKnown): void {
  for (const { at, liquid, minutes } of lately) {
    const left = Math.ceil((at + Math.max(minutes, trapMinutes) * 60_000 - now) / 60_000)
    const block = left > 0 ? neverMeets(liquid, drained, { roomM3, ...(catalogue ? { catalogue } : {}) }) : null
    if (block)
      throw conflict(
        'never-meets',
        `In the drain, where water has to run ${left} min more behind what went down before: ${blockWords(block)}`,
        {
          current: block,
        },
      )
  }
}

/**
 * The paper by which a liquid may go down the drain; refused without one, for its silver, for what the paper allows a day, and while what went down before and never meets it
 * still stands in the trap.
 * @throws Refused 'drain-septic', 'drain-ended', 'drain-forbidden', 'drain-silver', 'drain-day', 'never-meets'
 * @example
 * requireDrain({ family: 'acid', ml: 500, silverG: 0, contents: null }, aDrain)?.minutes // → 10
 */
export function requireDrain(drained: Drained, known: DrainKnown): DischargeRule {
  const rule = requireRule(drained.family, known)
  requireSilver(drained, known.washLimitMgPerL)
  if (known.todayMl + drained.ml > rule.mlADay)
    throw conflict(
      'drain-day',
      `The paper allows ${litres(rule.mlADay)} a day. ${litres(known.todayMl)} went down today, and this is ${litres(drained.ml)}: the rest goes into its drum, or waits.`,
    )
  requireRinsed(drained, known)
  return rule
}

/**
 * ml of a liquid made up with water as its paper asks, 1 to so many parts.
 * @example
 * dilutedMl(500, { dilution: 20 }) // → 10500
 */
export const dilutedMl = (ml: number, { dilution }: Pick<DischargeRule, 'dilution'>): number => ml * (1 + dilution)
