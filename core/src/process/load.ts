import type { z } from 'zod'
import type { EntryKind } from '../bottle/bottle'
import type { TimeFactor, TimePoint } from '../development/developingTime'
import type { planBottle, planFilm, planStep, planVessel } from './plan'
import type { Agitation } from './step'

export type PlanBottle = z.output<typeof planBottle>
export type PlanFilm = z.output<typeof planFilm>
export type PlanStep = z.output<typeof planStep>
export type { Plan } from './plan'

/** What a process is worked out for. */
export interface Load {
  vessel: z.output<typeof planVessel>
  films: PlanFilm[]
  /** measured in the developer; what has no temperature of its own follows it */
  temperatureC: number
  chart: TimePoint[]
  pushStops: number
  /** whose times the chart goes between, where it does, with what each says, s */
  between?: { name: string; seconds: number }[]
  /** films of several kinds that get one time, with what the chart has for each, s */
  mixed?: { name: string; seconds: number }[]
  /** options of the process, by id; those not named stay as the process has them */
  options?: Record<string, boolean>
  /** of every step that has none of its own */
  agitation?: Agitation
  /** s of steps by key, where a formula or a test says otherwise than the process */
  times?: Record<string, number>
  /** s the film takes to clear in its fixer, where that was tested */
  clearingS?: number
  factors?: TimeFactor[]
  k?: number
  rangeC?: [number, number]
  /** measured temperatures of baths, by key of the step */
  bathC?: Record<string, number>
  /** colour, slide, or someone's only negatives: no bath with a test due */
  critical?: boolean
}

/** A bottle in its role. */
export interface RoleBottle {
  role: string
  bottle: PlanBottle
}

/** What a run does to a bottle, to be written as ledger entries. */
export interface BottleUse {
  /** index of the step it belongs to */
  step: number
  bottleId: string
  kind: Extract<EntryKind, 'dilute-out' | 'use'>
  /** change of volume, ml */
  ml: number
  waterInMl: number
  rolls: number
  /** of them, colour or slide film; none where not given */
  colourRolls?: number
}
