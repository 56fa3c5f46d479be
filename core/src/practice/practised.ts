import { z } from 'zod'

/** What may go wrong on purpose. */
export const troubleKinds = ['drift', 'doorbell', 'wrong-beaker', 'fixer-failed', 'light'] as const
export type TroubleKind = (typeof troubleKinds)[number]

const seconds = z.number().min(0).max(86_400)

/** One step as it was practised: what was in the beaker that was poured, by its number in the plan; times are s of the practice from its beginning. */
const practisedStep = z.strictObject({
  step: z.int().min(0).max(40),
  fromS: seconds,
  untilS: seconds,
  /** when it was agitated; null where the practice ran too fast for hands, and agitation was taken as done */
  beatsS: z.array(seconds).max(400).nullable(),
  /** the temperature was measured at */
  measuredS: z.array(seconds).max(100),
})

/** What was done in a practice, and what was answered to its troubles, by their kinds. */
export const practised = z.strictObject({
  seed: z.int().min(0).max(2_147_483_647),
  speed: z.number().min(1).max(20),
  troubles: z.array(z.enum(troubleKinds)).max(5),
  answers: z.record(z.string().max(20), z.string().max(20)),
  steps: z.array(practisedStep).max(60),
})
export type Practised = z.output<typeof practised>
export type PractisedStep = z.output<typeof practisedStep>

/** A reel that was loaded for practice: what, where, how long it took, and how it went. */
export const practisedLoading = z.strictObject({
  what: z.enum(['135', '120', 'sheets']),
  where: z.enum(['light', 'eyes-shut', 'dark']),
  seconds: z.number().gt(0).max(7200),
  went: z.enum(['clean', 'jammed', 'touched', 'creased', 'given-up']),
})
export type PractisedLoading = z.output<typeof practisedLoading>
