import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import * as is from './kinds'
import type { Kind } from './kinds'

const plain = (words: string, holds: Kind['holds']): Kind => ({ words, holds })
const oxidisers = plain(
  'oxidisers',
  (c) => is.oxidiser.holds(c) || is.silver.holds(c) || (c.statements ?? []).some((code) => code === 'H271' || code === 'H272'),
)
const strongAcids = plain('strong acids', (c) => is.mineralAcid.holds(c) || is.concentratedAcid.holds(c))
const sulfites = plain('sulfites', (c) => is.acidSulfite.holds(c) || c.natures.includes('sulfite') || c.natures.includes('dithionite'))
const organics = plain('organics, reducers and metals', (c) => is.organicOrReducer.holds(c) || is.formaldehyde.holds(c))

/** Kinds that do not stand on one shelf, and what comes of it if they meet: the list of the domain page, which judges shelves by itself. */
const apart: { one: Kind; other: Kind; danger: string }[] = [
  { one: strongAcids, other: is.sulfide, danger: 'hydrogen sulfide if they meet' },
  { one: strongAcids, other: is.cyanide, danger: 'hydrogen cyanide if they meet' },
  { one: strongAcids, other: is.hypochlorite, danger: 'chlorine if they meet' },
  { one: strongAcids, other: oxidisers, danger: 'fire or poisonous gas if they meet' },
  { one: strongAcids, other: sulfites, danger: 'sulfur dioxide if they meet' },
  {
    one: strongAcids,
    other: plain('hydroxides and ammonia', (c) => is.hydroxide.holds(c) || is.ammonia.holds(c)),
    danger: 'heat and spatter if they meet',
  },
  { one: oxidisers, other: organics, danger: 'fire if they meet' },
  { one: is.ammonia, other: is.acid, danger: 'heat and spatter if they meet' },
  { one: is.ammonia, other: is.hypochlorite, danger: 'chloramine if they meet' },
]

export interface Clash {
  one: ChemicalId
  other: ChemicalId
  message: string
}

/**
 * Pairs of chemicals on one shelf that must not stand together, each pair once.
 * @example
 * clashesOf(['potassium-permanganate', 'sulfuric-acid']).map((clash) => [clash.one, clash.other]) // → [['potassium-permanganate', 'sulfuric-acid']]
 */
export function clashesOf(chemicals: ChemicalId[], catalogue: Catalogue = builtIn): Clash[] {
  const here = [...new Set(chemicals)].map((id) => chemicalOf(id, catalogue))
  return here.flatMap((one, i) =>
    here.slice(i + 1).flatMap((other) => {
      const found = apart.find((row) => (row.one.holds(one) && row.other.holds(other)) || (row.one.holds(other) && row.other.holds(one)))
      return found
        ? [{ one: one.id, other: other.id, message: `${one.name} and ${other.name} do not stand together: ${found.danger}.` }]
        : []
    }),
  )
}
