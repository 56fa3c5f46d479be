import type { PractisedLoading, TroubleKind } from '@selvrin/core'
import type { PracticeRow } from '@selvrin/core/contract'
import { showTime } from '@selvrin/core'

/** What may go wrong on purpose. */
export const troubleNames: Record<TroubleKind, string> = {
  drift: 'The bath drifts',
  doorbell: 'The doorbell rings',
  'wrong-beaker': 'Beakers stand the wrong way round',
  'fixer-failed': 'The fixer fails its test',
  light: 'The light goes on',
}

/** How a reel was loaded, in words. */
export const wentWords: Record<PractisedLoading['went'], string> = {
  clean: 'It slid on',
  jammed: 'It jammed, wound back',
  touched: 'I touched the film',
  creased: 'It creased',
  'given-up': 'I gave up',
}
const whereWords: Record<PractisedLoading['where'], string> = { light: 'in the light', 'eyes-shut': 'with eyes shut', dark: 'in the dark' }

/** What was practised, in a line. */
export const whatWords = ({ kind, processName, speed, loading }: PracticeRow): string =>
  kind === 'run' || !loading
    ? `${processName ?? 'A process'} at ${speed ?? 1}×`
    : `Loading ${loading.what} ${whereWords[loading.where]}, ${showTime(loading.seconds)}`

/** What came of it, in a line. */
export const cameWords = ({ kind, clean, findings, loading }: PracticeRow): string =>
  kind === 'loading' && loading
    ? wentWords[loading.went]
    : clean
      ? 'The film would be right'
      : (findings[0]?.message ?? 'The film would not be right')
