import { catalogue as builtIn } from '../chemical/catalogue'
import { whatNeverMeets } from '../chemical/meetings'
import type { Catalogue, Chemical, ChemicalId } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'

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

/** The storage group of a chemical, from what it does. The supplier's sheet decides. */
export function storageGroup(chemical: Chemical): StorageGroup {
  const has = (...natures: Chemical['natures']) => natures.some((nature) => chemical.natures.includes(nature))
  if (has('metal')) return 'metals'
  if (has('permanganate', 'dichromate', 'silver', 'hypochlorite')) return 'oxidisers'
  if (has('ferricyanide', 'thiocyanate', 'sulfide') || chemical.id === 'thiourea') return 'poisons'
  if (has('developing-agent', 'solvent')) return 'organics'
  if (has('weak-acid', 'strong-acid', 'concentrated-acid')) return 'acids'
  if (has('hydroxide', 'alkali')) return 'alkalis'
  if (has('sulfite', 'acid-sulfite', 'thiosulfate')) return 'sulfites'
  return 'general'
}

/** Groups that do not stand on one shelf, and why. */
const apart: [StorageGroup, StorageGroup, string][] = [
  ['acids', 'sulfites', 'sulfur dioxide if they meet'],
  ['acids', 'poisons', 'hydrogen sulfide or cyanide if they meet'],
  ['acids', 'alkalis', 'heat and spatter if they meet'],
  ['acids', 'metals', 'hydrogen if they meet'],
  ['oxidisers', 'organics', 'fire if they meet'],
  ['oxidisers', 'poisons', 'heat and poisonous gas if they meet'],
  ['alkalis', 'metals', 'hydrogen if they meet'],
]

export interface Clash {
  one: ChemicalId
  other: ChemicalId
  message: string
}

/** Pairs of chemicals on one shelf that must not stand together, each pair once. */
export function clashesOf(chemicals: ChemicalId[], catalogue: Catalogue = builtIn): Clash[] {
  const here = [...new Set(chemicals)].map((id) => chemicalOf(id, catalogue))
  return here.flatMap((one, i) =>
    here.slice(i + 1).flatMap((other) => {
      const meeting = whatNeverMeets(one, other)
      const [a, b] = [storageGroup(one), storageGroup(other)]
      const group = apart.find(([x, y]) => (x === a && y === b) || (x === b && y === a))
      const danger = meeting?.severity === 'error' ? meeting.danger : group?.[2]
      return danger
        ? [{ one: one.id, other: other.id, message: `${one.name} and ${other.name.toLowerCase()} do not stand together: ${danger}.` }]
        : []
    }),
  )
}
