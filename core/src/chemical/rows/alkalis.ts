import type { Chemical } from '../chemical'
import { row } from '../row'

export const alkalis: Chemical[] = [
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
    note: '4 boron',
  }),
  row('borax-pentahydrate', 'Borax, 5-water', 291.29, {
    group: 'borax',
    units: 4,
    natures: ['alkali'],
    solubility: 3.6,
    note: '4 boron',
  }),
  row('sodium-metaborate-tetrahydrate', 'Sodium metaborate, 4-water', 137.86, {
    group: 'metaborate',
    natures: ['alkali'],
    solubility: 73,
    note: '1 boron; borax and 2 hydroxide make 4 of it; sold as “8 mol”',
  }),
  row('sodium-metaborate-dihydrate', 'Sodium metaborate, 2-water', 101.83, {
    group: 'metaborate',
    natures: ['alkali'],
    solubility: 46,
    note: '1 boron; sold as “4 mol”: confusing the two is a 35 % error',
  }),
  row('sodium-carbonate', 'Sodium carbonate, anhydrous', 105.99, {
    group: 'carbonate',
    natures: ['alkali', 'carbonate'],
    solubility: [
      [0, 7],
      [10, 12],
      [20, 21.5],
      [40, 49],
      [50, 47],
    ],
    heat: -26.7,
  }),
  row('sodium-carbonate-monohydrate', 'Sodium carbonate, 1-water', 124.0, {
    group: 'carbonate',
    natures: ['alkali', 'carbonate'],
    solubility: 25,
    heat: -12,
  }),
  row('sodium-carbonate-decahydrate', 'Sodium carbonate, 10-water', 286.14, {
    group: 'carbonate',
    natures: ['alkali', 'carbonate'],
    solubility: 91,
    heat: 67,
    note: 'washing soda',
  }),
  row('potassium-carbonate', 'Potassium carbonate', 138.21, {
    group: 'carbonate',
    natures: ['alkali', 'carbonate'],
    solubility: [
      [0, 105],
      [20, 110],
      [50, 121],
    ],
    heat: -31,
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
    usualAssay: 0.97,
    note: 'caustic; heats the water hard',
  }),
  row('potassium-hydroxide', 'Potassium hydroxide', 56.11, {
    group: 'hydroxide',
    natures: ['alkali', 'hydroxide'],
    solubility: 112,
    heat: -57.6,
    usualAssay: 0.85,
    note: 'caustic; ordinary pellets hold 85 %',
  }),
  row('trisodium-phosphate-dodecahydrate', 'Trisodium phosphate, 12-water', 380.12, {
    group: 'trisodium phosphate',
    natures: ['alkali', 'phosphate'],
    solubility: [
      [10, 21],
      [20, 33],
    ],
    heat: 60,
  }),
  row('disodium-phosphate', 'Disodium hydrogen phosphate', 141.96, {
    group: 'disodium phosphate',
    natures: ['phosphate'],
    solubility: 7.7,
    note: 'meter calibration buffer',
  }),
  row('triethanolamine', 'Triethanolamine', 149.19, {
    density: 1.124,
    natures: ['alkali', 'solvent'],
    note: 'alkali, pKa 7.76',
  }),
  row('ammonia-solution', 'Ammonia solution, 25 %', 17.03, {
    content: 0.25,
    density: 0.91,
    natures: ['alkali', 'ammonia'],
    note: '25 % w/w',
  }),
  row('borax-anhydrous', 'Borax, anhydrous', 201.22, {
    group: 'borax',
    units: 4,
    natures: ['alkali'],
    solubility: 2.5,
    note: '4 boron; dissolves slowly',
  }),
  row('trisodium-phosphate', 'Trisodium phosphate, anhydrous', 163.94, {
    group: 'trisodium phosphate',
    natures: ['alkali', 'phosphate'],
    solubility: 12,
  }),
  row('disodium-phosphate-dodecahydrate', 'Disodium hydrogen phosphate, 12-water', 358.14, {
    group: 'disodium phosphate',
    natures: ['phosphate'],
    solubility: 22,
  }),
  row('sodium-hydroxide-50', 'Sodium hydroxide solution, 50 %', 40.0, {
    group: 'hydroxide',
    content: 0.5,
    density: 1.525,
    natures: ['alkali', 'hydroxide'],
    note: '50 % w/w, 1.525 g/ml; caustic, goes stiff under 12 °C',
  }),
  row('potassium-hydroxide-45', 'Potassium hydroxide solution, 45 %', 56.11, {
    group: 'hydroxide',
    content: 0.45,
    density: 1.456,
    natures: ['alkali', 'hydroxide'],
    note: '45 % w/w, 1.456 g/ml; caustic',
  }),
]
