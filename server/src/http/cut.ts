import { sharedParts } from '@selvrin/core/contract'
import type { z } from 'zod'

type Def = { type: string } & Record<string, unknown>
const defOf = (schema: z.ZodType): Def => (schema as unknown as { _zod: { def: Def } })._zod.def
type Cut = (value: unknown) => unknown
type Text = (value: unknown) => string

/** How a value of a schema is told: cut to what the schema names, and where something in it is the same for many rows, as text. */
interface Told {
  cut: Cut
  /** null where nothing below it is shared: its text is that of what was cut */
  text: Text | null
}

const wrappers = ['optional', 'nullable', 'default', 'prefault', 'readonly']
/** what has nothing below it that a name could let out */
const leaves = ['string', 'number', 'int', 'boolean', 'literal', 'enum', 'null', 'undefined', 'date']
/** what is told as it is: its shape is checked by hand where it is made */
const whole = ['custom', 'any', 'unknown', 'tuple']

/** The plain schemas that a value may be of: a choice is every one of its choices. */
function plain(schema: z.ZodType): z.ZodType[] {
  const def = defOf(schema)
  if (wrappers.includes(def.type)) return plain(def.innerType as z.ZodType)
  if (def.type === 'union') return (def.options as z.ZodType[]).flatMap(plain)
  return [schema]
}

/** What stands below the choices of a value, by the kind of what it stands in. */
function below(schemas: z.ZodType[]) {
  const shapes = new Map<string, z.ZodType[]>()
  const elements: z.ZodType[] = []
  const values: z.ZodType[] = []
  for (const { type, shape, element, valueType } of schemas.map(defOf)) {
    if (type === 'object')
      for (const [key, one] of Object.entries(shape as Record<string, z.ZodType>)) shapes.set(key, [...(shapes.get(key) ?? []), one])
    else if (type === 'array') elements.push(element as z.ZodType)
    else if (type === 'record') values.push(valueType as z.ZodType)
    else if (!leaves.includes(type)) throw new Error(`An answer of the contract has a ${type}: say in cut.ts how it is told.`)
  }
  return {
    fields: [...shapes].map(([key, all]) => [key, toldOf(all)] as const),
    ofElement: elements.length > 0 ? toldOf(elements) : null,
    ofValue: values.length > 0 ? toldOf(values) : null,
  }
}

/** of several choices, a name that one of them knows is told */
function toldOf(choices: z.ZodType[]): Told {
  const schemas = choices.flatMap(plain)
  const types = schemas.map((schema) => defOf(schema).type)
  if (types.every((type) => leaves.includes(type)) || types.some((type) => whole.includes(type)))
    return { cut: (value) => value, text: null }
  const { fields, ofElement, ofValue } = below(schemas)
  const cutFields = (from: Record<string, unknown>, all: typeof fields): Record<string, unknown> => {
    const told: Record<string, unknown> = {}
    if (ofValue) for (const key of Object.keys(from)) told[key] = ofValue.cut(from[key])
    for (const [key, { cut }] of all) if (from[key] !== undefined) told[key] = cut(from[key])
    return told
  }
  const cut: Cut = (value) => {
    if (typeof value !== 'object' || value === null) return value
    if (Array.isArray(value)) return ofElement ? value.map(ofElement.cut) : []
    return cutFields(value as Record<string, unknown>, fields)
  }
  if (schemas.some((schema) => sharedParts.has(schema))) return { cut, text: textOnce(cut) }
  const shared = fields.filter(([, told]) => told.text !== null)
  const ofEach = ofElement?.text ?? null
  if (shared.length === 0 && ofEach === null) return { cut, text: null }
  const own = fields.filter(([, told]) => told.text === null)
  const text: Text = (value) => {
    if (typeof value !== 'object' || value === null) return JSON.stringify(value)
    if (Array.isArray(value)) return ofEach === null ? JSON.stringify(cut(value)) : `[${value.map(ofEach).join(',')}]`
    const from = value as Record<string, unknown>
    const parts = shared.flatMap(([key, told]) => (from[key] === undefined ? [] : `${JSON.stringify(key)}:${told.text?.(from[key])}`))
    const rest = JSON.stringify(cutFields(from, own)).slice(1, -1)
    return `{${[...(rest === '' ? [] : [rest]), ...parts].join(',')}}`
  }
  return { cut, text }
}

/** The text of what is the same object in many rows is made once, as long as the object is there. */
function textOnce(cut: Cut): Text {
  const made = new WeakMap<object, string>()
  return (value) => {
    if (typeof value !== 'object' || value === null) return JSON.stringify(value)
    const known = made.get(value)
    if (known !== undefined) return known
    const text = JSON.stringify(cut(value))
    made.set(value, text)
    return text
  }
}

/**
 * What of an answer is told: what its schema names, and nothing else. No limit on a figure or a text stands in the way: what was written can always be read,
 * also where a limit came later than the line, or a sum outgrew what one line may say. Made once from the schema, since a shelf is a hundred thousand fields.
 * @throws Error for a kind of schema it does not know
 * @example
 * cutOf(z.object({ a: z.number() }))({ a: 1, secret: 2 }) // → { a: 1 }
 */
export const cutOf = <T extends z.ZodType>(schema: T): ((value: z.input<T>) => z.output<T>) => toldOf([schema]).cut as never

/** The same as JSON: what is the same for many rows, such as what a formula says of its use, is written out once. */
export function jsonOf<T extends z.ZodType>(schema: T): (value: z.input<T>) => string {
  const { cut, text } = toldOf([schema])
  return text ?? ((value) => JSON.stringify(cut(value)))
}
