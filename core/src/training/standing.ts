import { conflict } from '../error'
import { isLoading, loadingStages, noticeDays, taskNames, trainingEnds, type LoadingStage, type TrainingTask } from './task'

/** A line of what somebody was shown: given, or taken away. */
export interface TrainingTold {
  kind: 'given' | 'revoked'
  task: TrainingTask
  /** ms, when it was shown or taken away */
  at: number
  stage: LoadingStage | null
}

/** How somebody stands with a task: `soon` still counts, `partly` is loading not yet in the dark. */
export interface TaskStanding {
  task: TrainingTask
  state: 'may' | 'soon' | 'partly' | 'ended' | 'revoked' | 'never'
  /** ms; null where nothing holds or held */
  endsAt: number | null
  /** how far a reel was loaded; null for everything else */
  stage: LoadingStage | null
}

const dayMs = 86_400_000
const far = (one: TrainingTold): number => (isLoading(one.task) ? loadingStages.indexOf(one.stage ?? 'light') : loadingStages.length - 1)

/**
 * How somebody stands with a task, by all that was written of it: what was shown before it was taken away counts no more.
 * @param told in the order it was written
 * @param now ms
 * @example
 * taskStanding('powders', [], { now: 0, zone: 'UTC' }).state // → 'never'
 */
export function taskStanding(task: TrainingTask, told: TrainingTold[], { now, zone }: { now: number; zone: string }): TaskStanding {
  const mine = told.filter((one) => one.task === task)
  const away = mine.findLastIndex((one) => one.kind === 'revoked')
  const given = mine.slice(away + 1).map((one) => ({ ...one, far: far(one), endsAt: trainingEnds(task, one.at, zone) }))
  const held = given.filter((one) => one.endsAt > now)
  const best = [...(held.length > 0 ? held : given)].sort((a, b) => b.far - a.far || b.endsAt - a.endsAt)[0]
  const stage = best && isLoading(task) ? (loadingStages[best.far] ?? null) : null
  const none = { task, endsAt: best?.endsAt ?? null, stage }
  if (!best) return { ...none, state: away >= 0 ? 'revoked' : 'never' }
  if (held.length === 0) return { ...none, state: 'ended' }
  if (best.far < loadingStages.length - 1) return { ...none, state: 'partly' }
  return { ...none, state: best.endsAt - now <= noticeDays * dayMs ? 'soon' : 'may' }
}

/**
 * Whether a task is done without a technician.
 * @example
 * mayAlone({ state: 'soon' }) // → true
 */
export const mayAlone = ({ state }: Pick<TaskStanding, 'state'>): boolean => state === 'may' || state === 'soon'

/** ms a technician who is present stands in for one task: an opening of the darkroom. House default. */
export const presenceMs = 4 * 3_600_000

/** What somebody lacks for what they are about to do, for whoever asks a technician. */
export interface Lacking {
  personId: string
  person: string
  tasks: TrainingTask[]
}

const stateWords: Record<TaskStanding['state'], string> = {
  may: '',
  soon: '',
  partly: 'not yet in the dark',
  ended: 'ended',
  revoked: 'taken away',
  never: 'not shown yet',
}

/**
 * Refuses what somebody was not shown, or was shown too long ago, where no technician who is present stands in.
 * @param present tasks a technician stands in for now
 * @throws Refused 'not-trained', with `current` as {@link Lacking}
 * @example
 * requireTrained({ id: 'm', name: 'Tilda' }, [{ task: 'drums', state: 'may', endsAt: null, stage: null }], []) // → undefined
 */
export function requireTrained(person: { id: string; name: string }, standings: TaskStanding[], present: TrainingTask[]): void {
  const lacks = standings.filter((one) => !mayAlone(one) && !present.includes(one.task))
  if (lacks.length === 0) return
  const named = lacks.map((one) => `${taskNames[one.task]} (${stateWords[one.state]})`).join(', ')
  const current: Lacking = { personId: person.id, person: person.name, tasks: lacks.map((one) => one.task) }
  throw conflict('not-trained', `${person.name} lacks training: ${named}. A technician who is present confirms it.`, { current })
}
