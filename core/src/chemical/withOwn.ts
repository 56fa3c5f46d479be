import { catalogue } from './catalogue'
import type { Catalogue, Chemical } from './chemical'

/**
 * The built-in catalogue with a darkroom's own chemicals, and its edits of built-in ones, laid over it. What a built-in substance is stays: an edit adds
 * natures and takes none away, so that no label can talk permanganate out of being one.
 * @example
 * withOwn([{ ...catalogue.metol, molarMass: 345 }]).metol.molarMass // → 345
 */
export const withOwn = (own: Chemical[]): Catalogue =>
  own.length === 0 ? catalogue : { ...catalogue, ...Object.fromEntries(own.map((chemical) => [chemical.id, overBuiltIn(chemical)])) }

function overBuiltIn(edited: Chemical): Chemical {
  const known = Object.hasOwn(catalogue, edited.id) ? catalogue[edited.id] : undefined
  if (!known) return edited
  const inWater = edited.inWater ?? known.inWater
  return {
    ...edited,
    natures: [...new Set([...known.natures, ...edited.natures])],
    ...(inWater === undefined ? {} : { inWater }),
    ...(known.keepsInGlycol ? { keepsInGlycol: true } : {}),
  }
}
