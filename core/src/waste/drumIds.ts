/** The drums of the waste, one a family of what may stand together. */
export const drums = ['dev', 'sil', 'fer', 'chr', 'mno', 'cop', 'sul', 'sel', 'acid', 'alk', 'oxa', 'nob', 'ald'] as const
export type Drum = (typeof drums)[number]

/** Families of what may stand together: those of the drums, and the chlorine cleaner that has none and never enters the darkroom. */
export const wasteFamilies = [...drums, 'chl'] as const
export type WasteFamily = (typeof wasteFamilies)[number]
