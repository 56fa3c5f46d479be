import type { Catalogue } from '../chemical/chemical'
import type { Plan } from '../process/load'
import type { Process, ProcessBody } from '../process/process'
import type { ChartTime, Tank } from '../process/shelf'
import type { DueRule } from '../proof/due'
import type { EveningBottle } from '../rota/darkroom/evening'
import type { RotaBottle } from '../rota/darkroom/proposed'
import type { Printing } from './printing'
import type { RoomBody } from './room'

/** What stands in the house when an evening is looked at. */
export interface EveningHouse {
  /** in which a day is the same day */
  zone: string
  room: RoomBody
  /** films that hang in the dryer at once */
  hangers: number
  processes: { id: string; versionId: string; body: ProcessBody }[]
  /** versions that loads were decided with and that are not the newest any more, by their ids */
  versions: Record<string, Process>
  vessels: Tank[]
  chart: ChartTime[]
  partOf: Record<string, string>
  bottles: (EveningBottle & { shelf: RotaBottle })[]
  rules: DueRule[]
  /** who prints when, as it is booked */
  prints: Printing[]
  /** ids of tanks and baths that are out of order */
  out: string[]
  catalogue: Catalogue
}

/** The run of a load that has one. */
export interface LoadRun {
  id: string
  number: number
  state: 'planned' | 'running' | 'done' | 'abandoned' | 'taken-back'
  startedAt: number | null
  endedAt: number | null
  plan: Plan
}
