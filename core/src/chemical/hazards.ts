import type { Chemical } from './chemical'

/** The short cautions, most serious first: each is said where one of its statements is on record. */
const cautionRules: { words: string; codes: string[] }[] = [
  { words: 'Burns skin and eyes: gloves, eye protection, water within reach', codes: ['H314'] },
  { words: 'Fatal or poisonous to breathe: ventilation, no dust or vapour', codes: ['H330', 'H331'] },
  {
    words: 'Poisonous, also through the skin: gloves, eye protection, ventilation',
    codes: ['H300', 'H301', 'H310', 'H311'],
  },
  { words: 'May cause cancer or genetic damage: gloves, no dust, ventilation', codes: ['H340', 'H350'] },
  { words: 'Suspected of causing cancer or genetic damage: gloves, no dust', codes: ['H341', 'H351'] },
  { words: 'May harm fertility or the unborn child: no dust, gloves', codes: ['H360', 'H361'] },
  { words: 'Damages organs with time: gloves, no dust', codes: ['H372', 'H373'] },
  { words: 'May cause asthma if inhaled: no dust, ventilation', codes: ['H334'] },
  { words: 'May cause a skin allergy: gloves, no dust', codes: ['H317'] },
  { words: 'Serious eye damage: eye protection', codes: ['H318'] },
  { words: 'Harmful: gloves, no dust, nothing to the mouth', codes: ['H302', 'H312', 'H332'] },
  { words: 'Irritates eyes, skin or airways: gloves, eye protection', codes: ['H315', 'H319', 'H335'] },
  { words: 'Oxidiser: keep from powders, glycol and anything that burns', codes: ['H271', 'H272'] },
  { words: 'Burns or heats by itself: dry, closed, from flames', codes: ['H226', 'H228', 'H250', 'H251', 'H260'] },
  { words: 'Gives off poisonous gas with acid: ventilation', codes: ['EUH032'] },
  { words: 'Gives off choking gas in acid or heat: ventilation; dangerous to people with asthma', codes: ['EUH031'] },
]

/** What to say where a chemical's classification is not on record: the sheet is read first. */
const unknownCaution = 'Not classified here: read the supplier’s safety sheet, gloves and eye protection until then'

/**
 * The cautions for handling a chemical, in words, most serious first, from its hazard statements. The supplier's safety sheet decides.
 * @example
 * cautions({ statements: ['H314'] }) // → ['Burns skin and eyes: gloves, eye protection, water within reach']
 */
export function cautions({ statements }: Pick<Chemical, 'statements'>): string[] {
  if (statements === undefined) return [unknownCaution]
  return cautionRules.flatMap(({ words, codes }) => (codes.some((code) => statements.includes(code)) ? [words] : []))
}
