import type { Catalogue, ChemicalId } from './chemical'
import { catalogue as builtIn } from './catalogue'

/** What a chemical is also called, and its CAS registry number where it has one. Rounded literature value, as all of the catalogue. */
interface Names {
  others: readonly string[]
  cas?: string
}

const names: Record<ChemicalId, Names> = {
  metol: { others: ['p-methylaminophenol sulfate', '4-(methylamino)phenol sulfate', 'monomethyl-p-aminophenol sulfate'], cas: '55-55-0' },
  hydroquinone: { others: ['quinol', 'benzene-1,4-diol', '1,4-dihydroxybenzene'], cas: '123-31-9' },
  phenidone: { others: ['1-phenyl-3-pyrazolidinone', '1-phenylpyrazolidin-3-one'], cas: '92-43-3' },
  'dimezone-s': { others: ['4-hydroxymethyl-4-methyl-1-phenyl-3-pyrazolidinone'], cas: '13047-13-7' },
  'ascorbic-acid': { others: ['vitamin C', 'L-ascorbic acid'], cas: '50-81-7' },
  'sodium-ascorbate': { others: ['vitamin C, sodium salt'], cas: '134-03-2' },
  glycin: { others: ['N-(4-hydroxyphenyl)glycine', 'p-hydroxyphenylaminoacetic acid'], cas: '122-87-2' },
  amidol: { others: ['2,4-diaminophenol dihydrochloride'], cas: '137-09-7' },
  pyrogallol: { others: ['pyrogallic acid', 'pyro', '1,2,3-trihydroxybenzene'], cas: '87-66-1' },
  catechol: { others: ['pyrocatechin', 'pyrocatechol', '1,2-dihydroxybenzene'], cas: '120-80-9' },
  'p-aminophenol-hcl': { others: ['4-aminophenol hydrochloride'], cas: '51-78-5' },
  'sodium-sulfite': { others: ['sulphite', 'desiccated sulfite'], cas: '7757-83-7' },
  'sodium-sulfite-heptahydrate': { others: ['crystalline sulfite', 'sulphite crystals'], cas: '10102-15-5' },
  'potassium-sulfite': { others: ['potassium sulphite'], cas: '10117-38-1' },
  'sodium-metabisulfite': { others: ['sodium pyrosulfite', 'sodium disulfite', 'metabisulphite'], cas: '7681-57-4' },
  'potassium-metabisulfite': { others: ['potassium pyrosulfite', 'potassium disulfite'], cas: '16731-55-8' },
  'sodium-bisulfite': { others: ['sodium hydrogen sulfite', 'bisulphite'], cas: '7631-90-5' },
  'sodium-dithionite': { others: ['sodium hydrosulfite'], cas: '7775-14-6' },
  'borax-decahydrate': { others: ['sodium tetraborate decahydrate', 'granular borax'], cas: '1303-96-4' },
  'borax-pentahydrate': { others: ['sodium tetraborate pentahydrate'], cas: '12179-04-3' },
  'borax-anhydrous': { others: ['sodium tetraborate'], cas: '1330-43-4' },
  'boric-acid': { others: ['orthoboric acid'], cas: '10043-35-3' },
  'sodium-metaborate-tetrahydrate': { others: ['metaborate 8 mol', 'balanced alkali'], cas: '10555-76-7' },
  'sodium-metaborate-dihydrate': { others: ['metaborate 4 mol'], cas: '16800-11-6' },
  'sodium-carbonate': { others: ['soda ash', 'calcined soda'], cas: '497-19-8' },
  'sodium-carbonate-monohydrate': { others: ['carbonate, monohydrated'], cas: '5968-11-6' },
  'sodium-carbonate-decahydrate': { others: ['washing soda', 'soda crystals', 'sal soda'], cas: '6132-02-1' },
  'potassium-carbonate': { others: ['potash', 'pearl ash'], cas: '584-08-7' },
  'sodium-bicarbonate': { others: ['baking soda', 'sodium hydrogen carbonate'], cas: '144-55-8' },
  'sodium-hydroxide': { others: ['caustic soda', 'lye'], cas: '1310-73-2' },
  'sodium-hydroxide-50': { others: ['caustic soda lye'], cas: '1310-73-2' },
  'potassium-hydroxide': { others: ['caustic potash'], cas: '1310-58-3' },
  'potassium-hydroxide-45': { others: ['caustic potash lye'], cas: '1310-58-3' },
  'trisodium-phosphate-dodecahydrate': { others: ['TSP', 'sodium phosphate, tribasic'], cas: '10101-89-0' },
  'trisodium-phosphate': { others: ['TSP, anhydrous'], cas: '7601-54-9' },
  'disodium-phosphate': { others: ['sodium phosphate, dibasic'], cas: '7558-79-4' },
  'disodium-phosphate-dodecahydrate': { others: ['sodium phosphate, dibasic, crystals'], cas: '10039-32-4' },
  'potassium-dihydrogen-phosphate': { others: ['potassium phosphate, monobasic'], cas: '7778-77-0' },
  triethanolamine: { others: ['TEA', 'trolamine'], cas: '102-71-6' },
  'ammonia-solution': { others: ['ammonium hydroxide', 'spirits of ammonia'], cas: '1336-21-6' },
  'potassium-bromide': { others: ['bromide of potash'], cas: '7758-02-3' },
  'sodium-bromide': { others: [], cas: '7647-15-6' },
  'ammonium-bromide': { others: [], cas: '12124-97-9' },
  'potassium-iodide': { others: ['iodide of potash'], cas: '7681-11-0' },
  'sodium-chloride': { others: ['table salt', 'common salt'], cas: '7647-14-5' },
  'potassium-chloride': { others: [], cas: '7447-40-7' },
  'ammonium-chloride': { others: ['sal ammoniac'], cas: '12125-02-9' },
  benzotriazole: { others: ['1H-benzotriazole', 'antifog'], cas: '95-14-7' },
  'potassium-thiocyanate': { others: ['potassium sulfocyanide', 'potassium rhodanide'], cas: '333-20-0' },
  'sodium-thiocyanate': { others: ['sodium sulfocyanide', 'sodium rhodanide'], cas: '540-72-7' },
  'ammonium-thiocyanate': { others: ['ammonium rhodanide'], cas: '1762-95-4' },
  'sodium-thiosulfate': { others: ['hypo, anhydrous', 'thiosulphate', 'hyposulfite'], cas: '7772-98-7' },
  'sodium-thiosulfate-pentahydrate': { others: ['hypo', 'hypo crystals', 'thiosulphate', 'hyposulfite'], cas: '10102-17-7' },
  'ammonium-thiosulfate-60': { others: ['ammonium hypo', 'thiosulphate'], cas: '7783-18-8' },
  'ammonium-thiosulfate': { others: ['ammonium hypo crystals'], cas: '7783-18-8' },
  'acetic-acid-glacial': { others: ['ethanoic acid', 'glacial'], cas: '64-19-7' },
  'acetic-acid-28': { others: ['dilute acetic acid'], cas: '64-19-7' },
  'acetic-acid-60': { others: ['dilute acetic acid'], cas: '64-19-7' },
  'acetic-acid-80': { others: ['dilute acetic acid'], cas: '64-19-7' },
  'citric-acid': { others: ['2-hydroxypropane-1,2,3-tricarboxylic acid'], cas: '77-92-9' },
  'citric-acid-monohydrate': { others: ['citric acid crystals'], cas: '5949-29-1' },
  'sodium-citrate-dihydrate': { others: ['trisodium citrate'], cas: '6132-04-3' },
  'ammonium-citrate': { others: ['diammonium citrate'], cas: '3012-65-5' },
  'triammonium-citrate': { others: ['triammonium citrate'], cas: '3458-72-8' },
  'sodium-acetate-trihydrate': { others: ['acetate of soda'], cas: '6131-90-4' },
  'sodium-bisulfate': { others: ['sodium hydrogen sulfate', 'bisulphate', 'dry acid'], cas: '7681-38-1' },
  'sulfuric-acid': { others: ['oil of vitriol', 'sulphuric acid'], cas: '7664-93-9' },
  'hydrochloric-acid': { others: ['muriatic acid', 'spirits of salt'], cas: '7647-01-0' },
  'nitric-acid': { others: ['aqua fortis'], cas: '7697-37-2' },
  'tartaric-acid': { others: ['L-tartaric acid'], cas: '87-69-4' },
  'oxalic-acid-dihydrate': { others: ['ethanedioic acid'], cas: '6153-56-6' },
  'potassium-alum': { others: ['alum', 'potash alum', 'aluminium potassium sulfate'], cas: '7784-24-9' },
  'chrome-alum': { others: ['chromium potassium sulfate'], cas: '7788-99-0' },
  'potassium-ferricyanide': { others: ['red prussiate of potash', 'potassium hexacyanoferrate(III)'], cas: '13746-66-2' },
  'potassium-ferrocyanide-trihydrate': { others: ['yellow prussiate of potash', 'potassium hexacyanoferrate(II)'], cas: '14459-95-1' },
  'potassium-dichromate': { others: ['bichromate of potash', 'potassium bichromate'], cas: '7778-50-9' },
  'ammonium-dichromate': { others: ['ammonium bichromate'], cas: '7789-09-5' },
  'potassium-permanganate': { others: ['permanganate of potash'], cas: '7722-64-7' },
  'copper-sulfate-pentahydrate': { others: ['blue vitriol', 'bluestone', 'cupric sulfate'], cas: '7758-99-8' },
  'sodium-hypochlorite': { others: ['household bleach'], cas: '7681-52-9' },
  'ferric-chloride-hexahydrate': { others: ['iron(III) chloride'], cas: '10025-77-1' },
  'ferric-sodium-edta': { others: ['sodium iron EDTA'], cas: '18154-32-0' },
  'ferric-ammonium-edta': { others: ['ammonium iron EDTA'], cas: '21265-50-9' },
  'ammonium-persulfate': { others: ['ammonium peroxodisulfate'], cas: '7727-54-0' },
  'sodium-persulfate': { others: ['sodium peroxodisulfate'], cas: '7775-27-1' },
  'potassium-persulfate': { others: ['potassium peroxodisulfate'], cas: '7727-21-1' },
  'hydrogen-peroxide-3': { others: ['peroxide'], cas: '7722-84-1' },
  'potassium-chlorate': { others: [], cas: '3811-04-9' },
  'edta-disodium': { others: ['disodium edetate'], cas: '6381-92-6' },
  'dtpa-pentasodium': { others: ['pentasodium pentetate'], cas: '140-01-2' },
  'sodium-hexametaphosphate': { others: ['sodium polyphosphate', 'glassy phosphate'], cas: '10124-56-8' },
  'propylene-glycol': { others: ['propane-1,2-diol', 'glycol'], cas: '57-55-6' },
  glycerol: { others: ['glycerine'], cas: '56-81-5' },
  'benzyl-alcohol': { others: ['phenylmethanol'], cas: '100-51-6' },
  'formaldehyde-37': { others: ['formalin'], cas: '50-00-0' },
  hexamine: { others: ['hexamethylenetetramine', 'methenamine'], cas: '100-97-0' },
  'sodium-sulfate': { others: ['desiccated sulfate of soda', 'sulphate'], cas: '7757-82-6' },
  'silver-nitrate': { others: ['lunar caustic'], cas: '7761-88-8' },
  'ferric-ammonium-citrate-green': { others: ['ammonium iron(III) citrate', 'FAC'], cas: '1185-57-5' },
  'potassium-oxalate-monohydrate': { others: ['dipotassium oxalate'], cas: '6487-48-5' },
  'ferric-oxalate': { others: ['iron(III) oxalate'], cas: '19469-07-9' },
  'ferric-ammonium-oxalate': { others: ['ammonium iron(III) oxalate'], cas: '13268-42-3' },
  'potassium-chloroplatinite': { others: ['potassium tetrachloroplatinate(II)'], cas: '10025-99-7' },
  'palladium-chloride': { others: ['palladium(II) chloride'], cas: '7647-10-1' },
  thiourea: { others: ['thiocarbamide'], cas: '62-56-6' },
  'sodium-sulfide-nonahydrate': { others: ['sulphide', 'sodium monosulfide'], cas: '1313-84-4' },
  polysulfide: { others: ['liver of sulfur', 'sulfurated potash'], cas: '39365-88-3' },
  'gold-chloride': { others: ['chloroauric acid'], cas: '16961-25-4' },
  'stannous-chloride-dihydrate': { others: ['tin(II) chloride'], cas: '10025-69-1' },
  'hydroxylamine-sulfate': { others: ['HAS'], cas: '10039-54-0' },
}

