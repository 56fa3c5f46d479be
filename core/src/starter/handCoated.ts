import type { FormulaRecord } from '../exchange/schemas'
import { add, counted, days, litre, oneShot } from './records'

const small = {
  ...litre,
  makes: '100 ml',
  start_with: '70 ml',
  mix_at: '25 °C',
  water: 'deionised' as const,
  family: 'sensitizer' as const,
}

const cyanotype: FormulaRecord[] = [
  {
    ...small,
    name: 'Iron-blue sensitizer, part A',
    purpose: 'Green ferric ammonium citrate 25 %; brown bottle',
    makes: '500 ml',
    start_with: '350 ml',
    additions: [add('ferric-ammonium-citrate-green', '125 g')],
    ...oneShot('stock', 0),
    ...days(120, 60, 1),
  },
  {
    ...small,
    name: 'Iron-blue sensitizer, part B',
    purpose: 'Potassium ferricyanide 10 %',
    makes: '500 ml',
    start_with: '375 ml',
    additions: [add('potassium-ferricyanide', '50 g')],
    ...oneShot('stock', 0),
    ...days(365, 180, 1),
    note: 'Never together with acid.',
  },
  {
    ...small,
    name: 'Iron-blue sensitizer, working',
    purpose: 'Equal parts of A and B, coated in tungsten light, dried in the dark',
    start_with: '75 ml',
    mix_at: '45 °C',
    water: undefined,
    additions: [],
    combine: [
      { part: 'A', formula: 'Iron-blue sensitizer, part A' },
      { part: 'B', formula: 'Iron-blue sensitizer, part B' },
    ],
    ...oneShot('1+1', 0),
    ...days(0.5, 0.5, 0.5),
  },
]

const ironSilver: FormulaRecord[] = [
  {
    ...small,
    name: 'Iron–silver sensitizer, part A',
    purpose: 'Green ferric ammonium citrate 27 %; brown bottle',
    additions: [add('ferric-ammonium-citrate-green', '27 g')],
    ...oneShot('stock', 0),
    ...days(120, 60, 1),
  },
  {
    ...small,
    name: 'Iron–silver sensitizer, part B',
    purpose: 'Tartaric acid, the second part',
    additions: [add('tartaric-acid', '4.5 g', { watch: 'It hurts the eyes: goggles.' })],
    ...oneShot('stock', 0),
    ...days(180, 90, 1),
  },
  {
    ...small,
    name: 'Iron–silver sensitizer, part C',
    purpose: 'Silver nitrate, the last part; brown glass, no metal',
    additions: [add('silver-nitrate', '11.4 g', { watch: 'It blinds, and stains for weeks: goggles and gloves. No metal spoon.' })],
    ...oneShot('stock', 0),
    ...days(365, 180, 1),
    note: 'Never with ammonia or alkali.',
  },
  {
    ...small,
    name: 'Iron–silver sensitizer',
    purpose: 'Equal parts: B into A, then C drop by drop, stirring',
    start_with: '75 ml',
    water: undefined,
    additions: [],
    combine: [
      { part: 'A', formula: 'Iron–silver sensitizer, part A' },
      { part: 'B', formula: 'Iron–silver sensitizer, part B' },
      { part: 'C', formula: 'Iron–silver sensitizer, part C' },
    ],
    ...oneShot('1+1+1', 0),
    ...days(180, 120, 180),
    note: 'Let it rest a day. Brown bottle; months.',
  },
]

