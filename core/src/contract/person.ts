import { z } from 'zod'
import { done, id, idParams, listQuery, name, page, version } from '../shape/common'
import { endpoint } from './endpoint'

/** A password that is chosen; whether it is a common one the server looks. */
export const newPassword = z.string().min(10, 'A password needs at least 10 characters.').max(200)
const role = z.enum(['member', 'technician'])
export const units = z.enum(['metric', 'us'])
/** the sign before the decimals of what a person writes and reads */
const decimal = z.enum(['point', 'comma'])

const person = z.object({
  id,
  version,
  name: z.string(),
  login: z.string(),
  role,
  active: z.boolean(),
  hasPassword: z.boolean(),
  createdAt: z.number(),
})
export const me = z.object({
  id,
  version,
  name: z.string(),
  login: z.string(),
  role,
  units,
  decimal,
  letterKeys: z.boolean(),
  sounds: z.boolean(),
})
const codeAnswer = z.object({ person, code: z.string(), expiresAt: z.number() })
const login = z
  .string()
  .trim()
  .toLowerCase()
  .min(2)
  .max(60)
  .regex(/^[a-z0-9._@+-]+$/, 'Use letters, digits and . _ @ + - only.')

export const personApi = {
  list: endpoint('GET', '/api/people', 'technician', 'Everyone of the darkroom', { query: listQuery, response: page(person) }),
  invite: endpoint('POST', '/api/people', 'technician', 'Invite someone: answers a one-time code', {
    body: z.strictObject({ id, name, login, role }),
    response: codeAnswer,
    secret: true,
  }),
  change: endpoint('PUT', '/api/people/:id', 'technician', 'Change name, role or whether someone may sign in', {
    params: idParams,
    body: z.strictObject({ version, name: name.optional(), role: role.optional(), active: z.boolean().optional() }),
    response: person,
  }),
  resetCode: endpoint('POST', '/api/people/:id/code', 'technician', 'A one-time code to set a new password', {
    params: idParams,
    response: codeAnswer,
    secret: true,
  }),
  signOutEverywhere: endpoint('POST', '/api/people/:id/sign-out', 'member', 'End all sessions of a person (members: their own)', {
    params: idParams,
    response: done,
  }),
  exportData: endpoint('GET', '/api/people/:id/export', 'member', 'All that is kept about a person (members: themselves)', {
    params: idParams,
    response: z.object({
      person,
      rolls: z.array(z.record(z.string(), z.unknown())),
      /** by what it is: notices, sessions, and every line in the darkroom's records that names them */
      kept: z.record(z.string(), z.array(z.record(z.string(), z.unknown()))),
    }),
  }),
  erase: endpoint('DELETE', '/api/people/:id', 'technician', 'Erase a person’s data; their runs stay without a name', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  changePassword: endpoint('PUT', '/api/me/password', 'member', 'One’s own new password; every other session ends', {
    body: z.strictObject({ current: z.string().min(1).max(200), password: newPassword }),
    response: done,
    password: true,
  }),
  changeMe: endpoint('PUT', '/api/me', 'member', 'One’s own settings', {
    body: z.strictObject({
      version,
      units: units.optional(),
      decimal: decimal.optional(),
      letterKeys: z.boolean().optional(),
      sounds: z.boolean().optional(),
    }),
    response: me,
  }),
}
export type Person = z.infer<typeof person>
export type Me = z.infer<typeof me>
