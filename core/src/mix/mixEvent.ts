import type { ChemicalId } from '../chemical/chemical'

/** What happened during a guided mix, in order. `step` is the index of the addition. */
export type MixEvent =
  | { id: string; kind: 'water'; celsius: number | null }
  /** the jar a line is taken from, with what was known of it then; `factor` is g of its product per g of the formula's */
  | { id: string; kind: 'jar'; step: number; jarId: string; chemical: ChemicalId; factor: number; lot: string }
  /** amount of what is in the jar, or ml of a stock solution from a bottle */
  | {
      id: string
      kind: 'weigh'
      step: number
      amount: number
      jarId: string | null
      bottleId?: string | null
      device?: string | null
      /** the weight it stands for, where that was written wrong */ corrects?: string
      /** asked about and confirmed */ sure?: boolean
    }
  /** a second person has looked at the weight */
  | { id: string; kind: 'checked'; step: number; by: string; name: string }
  | { id: string; kind: 'dissolved'; step: number }
  | { id: string; kind: 'rescale'; finalMl: number }
  /** water for a larger batch, on top of what was poured first */
  | { id: string; kind: 'water-added'; ml: number }
  /** an earlier event was a mistake of the hand */
  | { id: string; kind: 'undo'; of: string }
  | { id: string; kind: 'topped-up' }
  | { id: string; kind: 'ph'; ph: number; celsius: number | null }
