import type { Chemical } from '../chemical'
import { row } from '../row'

export const fixers: Chemical[] = [
  row('sodium-thiosulfate', 'Sodium thiosulfate, anhydrous', 158.11, {
    group: 'thiosulfate',
    natures: ['thiosulfate'],
    solubility: [
      [0, 51],
      [20, 70],
      [40, 103],
    ],
    heat: -8,
  }),
  row('sodium-thiosulfate-pentahydrate', 'Sodium thiosulfate, crystals', 248.18, {
    group: 'thiosulfate',
    natures: ['thiosulfate'],
    solubility: 180,
    heat: 47.5,
    note: 'hypo crystals; cool the water hard',
  }),
  row('ammonium-thiosulfate-60', 'Ammonium thiosulfate, 60 % solution', 148.21, {
    group: 'thiosulfate',
    content: 0.6,
    density: 1.33,
    natures: ['thiosulfate', 'ammonium'],
    note: '60 % w/w liquid, 1.33 g/ml: 0.80 g in a millilitre; ammonia with strong alkali',
  }),
  row('potassium-thiocyanate', 'Potassium thiocyanate', 97.18, {
    natures: ['thiocyanate'],
    group: 'thiocyanate',
    solubility: 217,
    heat: 24,
    note: 'silver solvent; never with strong or hot acid',
  }),
  row('sodium-thiocyanate', 'Sodium thiocyanate', 81.07, {
    natures: ['thiocyanate'],
    group: 'thiocyanate',
    solubility: 139,
    note: 'silver solvent; never with strong or hot acid',
  }),
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
  row('ammonium-thiosulfate', 'Ammonium thiosulfate, solid', 148.21, {
    group: 'thiosulfate',
    natures: ['thiosulfate', 'ammonium'],
    solubility: 173,
    note: 'crystals that draw water and smell when old; ammonia with strong alkali',
  }),
  row('ammonium-thiocyanate', 'Ammonium thiocyanate', 76.12, {
    natures: ['thiocyanate', 'ammonium'],
    solubility: 163,
    heat: 22.6,
    note: 'silver solvent; ammonia with alkali, never with strong or hot acid',
  }),
]
