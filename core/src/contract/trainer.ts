import { z } from 'zod'
import { colourMaterials } from '../print/colour/casts'
import { trainerLevels } from '../print/colour/trainer'
import { id } from '../shape/common'
import { endpoint } from './endpoint'

const units = z.number('Units are a number.').min(-100, 'A hundred units at most.').max(100, 'A hundred units at most.')
const round = z.object({
  id,
  at: z.number(),
  level: z.int(),
  material: z.enum(colourMaterials),
  /** prints it took */
  prints: z.int(),
  /** units that were left of yellow and magenta, as the eye sees it */
  rest: z.number(),
  score: z.number(),
})

export const trainerApi = {
  get: endpoint(
    'GET',
    '/api/trainer',
    'member',
    'One’s own rounds with the trainer of colour casts, the newest first, and the level of the next',
    {
      response: z.object({ level: z.int(), rounds: z.array(round) }),
    },
  ),
  finish: endpoint(
    'POST',
    '/api/trainer',
    'member',
    'A round is called right: what was hidden comes out of its seed, the score out of both',
    {
      body: z.strictObject({
        id,
        level: z.int().min(1, 'Levels begin at 1.').max(trainerLevels.length, 'There is no such level.'),
        seed: z.int().min(0).max(0xffff_ffff),
        material: z.enum(colourMaterials),
        turns: z
          .array(z.strictObject({ y: units, m: units }))
          .min(1, 'Turn the filters and print before you call it right.')
          .max(60, 'Sixty prints at most.'),
      }),
      response: round,
    },
  ),
}
export type CastRoundRow = z.infer<typeof round>
