import { z } from 'zod'
import { calibrationBody } from '../print/calibration'
import { enlargerBody, negativeBody, paperBody, paperBoxBody, trySetup } from '../print/sheet/room'
import { printOutline } from '../print/sheet/outline'
import { printPlan, printSaid } from '../print/sheet/tries'
import { done, find, id, idParams, listQuery, name, note, page, version, pictureQuery } from '../shape/common'
import { endpoint } from './endpoint'
import { pictureBytes } from './proof'

const paper = z.object({ id, version, ...paperBody.shape })
const box = z.object({
  ...{ id, version, ...paperBoxBody.shape },
  paperId: id,
  /** sheets that are still in it */
  left: z.number(),
  openedAt: z.number().nullable(),
})
const enlarger = z.object({ id, version, ...enlargerBody.shape })
const calibration = z.object({ id, version, at: z.number(), by: z.string(), body: calibrationBody })
const sheetRow = z.object({
  ...{ id, version, number: z.int(), title: z.string() },
  ...{ memberId: id.nullable(), member: z.string(), at: z.number() },
  negative: negativeBody,
  setup: trySetup,
  /** it is as it should be */
  done: z.boolean(),
  tries: z.int(),
  /** where its places lie */
  outline: printOutline,
  /** somebody photographed it */
  photo: z.boolean(),
})
const tryRow = z.object({
  ...{ id, version, at: z.number(), by: z.string() },
  setup: trySetup,
  plan: printPlan,
  /** of its box, in parts of one where it is a strip */
  sheets: z.number(),
  /** of its paper; null where the box has no price */
  cost: z.number().nullable(),
  said: z.array(printSaid),
  note: z.string(),
})

export const traysApi = {
  get: endpoint('GET', '/api/trays', 'member', 'Papers, their boxes and the enlargers, and the prints that are being made', {
    response: z.object({
      ...{ papers: z.array(paper), boxes: z.array(box), enlargers: z.array(enlarger), sheets: z.array(sheetRow) },
      calibrations: z.array(calibration),
    }),
  }),
  addPaper: endpoint('POST', '/api/papers', 'technician', 'A paper of the house', {
    body: z.strictObject({ id, ...paperBody.shape }),
    response: paper,
  }),
  changePaper: endpoint('PUT', '/api/papers/:id', 'technician', 'Change a paper', {
    params: idParams,
    body: z.strictObject({ version, ...paperBody.shape }),
    response: paper,
  }),
  addBox: endpoint('POST', '/api/paper-boxes', 'technician', 'A box of paper comes in', {
    body: z.strictObject({ id, paperId: id, ...paperBoxBody.shape }),
    response: box,
  }),
  countBox: endpoint('POST', '/api/paper-boxes/:id/count', 'technician', 'So many sheets are in it', {
    params: idParams,
    body: z.strictObject({ entryId: id, version, left: z.number().min(0).max(5000), note }),
    response: box,
  }),
  addEnlarger: endpoint('POST', '/api/enlargers', 'technician', 'An enlarger of the house', {
    body: z.strictObject({ id, ...enlargerBody.shape }),
    response: enlarger,
  }),
  changeEnlarger: endpoint('PUT', '/api/enlargers/:id', 'technician', 'Change an enlarger', {
    params: idParams,
    body: z.strictObject({ version, ...enlargerBody.shape }),
    response: enlarger,
  }),
  calibrate: endpoint('POST', '/api/calibrations', 'technician', 'Strips that were matched, or a standard contact time', {
    body: z.strictObject({ id, body: calibrationBody }),
    response: calibration,
  }),
  calibrateBack: endpoint('POST', '/api/calibrations/:id/take-back', 'technician', 'It was not so', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  light: endpoint('POST', '/api/enlargers/:id/light', 'member', 'The lamp on for so many seconds, by its relay; 0 switches it off', {
    params: idParams,
    body: z.strictObject({
      seconds: z.number('Seconds the lamp is on.').min(0, 'Seconds the lamp is on.').max(3600, 'An hour at most.'),
      /** ms from now it begins in */
      inMs: z.number().min(0).max(5000),
    }),
    response: done,
  }),
  sheets: endpoint('GET', '/api/prints', 'member', 'Sheets of prints, the newest first: one’s own, a technician everyone’s', {
    query: listQuery.extend({ find }),
    response: page(sheetRow),
  }),
  whole: endpoint(
    'GET',
    '/api/prints/whole',
    'member',
    'Sheets with all their tries, the newest first: one’s own, a technician everyone’s',
    {
      query: listQuery,
      response: page(z.object({ sheet: sheetRow, tries: z.array(tryRow) })),
    },
  ),
  sheet: endpoint('GET', '/api/prints/:id', 'member', 'A print’s sheet with its tries, the first first', {
    params: idParams,
    response: z.object({ sheet: sheetRow, tries: z.array(tryRow) }),
  }),
  begin: endpoint('POST', '/api/prints', 'member', 'A print is begun', {
    body: z.strictObject({ id, memberId: id, title: name, negative: negativeBody, setup: trySetup }),
    response: sheetRow,
  }),
  change: endpoint('PUT', '/api/prints/:id', 'member', 'Another setup, another name; or it is as it should be', {
    params: idParams,
    body: z.strictObject({ version, title: name, negative: negativeBody, setup: trySetup, done: z.boolean() }),
    response: sheetRow,
  }),
  draw: endpoint('PUT', '/api/prints/:id/outline', 'member', 'Where its places lie', {
    params: idParams,
    body: z.strictObject({ version, outline: printOutline }),
    response: sheetRow,
  }),
  putPhoto: endpoint('PUT', '/api/prints/:id/photo', 'member', 'A photograph of the print', {
    params: idParams,
    body: z.strictObject({}),
    upload: pictureBytes,
    response: done,
  }),
  getPhoto: endpoint('GET', '/api/prints/:id/photo', 'member', 'The photograph of the print', {
    params: idParams,
    query: pictureQuery,
    file: true,
  }),
  expose: endpoint('POST', '/api/prints/:id/tries', 'member', 'A strip or a print was exposed: its paper is drawn from its box', {
    params: idParams,
    body: z.strictObject({ id, entryId: id, setup: trySetup, plan: printPlan, sheets: z.number().gt(0).max(100) }),
    response: tryRow,
  }),
  judge: endpoint('PUT', '/api/prints/:id/tries/:tryId', 'member', 'What is to be said of a try: which band, what was too dark', {
    params: z.strictObject({ id, tryId: id }),
    body: z.strictObject({
      version,
      chosen: z.union([z.tuple([z.int().min(0).max(29)]), z.tuple([z.int().min(0).max(29), z.int().min(0).max(29)])]).nullable(),
      said: z.array(printSaid).max(20),
      note,
    }),
    response: tryRow,
  }),
}
export type Paper = z.infer<typeof paper>
export type BoxOfPaper = z.infer<typeof box>
export type Enlarger = z.infer<typeof enlarger>
export type CalibrationRow = z.infer<typeof calibration>
export type PrintSheet = z.infer<typeof sheetRow>
export type PrintTryRow = z.infer<typeof tryRow>
