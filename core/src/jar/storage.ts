import type { Chemical } from '../chemical/chemical'

/** Kinds of jar that may share a shelf. */
export const storageGroups = ['acids', 'alkalis', 'oxidisers', 'organics', 'sulfites', 'poisons', 'metals', 'general'] as const
export type StorageGroup = (typeof storageGroups)[number]

export const storageWords: Record<StorageGroup, string> = {
  acids: 'Acids: low, in a tray, apart from alkalis, sulfites and cyanide compounds',
  alkalis: 'Alkalis: low, in polyethylene, apart from acids and ammonium salts',
  oxidisers: 'Oxidisers: apart from developers, glycols and everything that burns',
  organics: 'Developers and organics: dry, dark, apart from oxidisers',
  sulfites: 'Sulfites and thiosulfates: dry, apart from acids',
  poisons: 'Poisons and cyanide compounds: locked, apart from acids',
  metals: 'Metals: dry, apart from hydroxide and acid',
  general: 'General: dry and closed',
}

/**
 * The storage group of a chemical, from what it does. The supplier's sheet decides.
 * @example
 * storageGroup(catalogue['sodium-hydroxide']) // → 'alkalis'
 */
export function storageGroup(chemical: Chemical): StorageGroup {
  const has = (...natures: Chemical['natures']) => natures.some((nature) => chemical.natures.includes(nature))
  if (has('metal')) return 'metals'
  if (has('permanganate', 'dichromate', 'persulfate', 'chlorate', 'peroxide', 'silver', 'hypochlorite')) return 'oxidisers'
  if (has('ferricyanide', 'thiocyanate', 'sulfide', 'thiourea')) return 'poisons'
  if (has('developing-agent', 'solvent', 'formaldehyde', 'reducer')) return 'organics'
  if (has('weak-acid', 'strong-acid', 'concentrated-acid')) return 'acids'
  if (has('hydroxide', 'alkali', 'ammonia')) return 'alkalis'
  if (has('sulfite', 'acid-sulfite', 'thiosulfate')) return 'sulfites'
  return 'general'
}
