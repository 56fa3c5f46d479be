import { z } from 'zod'

/** What the event stream says: a row of that subject changed; fetch it again. */
export const liveEvent = z.object({
  subject: z.enum([
    'bottle',
    'formula',
    'jar',
    'mix',
    'run',
    'roll',
    'person',
    'darkroom',
    'chart',
    'vessel',
    'device',
    'chemical',
    'shelf',
    'proof',
    'instrument',
    'rule',
    'notice',
    'waste',
  ]),
  id: z.string(),
  version: z.number().nullable(),
})
/** Subjects members hear of as well; the rest is a technician's. */
export const memberSubjects: readonly LiveEvent['subject'][] = ['bottle', 'roll', 'notice', 'darkroom', 'shelf', 'person']
export type LiveEvent = z.infer<typeof liveEvent>
