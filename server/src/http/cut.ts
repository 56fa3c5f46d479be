import type { z } from 'zod'

type Def = { type: string } & Record<string, unknown>
const defOf = (schema: z.ZodType): Def => (schema as unknown as { _zod: { def: Def } })._zod.def
type Cut = (value: unknown) => unknown

const wrappers = ['optional', 'nullable', 'default', 'prefault', 'readonly']
/** what has nothing below it that a name could let out */
const leaves = ['string', 'number', 'int', 'boolean', 'literal', 'enum', 'null', 'undefined', 'date']
/** what is told as it is: its shape is checked by hand where it is made */
const whole = ['custom', 'any', 'unknown', 'tuple']

/** The plain schemas that a value may be of: a choice is every one of its choices. */
function plain(schema: z.ZodType): Def[] {
  const def = defOf(schema)
  if (wrappers.includes(def.type)) return plain(def.innerType as z.ZodType)
  if (def.type === 'union') return (def.options as z.ZodType[]).flatMap(plain)
  return [def]
}
/** of several choices, a name that one of them knows is told */
function cutOfAll(schemas: z.ZodType[]): Cut {
  const defs = schemas.flatMap(plain)
  if (defs.every(({ type }) => leaves.includes(type)) || defs.some(({ type }) => whole.includes(type))) return (value) => value
  const shapes = new Map<string, z.ZodType[]>()
  const elements: z.ZodType[] = []
  const values: z.ZodType[] = []
  for (const { type, shape, element, valueType } of defs) {
    if (type === 'object')
      for (const [key, one] of Object.entries(shape as Record<string, z.ZodType>)) shapes.set(key, [...(shapes.get(key) ?? []), one])
    else if (type === 'array') elements.push(element as z.ZodType)
    else if (type === 'record') values.push(valueType as z.ZodType)
    else if (!leaves.includes(type)) throw new Error(`An answer of the contract has a ${type}: say in cut.ts how it is told.`)
  }
  const fields = [...shapes].map(([key, all]) => [key, cutOfAll(all)] as const)
  const ofElement = elements.length > 0 ? cutOfAll(elements) : null
  const ofValue = values.length > 0 ? cutOfAll(values) : null
  return (value) => {
    if (typeof value !== 'object' || value === null) return value
    if (Array.isArray(value)) return ofElement ? value.map(ofElement) : []
    const from = value as Record<string, unknown>
    const told: Record<string, unknown> = {}
    if (ofValue) for (const key of Object.keys(from)) told[key] = ofValue(from[key])
    for (const [key, cut] of fields) if (from[key] !== undefined) told[key] = cut(from[key])
    return told
  }
}

/**
 * What of an answer is told: what its schema names, and nothing else. No limit on a figure or a text stands in the way: what was written can always be read,
 * also where a limit came later than the line, or a sum outgrew what one line may say. Made once from the schema, since a shelf is a hundred thousand fields.
 * @throws Error for a kind of schema it does not know
 * @example
 * cutOf(z.object({ a: z.number() }))({ a: 1, secret: 2 }) // → { a: 1 }
 */
export const cutOf = <T extends z.ZodType>(schema: T): ((value: z.input<T>) => z.output<T>) => cutOfAll([schema]) as never
