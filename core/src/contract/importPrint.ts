import { z } from 'zod'
import { coatedRow } from '../coat/told'
import { uvLampBody } from '../coat/light'
import { swatchBody } from '../tone/swatch'
import { calibrationBody } from '../print/calibration'
import { enlargerBody, negativeBody, paperBody, paperBoxBody, trySetup } from '../print/sheet/room'
import { printOutline } from '../print/sheet/outline'
import { printPlan, printSaid } from '../print/sheet/tries'
import { id, millis, name, note, version } from '../shape/common'

const sheets = z.number().min(0, 'Sheets are 0 or more.').max(5000, 'A box has 5000 sheets at most.')
const box = z.strictObject({ id, body: paperBoxBody, left: sheets, at: millis.nullable(), openedAt: millis.nullable() })
const tried = z.strictObject({ at: millis, setup: trySetup, plan: printPlan, said: z.array(printSaid).max(20), sheets, note })

/** Rows of the print room as an import writes them. */
export const printRows = [
  z.strictObject({ kind: z.literal('papers'), id, version: version.nullable(), body: paperBody, boxes: z.array(box).max(200) }),
  z.strictObject({ kind: z.literal('enlargers'), id, version: version.nullable(), body: enlargerBody }),
  z.strictObject({ kind: z.literal('calibrations'), id, at: millis, body: calibrationBody }),
  z.strictObject({ kind: z.literal('swatches'), id, at: millis, body: swatchBody }),
  z.strictObject({ kind: z.literal('lamps'), id, version: version.nullable(), body: uvLampBody }),
  coatedRow,
  z.strictObject({
    kind: z.literal('prints'),
    id,
    body: z.strictObject({
      ...{ memberId: id.nullable(), title: name, at: millis, done: z.boolean() },
      ...{ negative: negativeBody, setup: trySetup, outline: printOutline, tries: z.array(tried).max(300) },
    }),
  }),
] as const
