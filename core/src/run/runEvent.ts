import { z } from 'zod'
import { celsius, id, millis, note } from '../shape/common'

/** What happened during a run. `at` is ms since 1970; `step` is the step the person saw, counted in the run's course. */
export const runEvent = z.strictObject({
  id,
  seq: z.int().min(0).max(100_000),
  device: z.string().max(60),
  at: millis,
  kind: z.enum([
    'start',
    'next',
    'hold',
    'unhold',
    'temperature',
    'reason',
    'repeat',
    'add',
    'skip',
    'take-over',
    'give-back',
    'clock',
    'abandon',
  ]),
  step: z.int().min(0).max(60),
  celsius: celsius.optional(),
  text: note.optional(),
  /** the step that is repeated or left out */
  key: z.string().max(60).optional(),
  /** s of a step of water that is added; s the clock of a device was found to be off */
  seconds: z.number().min(-10_000_000).max(10_000_000).optional(),
})
/** As it is kept: one that came from a device another had taken over from is marked, and counts for nothing; `duty`: a technician took it over. */
export const keptEvent = runEvent.extend({ late: z.literal(true).optional(), duty: z.literal(true).optional() })
export type RunEvent = z.output<typeof keptEvent>
