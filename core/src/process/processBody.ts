import { z } from 'zod'
import { key, materials, processStep } from './step'

/** A bath by what it does, and the family of bottles that may do it. */
const role = z.strictObject({ id: key, name: z.string().trim().min(1).max(60), family: z.string().max(40) })
/** What schools do differently: steps that count only while it is on. Of one group exactly one is on. */
const option = z.strictObject({
  id: key,
  name: z.string().trim().min(1).max(80),
  on: z.boolean(),
  steps: z.array(key).max(20),
  group: key.optional(),
})

/** A process as it is kept: its baths by role, its steps in order, its options. */
export const processBody = z.strictObject({
  name: z.string().trim().min(1).max(80),
  material: z.enum(materials),
  /** worked by hand or turned in a drum; either where not said */
  vessel: z.enum(['hand', 'rotary']).optional(),
  roles: z.array(role).max(16),
  steps: z.array(processStep).min(1).max(60),
  options: z.array(option).max(16),
  note: z.string().trim().max(1000).optional(),
})
export type ProcessBody = z.output<typeof processBody>
