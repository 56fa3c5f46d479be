import type { z } from 'zod'
import type { EntryKind } from '../bottle/bottle'
import type { TimeFactor, TimePoint } from '../development/developingTime'
import type { agitation, planBottle, planFilm, planStep, planVessel, processStep } from './plan'

export type Agitation = z.output<typeof agitation>
export type ProcessStep = z.output<typeof processStep>
export type StepKind = ProcessStep['kind']
export type Light = ProcessStep['light']
export type Fate = ProcessStep['fate']
export type PlanBottle = z.output<typeof planBottle>
export type PlanFilm = z.output<typeof planFilm>
export type PlanStep = z.output<typeof planStep>
type PlanVessel = z.output<typeof planVessel>
export type { Plan } from './plan'

export interface Process {
  id: string
  name: string
  material: 'bw-film'
  steps: ProcessStep[]
}

export interface Load {
  vessel: PlanVessel
  films: PlanFilm[]
  /** measured in the developer; the other baths follow it */
  temperatureC: number
  chart: TimePoint[]
  pushStops: number
  factors?: TimeFactor[]
  k?: number
  rangeC?: [number, number]
  /** measured temperatures of other baths, by index of the step, where they differ */
  bathC?: Record<number, number>
  /** colour, slide, or someone's only negatives: no bath with a test due */
  critical?: boolean
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
}
