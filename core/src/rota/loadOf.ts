import type { Plan, PlanStep } from '../process/load'
import { courseOf } from '../run/course'
import { handsOnOf } from '../run/together'
import type { RotaLoad } from './problem'

/** s film may wait when its last wash is over: before its wetting agent or stabiliser, and before the dryer */
const standsS = 600
/** °C: a bath that may be further off than this is brought to temperature beside the tempering bath */
const temperedC = 1

/** Where film is handled: the closet it is loaded in, the room in which it lies open in trays, and the one with the lamp it is shown to; trays and lamp stand in one room where none is said. */
export interface LoadRooms {
  loading?: string | undefined
  open?: string | undefined
  lamp?: string | undefined
}

/** What an evening has to know of a load beside its plan; s since the midnight before opening. */
interface AsLoad {
  id: string
  readyS: number
  dueS: number
  weight: number
  /** s in the loading closet before the first pour, 0 where it is loaded already */
  loadingS: number
  /** where they need a light of their own */
  rooms?: LoadRooms | undefined
}

/** Whether a step needs the temperature of the bath: a liquid that is poured, and that has to be within a degree. */
const isTempered = ({ liquid, toleranceC, c }: PlanStep): boolean => liquid !== 'air' && liquid !== 'light' && toleranceC <= temperedC && !c

/** Times in which a step wants hands, whole seconds within it: as its clock will call them. */
function handsOf(plan: Plan, index: number, lengthS: number): [number, number][] {
  const course = courseOf(plan)
  const [step] = course.slice(index, index + 1)
  if (!step) return []
  const hands = handsOnOf({ name: '', rotary: plan.vessel.kind === 'rotary', course: [step], step: 0, startedAt: 0 })
  const spans: [number, number][] = []
  for (const { fromAt, untilAt } of hands) {
    const [from, to] = [Math.max(0, Math.floor(fromAt / 1000)), Math.min(lengthS, Math.ceil(untilAt / 1000))]
    const last = spans.at(-1)
    if (to <= from) continue
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else spans.push([from, to])
  }
  return spans
}

/** The light a step needs in the room: in a closed tank none, and where light is only allowed neither. */
function lightOf({ kind, light, liquid }: PlanStep): string | null {
  if (light === 'tank') return null
  if (light === 'white') return kind === 'inspect' || kind === 're-expose' || liquid === 'light' ? 'white' : null
  return light === 'dark' ? 'dark' : light.safelight
}

const uses: Partial<Record<PlanStep['kind'], string>> = { wash: 'wash', dry: 'dryer' }

/**
 * A planned run as a load of an evening: its hands-on times are the cues its clock will call, so that what is planned is what will be called out. It may wait when it is
 * loaded and after its last wash, never between its chemicals, and takes a place of the closet, the wash and the dryer.
 * @example
 * loadOf(run, { id: 'l1', readyS: 64_800, dueS: 72_000, weight: 2, loadingS: 300 }).steps[0] // → { s: 300, handsOn: [[0, 300]], inBath: false, uses: ['closet'] }
 */
export function loadOf(plan: Plan, { loadingS, rooms = {}, ...more }: AsLoad): RotaLoad {
  const tempered = plan.steps.filter(isTempered)
  const lastWash = plan.steps.findLastIndex((step) => step.kind === 'wash')
  const washed = (index: number) => lastWash >= 0 && index > lastWash
  const dark = rooms.loading === undefined ? {} : { light: { room: rooms.loading, light: 'dark' } }
  const loading =
    loadingS > 0 ? [{ s: loadingS, handsOn: [[0, loadingS]] as [number, number][], inBath: false, uses: ['closet'], ...dark }] : []
  return {
    ...more,
    ...{ kind: plan.vessel.kind, rolls: plan.films.reduce((sum, film) => sum + film.count, 0) },
    temperatureC: tempered[0]?.temperatureC ?? plan.temperatureC,
    toleranceC: Math.min(...tempered.map((step) => step.toleranceC), temperedC),
    steps: [
      ...loading,
      ...plan.steps.map((step, i) => {
        const s = Math.round(step.seconds)
        const resource = uses[step.kind]
        const light = lightOf(step)
        const room = light === 'white' ? (rooms.lamp ?? rooms.open) : rooms.open
        return {
          ...{ s, handsOn: handsOf(plan, i, s), inBath: isTempered(step) },
          // a loaded tank stands closed as well
          ...((i === 0 ? loadingS > 0 : washed(i)) ? { maxWaitS: standsS } : {}),
          ...(resource ? { uses: [resource] } : {}),
          ...(light === null || room === undefined ? {} : { light: { room, light } }),
        }
      }),
    ],
  }
}
