/** The drums of the waste, one a family of what may stand together. */
export const drums = ['dev', 'sil', 'fer', 'chr', 'mno', 'cop', 'sul', 'sel', 'acid', 'alk', 'oxa', 'nob', 'ald'] as const
export type Drum = (typeof drums)[number]
