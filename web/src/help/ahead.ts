/** What to do when it went wrong: fetched before it is needed. */
export const aidCall = () => import('./AidCall.vue')
