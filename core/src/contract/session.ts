import { z } from 'zod'
import { done, name } from '../shape/common'
import { endpoint } from './endpoint'
import { me, newPassword, units } from './person'

const login = z
  .string()
  .trim()
  .toLowerCase()
  .min(2, 'Write your sign-in name.')
  .max(60)
  .regex(/^[a-z0-9._@+-]+$/, 'Use letters, digits and . _ @ + - only.')
const password = newPassword
const code = z.string().trim().toUpperCase().min(6).max(20)

const session = z.object({
  person: me.nullable(),
  darkroom: z.object({ name: z.string(), kind: z.enum(['demo', 'house']), zone: z.string() }),
  /** shown on the sign-in page of a demo only */
  demoSignIns: z.array(z.object({ name: z.string(), login: z.string(), password: z.string(), role: z.string() })).nullable(),
  /** a house database without a technician yet */
  firstVisit: z.boolean(),
  /** ms, the server's clock */
  now: z.number(),
})

export const sessionApi = {
  get: endpoint('GET', '/api/session', 'public', 'Who is signed in, and where', { response: session }),
  signIn: endpoint('POST', '/api/session', 'public', 'Sign in', {
    body: z.strictObject({ login, password: z.string().min(1).max(200) }),
    unkeyed: true,
    response: session,
  }),
  signOut: endpoint('DELETE', '/api/session', 'member', 'Sign out', { unkeyed: true, response: done }),
  useCode: endpoint('POST', '/api/session/code', 'public', 'Set a password with a one-time code', {
    body: z.strictObject({ login, code, password }),
    unkeyed: true,
    response: session,
  }),
  first: endpoint('POST', '/api/session/first', 'public', 'Make the first technician of a house', {
    body: z.strictObject({ code, name, login, password, units: units.default('metric') }),
    unkeyed: true,
    response: session,
  }),
}
export type Session = z.infer<typeof session>
