import { z } from 'zod'
import { done, celsius, name, positive, version } from '../shape/common'
import { endpoint } from './endpoint'

const zone = z
  .string()
  .max(60)
  .refine((value) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: value })
      return true
    } catch {
      return false
    }
  }, 'Write a time zone such as Europe/Lisbon.')

const settings = z.strictObject({
  name,
  zone,
  /** null where nobody measured it */
  tapColdC: celsius.nullable(),
  tapHotC: celsius.nullable(),
  roomC: celsius.nullable(),
  scaleReadabilityG: positive.max(100),
  /** of purchase prices */
  currency: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{3}$/, 'Write the three letters of a currency, such as EUR.'),
  /** a second person looks at developing agents and restrainers on the scales */
  secondCheck: z.boolean(),
  /** names the house is opened under beside its own addresses; a request under any other is refused */
  hosts: z
    .array(
      z
        .string()
        .trim()
        .toLowerCase()
        .max(253)
        .regex(
          /^(?=.{1,253}$)[a-z0-9]([a-z0-9-]{0,62}[a-z0-9])?(\.[a-z0-9]([a-z0-9-]{0,62}[a-z0-9])?)*$/,
          'Write a name such as darkroom.local, without http:// and without a port.',
        ),
    )
    .max(20)
    .optional(),
  /** bench devices may stand outside this network */
  publicDevices: z.boolean().optional(),
  /** films that may hang in the dryer at once */
  hangers: z.int().min(0).max(200).optional(),
  /** first steps of a new house that were left out, by their keys */
  leftOut: z.array(z.string().max(20)).max(20).optional(),
})
const darkroom = z.object({ version, ...settings.shape })

export const darkroomApi = {
  get: endpoint('GET', '/api/darkroom', 'member', 'The darkroom’s settings', { response: darkroom }),
  change: endpoint('PUT', '/api/darkroom', 'technician', 'Change the darkroom’s settings', {
    body: z.strictObject({ version, ...settings.shape }),
    response: darkroom,
  }),
  evening: endpoint(
    'POST',
    '/api/darkroom/evening',
    'technician',
    'Demo: play the evening again, with its two tanks from their beginning',
    {
      response: done,
    },
  ),
}
export type Darkroom = z.infer<typeof darkroom>
