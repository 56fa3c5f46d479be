import { mayBeUsed } from '../../bottle/mayBeUsed'
import { pouredFirst, type Standing } from '../../bottle/orderOfUse'
import type { FormulaUse } from '../../formula/use'
import type { ChartTime } from '../shelf'

/** A bottle as far as it matters what it can be put to. */
export interface Offered extends Standing {
  formulaId: string
  family: string
  parts: number[] | null
  use: Pick<FormulaUse, 'school' | 'dilutions' | 'fixes'>
  state: Standing['state'] & { rollsLeft: number | null; twoBath: { position: 1 | 2 } | null }
}

/** A bottle at a dilution at which it may be poured. */
export interface BathAt<B> {
  bottle: B
  /** [1] is poured as it is */
  parts: number[]
  /** nothing forbids it */
  serves: boolean
}

const forPaper = ({ use }: Offered): boolean => use.fixes !== undefined && use.fixes !== 'film'
const isConcentrate = ({ parts, use }: Offered): boolean => parts === null && (use.dilutions[0] ?? [1]).length > 1

/**
 * Bottles of a family at each of their dilutions, in the order in which they are put to work: what serves, what is for film, what is ready to pour, the oldest that is open. What is
 * only a part of a bath serves nothing by itself (`partOf`).
 * @example
 * bathsOf([{ ...acted, madeAt: 0 }], 'fixer').map((bath) => bath.parts) // → [[1]]
 */
export function bathsOf<B extends Offered>(bottles: B[], family: string, partOf: Record<string, string> = {}): BathAt<B>[] {
  const serves = (bottle: B): boolean => mayBeUsed(bottle) && !partOf[bottle.formulaId]
  return bottles
    .filter((bottle) => bottle.family === family && bottle.retiredAt === null)
    .sort(
      (a, b) =>
        Number(!serves(a)) - Number(!serves(b)) ||
        Number(forPaper(a)) - Number(forPaper(b)) ||
        Number(isConcentrate(a)) - Number(isConcentrate(b)) ||
        pouredFirst(a, b),
    )
    .flatMap((bottle) =>
      (bottle.parts === null && bottle.use.dilutions.length > 0 ? bottle.use.dilutions : [[1]]).map((parts) => ({
        ...{ bottle, parts, serves: serves(bottle) },
      })),
    )
}

/** A bath that is used again is offered as it is, and at dilutions its formula knows; what is mixed for one run at every charted one. */
function chartedFor(bottle: Offered, rows: ChartTime[]): ChartTime[] {
  const own = rows.filter((row) => row.formulaId === bottle.formulaId)
  const asItIs = own.filter((row) => row.parts.join() === (bottle.parts ?? [1]).join())
  if (bottle.parts !== null) return asItIs
  if (bottle.use.school === 'one-shot' || asItIs.length === 0) return own
  const diluted = new Set(bottle.use.dilutions.map((parts) => parts.join()))
  return [...asItIs, ...own.filter((row) => !asItIs.includes(row) && diluted.has(row.parts.join()))]
}

/**
 * Bottles of developer for which the chart has a time for a film at its exposure index, at every dilution it has one for (`charted`), the one to be poured first before the rest.
 * @example
 * developersFor([{ ...acted, madeAt: 0 }], [], { film: 'Millrace 400', ei: 400, family: 'fixer' }) // → []
 */
export function developersFor<B extends Offered>(
  bottles: B[],
  chart: ChartTime[],
  { film, ei, family }: { film: string | null; ei: number; family: string },
): (BathAt<B> & { charted: number[] })[] {
  const rows = chart.filter((row) => row.film === film && row.ei === ei)
  return bottles
    .filter((bottle) => bottle.family === family && bottle.retiredAt === null)
    .sort(pouredFirst)
    .flatMap((bottle) => {
      const texts = [...new Set(chartedFor(bottle, rows).map((row) => row.parts.join('+')))]
      return texts
        .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
        .map((text) => {
          const charted = text.split('+').map(Number)
          return { bottle, charted, parts: bottle.parts === null ? charted : [1], serves: mayBeUsed(bottle) }
        })
    })
}

/**
 * The second baths that may follow a first one of a two-bath pair: of its formula, and paired with one.
 * @example
 * secondBathsOf([{ ...acted, madeAt: 0 }], undefined) // → []
 */
export const secondBathsOf = <B extends Offered>(bottles: B[], first: Offered | undefined): BathAt<B>[] =>
  bathsOf(
    bottles.filter((one) => one.formulaId === first?.formulaId && one.state.twoBath?.position === 2),
    first?.family ?? '',
  )
