import { drumNames, type WasteFamily } from '@selvrin/core'

/** What a family is called where somebody asks what it is. */
export const familyName = (family: WasteFamily | null): string =>
  family === null ? 'nobody knows what' : family === 'chl' ? 'chlorine cleaner' : drumNames[family]
