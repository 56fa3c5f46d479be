/** What a bleach bleaches with. */
export const bleachings = ['permanganate', 'dichromate', 'other'] as const
export type Bleaching = (typeof bleachings)[number]
