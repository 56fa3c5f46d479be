import type { RotaLoad, RotaProblem } from '../problem'

/* The problem as the search sees it: whole seconds from `base` on, lists of figures instead of names. */

/** Steps that follow one another without a wait. */
interface Block {
  durationS: number
  /** s that may pass before it */
  maxWaitS: number
  /** hands-on intervals from its start, what touches joined, the longest first: [from, to, from, to …] */
  hands: Int32Array
  /** what it takes of resources: [resource, from, to, …] */
  uses: Int32Array
}

/** A time in the bath that asks for a temperature, thousandths of °C, from the start of one block to a moment of another. */
interface Stay {
  fromBlock: number
  fromS: number
  toBlock: number
  toS: number
  low: number
  high: number
}

export interface Load {
  id: string
  rolls: number
  /** earliest start */
  readyS: number
  dueS: number
  weight: number
  blocks: Block[]
  /** the first so many blocks are placed together: up to the last that is in the bath */
  main: number
  /** s of all its steps */
  wholeS: number
  /** s of the blocks from each on */
  restS: number[]
  stays: Stay[]
  /** vessels that take it, the smallest first */
  vessels: number[]
}

export interface Bath {
  /** thousandths of °C */
  start: number
  heat: number
  cool: number
  places: number
}

export interface Shape {
  base: number
  opensS: number
  /** every load ends by then */
  endsS: number
  /** nothing is marked after */
  horizonS: number
  people: number
  loads: Load[]
  resetS: number[]
  baths: Bath[]
  /** of each resource; a light of a room is one that any number share */
  places: number[]
  /** lights of the same room, which a light shares no second with */
  against: number[][]
  /** times in which a room has a light already */
  lit: { resource: number; fromS: number; toS: number }[]
  /** breaks: person, s, earliest, latest */
  breaks: { person: number; s: number; earliestS: number; latestS: number }[]
  /** seconds in which each person is not there: [from, to, …] */
  away: number[][]
}

const thousandths = (c: number): number => Math.round(1000 * c)

/** Intervals joined where they touch or overlap, the longest first: a conflict is found soonest there. */
function joined(spans: [number, number][]): Int32Array {
  const all: [number, number][] = []
  for (const [from, to] of spans.filter(([a, b]) => b > a).sort((a, b) => a[0] - b[0])) {
    const open = all.at(-1)
    if (open && from <= open[1]) open[1] = Math.max(open[1], to)
    else all.push([from, to])
  }
  return Int32Array.from(all.sort((a, b) => b[1] - b[0] - (a[1] - a[0])).flat())
}

/** A light of a room among the resources. */
const lightName = ({ room, light }: { room: string; light: string }): string => JSON.stringify([room, light])

/** The resources by name: those of the problem, then every light that something needs in a room. */
function resourcesOf({ resources = [], lit = [], loads }: RotaProblem): { named: Map<string, number>; against: number[][] } {
  const lights = [...lit, ...loads.flatMap((load) => load.steps.flatMap((step) => step.light ?? []))]
  const rooms = new Map<string, string>(lights.map((one) => [lightName(one), one.room]))
  const named = new Map([...resources.map(({ id }) => id), ...rooms.keys()].map((id, i) => [id, i]))
  const against = [...named].map(([id]) =>
    [...rooms].flatMap(([other, room]) => (other !== id && rooms.get(id) === room ? (named.get(other) as number) : [])),
  )
  return { named, against }
}

function blocksOf(load: RotaLoad, resources: Map<string, number>): { blocks: Block[]; at: { block: number; fromS: number }[] } {
  const blocks: { durationS: number; maxWaitS: number; hands: [number, number][]; uses: number[] }[] = []
  const at: { block: number; fromS: number }[] = []
  load.steps.forEach((step, i) => {
    const wait = i === 0 ? 0 : (step.maxWaitS ?? 0)
    if (i === 0 || wait > 0) blocks.push({ durationS: 0, maxWaitS: wait, hands: [], uses: [] })
    const block = blocks.at(-1)
    if (!block) return
    const fromS = block.durationS
    at.push({ block: blocks.length - 1, fromS })
    for (const [a, b] of step.handsOn) block.hands.push([fromS + a, fromS + b])
    for (const id of new Set([...(step.uses ?? []), ...(step.light ? [lightName(step.light)] : [])])) {
      const resource = resources.get(id)
      if (resource !== undefined && step.s > 0) block.uses.push(resource, fromS, fromS + step.s)
    }
    block.durationS += step.s
  })
  return { blocks: blocks.map((one) => ({ ...one, hands: joined(one.hands), uses: Int32Array.from(one.uses) })), at }
}

