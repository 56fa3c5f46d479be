import { createHash } from 'node:crypto'
import type { Endpoint } from '@selvrin/core/contract'
import express, { type Request, type RequestHandler, type Response } from 'express'
import multer from 'multer'
import { Refusal } from '../house/refusal'

/** Most bytes of a body where the endpoint does not say, and where nobody has signed in. */
const usualBytes = 64_000
const anonymousBytes = 4_000

export interface Upload {
  name: string
  bytes: Buffer
}

const kilobytes = (bytes: number): string => (bytes >= 1e6 ? `${bytes / 1e6} MB` : `${Math.round(bytes / 1000)} kB`)
const done = (handler: RequestHandler, request: Request, response: Response): Promise<void> =>
  new Promise((resolve, reject) => void handler(request, response, (error?: unknown) => (error ? reject(error as Error) : resolve())))

const readers = new Map<number, RequestHandler>()
/** One reader of JSON for each limit. */
function jsonReader(limit: number): RequestHandler {
  const reader = readers.get(limit) ?? express.json({ limit, strict: false })
  readers.set(limit, reader)
  return reader
}

/**
 * Reads what was sent, only now that it is known who sends it: JSON within the endpoint's limit, or a form with one file and the JSON beside it. Until then
 * nothing of the body was taken in.
 */
export async function readBody(endpoint: Endpoint, request: Request, response: Response, signedIn: boolean): Promise<Upload | null> {
  if (endpoint.method === 'GET') return null
  if (endpoint.upload !== undefined && request.is('multipart/form-data')) return readForm(endpoint.upload, request, response)
  const limit = signedIn ? (endpoint.bodyBytes ?? usualBytes) : anonymousBytes
  try {
    await done(jsonReader(limit), request, response)
  } catch (error) {
    if ((error as { type?: string }).type === 'entity.too.large')
      throw new Refusal(413, 'too-large', `That is more than can be sent here at once (${kilobytes(limit)}). Send it in smaller parts.`)
    throw error
  }
  return null
}

async function readForm(most: number, request: Request, response: Response): Promise<Upload> {
  const form = multer({ storage: multer.memoryStorage(), limits: { fileSize: most, files: 1, fields: 1, fieldSize: usualBytes, parts: 2 } })
  try {
    await done(form.single('file'), request, response)
  } catch (error) {
    // kept in memory, nothing of ours can fail in it: it was stopped, cut short, or is no form
    if (error instanceof multer.MulterError && error.code === 'LIMIT_FILE_SIZE')
      throw new Refusal(413, 'too-large', `A file may have ${kilobytes(most)}; this one has more.`)
    throw new Refusal(400, 'not-a-form', 'What was sent is not one file with its facts beside it.')
  }
  const { body } = request.body as { body?: unknown }
  if (!request.file || typeof body !== 'string')
    throw new Refusal(400, 'not-a-form', 'What was sent is not one file with its facts beside it.')
  try {
    request.body = JSON.parse(body) as unknown
  } catch {
    throw new Refusal(400, 'not-json', 'What was sent is not readable JSON.')
  }
  return { name: request.file.originalname, bytes: request.file.buffer }
}

/** What tells one request from another: its address, its body, and its file. */
export function requestHash(request: Request, upload: Upload | null, withBody: boolean): string {
  const hash = createHash('sha256').update(
    `${request.method} ${request.originalUrl} ${withBody ? JSON.stringify(request.body ?? null) : ''}`,
  )
  if (upload) hash.update(upload.bytes)
  return hash.digest('hex')
}
