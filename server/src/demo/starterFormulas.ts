import { asWritten, catalogue, starterParts, understandStarter } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'

/** Of the starter set's toners those that the house has no formula of its own for. */
const taken = /^(Sulfide|Selenium|Gold) toner/

/** What the darkroom took out of the starter set as it stands: hand-coated work, and some toners; by their names. */
export function starterFormulas(): Record<string, FormulaBody> {
  const rows = starterParts
    .filter((part) => part.key === 'handCoated' || part.key === 'toners')
    .flatMap((part) => understandStarter(part, asWritten({ formulas: [], jars: [], chart: [] }, []), uuid, catalogue))
    .flatMap(({ row }) => (row?.kind === 'formulas' ? [row] : []))
    .filter(({ body }) => body.family !== 'bleach' && (body.family !== 'toner' || taken.test(body.name)))
  const names = new Map(rows.map((row) => [row.id, row.body.name]))
  return Object.fromEntries(
    rows.map(({ body }) => [
      body.name,
      body.combine
        ? { ...body, combine: body.combine.map((part) => ({ ...part, formulaId: names.get(part.formulaId) ?? part.formulaId })) }
        : body,
    ]),
  )
}
