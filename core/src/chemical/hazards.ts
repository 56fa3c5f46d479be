import type { Chemical, Hazard } from './chemical'

/** What to say about each hazard where the hand is. The supplier's safety sheet decides. */
export const hazardWords: Record<Hazard, string> = {
  'toxic-for-reproduction': 'May harm fertility or the unborn child: no dust, gloves',
  'suspected-carcinogen': 'Suspected of causing cancer: gloves, no dust',
  carcinogen: 'May cause cancer: gloves, no dust, ventilation',
  sensitiser: 'May cause a skin allergy: gloves, no dust',
  'eye-damage': 'Serious eye damage: eye protection',
  poison: 'Poisonous, also through the skin: gloves, eye protection, ventilation',
  corrosive: 'Burns skin and eyes: gloves, eye protection, water within reach',
  oxidiser: 'Oxidiser: keep from powders, glycol and anything that burns',
  'gives-off-gas': 'Gives off choking gas in acid or heat: ventilation; dangerous to people with asthma',
}

/** The cautions for handling a chemical, in words, most serious first. */
export const cautions = (chemical: Chemical): string[] => chemical.hazards.map((hazard) => hazardWords[hazard])
