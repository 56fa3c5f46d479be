import { DomainError, Refused, type Decided } from '@selvrin/core'

/** What core makes of an act as it stands, or the sentence against it; `wantsReason`: a technician's reason would lift that. */
export interface Outcome {
  decided: Decided | null
  refusal: string
  wantsReason: boolean
}

export function outcomeOf(decide: () => Decided | null): Outcome {
  try {
    return { decided: decide(), refusal: '', wantsReason: false }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { decided: null, refusal: error.message, wantsReason: error instanceof Refused && error.more.field === 'overrule' }
  }
}
