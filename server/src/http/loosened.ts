import { z } from 'zod'

type Def = { type: string } & Record<string, unknown>
const defOf = (schema: z.ZodType): Def => (schema as unknown as { _zod: { def: Def } })._zod.def
const again = (schema: unknown): z.ZodType => loosened(schema as z.ZodType)

/**
 * A schema of an answer with its shape alone: what is named is sent, what is not named is cut, and no limit on a figure or a text stands in the way. What was
 * written can always be read, also where a limit came later than the line, or a sum outgrew what one line may say.
 */
export function loosened(schema: z.ZodType): z.ZodType {
  const def = defOf(schema)
  switch (def.type) {
    case 'object':
      return z.object(Object.fromEntries(Object.entries(def.shape as Record<string, z.ZodType>).map(([key, one]) => [key, loosened(one)])))
    case 'array':
      return z.array(again(def.element))
    case 'optional':
      return again(def.innerType).optional()
    case 'nullable':
      return again(def.innerType).nullable()
    case 'default':
    case 'prefault':
      return again(def.innerType).optional()
    case 'readonly':
      return again(def.innerType)
    case 'number':
    case 'int':
      return z.number()
    case 'string':
      return z.string()
    case 'record':
      return z.record(z.string(), again(def.valueType))
    case 'tuple':
      return z.array(z.any())
    case 'union':
      return z.union((def.options as z.ZodType[]).map(loosened) as [z.ZodType, z.ZodType])
    default:
      // literals, choices, booleans and what is checked by hand have no limits to leave out
      return schema
  }
}
