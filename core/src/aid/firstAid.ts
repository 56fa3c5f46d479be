import type { AidSubstance } from './substance'

/** What can have happened to somebody. */
export const hurts = ['eyes', 'skin', 'swallowed', 'breathed', 'collapsed', 'allergy', 'cut'] as const
export type Hurt = (typeof hurts)[number]

/** How each is called, where it is pressed. */
export const hurtNames: Record<Hurt, string> = {
  eyes: 'In the eyes',
  skin: 'On the skin',
  swallowed: 'Swallowed',
  breathed: 'Breathed in',
  collapsed: 'Collapsed',
  allergy: 'Skin reacts',
  cut: 'Powder in a cut',
}

/**
 * What is done for somebody, in order; “call” is the emergency service or the poison centre. Those who answer there, and the supplier's sheet, decide.
 * @example
 * firstAid('swallowed', { family: 'alk', corrosive: true, throughSkin: [] })[1] // → 'Nothing to drink: it burns, or may.'
 */
export function firstAid(hurt: Hurt, { family, corrosive, throughSkin }: AidSubstance): string[] {
  switch (hurt) {
    case 'eyes':
      return ['Rinse now, 15 to 20 minutes, lids held open.', 'Contact lenses out.', 'Call.']
    case 'skin':
      return [
        'Clothes off where it went through.',
        'Rinse 15 minutes.',
        throughSkin.length > 0
          ? `Call: ${throughSkin.join(', ')}.`
          : corrosive && family !== null
            ? 'Call: it burns.'
            : 'Call if it burns or blisters.',
      ]
    case 'swallowed':
      return [
        'Rinse the mouth. No vomiting.',
        family === null
          ? 'Nothing to drink: nobody knows what it is.'
          : corrosive
            ? 'Nothing to drink: it burns, or may.'
            : 'Sips of water, only while awake.',
        'Call, with the label in the hand.',
      ]
    case 'breathed':
      return ['Fresh air, half upright.', 'Call at once, even if it passes: lungs may follow hours later.']
    case 'collapsed':
      return ['Do not go in.', 'Call.', 'Ventilate from outside.']
    case 'allergy':
      return ['Stop. Wash.', 'No more of that agent.', 'See a doctor. Call if breath is short.']
    case 'cut':
      return ['Rinse. Let it bleed.', 'Call.']
  }
}
