import { z } from 'zod'
import { containers, entryKinds } from '../bottle/bottle'
import { fixables, schools } from '../formula/use'
import { families } from '../mark/mark'
import { testKinds } from '../proof/proof'
import { coatedRecord, lampRecord, swatchRecord } from './bench/records'
import { calibrationRecord, enlargerRecord, paperRecord, printRecord } from './print/records'

/** Amounts are written with their unit, such as "2.5 L", "3 g", "20 °C", "9:30"; a bare number is ml, g, °C or s. */
const quantity = z.union([z.string(), z.number()])
const text = z.string()
const count = z.union([z.number(), z.string()])

export const chartRecord = z.object({
  film: text.describe('name of the film'),
  formula: text.describe('name of the developer’s formula'),
  dilution: text.describe('stock, 1+1, 1+50'),
  ei: count.describe('exposure index'),
  temperature: quantity,
  time: quantity.describe('9:30, 570 s'),
  source: text.optional(),
  note: text.optional(),
})

export const shelfRecord = z.object({
  name: text,
  temperature: quantity.optional().describe('how warm it is there; left out where nobody measured it'),
})

export const tankRecord = z.object({
  name: text,
  kind: z.enum(['hand', 'rotary']),
  format: z.enum(['135', '120']).describe('of the films whose volumes these are'),
  covers: text.describe('what covers one film, two, three, with semicolons: 300 ml; 600 ml'),
  carries_out: quantity.optional().describe('what a loaded reel carries out of a bath; left out as usual for the format'),
})

export const jarRecord = z.object({
  code: text.optional().describe('six characters on the jar’s label; a jar with a code here is the one meant'),
  chemical: text.describe('its id in the catalogue, such as sodium-sulfite, or its name'),
  lot: text.optional(),
  place: text.optional(),
  holds: quantity,
  opened: text.optional().describe('YYYY-MM-DD'),
  assay: count.optional().describe('share of the substance, such as 97 %'),
  price_per_kg: count.optional(),
  reorder_below: quantity.optional(),
})

const additionRecord = z.object({
  chemical: text,
  amount: quantity.describe('g of a powder, ml of a liquid or of a stock solution'),
  percent: count.optional().describe('% w/v of the stock solution it is drawn from'),
  at: quantity.optional().describe('°C at which it goes in'),
  role: z.enum(['developer', 'preservative', 'alkali', 'restrainer', 'acid', 'fixer', 'hardener', 'other']).optional(),
  whole_pack: z.union([z.boolean(), z.string()]).optional(),
  watch: text.optional(),
})

/** How a bath is used up: of a formula, or of a bottle that is used otherwise. */
const useColumns = {
  rolls_per_litre: count.optional(),
  dilutions: text.describe('stock, 1+1, 1+3'),
  least_stock_per_roll: quantity.optional(),
  keeps_full_days: count.optional(),
  keeps_half_days: count.optional(),
  keeps_working_days: count.optional(),
  keeps_tray_days: count.optional(),
  time_per_roll: count.optional().describe('compensated: % the time grows per roll and litre'),
  time_steps: text.optional().describe('compensated: rolls a litre and factor, such as 0 x1, 5 x1.2'),
  replenish_per_roll: quantity.optional().describe('replenished: ml of replenisher per roll'),
  replenish_turnovers: count.optional().describe('replenished: over when so many times its volume went in'),
  replenish_from: text.optional().describe('replenished: name of the replenisher’s formula, where it is another'),
  pair_moves: count.optional().describe('two baths: moves of the second bath to the first place'),
  pair_days: count.optional(),
  fixes: z.enum(['', ...fixables]).optional(),
  long_keeping: z.union([z.boolean(), text]).optional(),
}
const useRecord = z.object({ school: z.enum(schools), ...useColumns })

export const formulaRecord = z.object({
  name: text,
  family: z.enum(families),
  purpose: text.optional(),
  makes: quantity,
  start_with: quantity,
  mix_at: quantity,
  store_above: quantity.optional(),
  water: z.enum(['tap', 'deionised']).optional(),
  additions: z.array(additionRecord).max(60),
  combine: z.array(z.object({ part: text, formula: text })).optional(),
  ...useRecord.shape,
  usual_time: quantity.optional(),
  temperature_coefficient: count.optional(),
  coolest: quantity.optional(),
  warmest: quantity.optional(),
  note: text.optional(),
})

const day = text.describe('2026-04-14, or with its time 2026-04-14T18:30:00Z')
export const bottleRecord = z.object({
  code: text.optional().describe('six characters on its label; a bottle with a code here is there already'),
  label: text.optional().describe('what is written large on the tape; for reading only'),
  formula: text,
  dilution: text.optional().describe('stock, 1+4'),
  size: quantity,
  made: day,
  shelf: text.optional(),
  batch: text.optional().describe('bottles with the same id were mixed together'),
  batch_ph: count.optional().describe('pH at the closing check of its batch'),
  retired: text.optional().describe('the moment it was retired'),
  retired_because: text.optional(),
  school: z
    .enum(['', ...schools])
    .optional()
    .describe('with the columns after it: used otherwise than its formula says'),
  ...z.object(useColumns).partial().shape,
})

