import { catalogue } from './catalogue'
import type { Catalogue, Chemical } from './chemical'

/** The built-in catalogue with a darkroom's own chemicals, and its edits of built-in ones, laid over it. */
export const withOwn = (own: Chemical[]): Catalogue =>
  own.length === 0 ? catalogue : { ...catalogue, ...Object.fromEntries(own.map((chemical) => [chemical.id, chemical])) }
