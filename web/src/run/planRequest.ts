import type { Bottle, ChartRow, PlanRequest } from '@selvrin/core/contract'
import type { DeveloperChoice, Format } from './planChoices'

/** What is chosen on the plan page, while it is chosen. */
export interface Asked {
  film: string | null
  ei: string | null
  push: string | null
  format: Format | null
  owners: { id: string; memberId: string | null }[]
  vesselId: string | null
  /** a bottle and a dilution, see `developerChoices` */
  developer: string | null
  /** whose time, where the chart's sources disagree */
  source: string | null
  stop: string | null
  fixer: string | null
  second: string | null
  aid: string | null
  wetting: string | null
  /** as it counts */
  temperatureC: number | null
  /** as the thermometer shows it */
  typedC: number | null
  agitation: string | null
  critical: boolean
  slow: boolean
  preWet: boolean
}

/** What follows from what is chosen and from what stands in the house. */
export interface Found {
  developer: DeveloperChoice | undefined
  rows: ChartRow[]
  bottles: Bottle[]
  /** the first fixer wants a second one */
  paired: boolean
}

/** The first thing a plan still lacks, as what is to be done; empty where it lacks nothing. */
export function lacking(asked: Asked, { developer }: Pick<Found, 'developer'>): string {
  if (!asked.film) return 'Choose the film.'
  if (!developer) return 'Choose the developer.'
  if (!asked.vesselId) return 'Choose the tank.'
  if (asked.owners.some((owner) => owner.memberId === null)) return 'Say whose films they are.'
  if (asked.temperatureC === null) return 'Measure the developer and write its temperature.'
  return ''
}

/** What the house is asked to plan; nothing while something is lacking. */
export function planRequest(asked: Asked, { developer, rows, bottles, paired }: Found): PlanRequest | null {
  if (!developer || lacking(asked, { developer }) !== '') return null
  const bath = (family: string, id: string | null) => {
    const bottle = bottles.find((one) => one.id === id)
    return bottle ? [{ family, bottleId: bottle.id, parts: bottle.parts === null ? (bottle.use.dilutions[0] ?? [1]) : [1] }] : []
  }
  const wanted = (id: string | null) => id !== null && id !== 'none'
  return {
    vesselId: asked.vesselId ?? '',
    films: asked.owners.map((owner) => ({
      id: owner.id,
      memberId: owner.memberId ?? '',
      film: asked.film ?? '',
      format: asked.format ?? '135-36',
      ei: Number(asked.ei),
      pushStops: Number(asked.push),
      slowClearing: asked.slow,
    })),
    chartRowIds: rows.map((row) => row.id),
    baths: [
      { family: 'film-developer', bottleId: developer.bottleId, parts: developer.parts },
      ...bath('stop-bath', asked.stop),
      ...bath('fixer', asked.fixer),
      ...(paired ? bath('fixer', asked.second) : []),
      ...bath('wash-aid', asked.aid),
      ...bath('wetting-agent', asked.wetting),
    ],
    temperatureC: asked.temperatureC ?? 20,
    agitation: asked.agitation ?? '10-4inv-30',
    critical: asked.critical,
    preWet: asked.preWet,
    washAid: wanted(asked.aid),
    wettingAgent: wanted(asked.wetting),
  }
}
