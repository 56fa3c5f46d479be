import {
  bathLine,
  firstNames,
  printsIn,
  runOf,
  timesOf,
  type BathAsked,
  type BathCorner,
  type eveningAsIs,
  type EveningBody,
  type EveningHouse,
  type EveningNames,
  type EveningOrder,
  type LoadRun,
  type Plan,
  type PlacedLoad,
  unplacedWords,
} from '@selvrin/core'
import { awayOf, inRows, lightsOf, restOf, segmentsOf, ticksOf, type Bar, type LitSpan, type Segment, type Span, type Tick } from './lanes'

/* An evening as lanes: what is drawn where, in seconds of the evening. */

/** A load in its tank. */
export interface Block {
  load: string
  vessel: string
  person: number
  /** until it is rinsed and dry */
  startS: number
  endS: number
  resetS: number
  owners: string
  /** the same by first names */
  short: string
  what: string
  how: string
  segments: Segment[]
  /** s past the time it is wanted by */
  lateS: number
  critical: boolean
  fixed: boolean
  /** number of the run it is by now; null where it is none yet */
  run: number | null
  runId: string | null
  running: boolean
  over: boolean
}
export interface Board {
  opensS: number
  closesS: number
  cleanS: number
  people: {
    person: number
    name: string
    /** by the first name, where that is enough */ short: string
    ticks: Tick[]
    away: Span[]
    rest: { s: number; fromS: number; untilS: number } | null
  }[]
  vessels: { id: string; name: string; reels: number; kind: 'hand' | 'rotary'; blocks: Block[] }[]
  baths: { id: string; name: string; points: BathCorner[]; asked: BathAsked[] }[]
  /** rooms that something needs a light of, but what is only loaded in: the closet’s lane shows that */
  lights: { room: string; spans: LitSpan[] }[]
  closet: Bar[]
  wash: Bar[]
  dryer: Bar[]
  prints: (Bar & { name: string })[]
  blocks: Block[]
  rolls: number
  /** loads without a place, with why */
  without: { load: string; owners: string; what: string; why: string[]; /** its bottles do not bear it */ against: boolean }[]
}

interface Known {
  house: EveningHouse
  runs: LoadRun[]
  orders: EveningOrder[]
  asIs: ReturnType<typeof eveningAsIs>
  names: EveningNames
  /** names of those who print, by id */
  printers: Record<string, string>
}

/** What is in a tank, in a few words: 'Millrace 400, Millrace 100'. */
const filmsOf = (films: { film: string }[]): string => [...new Set(films.map((one) => one.film))].join(', ')

/** What it is developed in: 'soft borax 1+1'. */
function bathOf(plan: Plan | undefined): string {
  const bottle = plan?.steps.find((step) => step.kind === 'develop')?.bottle ?? plan?.steps.find((step) => step.bottle)?.bottle
  return bottle ? `${bottle.name}${bottle.parts.length > 1 ? ` ${bottle.parts.join('+')}` : ''}` : (plan?.processName ?? '')
}

export function boardOf(body: EveningBody, { house, runs, asIs, names, printers }: Known): Board {
  const { problem, rota, plans } = asIs
  const prints = printsIn(body, house.prints)
  const timed = rota.placed.flatMap((placed) => {
    const load = problem.loads.find((one) => one.id === placed.load)
    return load ? [timesOf(load, placed)] : []
  })
  const blocks = timed.map((one): Block => {
    const kept = body.loads.find((load) => load.id === one.load.id)
    const run = kept && runOf(kept, runs)
    const plan = plans[one.load.id]
    return {
      ...{ load: one.load.id, vessel: one.placed.vessel, person: one.placed.person, startS: one.placed.startS, endS: one.endS },
      resetS: problem.vessels.find((vessel) => vessel.id === one.placed.vessel)?.resetS ?? 0,
      ...{
        owners: names.load(one.load.id),
        short: names.shortly(one.load.id),
        what: filmsOf(kept?.request.films ?? []),
        how: bathOf(plan),
      },
      ...{ segments: segmentsOf(one, plan), lateS: Math.max(0, one.endS - one.load.dueS) },
      ...{ critical: kept?.request.critical ?? false, fixed: kept?.fixed ?? false },
      ...{ run: run?.number ?? null, runId: run?.id ?? null, running: run?.state === 'running', over: run?.state === 'done' },
    }
  })
  const uses = (id: string): Bar[] =>
    inRows(
      timed.flatMap(({ load, starts }) =>
        load.steps.flatMap((step, i) =>
          step.uses?.includes(id) ? [{ load: load.id, fromS: starts[i] ?? 0, toS: (starts[i] ?? 0) + step.s }] : [],
        ),
      ),
    )
  const shorter = firstNames(body.people.map((_, person) => names.person(person)))
  const inUse = new Set(blocks.map((block) => block.vessel))
  const usable = house.vessels.filter((vessel) => inUse.has(vessel.id) || !house.out.includes(vessel.id))
  return {
    ...{ opensS: problem.opensS, closesS: problem.closesS, cleanS: problem.cleanS ?? 0, blocks },
    people: body.people.map((one, person) => ({
      ...{
        person,
        name: names.person(person),
        short: shorter(names.person(person)),
        ticks: ticksOf(timed, plans, person),
        away: awayOf(problem, person),
      },
      rest: one.rest && restOf(problem, person),
    })),
    vessels: usable.map(({ id, name, reels, kind }) => ({ id, name, reels, kind, blocks: blocks.filter((block) => block.vessel === id) })),
    baths: problem.baths.map(({ id }) => ({ id, name: names.bath(id), ...bathLine(problem, rota.placed, id) })),
    lights: lightsOf(problem, timed, house.room),
    ...{ closet: uses('closet'), wash: uses('wash'), dryer: uses('dryer') },
    rolls: body.loads.reduce((sum, load) => sum + load.orders.length, 0),
    prints: inRows(
      prints.map(({ id, fromAt, untilAt }) => ({
        load: id,
        fromS: (fromAt - names.midnight) / 1000,
        toS: (untilAt - names.midnight) / 1000,
      })),
    ).map((bar) => ({ ...bar, name: printers[prints.find((one) => one.id === bar.load)?.memberId ?? ''] ?? '' })),
    without: withoutPlace(body, { asIs, names, placed: rota.placed }),
  }
}

function withoutPlace(
  body: EveningBody,
  { asIs, names, placed }: Pick<Known, 'asIs' | 'names'> & { placed: PlacedLoad[] },
): Board['without'] {
  return body.loads.flatMap((load) => {
    if (placed.some((one) => one.load === load.id)) return []
    const against = (asIs.against[load.id] ?? []).map((one) => one.message)
    return [
      {
        load: load.id,
        owners: names.load(load.id),
        what: filmsOf(load.request.films),
        against: against.length > 0 || load.unplaced === 'bottle',
        why: against.length > 0 || !load.unplaced ? against : [`${unplacedWords(load.unplaced)}.`],
      },
    ]
  })
}

/** s between two marks of the time axis, so that they stand at least so many px apart. */
export function axisStepS(pxPerS: number, apartPx = 90): number {
  const steps = [1, 2, 5, 10, 30, 60, 120, 300, 600, 900, 1800, 3600, 7200]
  return steps.find((s) => s * pxPerS >= apartPx) ?? 7200
}
