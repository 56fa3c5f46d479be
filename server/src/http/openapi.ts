import { endpoints, problem } from '@selvrin/core/contract'
import { z } from 'zod'

const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: z.toJSONSchema(schema, { io, target: 'openapi-3.0', unrepresentable: 'any' }) },
})
const isEmpty = (schema: z.ZodType): boolean => schema instanceof z.ZodObject && Object.keys(schema.shape).length === 0

/** The OpenAPI document of every route, made from the contract. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {}
  for (const { method, path, access, summary, params, query, body, response, file, unkeyed } of endpoints) {
    const of = (schema: z.ZodObject, where: 'path' | 'query') =>
      Object.entries(schema.shape).map(([name, type]) => ({
        name,
        in: where,
        required: where === 'path',
        schema: z.toJSONSchema(type as z.ZodType, { io: 'input', target: 'openapi-3.0', unrepresentable: 'any' }),
      }))
    const key = path.replace(/:(\w+)/g, '{$1}')
    paths[key] = {
      ...paths[key],
      [method.toLowerCase()]: {
        summary,
        'x-access': access,
        parameters: [
          ...of(params, 'path'),
          ...of(query, 'query'),
          ...(method === 'GET' || unkeyed
            ? []
            : [{ name: 'Idempotency-Key', in: 'header', required: true, schema: { type: 'string', pattern: '^[\\w-]{8,80}$' } }]),
        ],
        ...(isEmpty(body) ? {} : { requestBody: { required: true, content: json(body, 'input') } }),
        responses: {
          200: file
            ? { description: 'A file', content: { '*/*': { schema: { type: 'string', format: 'binary' } } } }
            : { description: 'Done', content: json(response, 'output') },
          '4XX': { description: 'Refused, with a sentence that says what to do', content: json(problem, 'output') },
        },
      },
    }
  }
  return { openapi: '3.0.3', info: { title: 'Selvrin', version: '1' }, paths }
}
