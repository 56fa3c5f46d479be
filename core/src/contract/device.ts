import { z } from 'zod'
import { done, id, idParams, listQuery, name, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const kind = z.enum(['scale', 'thermometer', 'ph-meter'])
const facts = {
  kind,
  name,
  host: z
    .string()
    .trim()
    .regex(/^[A-Za-z0-9.:-]{1,120}$/, 'Write a host name or address.'),
  port: z.int().min(1).max(65_535),
  /** a regular expression with a group `value`, and if the device says so `stable` and `unit` */
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
}
export const reading = z.object({
  deviceId: z.string(),
  /** g, °C or pH, calibration applied; null while the device does not answer */
  value: z.number().nullable(),
  stable: z.boolean(),
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
  simulate: endpoint(
    'POST',
    '/api/devices/:id/simulate',
    'technician',
    'Demo: pour powder onto the simulated scale, dip the thermometer or the electrode',
    {
      params: idParams,
      body: z.strictObject({ what: z.enum(['pour', 'clear', 'bath', 'solution']), value: z.number().min(-100_000).max(100_000) }),
      response: done,
    },
  ),
}
export type Device = z.infer<typeof device>
export type Reading = z.infer<typeof reading>
export type DeviceKind = z.infer<typeof kind>
