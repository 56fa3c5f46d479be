import type { RotaPin, RotaProblem } from '../problem'
import { Decoder } from './decode'
import type { Fixed } from './placed'
import type { Load, Shape } from './shape'

/** Starts of a pin’s blocks; null where its waits are none it may have. */
function startsOf(problem: RotaProblem, shape: Shape, pin: RotaPin, index: number): number[] | null {
  const steps = problem.loads[index]?.steps ?? []
  const { waits } = pin
  if (waits && waits.length !== steps.length) return null
  const starts: number[] = []
  let at = pin.startS - shape.base
  for (const [i, step] of steps.entries()) {
    const wait = waits?.[i] ?? 0
    const most = i === 0 ? 0 : (step.maxWaitS ?? 0)
    if (!Number.isInteger(wait) || wait < 0 || wait > most) return null
    at += wait
    if (i === 0 || most > 0) starts.push(at)
    at += step.s
  }
  return starts
}

/** Numbers from 0, or the one that was said. */
const either = (said: number | undefined, count: number): number[] =>
  said === undefined ? Array.from({ length: count }, (_, i) => i) : [said]

/** What is fixed, in the order it was fixed in, and what cannot be as it was fixed: alone, or with those before it. */
export function fixedOf(problem: RotaProblem, shape: Shape): { fixed: Fixed[]; failed: number[] } {
  const fixed: Fixed[] = []
  const failed: number[] = []
  const decoder = new Decoder(shape)
  decoder.begin()
  for (const pin of problem.pinned ?? []) {
    const load = problem.loads.findIndex((one) => one.id === pin.load)
    if (load < 0 || failed.includes(load) || fixed.some((one) => one.load === load)) continue
    const place = placeOf(problem, shape, decoder, pin, load)
    if (place) {
      decoder.place(place)
      fixed.push(place)
    } else failed.push(load)
  }
  return { fixed, failed }
}

function placeOf(problem: RotaProblem, shape: Shape, decoder: Decoder, pin: RotaPin, load: number): Fixed | null {
  const starts = startsOf(problem, shape, pin, load)
  const vessel = problem.vessels.findIndex((one) => one.id === pin.vessel)
  if (!starts || vessel < 0) return null
  const named = pin.bath === undefined ? undefined : problem.baths.findIndex((one) => one.id === pin.bath)
  const needsBath = (shape.loads[load] as Load).stays.length > 0
  if (!needsBath && named !== undefined) return null
  const baths = needsBath ? either(named, problem.baths.length) : [-1]
  for (const person of either(pin.person, problem.hands)) {
    if (person < 0 || person >= problem.hands) continue
    for (const bath of baths) {
      const place: Fixed = { load, starts, vessel, person, bath }
      if (!decoder.couldBe(place)) continue
      const words = Int32Array.from(decoder.words)
      decoder.place(place)
      const room = decoder.breaksFit()
      decoder.words.set(words)
      decoder.placed[load] = 0
      if (room) return place
    }
  }
  return null
}
