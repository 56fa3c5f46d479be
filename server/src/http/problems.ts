import { DomainError, Refused } from '@selvrin/core'
import type { Problem } from '@selvrin/core/contract'
import type { ErrorRequestHandler } from 'express'
import type { z } from 'zod'
import { Refusal } from '../house/refusal'

interface Answer {
  status: number
  problem: Problem
}

/** What a schema refused: its sentence, and the field it is about. */
export function schemaProblem(error: z.ZodError): Problem {
  const issue = error.issues[0]
  const field = issue?.code === 'unrecognized_keys' ? issue.keys[0] : issue?.path.join('.')
  return {
    code: issue?.code === 'unrecognized_keys' ? 'unknown-field' : 'invalid',
    message: issue?.message ?? 'It cannot be kept as it is.',
    ...(field ? { field } : {}),
  }
}

const constraintWords: Record<string, string> = {
  bottle_never_below_zero: 'The bottle does not hold that much any more. Look how much is left and pour less.',
  jar_never_below_zero: 'The jar does not hold that much. Choose another jar, or correct what it holds.',
  shelf_name_key: 'There is a shelf of that name already. Choose another name.',
  instrument_kind_name_key: 'There is one of that name already. Choose another name.',
  due_rule_family_kind_key: 'There is a rule for that test already: change that one.',
  bottle_shelf_id_fkey: 'Bottles stand on that shelf. Move them first.',
  vessel_name_key: 'There is a tank of that name already. Choose another name.',
  person_login_key: 'Someone has that sign-in name already. Choose another.',
}

/** What the database refused, by its class of error. */
function databaseAnswer(error: { code: string; constraint?: string }): Answer | undefined {
  const words = error.constraint === undefined ? undefined : constraintWords[error.constraint]
  if (error.code === '23505') return { status: 409, problem: { code: 'exists', message: words ?? 'That is there already.' } }
  if (error.code === '23503')
    return {
      status: 422,
      problem: { code: 'unknown-reference', message: words ?? 'It names something that is not there (any more). Load the page again.' },
    }
  if (error.code.startsWith('23')) return { status: 409, problem: { code: 'refused', message: words ?? 'The record does not allow that.' } }
  if (error.code.startsWith('22'))
    return { status: 422, problem: { code: 'invalid', message: 'One of the values cannot be kept: check amounts and special characters.' } }
  if (outage.test(error.code)) return unavailable
  if (error.code === '40001' || error.code === '40P01')
    return { status: 409, problem: { code: 'busy', message: 'Someone wrote at the same moment. Try again.' } }
  return undefined
}

/** classes of PostgreSQL's errors that say it is going, coming or full, and nothing of the request */
const outage = /^(08|53|57P|58)/
const unavailable: Answer = {
  status: 503,
  problem: {
    code: 'unavailable',
    message:
      'The darkroom’s records cannot be reached just now. Try again; it may or may not have been kept, and the same try again counts once.',
  },
}
/** Connections that were refused, lost, or not to be had in time. */
const unreachable = [
  'SequelizeConnectionError',
  'SequelizeConnectionRefusedError',
  'SequelizeConnectionAcquireTimeoutError',
  'SequelizeHostNotReachableError',
  'SequelizeConnectionTimedOutError',
  'SequelizeHostNotFoundError',
  'SequelizeInvalidConnectionError',
]
const isLost = (error: unknown): boolean => {
  const { code, message } = (error ?? {}) as { code?: unknown; message?: unknown }
  return (
    (typeof code === 'string' && ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT'].includes(code)) ||
    (typeof message === 'string' &&
      /connection terminated|connection ended|ConnectionManager.getConnection was called after/i.test(message))
  )
}

function answerFor(error: unknown): Answer | undefined {
  if (error instanceof Refusal) return { status: error.status, problem: { code: error.code, message: error.message, ...error.more } }
  if (error instanceof Refused)
    return { status: error.conflict ? 409 : 422, problem: { code: error.code, message: error.message, ...error.more } }
  if (error instanceof DomainError) return { status: 422, problem: { code: error.code, message: error.message } }
  if (typeof error !== 'object' || error === null) return undefined
  const { name, original: inner } = error as { name?: string; original?: unknown }
  if (name === 'SequelizeOptimisticLockError')
    return { status: 409, problem: { code: 'stale', message: 'Someone changed this meanwhile. Load the page again.' } }
  if ((name !== undefined && unreachable.includes(name)) || isLost(error) || isLost(inner)) return unavailable
  const { type, status, code, severity } = error as { type?: string; status?: number; code?: string; severity?: string }
  const original = severity === undefined ? (inner as { code?: string; constraint?: string } | undefined) : { ...error, code }
  if (typeof original?.code === 'string') return databaseAnswer({ ...original, code: original.code })
  if (type === 'entity.too.large')
    return {
      status: 413,
      problem: { code: 'too-large', message: 'That is more than can be sent at once (256 kB). Send it in smaller parts.' },
    }
  if (type === 'entity.parse.failed') return { status: 400, problem: { code: 'not-json', message: 'What was sent is not readable JSON.' } }
  if (typeof status === 'number' && status >= 400 && status < 500)
    return { status, problem: { code: 'bad-request', message: 'The request cannot be read.' } }
  return undefined
}

/** The last stop of every request that failed. What is our own fault is logged and answered without its inside. */
export const problemHandler: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) return next(error)
  const answer = answerFor(error)
  if (!answer) console.error(error)
  response
    .status(answer?.status ?? 500)
    .json(answer?.problem ?? { code: 'broken', message: 'Something broke on the server. Nothing was changed; try again.' })
}
