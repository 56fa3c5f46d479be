import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Nature } from '../chemical/chemical'
import { mixtureStatements } from '../chemical/concentration'
import type { Formula } from '../formula/formula'
import { perLitre } from '../formula/perLitre'
import type { WasteFamily } from '../waste/drumIds'
import { drumOf } from '../waste/drums'

/** What help has to know of a liquid or a powder. */
export interface AidSubstance {
  /** null where nobody knows what it is, or no family is for it */
  family: WasteFamily | null
  /** it burns, or may: nothing to drink after it */
  corrosive: boolean
  /** what in it is called about when it was on the skin, by name */
  throughSkin: string[]
}

/** these burn by their pH, however little of them is in it; others by their strength */
const burning: Nature[] = ['hydroxide', 'strong-acid', 'mineral-acid', 'hypochlorite']
/** poisons that go through the skin, phenols that no statement tells of, and what marks for good */
const skinStatements = ['H310', 'H311']
const phenols = ['pyrogallol', 'catechol']
const skinNatures: Nature[] = ['oxalate', 'silver']

/** What nobody knows is treated as the worst. */
export const unknownSubstance: AidSubstance = { family: null, corrosive: true, throughSkin: [] }

/** families whose baths never burn as they are usually mixed; of the others some do */
const milder: WasteFamily[] = ['sil', 'fer', 'cop', 'sel', 'oxa']
const marking: Partial<Record<WasteFamily, string>> = { nob: 'silver nitrate', oxa: 'oxalates' }

/**
 * What help has to know of something of which only the family is known.
 * @example
 * aidOfFamily('sil') // → { family: 'sil', corrosive: false, throughSkin: [] }
 */
export const aidOfFamily = (family: WasteFamily | null): AidSubstance =>
  family === null
    ? unknownSubstance
    : { family, corrosive: !milder.includes(family), throughSkin: marking[family] ? [marking[family]] : [] }

/**
 * What help has to know of something, by what is in it; by its family where nobody knows its recipe, and as the worst where neither is known.
 * @example
 * aidOf({ family: 'fixer', additions: [{ chemical: 'sodium-thiosulfate-pentahydrate', grams: 240 }] }) // → { family: 'sil', corrosive: false, throughSkin: [] }
 */
export function aidOf(of: Formula | Pick<Formula, 'family' | 'additions'>, catalogue: Catalogue = builtIn): AidSubstance {
  const chemicals = of.additions.flatMap((line) => catalogue[line.chemical] ?? [])
  if (chemicals.some((one) => one.natures.includes('hypochlorite'))) return { family: 'chl', corrosive: true, throughSkin: [] }
  const family = drumOf(of, catalogue)
  if (chemicals.length === 0) return aidOfFamily(family)
  const strength = 'finalMl' in of ? perLitre(of, catalogue) : null
  const { statements, unknown } = mixtureStatements(
    chemicals.map((chemical) => ({ chemical, gramsPerLitre: strength?.[chemical.id] ?? 1000 })),
  )
  return {
    family,
    corrosive:
      unknown.length > 0 || statements.includes('H314') || chemicals.some(({ natures }) => burning.some((one) => natures.includes(one))),
    throughSkin: chemicals
      .filter(
        ({ id, natures, statements: codes = [] }) =>
          phenols.includes(id) || skinNatures.some((one) => natures.includes(one)) || skinStatements.some((one) => codes.includes(one)),
      )
      .map((one) => one.name),
  }
}
