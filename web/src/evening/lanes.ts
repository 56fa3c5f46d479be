import type { EveningHouse, Plan, RotaProblem, Timed } from '@selvrin/core'

/* What stands in a lane, in seconds of the evening. */

export interface Span {
  fromS: number
  toS: number
}
/** One step of a load as its block shows it. */
export interface Segment extends Span {
  name: string
  family: string
  /** it lies in the dark, in a closed tank, under a safelight */
  light: 'dark' | 'tank' | 'safelight' | 'white'
}
export interface Tick extends Span {
  load: string
  family: string
}
/** A time for which a room has a light. */
export interface LitSpan extends Span {
  light: string
}
export interface Bar extends Span {
  load: string
  /** from 0, where several are there at once */
  row: number
}
/** Bars in as few rows as they need. */
export function inRows(spans: (Span & { load: string })[]): Bar[] {
  const ends: number[] = []
  return [...spans]
    .sort((a, b) => a.fromS - b.fromS || a.toS - b.toS)
    .map((span) => {
      const free = ends.findIndex((end) => end <= span.fromS)
      const row = free < 0 ? ends.length : free
      ends[row] = span.toS
      return { ...span, row }
    })
}

const families = { load: 'loading', dry: 'dry' }
const familyOf = (plan: Plan | undefined, step: number): string => {
  const planned = plan?.steps[step]
  if (step < 0) return families.load
  return planned?.kind === 'dry' ? families.dry : (planned?.family ?? 'other')
}

const lightOf = (light: Plan['steps'][number]['light'] | undefined): Segment['light'] =>
  typeof light === 'object' ? 'safelight' : (light ?? 'white')

/** Segments of a load, its loading first. */
export function segmentsOf({ load, starts }: Timed, plan: Plan | undefined): Segment[] {
  const before = load.steps.length - (plan?.steps.length ?? load.steps.length)
  return load.steps.map((step, i) => ({
    ...{ fromS: starts[i] ?? 0, toS: (starts[i] ?? 0) + step.s },
    light: i < before ? 'dark' : lightOf(plan?.steps[i - before]?.light),
    ...{ name: i < before ? 'Loading' : (plan?.steps[i - before]?.name ?? ''), family: familyOf(plan, i - before) },
  }))
}

/** When each room has which light; what touches under the same light is one. */
export function lightsOf({ lit = [] }: RotaProblem, timed: Timed[], { rooms }: EveningHouse['room']): { room: string; spans: LitSpan[] }[] {
  const asked = timed.flatMap(({ load, starts }) =>
    load.steps.flatMap(({ light, s }, i) => (light ? [{ ...light, fromS: starts[i] ?? 0, toS: (starts[i] ?? 0) + s }] : [])),
  )
  return rooms.flatMap(({ name, uses }) => {
    const spans: LitSpan[] = []
    for (const { fromS, toS, light } of [...lit, ...asked].filter((one) => one.room === name).sort((a, b) => a.fromS - b.fromS)) {
      const last = spans.at(-1)
      if (last && last.light === light && fromS <= last.toS) last.toS = Math.max(last.toS, toS)
      else spans.push({ fromS, toS, light })
    }
    return spans.length === 0 || uses.every((use) => use === 'loading') ? [] : [{ room: name, spans }]
  })
}

/** Hands-on times of whoever leads, each with the family of its step. */
export function ticksOf(timed: Timed[], plans: Record<string, Plan>, person: number): Tick[] {
  return timed
    .filter((one) => one.placed.person === person)
    .flatMap(({ load, starts }) => {
      const plan = plans[load.id]
      const before = load.steps.length - (plan?.steps.length ?? load.steps.length)
      return load.steps.flatMap((step, i) =>
        step.handsOn.map(([from, to]) => ({
          ...{ load: load.id, family: familyOf(plan, i - before) },
          ...{ fromS: (starts[i] ?? 0) + from, toS: (starts[i] ?? 0) + to },
        })),
      )
    })
}

/** When somebody is not there, within the evening. */
export function awayOf({ duty = [], opensS, closesS }: RotaProblem, person: number): Span[] {
  const mine = duty.find((one) => one.person === person)
  if (!mine) return []
  return [
    ...(mine.fromS > opensS ? [{ fromS: opensS, toS: mine.fromS }] : []),
    ...(mine.toS < closesS ? [{ fromS: mine.toS, toS: closesS }] : []),
  ]
}
export function restOf({ breaks = [] }: RotaProblem, person: number) {
  const mine = breaks.find((one) => one.person === person)
  return mine ? { s: mine.s, fromS: mine.earliestS, untilS: mine.latestS } : null
}
