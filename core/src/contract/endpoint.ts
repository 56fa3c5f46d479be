import { z } from 'zod'

/** Who may call: anyone, anyone signed in, technicians only. */
export type Access = 'public' | 'member' | 'technician'

export interface Endpoint<
  P extends z.ZodObject = z.ZodObject,
  Q extends z.ZodObject = z.ZodObject,
  B extends z.ZodType = z.ZodType,
  R extends z.ZodType = z.ZodType,
> {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** with :names of the params */
  path: string
  access: Access
  summary: string
  params: P
  query: Q
  body: B
  response: R
  /** the answer holds a code that is shown once and never kept */
  secret?: boolean
  /** the body holds a password: it is not kept, not even as a hash */
  password?: boolean
  /** signs someone in or out: it carries no Idempotency-Key, and keeps its transaction as short as it can */
  unkeyed?: boolean
  /** the answer is a file instead of JSON */
  file?: boolean
  /** most bytes of its JSON; 64 kB where not given */
  bodyBytes?: number
  /** a file may come along, as multipart/form-data with the JSON in its field “body”: most bytes of it */
  upload?: number
}

/** A file a route answers with. */
export const fileAnswer = z.object({
  name: z.string(),
  type: z.string(),
  bytes: z.custom<Uint8Array>((value) => value instanceof Uint8Array),
})
export type FileAnswer = z.infer<typeof fileAnswer>

const nothing = z.strictObject({})
export type Nothing = typeof nothing

/** One route of the application: both sides take its types from here. */
export function endpoint<
  R extends z.ZodType = typeof fileAnswer,
  P extends z.ZodObject = Nothing,
  Q extends z.ZodObject = Nothing,
  B extends z.ZodType = Nothing,
>(
  method: Endpoint['method'],
  path: string,
  access: Access,
  summary: string,
  parts: {
    params?: P
    query?: Q
    body?: B
    secret?: boolean
    password?: boolean
    unkeyed?: boolean
    bodyBytes?: number
    upload?: number
  } & ({ response: R; file?: false } | { file: true; response?: R }),
): Endpoint<P, Q, B, R> {
  const { params = nothing, query = nothing, body = nothing, response = fileAnswer, secret = false, password = false, file = false } = parts
  const { unkeyed = false, bodyBytes, upload } = parts
  return {
    method,
    path,
    access,
    summary,
    params: params as P,
    query: query as Q,
    body: body as B,
    response: response as R,
    secret,
    password,
    unkeyed,
    file,
    ...(bodyBytes === undefined ? {} : { bodyBytes }),
    ...(upload === undefined ? {} : { upload }),
  }
}
