import type { Chemical } from '../chemical'
import { row } from '../row'

export const toners: Chemical[] = [
  row('thiourea', 'Thiourea', 76.12, { natures: ['thiourea'], solubility: 14, heat: 22, note: 'toner; its dust fogs film and paper' }),
  row('sodium-sulfide-nonahydrate', 'Sodium sulfide, 9-water', 240.18, {
    natures: ['sulfide'],
    solubility: 90,
    note: 'toner, residual-silver test; hydrogen sulfide with acid',
  }),
  row('selenium-toner-concentrate', 'Selenium toner concentrate', null, {
    density: 1.3,
    natures: ['thiosulfate', 'sulfite', 'ammonium'],
    note: 'bought liquid: selenite and sulfite in ammonium thiosulfate; by volume only; ammonia with alkali',
  }),
  row('polysulfide', 'Polysulfide (liver of sulfur)', null, {
    natures: ['sulfide'],
    note: 'toner; a mixture, by mass only; hydrogen sulfide with acid',
  }),
  row('gold-chloride', 'Gold chloride, 3-water', 393.83, {
    natures: ['acid-salt'],
    note: 'hydrogen tetrachloroaurate; toner and metal of prints; always drawn from a 1 % stock',
  }),
  row('stannous-chloride-dihydrate', 'Stannous chloride, 2-water', 225.63, {
    natures: ['metal-salt', 'chloride', 'reducer'],
    solubility: 118,
    note: 'fogging reducer of reversal; turns milky in much water',
  }),
]
