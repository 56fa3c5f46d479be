import { airOxidation, DomainError, estimatePh, type Catalogue, type ChemicalId, type OxidisedPoint } from '@selvrin/core'
import { expose } from 'comlink'

type Amounts = Record<ChemicalId, number>
export interface Problem {
  problem: string
}
const guarded = <T>(work: () => T): T | Problem => {
  try {
    return work()
  } catch (error) {
    if (error instanceof DomainError) return { problem: error.message }
    throw error
  }
}

/** Many solves at once, away from the page. */
const sweeps = {
  /** pH against the share of hydroquinone that air has oxidised */
  air: (amounts: Amounts, steps: number, catalogue: Catalogue): OxidisedPoint[] | Problem =>
    guarded(() =>
      airOxidation(
        amounts,
        Array.from({ length: steps + 1 }, (_, i) => i / steps),
        catalogue,
      ),
    ),
  /** pH against the amount of one chemical, g/L */
  amount: (
    amounts: Amounts,
    chemical: ChemicalId,
    upTo: number,
    steps: number,
    catalogue: Catalogue,
  ): [gramsPerLitre: number, ph: number][] | Problem =>
    guarded(() =>
      Array.from({ length: steps + 1 }, (_, i) => {
        const grams = (upTo * i) / steps
        return [grams, estimatePh({ ...amounts, [chemical]: grams }, {}, catalogue).ph] as [number, number]
      }),
    ),
}
export type Sweeps = typeof sweeps
expose(sweeps)
