import { endpoints } from './index'
import { schemaSentence } from './sentences'

/** Values of every wrong kind, for every field a body may have. */
const wrong = [undefined, null, '', 'x', '\u0000', -1, 0, 1e12, NaN, true, [], [{}], {}, 'y'.repeat(5000)]

test('whatever is sent, no sentence of a schema, no name of a field and no code reaches a person', () => {
  const said = new Set<string>()
  for (const { body, query, params } of endpoints)
    for (const schema of [body, query, params]) {
      const fields = Object.keys((schema as unknown as { shape?: object } | undefined)?.shape ?? {})
      const bodies = [
        {},
        { unknown_field: 1 },
        null,
        ...wrong.flatMap((value) => fields.map((field) => ({ [field]: value }))),
        ...wrong.map((value) => Object.fromEntries(fields.map((field) => [field, value]))),
      ]
      for (const sent of bodies) {
        const read = schema?.safeParse(sent, { error: schemaSentence })
        for (const issue of read?.error?.issues ?? []) said.add(issue.message)
      }
    }
  expect(said.size).toBeGreaterThan(50)
  const odd = (sentence: string) =>
    /expected|received|[Ii]nvalid|UUID|undefined|NaN|[<>]|[a-z][A-Z]|[a-z]_[a-z]/.test(
      sentence.replaceAll('pH', '').replace('(?<value>…)', ''),
    ) || !/^[A-Z].*\.$/.test(sentence)
  expect([...said].filter(odd)).toEqual([])
})