const platinum: FormulaRecord[] = [
  {
    ...small,
    name: 'Iron A, ferric oxalate 27 %',
    purpose: 'Iron of platinum and palladium prints, without an oxidiser: soft',
    mix_at: '40 °C',
    additions: [add('ferric-oxalate', '27 g', { watch: 'No dust, gloves: poisonous. It dissolves slowly: overnight, dark.' })],
    ...oneShot('stock', 0),
    ...days(180, 90, 1),
  },
  {
    ...small,
    name: 'Iron B, ferric oxalate with chlorate',
    purpose: 'The same with a little potassium chlorate: its share gives the contrast',
    mix_at: '40 °C',
    additions: [
      add('ferric-oxalate', '27 g', { watch: 'No dust, gloves: poisonous. It dissolves slowly: overnight, dark.' }),
      add('potassium-chlorate', '0.6 g', { watch: 'Into the solution, never dry with anything that burns, never with strong acid.' }),
    ],
    ...oneShot('stock', 0),
    ...days(120, 60, 1),
  },
  {
    ...small,
    name: 'Palladium salt 15 %',
    purpose: 'Sodium chloropalladite: palladium chloride dissolved with salt in hot water',
    mix_at: '60 °C',
    additions: [
      add('sodium-chloride', '6 g'),
      add('palladium-chloride', '9 g', { watch: 'It sensitises and harms eyes: gloves, goggles, no dust.' }),
    ],
    ...oneShot('stock', 0),
    ...days(1095, 730, 1),
  },
  {
    ...small,
    name: 'Platinum salt 20 %',
    purpose: 'Potassium chloroplatinite; crystals go back when it is warmed',
    mix_at: '50 °C',
    additions: [add('potassium-chloroplatinite', '20 g', { watch: 'It brings asthma: no dust, gloves, hood.' })],
    ...oneShot('stock', 0),
    ...days(1095, 730, 1),
    note: 'Warm it until its crystals are gone before it is drawn.',
  },
]

const processing: FormulaRecord[] = [
  {
    ...litre,
    name: 'Ammonium citrate developer for platinum',
    family: 'other',
    purpose: 'Platinum and palladium, at the warmth of the room; kept and topped up, never thrown away',
    mix_at: '25 °C',
    start_with: '700 ml',
    additions: [add('triammonium-citrate', '200 g')],
    ...oneShot('stock', 0),
    ...days(1825, 1825, 1825),
    note: 'No alkali: ammonia.',
  },
  {
    ...litre,
    name: 'Oxalate developer for platinum',
    family: 'other',
    purpose: 'Platinum and palladium: cool for neutral prints, hot for warmer and softer ones; kept and topped up',
    mix_at: '50 °C',
    start_with: '700 ml',
    additions: [add('potassium-oxalate-monohydrate', '250 g', { watch: 'Oxalates poison: gloves, no food near.' })],
    ...oneShot('stock', 0),
    ...days(1825, 1825, 1825),
  },
  {
    ...litre,
    name: 'EDTA clearing bath',
    family: 'clearing-bath',
    purpose: 'Takes the iron out of platinum and palladium prints: three baths of it',
    mix_at: '40 °C',
    additions: [add('edta-disodium', '40 g'), add('sodium-sulfite', '25 g')],
    ...counted('stock', 20),
    ...days(90, 30, 3),
    usual_time: '5:00',
  },
  {
    ...litre,
    name: 'Citric clearing bath, 2 %',
    family: 'clearing-bath',
    purpose: 'The milder one for platinum and palladium; half of it for the first water of the others',
    mix_at: '25 °C',
    additions: [add('citric-acid', '20 g')],
    ...counted('stock, 1+1', 20),
    ...days(90, 30, 1),
    usual_time: '5:00',
  },
  {
    ...litre,
    name: 'Plain fixer for iron–silver, 4 %',
    family: 'fixer',
    purpose: 'Weak on purpose: a minute or two; longer bleaches',
    mix_at: '30 °C',
    additions: [add('sodium-thiosulfate-pentahydrate', '40 g'), add('sodium-sulfite', '2 g')],
    ...oneShot('stock', 0),
    ...days(60, 30, 1),
    fixes: 'fibre-paper',
    usual_time: '1:30',
  },
]

/** Sensitizers by hand, with what develops, clears and fixes their prints: the proportions long published for each. */
export const handCoated: FormulaRecord[] = [...cyanotype, ...ironSilver, ...platinum, ...processing]
