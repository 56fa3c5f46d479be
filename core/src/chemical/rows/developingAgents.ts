import type { Chemical } from '../chemical'
import { row } from '../row'

export const developingAgents: Chemical[] = [
  row('metol', 'Metol', 344.38, {
    natures: ['developing-agent', 'acid-salt'],
    solubility: 4.8,
    note: '2 base per formula unit, 172.19 per base; poorly soluble in strong sulfite',
  }),
  row('hydroquinone', 'Hydroquinone', 110.11, {
    natures: ['developing-agent'],
    solubility: 6.3,
    heat: 17,
    note: 'developing agent',
  }),
  row('phenidone', 'Phenidone', 162.19, {
    natures: ['developing-agent'],
    keepsInGlycol: true,
    solubility: 1,
    note: 'developing agent, a tenth of the mass of metol; wants hot water, alkali or glycol',
  }),
  row('dimezone-s', 'Dimezone-S', 206.24, {
    natures: ['developing-agent'],
    keepsInGlycol: true,
    solubility: 1,
    note: 'as phenidone, keeps better in alkali',
  }),
  row('ascorbic-acid', 'Ascorbic acid', 176.12, {
    group: 'ascorbate',
    natures: ['developing-agent', 'ascorbate', 'weak-acid'],
    solubility: 33,
    heat: 14,
    note: 'developing agent; trace iron or copper kills it; 1 g stands for 1.125 g sodium ascorbate',
  }),
  row('sodium-ascorbate', 'Sodium ascorbate', 198.11, {
    group: 'ascorbate',
    natures: ['developing-agent', 'ascorbate'],
    solubility: 62,
    note: 'the salt of ascorbic acid: brings its alkali along',
  }),
  row('glycin', 'Glycin', 167.16, { natures: ['developing-agent'], solubility: 0.02, note: 'developing agent; needs alkali to dissolve' }),
  row('amidol', 'Amidol', 197.06, {
    natures: ['developing-agent', 'acid-salt', 'chloride'],
    solubility: 25,
    note: 'developing agent; works with sulfite alone; does not keep',
  }),
  row('pyrogallol', 'Pyrogallol', 126.11, {
    natures: ['developing-agent'],
    solubility: 40,
    note: 'toxic developing agent',
  }),
  row('catechol', 'Catechol', 110.11, {
    natures: ['developing-agent'],
    solubility: 43,
    note: 'toxic developing agent',
  }),
  row('p-aminophenol-hcl', 'p-Aminophenol hydrochloride', 145.59, {
    natures: ['developing-agent', 'acid-salt', 'chloride'],
    solubility: 25,
    note: 'developing agent',
  }),
  row('colour-agent-negative', 'Colour developing agent for negatives', 292.36, {
    natures: ['developing-agent', 'acid-salt'],
    note: 'the sulfate of 4-(N-ethyl-N-2-hydroxyethyl)-2-methylphenylenediamine; sensitises the skin for life: always gloves',
  }),
  row('colour-agent-slide-and-paper', 'Colour developing agent for slides and paper', 436.52, {
    natures: ['developing-agent', 'acid-salt'],
    note: 'the sesquisulfate 1-water of 4-(N-ethyl-N-2-methanesulfonamidoethyl)-2-methylphenylenediamine; sensitises the skin for life: always gloves',
  }),
]
