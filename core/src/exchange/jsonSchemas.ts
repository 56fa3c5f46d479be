import { z } from 'zod'
import { processFile } from './processFile'
import { exchangeFiles, exchangeKinds } from './schemas'

/**
 * The published JSON Schema of each open format, by name; docs/formats holds them.
 * @example
 * Object.keys(jsonSchemas()).includes('selvrin-formulas') // → true
 */
export const jsonSchemas = (): Record<string, object> =>
  Object.fromEntries(
    [...exchangeKinds.map((kind) => [kind, exchangeFiles[kind]] as const), ['processes', processFile] as const].map(([kind, schema]) => [
      `selvrin-${kind}`,
      { title: `selvrin-${kind}, version 1`, ...z.toJSONSchema(schema, { target: 'draft-2020-12' }) },
    ]),
  )