/** Kinds whose names are read for one another, with what their names have in common. */
const lookAlikes: readonly (readonly string[])[] = [
  ['ferricyanide', 'ferrocyanide'],
  ['sulfite', 'sulfate', 'sulfide'],
  ['bisulfite', 'bisulfate'],
  ['thiosulfate', 'thiocyanate'],
  ['-carbonate', 'bicarbonate'],
  ['metaborate-tetrahydrate', 'metaborate-dihydrate'],
]
const salts = ['sodium', 'potassium', 'ammonium', 'copper', 'hydroxylamine']

const kindIn = (id: ChemicalId, group: readonly string[]): string | undefined =>
  // 'sulfite' is in 'bisulfite' too: the longest name that fits is the kind
  [...group]
    .sort((a, b) => b.length - a.length)
    .find((kind) => (kind.startsWith('-') ? id.includes(kind) : new RegExp(`(^|-)${kind}`).test(id)))

/**
 * What a chemical is also called, and its CAS number; a house's own chemical has neither here.
 * @example
 * namesOf('sodium-carbonate').cas // → '497-19-8'
 */
export const namesOf = (id: ChemicalId): { others: readonly string[]; cas: string | null } => ({
  others: names[id]?.others ?? [],
  cas: names[id]?.cas ?? null,
})

/**
 * Chemicals of the same metal whose names are taken for this one's: what it is not. Example: sodium sulfite is not sodium sulfate or sulfide.
 * @example
 * lookAlikesOf('sodium-sulfite').includes('sodium-sulfate') // → true
 */
export function lookAlikesOf(id: ChemicalId, catalogue: Catalogue = builtIn): ChemicalId[] {
  const salt = salts.find((one) => id.startsWith(`${one}-`))
  return lookAlikes.flatMap((group) => {
    const mine = kindIn(id, group)
    if (mine === undefined) return []
    return Object.keys(catalogue).filter((other) => {
      const kind = kindIn(other, group)
      return other !== id && kind !== undefined && kind !== mine && (salt === undefined || other.startsWith(`${salt}-`))
    })
  })
}

/**
 * Everything a chemical can be found by, in one text.
 * @example
 * searchText('sodium-carbonate').includes('497-19-8') // → true
 */
export const searchText = (id: ChemicalId, catalogue: Catalogue = builtIn): string =>
  [catalogue[id]?.name ?? '', id, ...namesOf(id).others, namesOf(id).cas ?? '', catalogue[id]?.note ?? ''].join(' ')
