import { DomainError } from '../../error'
import type { Finding } from '../../finding'
import type { Area } from '../../proof/density'
import type { ColourOfArea } from './areaColour'
import type { ColourMaterial } from './casts'
import { castOfGrey, type PackTurn } from './photoCast'

/** Above this share of pixels with a channel at its end an area says nothing. */
const clippedShare = 0.005
/** linear light under which a channel is noise */
const darkest = 0.004
/** deviation over mean from which an area is no even grey */
const unevenShare = 0.25
/** units beyond which a photograph does not tell: no grey was marked, or the cast is so strong that a layer is at its end */
const mostUnits = 45

function requireReadable(name: string, { light, clipped }: ColourOfArea): void {
  if (clipped > clippedShare)
    throw new DomainError('clipped', `${name} is burnt out in the picture, so its colour cannot be told. Take a darker one.`)
  if (Math.min(light.r, light.g, light.b) < darkest)
    throw new DomainError('too-dark', `${name} is nearly black in the picture. Take a brighter one.`)
}

/**
 * What a photograph of a print beside a grey card says of the filters; `colourOf` measures an area of it. The print is dry, and both lie in the same light.
 * @throws DomainError 'clipped', 'too-dark', 'no-grey'
 * @example
 * readCast(() => ({ light: { r: 0.2, g: 0.2, b: 0.2 }, clipped: 0, uneven: 0 }), { card: anArea, print: anArea, material: 'negative' }).turn // → { y: 0, m: 0 }
 */
export function readCast(
  colourOf: (area: Area) => ColourOfArea,
  { card, print, material }: { card: Area; print: Area; material: ColourMaterial },
): { turn: PackTurn; findings: Finding[] } {
  const [ofCard, ofPrint] = [colourOf(card), colourOf(print)]
  requireReadable('The card', ofCard)
  requireReadable('The grey of the print', ofPrint)
  const turn = castOfGrey({ card: ofCard.light, print: ofPrint.light, material })
  if (Math.hypot(turn.y, turn.m) > mostUnits)
    throw new DomainError(
      'no-grey',
      'So far off cannot be read: mark something that is neutral grey, or take the strong cast out by eye first.',
    )
  const uneven = [ofCard, ofPrint].some((one) => one.uneven > unevenShare)
  return {
    turn,
    findings: uneven
      ? [
          {
            ...{ rule: 'print-uneven', severity: 'warning' },
            message: 'What is marked is not even: it takes in more than grey, or light falls on it unevenly. Mark a smaller place.',
          },
        ]
      : [],
  }
}
