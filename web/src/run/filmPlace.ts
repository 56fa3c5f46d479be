import { filmDryAt } from '@selvrin/core'
import type { Roll } from '@selvrin/core/contract'
import { showClock, showMoment } from '../marks/words'

export type FilmStage = 'in-tank' | 'wet' | 'dry' | 'sleeved' | 'handed'
type Placed = Pick<Roll, 'hungAt' | 'dryer' | 'hanger' | 'cut' | 'sleeve' | 'sleevedAt' | 'handedAt'>

/** Where a film is on its way from the tank to its owner, at a time (ms). */
export function stageOf({ hungAt, dryer, sleevedAt, handedAt }: Placed, at: number): FilmStage {
  if (handedAt !== null) return 'handed'
  if (sleevedAt !== null) return 'sleeved'
  if (hungAt === null) return 'in-tank'
  return filmDryAt(hungAt, dryer ?? 'air') > at ? 'wet' : 'dry'
}

/** The same in words; '' while it is in its tank. */
export function placeWords(roll: Placed, at: number, zone: string): string {
  const stage = stageOf(roll, at)
  const hangs = [roll.dryer === 'cabinet' ? 'In the cabinet' : 'Hangs', roll.hanger === null ? '' : ` on ${roll.hanger}`].join('')
  const sleeve = `Sleeve ${roll.sleeve ?? '–'}${roll.cut ? `, strips of ${roll.cut}` : ''}`
  if (stage === 'wet') return `${hangs}, dry at ${showClock(filmDryAt(roll.hungAt ?? 0, roll.dryer ?? 'air'), zone)}`
  if (stage === 'dry') return `${hangs}, dry: to cut and sleeve`
  if (stage === 'sleeved') return `${sleeve}, in its owner’s place`
  return stage === 'handed' ? `${sleeve}, handed back ${showMoment(roll.handedAt ?? 0, zone)}` : ''
}
