/** What may be out of order: a tank, a bath, or anything else that has a name. */
export const faultThings = ['vessel', 'bath', 'closet', 'wash', 'dryer', 'enlarger', 'instrument', 'other'] as const
export type FaultThing = (typeof faultThings)[number]
