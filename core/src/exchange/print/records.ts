import { z } from 'zod'

const text = z.string()
const count = z.union([z.number(), z.string()])
/** as elsewhere: with its unit, or a bare number of ml, g, °C or s */
const quantity = z.union([z.string(), z.number()])
const yes = z.union([z.boolean(), text])
const moment = text.describe('2026-04-14, or with its time 2026-04-14T18:30:00Z')
const ownId = text.optional().describe('what has an id that is here already is passed over')

const boxRecord = z.object({
  box: ownId,
  size: text.describe('width and height of a sheet in cm: 24 x 30.5'),
  sheets: count.describe('as it was bought'),
  left: count.optional().describe('sheets in it now; left out where it is full'),
  price: count.optional().describe('of the box'),
  batch: text.optional(),
  came_in: moment.optional(),
  opened: moment.optional(),
  label: text
    .optional()
    .describe('of colour paper: how its batch differs, units of yellow and magenta and the factor of the time: +5 / -10 / 1.1'),
})
export const paperRecord = z.object({
  name: text,
  base: z.enum(['rc', 'fibre']),
  prints: z
    .enum(['', 'black-and-white', 'negative', 'reversal'])
    .optional()
    .describe('grey, or colours from negatives or from slides; left out: grey'),
  grade: text.optional().describe('of paper that has one; left out where it is variable'),
  speed: count.optional().describe('standard speed number; left out where nobody measured it'),
  darkens: count.optional().describe('by how much it darkens in drying, such as 10 %'),
  holds_developer: yes.optional().describe('it has developing agent in it'),
  boxes: z.array(boxRecord).max(200).optional(),
})

export const enlargerRecord = z.object({
  name: text,
  grades_by: z.enum(['filters', 'one dial', 'two dials']),
  dials_to: count.optional().describe('what its dials count to'),
  lag: quantity.optional().describe('how late its lamp gives light'),
  lenses: text.optional().describe('focal lengths in mm with what they are for: 50 for 35 mm; 80'),
})

export const calibrationRecord = z.object({
  id: ownId,
  at: moment,
  what: z
    .enum(['developer', 'box', 'lamp', 'contact', 'wedges', 'filters'])
    .describe('what was changed and matched on two strips, or what was measured'),
  enlarger: text.optional().describe('its name; left out where it holds for all'),
  paper: text.optional().describe('its name; left out where it holds for all'),
  developer: text.optional(),
  light_tone: text.optional().describe('matched strips: s before and after, with a semicolon: 12; 15'),
  dark_tone: text.optional().describe('matched strips: s before and after'),
  step: count.optional().describe('of the strips, in stops'),
  film: text.optional().describe('contact time: which film the clear piece was of'),
  enlargement: count.optional().describe('contact time: how high the head stood, as print side over negative side'),
  lens_stop: count.optional(),
  grade: text.optional(),
  first: quantity.optional().describe('contact time: s of the first step'),
  bands: count.optional(),
  band: count.optional().describe('contact time: the first step that cannot be told from the next, counted from 1'),
  densities: text.optional().describe('contact time: of all steps, with semicolons'),
  step_density: count.optional().describe('wedges: by how much a step is denser than the one before it'),
  keeps: z.enum(['', 'middle', 'light']).optional().describe('wedges: the tone that stays when the grade changes'),
  wedges: text
    .optional()
    .describe(
      'wedges: yellow, magenta, s, first step below black, step like the grey, last step still grey, step of a light tone; as / between them, with semicolons',
    ),
  dial: z.enum(['', 'y', 'm', 'c']).optional().describe('filters: the dial that was turned'),
  units: count.optional().describe('filters: by how much it was turned up'),
  grey: text.optional().describe('filters: s of the same grey before and after, with a semicolon: 10; 13.2'),
  note: text.optional(),
  by: text.optional().describe('for reading only'),
})

const setupColumns = {
  paper: text.optional().describe('its name'),
  box: text.optional().describe('id of the box'),
  size: text.optional().describe('of a sheet in cm: 24 x 30.5'),
  enlarger: text.optional().describe('its name'),
  enlargement: count.optional().describe('print side over negative side'),
  lens: count.optional().describe('its focal length in mm'),
  lens_stop: count.optional(),
  developer: text.optional(),
}
const tryRecord = z.object({
  kind: z.enum(['strip', 'print']),
  at: moment.optional(),
  ...setupColumns,
  strip: text.optional().describe('stops 8 s by 0.3333, 7 bands, cover; or seconds 3 s, 8 bands, mask'),
  filter: text.optional().describe('of a strip: none, grade 2.5, Y0 M45, Y0 M45 grade 3; before colour paper Y60 M50 C0'),
  exposures: text.optional().describe('of a print, or what a strip had before it: 12.5 s grade 2; 8 s grade 5'),
  places: text.optional().describe('stops more or less than the rest: sky +0.5; face -0.25; of the second exposure, corner +1 @2'),
  band: text.optional().describe('of a strip that is right, counted from 1, or the two it lies between: 4; 4-5'),
  said: text
    .optional()
    .describe('whole +0.26; exposure 2 -0.5; grade +1 (in halves); place sky +0.5 @1; cast red 10; turn 4 / -2 (yellow / magenta)'),
  sheets: count.optional().describe('of paper it took'),
  note: text.optional(),
})
export const printRecord = z.object({
  id: ownId,
  title: text,
  member: text.optional().describe('their name'),
  begun: moment.optional(),
  negative: text,
  negative_size: text.describe('mm of it that are printed: 36 x 24'),
  done: yes.optional().describe('it is as it should be'),
  outline: text
    .optional()
    .describe('where its places lie, as shares of its width and height: sky straight 0 / 0 / 1 / 0.3; face round 0.4 / 0.4 / 0.2 / 0.2'),
  ...setupColumns,
  tries: z.array(tryRecord).max(300).optional(),
})

export type BoxRecord = z.infer<typeof boxRecord>
export type PaperRecord = z.infer<typeof paperRecord>
export type EnlargerRecord = z.infer<typeof enlargerRecord>
export type CalibrationRecord = z.infer<typeof calibrationRecord>
export type TryRecord = z.infer<typeof tryRecord>
export type PrintRecord = z.infer<typeof printRecord>
export type SetupRecord = Pick<PrintRecord, keyof typeof setupColumns>
