import { optionsOn } from '@selvrin/core'
import type { PlanRequest, ProcessRow } from '@selvrin/core/contract'
import type { BathChoice, DeveloperChoice, Format } from './planChoices'

/** What is chosen on the plan page, while it is chosen. */
export interface Asked {
  processId: string | null
  /** what was turned by hand */
  options: Record<string, boolean>
  film: string | null
  ei: string | null
  push: string | null
  format: Format | null
  owners: { id: string; memberId: string | null }[]
  vesselId: string | null
  /** a bottle and a dilution for each role, see `bathChoices` */
  baths: Record<string, string | null>
  /** whose time, where the chart's sources disagree */
  source: string | null
  /** as it counts */
  temperatureC: number | null
  /** as the thermometer shows it */
  typedC: number | null
  /** measured in other baths, by the key of their step; as it counts */
  bathC: Record<string, number | null>
  agitation: string | null
  critical: boolean
  slow: boolean
}

/** A bath that the process wants as it is chosen, and what may be put to it. */
export interface RoleChoices {
  id: string
  name: string
  /** its time is looked up in the chart */
  charted: boolean
  choices: (BathChoice | DeveloperChoice)[]
}

/** What follows from what is chosen and from what stands in the house. */
export interface Found {
  process: ProcessRow | undefined
  /** with what was turned by hand and what the shelf can serve */
  options: Record<string, boolean>
  roles: RoleChoices[]
  /** ids of the chart rows its time is from */
  chartRowIds: string[]
}

/** An exposure index as it was typed; null where it is none. */
export const readEi = (typed: string | null): number | null => {
  const ei = Number(typed?.trim())
  return Number.isInteger(ei) && ei >= 1 && ei <= 25_600 ? ei : null
}
const chosenIn = (asked: Asked, role: RoleChoices) => role.choices.find((one) => one.value === asked.baths[role.id])

/** The first thing a plan still lacks, as what is to be done; empty where it lacks nothing. */
export function lacking(asked: Asked, { process, roles }: Found): string {
  if (!process) return 'Choose the process.'
  if (!asked.film?.trim()) return roles.some((role) => role.charted) ? 'Choose the film.' : 'Write which film it is.'
  if (readEi(asked.ei) === null) return 'Write what it was exposed at, such as 200.'
  for (const role of roles) if (!chosenIn(asked, role)) return `Choose the ${role.name.toLowerCase()}.`
  if (!asked.vesselId) return 'Choose the tank.'
  if (asked.owners.some((owner) => owner.memberId === null)) return 'Say whose films they are.'
  if (asked.temperatureC === null) return 'Measure the developer and write its temperature.'
  return ''
}

/** What the house is asked to plan; nothing while something is lacking. */
export function planRequest(asked: Asked, found: Found): PlanRequest | null {
  const { process, options, roles, chartRowIds } = found
  if (!process || lacking(asked, found) !== '') return null
  const measured = Object.entries(asked.bathC).flatMap(([key, c]) => (c === null ? [] : [[key, c] as const]))
  return {
    processVersionId: process.versionId,
    options: optionsOn(process.body, options),
    vesselId: asked.vesselId ?? '',
    films: asked.owners.map((owner) => ({
      id: owner.id,
      memberId: owner.memberId ?? '',
      film: asked.film?.trim() ?? '',
      format: asked.format ?? '135-36',
      ei: readEi(asked.ei) ?? 0,
      pushStops: Number(asked.push),
      slowClearing: asked.slow,
    })),
    chartRowIds,
    baths: roles.flatMap((role) => {
      const bath = chosenIn(asked, role)
      return bath ? [{ role: role.id, bottleId: bath.bottleId, parts: bath.parts }] : []
    }),
    temperatureC: asked.temperatureC ?? 20,
    ...(measured.length > 0 ? { bathC: Object.fromEntries(measured) } : {}),
    agitation: asked.agitation ?? '10-4inv-30',
    critical: asked.critical,
  }
}
