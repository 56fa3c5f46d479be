import type { Chemical } from '../chemical'
import { row } from '../row'

export const acids: Chemical[] = [
  row('boric-acid', 'Boric acid', 61.83, {
    natures: ['boric-acid'],
    solubility: [
      [0, 2.6],
      [20, 4.7],
      [50, 11.5],
    ],
    heat: 22,
    note: 'toxic for reproduction, like all borates',
  }),
  row('acetic-acid-glacial', 'Acetic acid, glacial', 60.05, {
    group: 'acetic acid',
    content: 0.997,
    density: 1.05,
    natures: ['weak-acid', 'concentrated-acid'],
    heat: -1.5,
    note: '99.7 %, 1.05 g/ml; always acid into water',
  }),
  row('acetic-acid-28', 'Acetic acid, 28 %', 60.05, {
    group: 'acetic acid',
    content: 0.28,
    density: 1.036,
    natures: ['weak-acid'],
    note: '28 % w/w, 1.036 g/ml',
  }),
  row('citric-acid', 'Citric acid, anhydrous', 192.12, {
    group: 'citric acid',
    natures: ['weak-acid'],
    solubility: 146,
    heat: 18,
  }),
  row('citric-acid-monohydrate', 'Citric acid, 1-water', 210.14, {
    group: 'citric acid',
    natures: ['weak-acid'],
    solubility: 183,
    heat: 29,
  }),
  row('sodium-citrate-dihydrate', 'Sodium citrate, 2-water', 294.1, { solubility: 72 }),
  row('sodium-acetate-trihydrate', 'Sodium acetate, 3-water', 136.08, { solubility: 110, heat: 20 }),
  row('sodium-bisulfate', 'Sodium bisulfate', 120.06, {
    natures: ['strong-acid'],
    solubility: 28,
    note: 'safer acid for bleaches',
  }),
  row('sulfuric-acid', 'Sulfuric acid, 96 %', 98.08, {
    group: 'sulfuric acid',
    content: 0.96,
    density: 1.84,
    natures: ['strong-acid', 'concentrated-acid', 'mineral-acid'],
    heat: -65,
    note: '96 % w/w, 1.84 g/ml; always acid into water',
  }),
  row('hydrochloric-acid', 'Hydrochloric acid, 37 %', 36.46, {
    content: 0.37,
    density: 1.18,
    natures: ['strong-acid', 'concentrated-acid', 'mineral-acid', 'chloride'],
    note: '37 % w/w; cleaning of vessels; always acid into water',
  }),
  row('tartaric-acid', 'Tartaric acid', 150.09, { natures: ['weak-acid'], solubility: 139 }),
  row('oxalic-acid-dihydrate', 'Oxalic acid, 2-water', 126.07, {
    natures: ['strong-acid', 'oxalate'],
    solubility: 14,
    heat: 35.5,
    note: 'toxic',
  }),
  row('potassium-dihydrogen-phosphate', 'Potassium dihydrogen phosphate', 136.09, {
    natures: ['acid-salt'],
    solubility: 22.6,
    heat: 19.6,
    note: 'meter calibration buffer',
  }),
  row('acetic-acid-60', 'Acetic acid, 60 %', 60.05, {
    group: 'acetic acid',
    content: 0.6,
    density: 1.064,
    natures: ['weak-acid', 'concentrated-acid'],
    note: '60 % w/w, 1.064 g/ml; always acid into water',
  }),
  row('acetic-acid-80', 'Acetic acid, 80 %', 60.05, {
    group: 'acetic acid',
    content: 0.8,
    density: 1.07,
    natures: ['weak-acid', 'concentrated-acid'],
    note: '80 % w/w, 1.070 g/ml; always acid into water',
  }),
  row('nitric-acid', 'Nitric acid, 65 %', 63.01, {
    content: 0.65,
    density: 1.39,
    natures: ['strong-acid', 'concentrated-acid', 'mineral-acid'],
    heat: -33.3,
    note: '65 % w/w, 1.39 g/ml; for metal salts and cleaning; always acid into water',
  }),
  row('ammonium-citrate', 'Ammonium citrate, dibasic', 226.18, {
    natures: ['ammonium'],
    note: 'acid; clearing of iron prints; ammonia with alkali',
  }),
  row('triammonium-citrate', 'Ammonium citrate, tribasic', 243.22, {
    natures: ['ammonium'],
    note: 'nearly neutral; developer of platinum and palladium prints; ammonia with alkali',
  }),
]
