import type { Chemical } from '../chemical'
import { row } from '../row'

export const sensitizers: Chemical[] = [
  row('silver-nitrate', 'Silver nitrate', 169.87, {
    natures: ['silver'],
    solubility: 216,
    heat: 22.6,
    note: 'sensitizer, residual-hypo test; stains',
  }),
  row('ferric-ammonium-citrate-green', 'Ferric ammonium citrate, green', null, {
    natures: ['ammonium', 'metal-salt'],
    solubility: 120,
    note: 'sensitizer; by mass only',
  }),
  row('potassium-oxalate-monohydrate', 'Potassium oxalate, 1-water', 184.23, {
    natures: ['oxalate'],
    solubility: 36,
    note: 'iron-process developer; toxic',
  }),
  row('ferric-oxalate', 'Ferric oxalate', null, {
    natures: ['oxalate', 'metal-salt'],
    note: 'sensitizer of platinum and silver–iron prints; by mass only, dissolves slowly; dark bottle',
  }),
  row('ferric-ammonium-oxalate', 'Ferric ammonium oxalate, 3-water', 428.06, {
    natures: ['oxalate', 'metal-salt', 'ammonium'],
    solubility: 43,
    note: 'sensitizer; dark bottle',
  }),
  row('potassium-chloroplatinite', 'Potassium chloroplatinite', 415.09, {
    natures: [],
    note: 'metal of platinum prints; a 20 % solution crystallises in the cold and clears when warm; sensitises the airways: no dust, gloves',
  }),
  row('palladium-chloride', 'Palladium chloride', 177.33, {
    natures: ['chloride'],
    note: 'metal of palladium prints; dissolves with sodium chloride in hot water',
  }),
]