/** A line that says what happened to a bottle; its amounts are changes, what leaves is negative. */
export const ledgerRecord = z.object({
  id: text.optional().describe('a line with an id that is here already is passed over'),
  bottle: text.describe('the code on its label'),
  at: day,
  what: z.enum(entryKinds),
  change: quantity.describe('ml; negative where it left the bottle'),
  rolls: count.optional(),
  prints: count.optional(),
  colour_rolls: count.optional(),
  water_in: quantity.optional(),
  stands_in: z
    .enum(['', ...containers])
    .optional()
    .describe('how it stands from now on'),
  stands_at: quantity.optional().describe('°C of where it stands from now on'),
  brought: text
    .optional()
    .describe('what liquid from another bottle had behind it, with semicolons: strength, rolls a litre, silver in g/L, age as a share'),
  brought_tests: text.optional().describe('what that liquid was tested for, as JSON, as it was written here'),
  bath: text
    .optional()
    .describe('place in a pair: which bath, moves behind it, in use since when, with semicolons, such as 2; 1; 2026-04-14'),
  other: text.optional().describe('code of the other bottle of this line'),
  together: text.optional().describe('lines with the same id were written together and are taken back together'),
  overrules: z
    .enum(['', ...testKinds])
    .optional()
    .describe('a technician’s reason, the note, against a failed test of that kind'),
  takes_back: text.optional().describe('id of the line it takes back'),
  by: text.optional().describe('for reading only'),
  note: text.optional(),
})

export const testRecord = z.object({
  id: text.optional().describe('a test with an id that is here already is passed over'),
  bottle: text.describe('the code on its label'),
  at: day,
  test: z.enum(testKinds),
  reading: count.optional().describe('s, density, pH or g/L, as the test reads'),
  seen: text.optional().describe('where it is judged by eye'),
  fresh_beside: count.optional().describe('density of the fresh scrap read beside it'),
  base_fog: count.optional().describe('density of clear film: base and fog, which densities are net of'),
  kept_because: text.optional().describe('why a reading that cannot be was kept'),
  temperature: quantity.optional(),
  slow_film: z
    .union([z.boolean(), text])
    .optional()
    .describe('clearing time of film that is fixed three times as long; empty where the film was not said'),
  approximate: z.union([z.boolean(), text]).optional().describe('from a photograph without a wedge'),
  fresh: z.union([z.boolean(), z.string()]).optional().describe('the fresh reading of its batch'),
  verdict: text.optional().describe('for reading only: it is judged again when it is read in'),
  note: text.optional(),
})

export type UseRecord = z.infer<typeof useRecord>
export type BottleRecord = z.infer<typeof bottleRecord>
export type LedgerRecord = z.infer<typeof ledgerRecord>
export type TestRecord = z.infer<typeof testRecord>
export type ShelfRecord = z.infer<typeof shelfRecord>
export type TankRecord = z.infer<typeof tankRecord>
export type ChartRecord = z.infer<typeof chartRecord>
export type JarRecord = z.infer<typeof jarRecord>
export type FormulaRecord = z.infer<typeof formulaRecord>
export type AdditionRecord = z.infer<typeof additionRecord>

const file = <T extends z.ZodType>(format: string, row: T) =>
  z.object({ format: z.literal(format), version: z.literal(1), rows: z.array(row) })

/** The open formats, one file a kind: docs/formats holds the JSON Schemas made of these. */
export const exchangeFiles = {
  formulas: file('selvrin-formulas', formulaRecord),
  shelves: file('selvrin-shelves', shelfRecord),
  tanks: file('selvrin-tanks', tankRecord),
  jars: file('selvrin-jars', jarRecord),
  chart: file('selvrin-chart', chartRecord),
  bottles: file('selvrin-bottles', bottleRecord),
  ledger: file('selvrin-ledger', ledgerRecord),
  tests: file('selvrin-tests', testRecord),
  papers: file('selvrin-papers', paperRecord),
  enlargers: file('selvrin-enlargers', enlargerRecord),
  calibrations: file('selvrin-calibrations', calibrationRecord),
  prints: file('selvrin-prints', printRecord),
  swatches: file('selvrin-swatches', swatchRecord),
  lamps: file('selvrin-lamps', lampRecord),
  coated: file('selvrin-coated', coatedRecord),
}
export type ExchangeKind = keyof typeof exchangeFiles
export const exchangeKinds = Object.keys(exchangeFiles) as ExchangeKind[]
