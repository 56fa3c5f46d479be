import { z } from 'zod'
import { id } from '../shape/common'
import { drums, type Drum } from './drumIds'

const drumId = id.optional()
/** The drum each family goes into, by their ids; what is not here stands by until it is poured. */
export const intoDrums = z
  .strictObject(Object.fromEntries(drums.map((family) => [family, drumId])) as Record<Drum, typeof drumId>)
  .default({})
