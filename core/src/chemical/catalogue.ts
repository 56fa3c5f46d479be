import { inWater } from '../ph/inWater'
import type { Catalogue, Chemical, Hazard, Nature } from './chemical'
import { statements } from './statements'

const source = 'rounded literature value'

/** Solubility in g per 100 ml of water: one figure is at 20 °C, several are [°C, g]. */
type Solubility = number | [number, number][] | null

interface Row {
  group?: string
  units?: number
  content?: number
  density?: number
  natures?: Nature[]
  solubility?: Solubility
  heat?: number
  hazards?: Hazard[]
  usualAssay?: number
  note?: string
}

const row = (id: string, name: string, molarMass: number | null, more: Row = {}): Chemical => {
  const { solubility = null } = more
  return {
    id,
    name,
    molarMass,
    ...(more.group === undefined ? {} : { group: more.group, units: more.units ?? 1 }),
    ...(more.content === undefined ? {} : { content: more.content }),
    ...(more.density === undefined ? {} : { densityGPerMl: more.density }),
    natures: more.natures ?? [],
    solubility:
      solubility === null
        ? []
        : typeof solubility === 'number'
          ? [{ celsius: 20, gPer100Ml: solubility }]
          : solubility.map(([celsius, gPer100Ml]) => ({ celsius, gPer100Ml })),
    heatOfSolution: more.heat ?? null,
    hazards: more.hazards ?? [],
    ...(inWater[id] === undefined ? {} : { inWater: inWater[id] }),
    ...(more.usualAssay === undefined ? {} : { usualAssay: more.usualAssay }),
    ...(statements[id] === undefined ? {} : { statements: statements[id] }),
    note: more.note ?? '',
    source,
  }
}

