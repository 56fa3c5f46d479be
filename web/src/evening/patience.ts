/* How long an evening is looked at before an answer is shown. The same seed everywhere, so that two who ask are shown the same. */

export const eveningSeed = 1
/** ms */
export const searchMs = 4000
/** rounds: of each try where little is to move, and of one search for the best */
export const searchRounds = { least: 15, best: 1_000_000 }
/** ms for each thing more that is tried */
export const helpMs = 500
