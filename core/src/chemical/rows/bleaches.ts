import type { Chemical } from '../chemical'
import { row } from '../row'

export const bleaches: Chemical[] = [
  row('potassium-ferricyanide', 'Potassium ferricyanide', 329.25, {
    natures: ['ferricyanide'],
    solubility: [
      [0, 30],
      [20, 46],
      [50, 64],
    ],
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
    note: 'bleach; chlorine with chloride; never concentrated acid on its crystals',
  }),
  row('copper-sulfate-pentahydrate', 'Copper sulfate, 5-water', 249.69, {
    natures: ['metal-salt'],
    solubility: 32,
    heat: 11,
    note: 'bleach',
  }),
  row('sodium-hypochlorite', 'Hypochlorite solution, 5 %', 74.44, {
    content: 0.05,
    density: 1.08,
    natures: ['hypochlorite'],
    note: 'household bleach, for cleaning only; chlorine with acid',
  }),
  row('potassium-ferrocyanide-trihydrate', 'Potassium ferrocyanide, 3-water', 422.39, {
    natures: ['ferricyanide'],
    solubility: 28,
    note: 'what a ferricyanide bleach turns into; hydrogen cyanide with strong or hot acid',
  }),
  row('ferric-sodium-edta', 'Ferric sodium EDTA, 3-water', 421.09, {
    natures: ['metal-salt'],
    solubility: 9,
    note: 'the iron of bleaches and bleach-fixes',
  }),
  row('ferric-ammonium-edta', 'Ferric ammonium EDTA, 47 % solution', 362.1, {
    content: 0.47,
    density: 1.3,
    natures: ['metal-salt', 'ammonium'],
    note: 'about 47 % w/w, 1.3 g/ml; ammonia with strong alkali',
  }),
  row('ferric-chloride-hexahydrate', 'Ferric chloride, 6-water', 270.3, {
    natures: ['metal-salt', 'chloride'],
    solubility: 92,
    note: 'etch and bleach; strongly acid in water; stains',
  }),
  row('ammonium-dichromate', 'Ammonium dichromate', 252.07, {
    natures: ['dichromate', 'ammonium'],
    solubility: 36,
    note: 'sensitizer of colloid prints; burns by itself when heated; carcinogen, restricted in places',
  }),
  row('ammonium-persulfate', 'Ammonium persulfate', 228.2, {
    natures: ['persulfate', 'ammonium'],
    solubility: 58,
    note: 'reducer and bleach; its dust sensitises the airways',
  }),
  row('sodium-persulfate', 'Sodium persulfate', 238.1, {
    natures: ['persulfate'],
    solubility: 55,
    note: 'bleach; its dust sensitises the airways',
  }),
  row('potassium-persulfate', 'Potassium persulfate', 270.32, {
    natures: ['persulfate'],
    solubility: 4.7,
    note: 'reducer and bleach; its dust sensitises the airways',
  }),
  row('hydrogen-peroxide-3', 'Hydrogen peroxide, 3 %', 34.01, {
    content: 0.03,
    density: 1.01,
    natures: ['peroxide'],
    note: '3 % w/w; oxidises iron prints; a vented cap',
  }),
  row('potassium-chlorate', 'Potassium chlorate', 122.55, {
    natures: ['chlorate'],
    solubility: 7.3,
    heat: 41,
    note: 'contrast of platinum prints; explodes with anything that burns when rubbed together dry',
  }),
]
