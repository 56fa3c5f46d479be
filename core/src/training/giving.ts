import { impossible } from '../error'
import type { PractisedLoading } from '../practice/practised'
import type { ProcessBody } from '../process/processBody'
import { isLoading, loadingTask, type LoadingStage, type TrainingBody, type TrainingTask } from './task'

/** ms a clock may be ahead of the server's, and how long ago something may have been shown to be written down now */
const [aheadMs, oldestMs] = [5 * 60_000, 366 * 86_400_000]

/**
 * Refuses a training that cannot have been: of a day that has not come, too long ago, a stage where there is none, or by oneself.
 * @param now ms
 * @throws Refused 'not-yet', 'too-old', 'no-stage', 'yourself'
 * @example
 * requireTraining({ task: 'drums', at: 0, stage: null, outside: '' }, { now: 1000, byOneself: false }) // → undefined
 */
export function requireTraining(
  { task, at, stage, outside }: Omit<TrainingBody, 'shown'>,
  { now, byOneself }: { now: number; byOneself: boolean },
): void {
  if (byOneself && outside === '') throw impossible('yourself', 'Nobody shows it to themselves: say who did.', { field: 'outside' })
  if (at > now + aheadMs) throw impossible('not-yet', 'That day has not come yet: say when it was shown.', { field: 'at' })
  if (at < now - oldestMs) throw impossible('too-old', 'That is more than a year ago: it has ended. Show it again.', { field: 'at' })
  if (isLoading(task) !== (stage !== null))
    throw impossible('no-stage', isLoading(task) ? 'Say how far: in the light, with eyes shut, in the dark.' : 'Only loading has stages.', {
      field: 'stage',
    })
}

/** What was practised with nothing wrong, as a technician may count it. */
export interface Countable {
  task: TrainingTask
  stage: LoadingStage | null
}

/**
 * What a practice with nothing wrong may count as, where a technician says so.
 * @example
 * countsAs({ clean: true, loading: { what: '135', where: 'dark', seconds: 40, went: 'clean' }, process: null }) // → [{ task: 'load-135', stage: 'dark' }]
 */
export function countsAs({
  clean,
  loading,
  process,
}: {
  clean: boolean
  loading: PractisedLoading | null
  process: Pick<ProcessBody, 'material' | 'steps'> | null
}): Countable[] {
  if (!clean) return []
  if (loading) return [{ task: loadingTask(loading.what), stage: loading.where }]
  if (!process) return []
  const colour = process.material === 'colour-negative' || process.material === 'slide'
  const bleaches = process.steps.some((step) => step.kind === 'bleach' || step.kind === 'bleach-fix')
  return [
    ...(colour ? [{ task: 'colour-developers' as const, stage: null }] : []),
    ...(bleaches ? [{ task: 'bleaches' as const, stage: null }] : []),
  ]
}