/** What a load asks of a bath: one stay, or one for each of its steps in it where steps have ranges of their own. */
function staysOf({ steps, temperatureC, toleranceC }: RotaLoad, at: { block: number; fromS: number }[]): Stay[] {
  const inBath = steps.flatMap((step, i) => (step.inBath ? [i] : []))
  const [first, last] = [inBath[0], inBath.at(-1)]
  if (first === undefined || last === undefined) return []
  const begin = (i: number) => ({ fromBlock: at[i]?.block ?? 0, fromS: at[i]?.fromS ?? 0 })
  const end = (i: number) => ({ toBlock: at[i]?.block ?? 0, toS: (at[i]?.fromS ?? 0) + (steps[i]?.s ?? 0) })
  const own = {
    low: thousandths(temperatureC) - thousandths(toleranceC),
    high: thousandths(temperatureC) + thousandths(toleranceC),
  }
  if (!steps.some((step) => step.c)) return [{ ...begin(first), ...end(last), ...own }]
  return inBath.map((i) => {
    const c = steps[i]?.c
    const range = c ? { low: thousandths(c[0]), high: thousandths(c[1]) } : own
    // the wait after a step is its own: up to where the next begins
    const next = at[i + 1]
    return { ...begin(i), ...(i === last || !next ? end(i) : { toBlock: next.block, toS: next.fromS }), ...range }
  })
}

/** Seconds outside of somebody's duty, joined; nothing where no duty is said. */
function awayOf(problem: RotaProblem, person: number, base: number, horizonS: number): number[] {
  const duty = (problem.duty ?? []).filter((one) => one.person === person).sort((a, b) => a.fromS - b.fromS)
  if (duty.length === 0) return []
  const away: number[] = []
  let since = 0
  for (const { fromS, toS } of duty) {
    if (fromS - base > since) away.push(since, Math.min(fromS - base, horizonS))
    since = Math.max(since, toS - base)
  }
  if (since < horizonS) away.push(since, horizonS)
  return away
}

/** The problem in figures. */
export function shapeOf(problem: RotaProblem): Shape {
  const base = Math.min(problem.opensS, ...(problem.pinned ?? []).map((pin) => pin.startS))
  const { named, against } = resourcesOf(problem)
  const endsS = problem.closesS - (problem.cleanS ?? 0) - base
  const lastBreak = Math.max(0, ...(problem.breaks ?? []).map((one) => one.latestS + one.s - base))
  const horizonS = Math.max(endsS, problem.closesS - base, lastBreak) + 64
  const loads = problem.loads.map((load): Load => {
    const { blocks, at } = blocksOf(load, named)
    const stays = staysOf(load, at)
    const durations = blocks.map((block) => block.durationS)
    const fits = problem.vessels
      .map((vessel, i) => ({ ...vessel, i }))
      .filter((vessel) => vessel.kinds.includes(load.kind) && vessel.rolls >= load.rolls)
      .sort((a, b) => a.rolls - b.rolls || a.resetS - b.resetS || a.i - b.i)
    return {
      ...{
        id: load.id,
        rolls: load.rolls,
        readyS: Math.max(load.readyS, problem.opensS) - base,
        dueS: load.dueS - base,
        weight: load.weight,
      },
      ...{ blocks, stays, main: 1 + Math.max(0, ...stays.map((stay) => stay.toBlock)) },
      wholeS: durations.reduce((sum, s) => sum + s, 0),
      restS: durations.map((_, i) => durations.slice(i).reduce((sum, s) => sum + s, 0)),
      vessels: fits.map((vessel) => vessel.i),
    }
  })
  return {
    ...{ base, opensS: problem.opensS - base, endsS, horizonS, people: problem.hands, loads },
    resetS: problem.vessels.map((vessel) => vessel.resetS),
    baths: problem.baths.map((bath) => ({
      ...{ start: thousandths(bath.startC), heat: thousandths(bath.heatCPerMin), cool: thousandths(bath.coolCPerMin), places: bath.places },
    })),
    places: against.map((_, i) => problem.resources?.[i]?.places ?? Infinity),
    against,
    lit: (problem.lit ?? []).map((one) => ({
      ...{ resource: named.get(lightName(one)) as number, fromS: one.fromS - base, toS: one.toS - base },
    })),
    breaks: (problem.breaks ?? []).map((one) => ({ ...one, earliestS: one.earliestS - base, latestS: one.latestS - base })),
    away: Array.from({ length: problem.hands }, (_, person) => awayOf(problem, person, base, horizonS)),
  }
}
