import { calendarDays } from '../calendar/days'
import type { Finding } from '../finding'
import { drumCheck } from './drumCheck'
import { drumNames } from './drumNames'
import { drumLimitMl, usualGPerMl, type DrumFacts, type DrumState } from './drum'
import { meeting } from './meeting'

/** A tray that drums stand in. */
export interface DrumTray {
  name: string
  /** ml it holds if a drum leaks */
  holdsMl: number
  /** all the drums in it */
  drums: Pick<DrumFacts, 'code' | 'family' | 'volumeMl'>[]
}
/** of the largest drum in it that a tray has to hold */
const trayShare = 1.1
/** share of its limit from which a drum is as good as full */
const nearlyFull = 0.95

/** Families that free gas in the closed drum. */
const breathes: DrumFacts['family'][] = ['sil']

function ofTray(drum: DrumFacts, tray: DrumTray | null): string[] {
  if (!tray) return ['It stands in no tray: a leak goes onto the floor.']
  const largest = Math.max(0, ...tray.drums.map((one) => one.volumeMl))
  const bad = tray.drums.find((one) => one.code !== drum.code && meeting(one.family, drum.family).verdict === 'block')
  return [
    ...(tray.holdsMl < trayShare * largest ? [`The tray “${tray.name}” holds less than its largest drum and a tenth: a larger one.`] : []),
    ...(bad ? [`Drum ${bad.code}, ${drumNames[bad.family]}, stands in the same tray, and the two never meet: another tray.`] : []),
  ]
}

/**
 * What is to be said of a drum at a time (ms): how long it has been open, whether it is full, its cap, its tray, its weight. `adviceDays`, `warnDays`: days since its first pour.
 * @example
 * drumFindings(aDrum, drumState(aDrum, []), { now: 0, zone: 'UTC', adviceDays: 60, warnDays: 90, tray: null }).map((one) => one.rule) // → ['drum-tray', 'drum-vent']
 */
export function drumFindings(
  drum: DrumFacts,
  state: DrumState,
  { now, zone, adviceDays, warnDays, tray }: { now: number; zone: string; adviceDays: number; warnDays: number; tray: DrumTray | null },
): Finding[] {
  if (state.standing === 'collected') return []
  const found: Finding[] = []
  const say = (rule: string, severity: Finding['severity'], message: string): void => void found.push({ rule, severity, message })
  if (state.standing === 'quarantined')
    say(
      'drum-quarantine',
      'error',
      `In quarantine: ${drum.quarantinedWhy ?? 'a wrong pour'}. Do not open, move or fill it; ventilate; call the contractor.`,
    )
  const days = state.firstAt === null ? 0 : calendarDays(state.firstAt, now, zone)
  if (days >= warnDays) say('drum-days', 'warning', `${days} days since its first pour: have it collected.`)
  else if (days >= adviceDays) say('drum-days', 'advice', `${days} days since its first pour: plan its collection.`)
  if (state.standing === 'open' && state.ml >= nearlyFull * drumLimitMl(drum))
    say('drum-full', 'warning', 'As good as full: seal it, and label the next.')
  for (const message of ofTray(drum, tray)) say('drum-tray', 'warning', message)
  if (!drum.vented && breathes.includes(drum.family)) say('drum-vent', 'warning', 'Bleach-fix gives off gas: a vented cap.')
  if (state.weighed && (state.lastAt === null || state.weighed.at >= state.lastAt)) {
    const { readingKg } = state.weighed
    const gPerMl = state.ml > 0 ? (1000 * (state.kg - drum.tareKg)) / state.ml : usualGPerMl
    found.push(...drumCheck({ ledgerMl: state.ml, tareKg: drum.tareKg, readingKg, gPerMl }).findings)
  }
  return found
}
