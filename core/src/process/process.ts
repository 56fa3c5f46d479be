import type { EntryKind } from '../bottle/bottle'
import type { DevelopingTime, TimeFactor, TimePoint } from '../development/developingTime'
import type { Finding } from '../finding'

export type StepKind =
  | 'pre-wet'
  | 'develop'
  | 'stop'
  | 'rinse'
  | 'bleach'
  | 'clear'
  | 're-expose'
  | 'second-develop'
  | 'fix'
  | 'bleach-fix'
  | 'monobath'
  | 'stabilise'
  | 'wash-aid'
  | 'wash'
  | 'wetting-agent'
  | 'dry'

/** What the material may see during a step: none at all, closed in a tank, its safelight, or any. */
export type Light = 'dark' | 'tank' | 'safelight' | 'white'

/** Continuous for the first `firstS`, then `forS` (or so many inversions) every `everyS`; everyS 0 means never again. Seconds. */
export interface Agitation {
  name: string
  firstS: number
  forS: number
  everyS: number
  inversions?: number
}

/** What becomes of the liquid at the end. */
export type Fate = 'back' | 'discard' | 'drain'

export interface ProcessStep {
  kind: StepKind
  name: string
  /** family of the bottle it comes from, or water or air */
  bath: string
  /** from the development chart, or fixed seconds */
  time: 'chart' | number
  toleranceC: number
  agitation: Agitation
  light: Light
  drainS: number
  fate: Fate
}

export interface Process {
  id: string
  name: string
  material: 'bw-film'
  steps: ProcessStep[]
}

/** A bottle as a plan sees it. */
export interface PlanBottle {
  id: string
  name: string
  /** what is written large on the tape, such as D5 */
  label: string
  family: string
  /** how it is diluted for this run; [1] is poured as it is */
  parts: number[]
  /** ml and roll equivalents nobody else is promised */
  volumeMl: number
  rollsLeft: number | null
  minConcentrateMlPerRoll: number
  findings: Finding[]
  oneShot: boolean
  timeFactor: number
  /** place in a two-bath pair; null where it fixes alone */
  position?: 1 | 2 | null
  /** runs that something of it is reserved for */
  reservedFor?: number[]
  /** tests that stand in the way of a critical run, in words */
  due?: string[]
}

export interface PlanFilm {
  format: string
  count: number
}

export interface Load {
  vessel: {
    id: string
    name: string
    kind: 'hand' | 'rotary'
    /** ml that covers this load */
    coversMl: number
    /** ml it holds at the most; what covers the load where not given */
    holdsMl?: number
    /** reels it takes */
    reels: number
    /** ml a loaded reel carries out of a bath; as usual for its format where not given */
    carryMl?: number | null
    /** numbers of the runs that are in it, or are planned in it */
    running?: number[]
    planned?: number[]
  }
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

export interface PlanStep extends ProcessStep {
  seconds: number
  temperatureC: number
  /** working solution in the beaker, and its parts in ml, concentrate first */
  volumeMl: number
  partsMl: number[]
  bottle: PlanBottle | null
  /** at its end the plan waits for a hand instead of going on: film may stand in water and air */
  waits: boolean
}

export interface Plan {
  processId: string
  processName: string
  material: Process['material']
  vessel: Load['vessel']
  films: PlanFilm[]
  rolls: number
  temperatureC: number
  developing: DevelopingTime | null
  /** what the developing time follows when the bath drifts: the chart of the load and its coefficient */
  drift?: { chart: TimePoint[]; k?: number | undefined }
  steps: PlanStep[]
  critical?: boolean
  findings: Finding[]
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
