import type { TimerStep } from '@selvrin/core'
import { counted } from '../marks/words'

/** What is done before the light, as it is shown. */
export function askText({ kind, place, count, part }: TimerStep): string {
  if (kind === 'burn') return `Burn in ${place}`
  const which = part === null ? '' : part === 0 ? ', soft filter' : ', hard filter'
  if (kind === 'whole-strip') return `The whole strip${which}`
  if (kind === 'cover') return `Cover one band more: ${counted(count, 'band')} covered${which}`
  if (kind === 'bare') return `${counted(count, 'band')} bare${which}`
  if (kind === 'patch') return `Patch ${count} under the mask${which}`
  return `The whole sheet${which}`
}

/** The same as it is spoken. */
export function askWords({ kind, part }: TimerStep): string[] {
  const which = part === null ? [] : part === 0 ? ['soft'] : ['hard']
  return [...(kind === 'burn' ? ['burn'] : which), ...(kind === 'burn' ? [] : [kind])]
}

const thirds = ['', '⅓', '⅔']
/** How many stops under the whole the light is by now. */
export function stopsReached(lightS: number, wholeS: number): string {
  if (lightS <= 0) return '–'
  const under = Math.max(0, Math.round(-3 * Math.log2(lightS / wholeS)))
  return under === 0 ? 'whole' : `−${Math.floor(under / 3) || ''}${thirds[under % 3]} stop`
}
