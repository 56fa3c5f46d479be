import type { Chemical } from '../chemical'
import { row } from '../row'

export const others: Chemical[] = [
  row('edta-disodium', 'EDTA, disodium', 372.24, {
    natures: ['sequestrant', 'acid-salt'],
    solubility: 10,
    note: 'clearing; sequesters calcium and copper, makes iron worse for ascorbate',
  }),
  row('dtpa-pentasodium', 'DTPA, pentasodium, 40 % solution', 503.26, {
    content: 0.4,
    density: 1.3,
    natures: ['sequestrant'],
    note: 'sequestrant that also tames iron',
  }),
  row('sodium-hexametaphosphate', 'Sodium hexametaphosphate', null, {
    natures: ['sequestrant'],
    note: 'sequestrant for hard water; a glassy polymer, very soluble; by mass only',
  }),
  row('propylene-glycol', 'Propylene glycol', 76.09, {
    density: 1.036,
    natures: ['solvent'],
    note: 'solvent for phenidone and benzotriazole',
  }),
  row('glycerol', 'Glycerol', 92.09, {
    density: 1.26,
    natures: ['solvent'],
    note: 'keeps paper from curling; feeds a fire with oxidisers',
  }),
  row('aluminium-metal', 'Aluminium foil', 26.98, { natures: ['metal'], note: 'silver recovery; hydrogen with hydroxide' }),
  row('zinc-metal', 'Zinc powder', 65.38, { natures: ['metal'], note: 'silver recovery; hydrogen with hydroxide or acid' }),
  row('bleach-fix-powder-a', 'Bleach-fix powder, part A', null, {
    natures: ['bleach-fix-part', 'metal-salt', 'ammonium'],
    note: 'a bought pack: the iron part, first into the water; use it whole',
  }),
  row('bleach-fix-powder-b', 'Bleach-fix powder, part B', null, {
    natures: ['bleach-fix-part', 'sulfite', 'thiosulfate', 'ammonium'],
    note: 'a bought pack: the thiosulfate part, after the iron part and slowly; use it whole',
  }),
  row('powder-pack', 'Powder pack', null, { note: 'a bought mix of powders in one sachet: use it whole' }),
  row('benzyl-alcohol', 'Benzyl alcohol', 108.14, {
    density: 1.045,
    natures: ['solvent'],
    solubility: 4,
    note: 'helps colour developers into the emulsion; dissolve it in a glycol first',
  }),
  row('formaldehyde-37', 'Formaldehyde solution, 37 %', 30.03, {
    content: 0.37,
    density: 1.09,
    natures: ['formaldehyde'],
    note: 'stabiliser and hardener; carcinogen: only with strong ventilation, or take hexamine',
  }),
  row('hexamine', 'Hexamine', 140.19, {
    natures: ['formaldehyde'],
    solubility: 85,
    note: 'stabiliser in place of formaldehyde, which it frees in acid',
  }),
]
