import { z } from 'zod'
import { bottleState } from '../bottle/bottle'
import { trayBody, trayEnding, trayFilling, trayRoles } from '../print/line/trayLine'
import { celsius, id, idParams, reason, version } from '../shape/common'
import { drums } from '../waste/drumIds'
import { intoDrums } from '../waste/intoDrums'
import { endpoint } from './endpoint'

const base = z.enum(['rc', 'fibre'])
const side = z.number('A print is 1 to 300 cm.').min(1, 'A print is 1 to 300 cm.').max(300, 'A print is 1 to 300 cm.')
const tray = z.object({ id, version, ...trayBody.shape })
const emergence = z.object({ at: z.number(), seconds: z.number(), celsius: z.number(), paper: z.string(), ratio: z.number() })
const fill = z.object({
  ...{ id, role: z.enum(trayRoles), tray, ml: z.number(), at: z.number() },
  /** the bottle it is, by its ledger; null for water */
  bottle: z
    .object({
      ...{ id, label: z.string(), name: z.string(), parts: z.array(z.number()).nullable(), retiredAt: z.number().nullable() },
      state: bottleState.pick({ volumeMl: true, used: true, aged: true, acidUsed: true, findings: true, twoBath: true }),
      /** what it becomes when it is poured away; null where that is not known */
      drum: z.enum(drums).nullable(),
    })
    .nullable(),
  /** 8×10 in equivalents since it was filled */
  ...{ rc: z.number(), fibre: z.number() },
  /** how late tones come up in it against its first reading, the newest last */
  emergence: z.array(emergence),
})
const pass = z.object({
  ...{ id, at: z.number(), by: z.string(), base, equivalents: z.number(), what: z.string() },
  /** taken back */
  back: z.boolean(),
})
const line = z.object({
  ...{ id, version, number: z.int(), base, celsius: z.number(), widthCm: z.number(), heightCm: z.number() },
  ...{ openedAt: z.number(), openedBy: z.string(), closedAt: z.number().nullable() },
  fills: z.array(fill),
  /** what went through it, the newest first, and all of it in 8×10 in equivalents */
  passes: z.array(pass),
  equivalents: z.number(),
})

export const lineApi = {
  get: endpoint('GET', '/api/line', 'member', 'The trays of the house, and the line that stands in them now', {
    response: z.object({ trays: z.array(tray), line: line.nullable() }),
  }),
  addTray: endpoint('POST', '/api/trays', 'technician', 'A tray of the house', {
    body: z.strictObject({ id, ...trayBody.shape }),
    response: tray,
  }),
  changeTray: endpoint('PUT', '/api/trays/:id', 'technician', 'Change a tray', {
    params: idParams,
    body: z.strictObject({ version, ...trayBody.shape }),
    response: tray,
  }),
  open: endpoint('POST', '/api/line', 'technician', 'A tray line is set up, all its trays in one go', {
    body: z.strictObject({ id, base, widthCm: side, heightCm: side, celsius, fills: z.array(trayFilling).min(1).max(12) }),
    response: line,
  }),
  pass: endpoint('POST', '/api/line/:id/prints', 'member', 'Prints went through the trays', {
    params: idParams,
    body: z.strictObject({
      ...{ passId: id, base, widthCm: side, heightCm: side, what: z.string().trim().max(200, 'Two hundred characters at most.') },
      count: z.number('Say how many prints.').gt(0, 'Say how many prints.').max(200, 'Two hundred prints at once at most.'),
    }),
    response: line,
  }),
  passBack: endpoint('POST', '/api/line/:id/prints/:passId/take-back', 'member', 'They did not go through', {
    params: z.strictObject({ id, passId: id }),
    body: z.strictObject({ reason }),
    response: line,
  }),
  replace: endpoint('POST', '/api/line/:id/replace', 'technician', 'A tray is emptied and filled anew; of two fixers the second moves up', {
    params: idParams,
    body: z.strictObject({ version, end: trayEnding, fill: trayFilling, into: intoDrums }),
    response: line,
  }),
  emergence: endpoint('POST', '/api/line/:id/emergence', 'member', 'How long it takes until a middle tone begins to show', {
    params: idParams,
    body: z.strictObject({
      ...{ readingId: id, fillId: id, paperId: id, celsius },
      seconds: z
        .number('Seconds until the tone begins to show.')
        .gt(0, 'Seconds until the tone begins to show.')
        .max(600, 'Ten minutes at most.'),
    }),
    response: line,
  }),
  close: endpoint('POST', '/api/line/:id/close', 'technician', 'The line is closed: each tray poured away, or back into its bottle', {
    params: idParams,
    body: z.strictObject({ version, ends: z.array(trayEnding).max(24), into: intoDrums }),
    response: line,
  }),
}
export type Tray = z.infer<typeof tray>
export type TrayLine = z.infer<typeof line>
export type TrayFill = z.infer<typeof fill>
