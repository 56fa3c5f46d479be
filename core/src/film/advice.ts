import type { CameOut } from './cameOut'
import { wipingNames } from './faultNames'
import type { Fault, Wiping } from './faults'

const faultAdvice: Record<Exclude<Fault, 'long-scratch'>, string> = {
  'thin-shadows':
    'The shadows alone are thin: that is the exposure, not the development. Meter the shadows, or set a lower exposure index.',
  streaks: 'Streaks: look at how it was agitated. The same beats at the same strength, and neither a stir nor a shake.',
  uneven:
    'Uneven: the liquid did not reach all of it alike. Pour faster, begin to agitate at once, cover the reels, and avoid very short times.',
  milky: 'Milky: not fixed through. Fix it again in fresh fixer and wash it; that still helps.',
  'purple-base': 'A purple base: the dye is not out. Fix or wash it longer; that still helps.',
  'clear-spots': 'Small clear round spots: air bubbles in the developer. Tap the tank after every agitation.',
  'drying-marks': 'Drying marks: wash it again, and give it wetting agent in deionised water, off the reel.',
  fogged: 'Fogged: light got in before it was fixed, or the film is old. Look at the lid, the closet and the date of the film.',
  reticulated:
    'A net of cracks: a bath or a wash was much colder or warmer than the one before. Nothing helps; keep every liquid within 5 °C.',
}

/**
 * What to do another time, or with the film itself, from how it came out. Density that both index and time would explain is told by its contrast.
 * @example
 * filmAdvice({ result: 'dense', contrast: 'hard', faults: [], wiping: null })[0] // → 'Dense and hard: developed too far. Less time, by a tenth or so.'
 */
export function filmAdvice({ result, contrast, faults, wiping }: CameOut): string[] {
  const shadowsOnly = faults.includes('thin-shadows')
  return [...(shadowsOnly ? [] : ofDensity(result, contrast)), ...faults.map((fault) => ofFault(fault, wiping))]
}

function ofDensity(result: CameOut['result'], contrast: CameOut['contrast']): string[] {
  if (result === 'dense' && contrast === 'hard') return ['Dense and hard: developed too far. Less time, by a tenth or so.']
  if (result === 'thin' && contrast === 'flat')
    return ['Thin and flat: not developed far enough. More time, or a fresher or warmer developer.']
  if (result === 'dense')
    return contrast === null
      ? ['Dense: say whether it is hard as well. Hard, it had too much time; else it was exposed too long.']
      : ['Dense but not hard: exposed too long. The development was right.']
  if (result === 'thin')
    return contrast === null
      ? ['Thin: say whether it is flat as well. Flat, it had too little time; else it was exposed too short.']
      : ['Thin but not flat: exposed too short. More time would make it harder, and give no shadows.']
  if (contrast === 'hard') return ['Hard: a little less time.']
  if (contrast === 'flat') return ['Flat: a little more time.']
  return []
}

function ofFault(fault: Fault, wiping: Wiping | null): string {
  if (fault !== 'long-scratch') return faultAdvice[fault]
  const wiped = wiping === 'fingers' || wiping === 'wiper'
  return wiped
    ? `A long scratch along the film: it was wiped (${wipingNames[wiping]}), and that points to it. Hang the next one unwiped.`
    : 'A long scratch along the film: grit in the camera, in the cassette’s mouth or on the reel.'
}
