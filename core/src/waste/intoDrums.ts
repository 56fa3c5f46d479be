import { z } from 'zod'
import { id } from '../shape/common'
import { drums } from './drumIds'

/** The drum each family goes into, by their ids; what is not here stands by until it is poured. */
export const intoDrums = z.partialRecord(z.enum(drums), id).default({})
