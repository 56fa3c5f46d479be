import type { Chemical } from '../chemical'
import { row } from '../row'

export const sulfites: Chemical[] = [
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
    note: 'preservative',
  }),
  row('sodium-sulfite-heptahydrate', 'Sodium sulfite, 7-water', 252.15, {
    group: 'sulfite',
    natures: ['sulfite'],
    solubility: 72,
    heat: 47,
    note: 'preservative, crystals',
  }),
  row('sodium-metabisulfite', 'Sodium metabisulfite', 190.11, {
    group: 'metabisulfite',
    units: 2,
    natures: ['acid-sulfite'],
    solubility: 65,
    note: 'gives 2 bisulfite',
  }),
  row('potassium-metabisulfite', 'Potassium metabisulfite', 222.32, {
    group: 'metabisulfite',
    units: 2,
    natures: ['acid-sulfite'],
    solubility: 45,
    note: 'gives 2 bisulfite',
  }),
  row('sodium-bisulfite', 'Sodium bisulfite', 104.06, {
    group: 'metabisulfite',
    units: (2 * 104.06) / 190.11,
    natures: ['acid-sulfite'],
    solubility: 42,
    note: 'sold under this name it is mostly metabisulfite: gram for gram unless the jar’s assay says otherwise',
  }),
  row('potassium-sulfite', 'Potassium sulfite', 158.26, {
    group: 'sulfite',
    natures: ['sulfite'],
    solubility: 106,
    note: 'preservative of liquid concentrates',
  }),
  row('sodium-dithionite', 'Sodium dithionite', 174.11, {
    natures: ['reducer', 'dithionite'],
    solubility: 18,
    note: 'fogging reducer and toner bath; heats by itself when damp, gives off sulfur dioxide in acid',
  }),
  row('hydroxylamine-sulfate', 'Hydroxylamine sulfate', 164.14, {
    natures: ['acid-salt', 'reducer'],
    solubility: 58,
    note: 'preservative of colour developers; the dry powder bursts when heated',
  }),
]
