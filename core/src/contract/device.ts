import { z } from 'zod'
import { done, id, idParams, listQuery, name, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const kind = z.enum(['scale', 'thermometer', 'ph-meter', 'bath', 'lamp'])
const facts = {
  kind,
  name,
  host: z
    .string()
    .trim()
    .regex(/^[A-Za-z0-9.:-]{1,120}$/, 'Write a host name or address.'),
  port: z.int().min(1).max(65_535),
  /** a regular expression with a group `value`, and if the device says so `stable` and `unit`; a bath's `set` and `heater` too */
  pattern: z
    .string()
    .max(200)
    .refine((text) => {
      try {
        return new RegExp(text).source.includes('(?<value>')
      } catch {
        return false
      }
    }, 'Write a regular expression with a group (?<value>…).'),
  active: z.boolean(),
  /** how a bath is set, `{c}` stands for °C; how a lamp is switched on, `{s}` for seconds; empty where it is done by hand */
  command: z
    .string()
    .trim()
    .max(60)
    .regex(
      /^$|\{[cs]\}/,
      'Write the command with {c} where the temperature stands, such as W {c}, or {s} where the seconds stand, such as E {s}.',
    )
    .default(''),
  /** the water in a bath */
  water: z
    .strictObject({ litres: z.number().gt(0, 'Write how many litres are in it.').max(500), covered: z.boolean() })
    .nullable()
    .default(null),
}
export const reading = z.object({
  deviceId: z.string(),
  /** g, °C or pH, calibration applied; null while the device does not answer */
  value: z.number().nullable(),
  stable: z.boolean(),
  /** °C a bath is set to, and the share of its heater, where it says so */
  setC: z.number().optional(),
  heater: z.number().optional(),
  /** ms */
  at: z.number(),
})
const calibration = z.object({
  slope: z.number(),
  offset: z.number(),
  at: z.number(),
  points: z.array(z.object({ read: z.number(), buffer: z.number() })),
})
const device = z.object({ id, version, ...facts, simulated: z.boolean(), calibration: calibration.nullable() })

export const deviceApi = {
  list: endpoint('GET', '/api/devices', 'technician', 'Scales, thermometers and pH meters at the bench', {
    query: listQuery,
    response: page(device),
  }),
  add: endpoint('POST', '/api/devices', 'technician', 'A device at the bench', {
    body: z.strictObject({ id, ...facts }),
    response: device,
  }),
  change: endpoint('PUT', '/api/devices/:id', 'technician', 'Change how a device is reached', {
    params: idParams,
    body: z.strictObject({ version, ...facts }),
    response: device,
  }),
  remove: endpoint('DELETE', '/api/devices/:id', 'technician', 'Take a device off the bench', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  calibrate: endpoint('POST', '/api/devices/:id/calibration', 'technician', 'A pH meter’s readings in two or more buffers', {
    params: idParams,
    body: z.strictObject({
      version,
      points: z
        .array(z.strictObject({ read: z.number().min(-2).max(16), buffer: z.number().min(0).max(14) }))
        .min(2)
        .max(5),
    }),
    response: device,
  }),
  tare: endpoint('POST', '/api/devices/:id/tare', 'technician', 'Set the scale to zero', { params: idParams, response: done }),
  set: endpoint('POST', '/api/devices/:id/set', 'technician', 'Set a tempering bath', {
    params: idParams,
    body: z.strictObject({ celsius: z.number().min(5, 'A bath is set to 5 to 60 °C.').max(60, 'A bath is set to 5 to 60 °C.') }),
    response: done,
  }),
  log: endpoint('GET', '/api/devices/:id/log', 'technician', 'What a tempering bath was in the last four hours', {
    params: idParams,
    response: z.object({
      readings: z.array(z.object({ at: z.number(), c: z.number(), setC: z.number().nullable(), heater: z.number() })),
    }),
  }),
  simulate: endpoint(
    'POST',
    '/api/devices/:id/simulate',
    'technician',
    'Demo: pour powder onto the simulated scale, dip the thermometer or the electrode',
    {
      params: idParams,
      body: z.strictObject({
        what: z.enum(['pour', 'clear', 'bath', 'solution', 'fill', 'fault', 'hurry']),
        value: z.number().min(-100_000).max(100_000),
      }),
      response: done,
    },
  ),
}
export type Device = z.infer<typeof device>
export type Reading = z.infer<typeof reading>
export type DeviceKind = z.infer<typeof kind>
