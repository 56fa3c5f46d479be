import { z } from 'zod'
import { celsius, id, millis, note } from '../shape/common'

/** What happened during a run. `at` is ms since 1970; `step` is the step the person saw. */
export const runEvent = z.strictObject({
  id,
  seq: z.int().min(0).max(100_000),
  device: z.string().max(60),
  at: millis,
  kind: z.enum(['start', 'next', 'hold', 'unhold', 'temperature', 'reason', 'abandon']),
  step: z.int().min(0).max(60),
  celsius: celsius.optional(),
  text: note.optional(),
})
export type RunEvent = z.output<typeof runEvent>
