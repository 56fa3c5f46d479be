import { z } from 'zod'
import { drums, type Drum } from './drumIds'

/** What a place's local rules let go down the drain, family by family, with the paper that says so. */
export const dischargeRule = z.strictObject({
  family: z.enum(drums),
  /** ml a day, made up with so many parts of water to one, and minutes of running water behind it */
  mlADay: z.number().gt(0).max(1_000_000),
  dilution: z.number().min(0).max(10_000),
  minutes: z.number().min(0).max(1440),
  /** what allows it, such as a letter of the water authority */
  paper: z.string().trim().min(3, 'Name the paper that allows it.').max(300),
  /** its last day */
  ends: z.iso.date('Write a day such as 2027-03-31.'),
})
export type DischargeRule = z.output<typeof dischargeRule>

/**
 * The rule of a family on a day of the calendar; null where nothing of it may go down the drain: where nothing was allowed, the paper has ended, or the house is on a septic
 * tank or open ground.
 * @example
 * dischargeOf('sil', [], { day: '2026-04-14', septic: false }) // → null
 */
export function dischargeOf(family: Drum, rules: DischargeRule[], { day, septic }: { day: string; septic: boolean }): DischargeRule | null {
  const rule = septic ? undefined : rules.find((one) => one.family === family)
  return rule && rule.ends >= day ? rule : null
}