/** The chemicals of a darkroom. Masses g/mol, heats of solution kJ/mol (positive cools). What is not given is unknown. */
const rows: Chemical[] = [
  row('metol', 'Metol', 344.38, {
    natures: ['developing-agent'],
    solubility: 4.8,
    hazards: ['sensitiser'],
    note: '2 base per formula unit, 172.19 per base; poorly soluble in strong sulfite',
  }),
  row('hydroquinone', 'Hydroquinone', 110.11, {
    natures: ['developing-agent'],
    solubility: 6.3,
    heat: 17,
    hazards: ['suspected-carcinogen', 'sensitiser', 'eye-damage'],
    note: 'developing agent',
  }),
  row('phenidone', 'Phenidone', 162.19, {
    natures: ['developing-agent'],
    solubility: 1,
    note: 'developing agent, a tenth of the mass of metol; wants hot water, alkali or glycol',
  }),
  row('dimezone-s', 'Dimezone-S', 206.24, { natures: ['developing-agent'], solubility: 1, note: 'as phenidone, keeps better in alkali' }),
  row('ascorbic-acid', 'Ascorbic acid', 176.12, {
    group: 'ascorbate',
    natures: ['developing-agent', 'ascorbate', 'weak-acid'],
    solubility: 33,
    heat: 14,
    note: 'developing agent; trace iron or copper kills it; 1 g stands for 1.125 g sodium ascorbate',
  }),
  row('sodium-ascorbate', 'Sodium ascorbate', 198.11, {
    group: 'ascorbate',
    natures: ['developing-agent', 'ascorbate'],
    solubility: 62,
    note: 'the salt of ascorbic acid: brings its alkali along',
  }),
  row('glycin', 'Glycin', 167.16, { natures: ['developing-agent'], solubility: 0.02, note: 'developing agent; needs alkali to dissolve' }),
  row('amidol', 'Amidol', 197.06, {
    natures: ['developing-agent'],
    solubility: 25,
    hazards: ['sensitiser'],
    note: 'developing agent; works with sulfite alone; does not keep',
  }),
  row('pyrogallol', 'Pyrogallol', 126.11, {
    natures: ['developing-agent'],
    solubility: 40,
    hazards: ['poison'],
    note: 'toxic developing agent',
  }),
  row('catechol', 'Catechol', 110.11, {
    natures: ['developing-agent'],
    solubility: 43,
    hazards: ['poison', 'carcinogen'],
    note: 'toxic developing agent',
  }),
  row('p-aminophenol-hcl', 'p-Aminophenol hydrochloride', 145.59, {
    natures: ['developing-agent'],
    solubility: 25,
    hazards: ['sensitiser'],
    note: 'developing agent',
  }),
  row('sodium-sulfite', 'Sodium sulfite, anhydrous', 126.04, {
    group: 'sulfite',
    natures: ['sulfite'],
    solubility: [
      [0, 14],
      [10, 20],
      [20, 26],
      [33, 37],
      [50, 35],
    ],
    heat: -13,
    hazards: ['gives-off-gas'],
    note: 'preservative',
  }),
  row('sodium-sulfite-heptahydrate', 'Sodium sulfite, 7-water', 252.15, {
    group: 'sulfite',
    natures: ['sulfite'],
    solubility: 72,
    heat: 47,
    hazards: ['gives-off-gas'],
    note: 'preservative, crystals',
  }),
  row('sodium-metabisulfite', 'Sodium metabisulfite', 190.11, {
    group: 'metabisulfite',
    units: 2,
    natures: ['acid-sulfite'],
    solubility: 65,
    hazards: ['gives-off-gas', 'eye-damage'],
    note: 'gives 2 bisulfite',
  }),
  row('potassium-metabisulfite', 'Potassium metabisulfite', 222.32, {
    group: 'metabisulfite',
    units: 2,
    natures: ['acid-sulfite'],
    solubility: 45,
    hazards: ['gives-off-gas', 'eye-damage'],
    note: 'gives 2 bisulfite',
  }),
  row('sodium-bisulfite', 'Sodium bisulfite', 104.06, {
    group: 'metabisulfite',
    units: (2 * 104.06) / 190.11,
    natures: ['acid-sulfite'],
    solubility: 42,
    hazards: ['gives-off-gas', 'eye-damage'],
    note: 'sold under this name it is mostly metabisulfite: gram for gram unless the jar’s assay says otherwise',
  }),
  row('borax-decahydrate', 'Borax, 10-water', 381.37, {
    group: 'borax',
    units: 4,
    natures: ['alkali'],
    solubility: [
      [0, 2.1],
      [10, 3.1],
      [20, 4.8],
      [50, 22],
    ],
    heat: 108,
    hazards: ['toxic-for-reproduction'],
    note: '4 boron',
  }),
  row('borax-pentahydrate', 'Borax, 5-water', 291.29, {
    group: 'borax',
    units: 4,
    natures: ['alkali'],
    solubility: 3.6,
    hazards: ['toxic-for-reproduction'],
    note: '4 boron',
  }),
  row('boric-acid', 'Boric acid', 61.83, {
    natures: ['boric-acid'],
    solubility: [
      [0, 2.6],
      [20, 4.7],
      [50, 11.5],
    ],
    heat: 22,
    hazards: ['toxic-for-reproduction'],
    note: 'toxic for reproduction, like all borates',
  }),
  row('sodium-metaborate-tetrahydrate', 'Sodium metaborate, 4-water', 137.86, {
    group: 'metaborate',
    natures: ['alkali'],
    solubility: 73,
    hazards: ['toxic-for-reproduction'],
    note: '1 boron; borax and 2 hydroxide make 4 of it; sold as “8 mol”',
  }),
  row('sodium-metaborate-dihydrate', 'Sodium metaborate, 2-water', 101.83, {
    group: 'metaborate',
    natures: ['alkali'],
    solubility: 55,
    hazards: ['toxic-for-reproduction'],
    note: '1 boron; sold as “4 mol”: confusing the two is a 35 % error',
  }),
  row('sodium-carbonate', 'Sodium carbonate, anhydrous', 105.99, {
    group: 'carbonate',
    natures: ['alkali'],
    solubility: [
      [0, 7],
      [10, 12],
      [20, 21.5],
      [40, 49],
      [50, 47],
    ],
    heat: -26.7,
    hazards: ['eye-damage'],
  }),
  row('sodium-carbonate-monohydrate', 'Sodium carbonate, 1-water', 124.0, {
    group: 'carbonate',
    natures: ['alkali'],
    solubility: 25,
    heat: -12,
    hazards: ['eye-damage'],
  }),
  row('sodium-carbonate-decahydrate', 'Sodium carbonate, 10-water', 286.14, {
    group: 'carbonate',
    natures: ['alkali'],
    solubility: 91,
    heat: 67,
    hazards: ['eye-damage'],
    note: 'washing soda',
  }),
  row('potassium-carbonate', 'Potassium carbonate', 138.21, {
    group: 'carbonate',
    natures: ['alkali'],
    solubility: [
      [0, 105],
      [20, 110],
      [50, 121],
    ],
    heat: -31,
    hazards: ['eye-damage'],
  }),
  row('sodium-bicarbonate', 'Sodium bicarbonate', 84.01, {
    natures: ['bicarbonate'],
    solubility: [
      [0, 6.9],
      [20, 9.6],
      [50, 14.5],
    ],
    heat: 19,
  }),
  row('sodium-hydroxide', 'Sodium hydroxide', 40.0, {
    group: 'hydroxide',
    natures: ['alkali', 'hydroxide'],
    solubility: [
      [0, 42],
      [20, 109],
      [50, 145],
    ],
    heat: -44.5,
    hazards: ['corrosive'],
    usualAssay: 0.97,
    note: 'caustic; heats the water hard',
  }),
  row('potassium-hydroxide', 'Potassium hydroxide', 56.11, {
    group: 'hydroxide',
    natures: ['alkali', 'hydroxide'],
    solubility: 112,
    heat: -57.6,
    hazards: ['corrosive'],
    usualAssay: 0.85,
    note: 'caustic; ordinary pellets hold 85 %',
  }),
  row('trisodium-phosphate-dodecahydrate', 'Trisodium phosphate, 12-water', 380.12, {
    natures: ['alkali'],
    solubility: [
      [10, 21],
      [20, 33],
    ],
    heat: 60,
    hazards: ['eye-damage'],
  }),
  row('potassium-bromide', 'Potassium bromide', 119.0, {
    group: 'bromide',
    natures: ['restrainer'],
    solubility: [
      [0, 53.5],
      [20, 65],
      [50, 80],
    ],
    heat: 19.9,
    note: 'restrainer',
  }),
  row('sodium-bromide', 'Sodium bromide', 102.89, {
    group: 'bromide',
    natures: ['restrainer'],
    solubility: 90,
    heat: -0.6,
    note: 'restrainer',
  }),
  row('potassium-iodide', 'Potassium iodide', 166.0, {
    natures: ['restrainer'],
    solubility: [
      [0, 128],
      [20, 144],
      [50, 168],
    ],
    heat: 20,
    note: '20 °C: 140 and 144 are both printed; the table of points is used',
  }),
  row('sodium-chloride', 'Sodium chloride', 58.44, {
    natures: ['chloride'],
    solubility: [
      [0, 35.7],
      [20, 36],
      [50, 37],
    ],
    heat: 3.9,
  }),
  row('potassium-thiocyanate', 'Potassium thiocyanate', 97.18, {
    natures: ['thiocyanate'],
    group: 'thiocyanate',
    solubility: 217,
    heat: 24,
    note: 'silver solvent; never with strong or hot acid',
  }),
  row('benzotriazole', 'Benzotriazole', 119.12, {
    natures: ['restrainer'],
    solubility: 2,
    note: 'restrainer; dissolve in hot water or glycol',
  }),
  row('sodium-thiosulfate', 'Sodium thiosulfate, anhydrous', 158.11, {
    group: 'thiosulfate',
    natures: ['thiosulfate'],
    solubility: [
      [0, 51],
      [20, 70],
      [40, 103],
    ],
    heat: -8,
    hazards: ['gives-off-gas'],
  }),
  row('sodium-thiosulfate-pentahydrate', 'Sodium thiosulfate, crystals', 248.18, {
    group: 'thiosulfate',
    natures: ['thiosulfate'],
    solubility: 180,
    heat: 47.5,
    hazards: ['gives-off-gas'],
    note: 'hypo crystals; cool the water hard',
  }),
  row('ammonium-thiosulfate-60', 'Ammonium thiosulfate, 60 % solution', 148.21, {
    group: 'thiosulfate',
    content: 0.6,
    density: 1.33,
    natures: ['thiosulfate', 'ammonium'],
    hazards: ['gives-off-gas'],
    note: '60 % w/w liquid, 1.33 g/ml: 0.80 g in a millilitre; ammonia with strong alkali',
  }),
  row('acetic-acid-glacial', 'Acetic acid, glacial', 60.05, {
    group: 'acetic acid',
    content: 0.997,
    density: 1.05,
    natures: ['weak-acid', 'concentrated-acid'],
    heat: -1.5,
    hazards: ['corrosive'],
    note: '99.7 %, 1.05 g/ml; always acid into water',
  }),
  row('acetic-acid-28', 'Acetic acid, 28 %', 60.05, {
    group: 'acetic acid',
    content: 0.28,
    density: 1.036,
    natures: ['weak-acid'],
    hazards: ['eye-damage'],
    note: '28 % w/w, 1.036 g/ml',
  }),
  row('citric-acid', 'Citric acid, anhydrous', 192.12, {
    group: 'citric acid',
    natures: ['weak-acid'],
    solubility: 146,
    heat: 18,
    hazards: ['eye-damage'],
  }),
  row('citric-acid-monohydrate', 'Citric acid, 1-water', 210.14, {
    group: 'citric acid',
    natures: ['weak-acid'],
    solubility: 183,
    heat: 29,
    hazards: ['eye-damage'],
  }),
  row('sodium-citrate-dihydrate', 'Sodium citrate, 2-water', 294.1, { solubility: 72 }),
  row('sodium-acetate-trihydrate', 'Sodium acetate, 3-water', 136.08, { solubility: 110, heat: 20 }),
  row('potassium-alum', 'Potassium alum', 474.39, {
    natures: ['alum'],
    solubility: [
      [0, 5.7],
      [10, 7.6],
      [20, 11.4],
      [50, 36],
    ],
    heat: 42,
    note: 'hardener',
  }),
  row('chrome-alum', 'Chrome alum', 499.4, { natures: ['alum'], solubility: 24, note: 'hardener' }),
  row('potassium-ferricyanide', 'Potassium ferricyanide', 329.25, {
    natures: ['ferricyanide'],
    solubility: [
      [0, 30],
      [20, 46],
      [50, 64],
    ],
    hazards: ['poison'],
    note: 'bleach; hydrogen cyanide with strong or hot acid',
  }),
  row('potassium-dichromate', 'Potassium dichromate', 294.18, {
    natures: ['dichromate'],
    solubility: [
      [0, 4.7],
      [20, 12.5],
      [50, 37],
    ],
    heat: 66,
    hazards: ['carcinogen', 'toxic-for-reproduction', 'oxidiser', 'poison'],
    note: 'bleach; carcinogen, mutagen, restricted in places',
  }),
  row('potassium-permanganate', 'Potassium permanganate', 158.03, {
    natures: ['permanganate'],
    solubility: [
      [0, 2.8],
      [20, 6.4],
      [50, 17],
    ],
    heat: 43.6,
    hazards: ['oxidiser'],
    note: 'bleach; chlorine with chloride; never concentrated acid on its crystals',
  }),
  row('sodium-bisulfate', 'Sodium bisulfate', 120.06, {
    natures: ['strong-acid'],
    solubility: 28,
    hazards: ['eye-damage'],
    note: 'safer acid for bleaches',
  }),
  row('sulfuric-acid', 'Sulfuric acid, 96 %', 98.08, {
    group: 'sulfuric acid',
    content: 0.96,
    density: 1.84,
    natures: ['strong-acid', 'concentrated-acid'],
    heat: -65,
    hazards: ['corrosive'],
    note: '96 % w/w, 1.84 g/ml; always acid into water',
  }),
  row('thiourea', 'Thiourea', 76.12, {
    solubility: 14,
    heat: 22,
    hazards: ['suspected-carcinogen', 'toxic-for-reproduction'],
    note: 'toner; its dust fogs film and paper',
  }),
  row('sodium-sulfide-nonahydrate', 'Sodium sulfide, 9-water', 240.18, {
    natures: ['sulfide'],
    solubility: 90,
    hazards: ['corrosive', 'poison'],
    note: 'toner, residual-silver test; hydrogen sulfide with acid',
  }),
  row('silver-nitrate', 'Silver nitrate', 169.87, {
    natures: ['silver'],
    solubility: 216,
    heat: 22.6,
    hazards: ['oxidiser', 'corrosive'],
    note: 'sensitizer, residual-hypo test; stains',
  }),
  row('ferric-ammonium-citrate-green', 'Ferric ammonium citrate, green', null, {
    natures: ['ammonium'],
    solubility: 120,
    note: 'sensitizer; by mass only',
  }),
  row('tartaric-acid', 'Tartaric acid', 150.09, { natures: ['weak-acid'], solubility: 139, hazards: ['eye-damage'] }),
  row('oxalic-acid-dihydrate', 'Oxalic acid, 2-water', 126.07, {
    natures: ['strong-acid'],
    solubility: 14,
    heat: 35.5,
    hazards: ['poison'],
    note: 'toxic',
  }),
  row('potassium-oxalate-monohydrate', 'Potassium oxalate, 1-water', 184.23, {
    solubility: 36,
    hazards: ['poison'],
    note: 'iron-process developer; toxic',
  }),
  row('edta-disodium', 'EDTA, disodium', 372.24, {
    natures: ['sequestrant'],
    solubility: 10,
    note: 'clearing; sequesters calcium and copper, makes iron worse for ascorbate',
  }),
  row('dtpa-pentasodium', 'DTPA, pentasodium, 40 % solution', 503.26, {
    content: 0.4,
    density: 1.3,
    natures: ['sequestrant'],
    hazards: ['eye-damage'],
    note: 'sequestrant that also tames iron',
  }),
  row('sodium-hexametaphosphate', 'Sodium hexametaphosphate', null, {
    natures: ['sequestrant'],
    note: 'sequestrant for hard water; a glassy polymer, very soluble; by mass only',
  }),
  row('sodium-sulfate', 'Sodium sulfate', 142.04, { solubility: 19.5, heat: -2.4 }),
  row('triethanolamine', 'Triethanolamine', 149.19, {
    density: 1.124,
    natures: ['alkali'],
    hazards: ['eye-damage'],
    note: 'alkali, pKa 7.76',
  }),
  row('propylene-glycol', 'Propylene glycol', 76.09, {
    density: 1.036,
    natures: ['solvent'],
    note: 'solvent for phenidone and benzotriazole',
  }),
  row('sodium-thiocyanate', 'Sodium thiocyanate', 81.07, {
    natures: ['thiocyanate'],
    group: 'thiocyanate',
    solubility: 139,
    note: 'silver solvent; never with strong or hot acid',
  }),
  row('ammonium-chloride', 'Ammonium chloride', 53.49, {
    natures: ['ammonium', 'chloride'],
    solubility: 37,
    heat: 14.8,
    hazards: ['eye-damage'],
    note: 'ammonia with alkali',
  }),
  row('copper-sulfate-pentahydrate', 'Copper sulfate, 5-water', 249.69, {
    solubility: 32,
    heat: 11,
    hazards: ['eye-damage'],
    note: 'bleach',
  }),
  row('potassium-dihydrogen-phosphate', 'Potassium dihydrogen phosphate', 136.09, {
    solubility: 22.6,
    heat: 19.6,
    note: 'meter calibration buffer',
  }),
  row('disodium-phosphate', 'Disodium hydrogen phosphate', 141.96, { solubility: 7.7, note: 'meter calibration buffer' }),
  row('hydrochloric-acid', 'Hydrochloric acid, 37 %', 36.46, {
    content: 0.37,
    density: 1.18,
    natures: ['strong-acid', 'concentrated-acid', 'chloride'],
    hazards: ['corrosive', 'gives-off-gas'],
    note: '37 % w/w; cleaning of vessels; always acid into water',
  }),
  row('ammonia-solution', 'Ammonia solution, 25 %', 17.03, {
    content: 0.25,
    density: 0.91,
    natures: ['alkali', 'ammonium'],
    hazards: ['corrosive', 'gives-off-gas'],
    note: '25 % w/w',
  }),
  row('sodium-hypochlorite', 'Hypochlorite solution, 5 %', 74.44, {
    content: 0.05,
    density: 1.08,
    natures: ['hypochlorite'],
    hazards: ['corrosive'],
    note: 'household bleach, for cleaning only; chlorine with acid',
  }),
  row('glycerol', 'Glycerol', 92.09, {
    density: 1.26,
    natures: ['solvent'],
    note: 'keeps paper from curling; feeds a fire with oxidisers',
  }),
  row('aluminium-metal', 'Aluminium foil', 26.98, { natures: ['metal'], note: 'silver recovery; hydrogen with hydroxide' }),
  row('zinc-metal', 'Zinc powder', 65.38, { natures: ['metal'], note: 'silver recovery; hydrogen with hydroxide or acid' }),
  row('bleach-fix-powder-a', 'Bleach-fix powder, part A', null, {
    natures: ['bleach-fix-part'],
    note: 'a bought pack: the iron part, first into the water; use it whole',
  }),
  row('bleach-fix-powder-b', 'Bleach-fix powder, part B', null, {
    natures: ['bleach-fix-part', 'sulfite'],
    hazards: ['gives-off-gas'],
    note: 'a bought pack: the thiosulfate part, after the iron part and slowly; use it whole',
  }),
  row('powder-pack', 'Powder pack', null, { note: 'a bought mix of powders in one sachet: use it whole' }),
]

/** The built-in catalogue, by id. */
export const catalogue: Catalogue = Object.freeze(Object.fromEntries(rows.map((chemical) => [chemical.id, Object.freeze(chemical)])))
