interface Combining {
  body: { name: string; combine?: { formulaId: string }[] | undefined }
}

/**
 * Formulas that are only a part of another, by id, with the other's name: by themselves they do not do its work.
 * @example
 * partsOfBaths([{ body: { name: 'Toner', combine: [{ formulaId: 'a' }, { formulaId: 'b' }] } }, { body: { name: 'Fixer' } }]) // → { a: 'Toner', b: 'Toner' }
 */
export const partsOfBaths = (formulas: Combining[]): Record<string, string> =>
  Object.fromEntries(formulas.flatMap(({ body }) => (body.combine ?? []).map((part) => [part.formulaId, body.name] as const)))
