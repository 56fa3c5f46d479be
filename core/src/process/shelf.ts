import type { BottleState } from '../bottle/bottle'
import type { FormulaUse } from '../formula/use'
import type { Process } from './process'

/** A tank or drum: ml that covers 1, 2, … films of its format, one figure a reel, what covers others where somebody said so, and the numbers of runs in it. */
export interface Tank {
  id: string
  name: string
  kind: 'hand' | 'rotary'
  /** 135 where not given */
  format?: '135' | '120' | undefined
  reels: number
  coversMl: number[]
  also?: { format: '135' | '120' | 'sheets'; coversMl: number[] }[] | undefined
  /** ml a loaded reel carries out; null as usual for the format */
  carryMl: number | null
  running?: number[] | undefined
  planned?: number[] | undefined
}

/** A time of the development chart. */
export interface ChartTime {
  id: string
  film: string
  formulaId: string
  parts: number[]
  ei: number
  temperatureC: number
  seconds: number
  /** whose time it is */
  source?: string
}

/** What a plan needs to know of a bottle on the shelf. */
export interface ShelfBottle {
  id: string
  label: string
  name: string
  family: string
  formulaId: string
  parts: number[] | null
  rangeC: [number, number] | null
  temperatureCoefficient: number | null
  usualS: number | null
  use: Pick<FormulaUse, 'school' | 'minConcentrateMlPerRoll'>
  state: Pick<
    BottleState,
    'volumeMl' | 'rollsLeft' | 'findings' | 'nextTimeFactor' | 'twoBath' | 'clearingRead' | 'fixerSalt' | 'fixS' | 'bleaches'
  >
  /** what runs are promised of it: ml, roll equivalents, by their numbers */
  reserved?: { ml: number; rolls: number; runs: number[] } | undefined
  /** tests that stand before a critical run */
  critical: { name: string; says: string }[]
}

export interface PlanShelf {
  /** in the version that was chosen */
  process: Process
  vessels: Tank[]
  /** formulas that are only a part of another, with the other’s name: by themselves they do not do its work */
  partOf?: Record<string, string>
  bottles: ShelfBottle[]
  chart: ChartTime[]
}

/** What a technician decides of a run. */
export interface RunRequest {
  processVersionId: string
  /** of the process, by id; those not named stay as it has them */
  options: Record<string, boolean>
  vesselId: string
  films: { film: string; format: string; ei: number; pushStops: number; slowClearing?: boolean | undefined }[]
  /** times of the development chart, for a process that takes one from there */
  chartRowIds: string[]
  baths: { role: string; bottleId: string; parts: number[] }[]
  /** measured in the developer */
  temperatureC: number
  /** measured in other baths, by the key of their step */
  bathC?: Record<string, number> | undefined
  agitation: string
  critical?: boolean | undefined
}
