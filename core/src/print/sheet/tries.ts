import { z } from 'zod'
import { casts } from '../colour/casts'
import { filterPack } from '../colour/pack'
import { grades } from '../grade'

const dial = z.number().min(0, 'A dial stands at 0 or more.').max(400, 'A dial stands at 400 at most.')
/** What stands between lamp and negative: nothing (paper of one grade), a filter of a set, the dials of a head; colour filters before colour paper. */
const printFilter = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('set'), grade: z.enum(grades) }),
  z.strictObject({
    kind: z.literal('dials'),
    y: dial,
    m: dial,
    /** what it stands for, where that is known */ grade: z.enum(grades).nullable(),
  }),
  z.strictObject({ kind: z.literal('pack'), ...filterPack.shape }),
])
export type PrintFilter = z.output<typeof printFilter>

const seconds = z.number().gt(0, 'An exposure takes some time.').max(3600, 'An exposure takes an hour at most.')
const stops = z.number().min(-6, 'Six stops at most.').max(6, 'Six stops at most.')
const turn = z.number().min(-100, 'A hundred units at most.').max(100, 'A hundred units at most.')
const place = z.string().trim().min(1, 'Name the place.').max(80, 'A place is 80 characters at most.')

/** The whole sheet for s, through a filter. Split grade is two of them, the soft one first. */
const printExposure = z.strictObject({ seconds, filter: printFilter })
export type PrintExposure = z.output<typeof printExposure>

/** A place that has so many stops more or less than the rest, of one of the exposures, counted from 0. */
const printPlace = z.strictObject({ name: place, stops, exposure: z.int().min(0).max(3) })

const steps = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('stops'), firstS: seconds, stepStops: z.number().gt(0).max(3) }),
  z.strictObject({ by: z.literal('seconds'), firstS: seconds }),
])
const band = z.int().min(0).max(29)

/** One sheet, or a strip of it, that went through the trays: how it was exposed. */
export const printPlan = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('strip'),
    ...{
      steps,
      bands: z.int().min(2, 'A strip has two bands at least.').max(30, 'A strip has thirty bands at most.'),
      way: z.enum(['cover', 'uncover', 'mask']),
      filter: printFilter,
    },
    /** exposures that the whole strip had before: the soft one of a split grade */
    under: z.array(printExposure).max(3),
    /** the band that is right, or the two it lies between; null until somebody has looked */
    chosen: z.union([z.tuple([band]), z.tuple([band, band])]).nullable(),
  }),
  z.strictObject({
    kind: z.literal('print'),
    exposures: z.array(printExposure).min(1).max(4),
    places: z.array(printPlace).max(30, 'Thirty places at most.'),
  }),
])
export type PrintTry = z.output<typeof printPlan>
export type StripTry = Extract<PrintTry, { kind: 'strip' }>
export type WholeTry = Extract<PrintTry, { kind: 'print' }>

/** What somebody said of a print: darker or lighter as a whole or in one of its exposures, harder or softer, more or less in a place; too much of a colour; what a photograph says of its filters. */
export const printSaid = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('print'), stops }),
  z.strictObject({ of: z.literal('exposure'), exposure: z.int().min(0).max(3), stops }),
  z.strictObject({ of: z.literal('grade'), halves: z.int().min(-12).max(12) }),
  z.strictObject({ of: z.literal('place'), name: place, stops, exposure: z.int().min(0).max(3) }),
  z.strictObject({ of: z.literal('cast'), cast: z.enum(casts), units: z.number().gt(0).max(100, 'A cast has a hundred units at most.') }),
  z.strictObject({ of: z.literal('turn'), y: turn, m: turn }),
])
export type PrintSaid = z.output<typeof printSaid>
