import type { Chemical } from '../chemical'
import { row } from '../row'

export const restrainersAndSalts: Chemical[] = [
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
  row('benzotriazole', 'Benzotriazole', 119.12, {
    natures: ['restrainer'],
    solubility: 2,
    note: 'restrainer; dissolve in hot water or glycol',
  }),
  row('ammonium-chloride', 'Ammonium chloride', 53.49, {
    natures: ['ammonium', 'chloride'],
    solubility: 37,
    heat: 14.8,
    note: 'ammonia with alkali',
  }),
  row('sodium-sulfate', 'Sodium sulfate', 142.04, { solubility: 19.5, heat: -2.4 }),
  row('potassium-chloride', 'Potassium chloride', 74.55, { natures: ['chloride'], solubility: 34, heat: 17.2 }),
  row('ammonium-bromide', 'Ammonium bromide', 97.94, {
    natures: ['restrainer', 'ammonium'],
    solubility: 75,
    heat: 16.8,
    note: 'restrainer and halide of emulsions; ammonia with alkali',
  }),
]
