import type { BottleFacts, BottleState } from '../../bottle/bottle'
import type { Carry } from '../../bottle/carry'
import type { Catalogue } from '../../chemical/chemical'
import type { Finding } from '../../finding'
import type { UsedFormula } from '../../formula/use'
import type { Plan } from '../../process/load'
import type { Process } from '../../process/process'
import type { ChartTime, RunRequest, ShelfBottle, Tank } from '../../process/shelf'
import type { DueRule } from '../../proof/due'
import type { AsksForTests } from '../../proof/dueFacts'
import type { LoadRooms } from '../loadOf'
import type { RotaPin, RotaPlan, RotaProblem } from '../problem'

/* An evening with the bottles of this darkroom: what each load is, and what its times are, follows from what went through its bottles before it. All of it is plain data. */

/** A load as somebody decided it, before the turn of its bottles is known. */
export interface DecidedLoad {
  id: string
  /** its vessel stands for every vessel like it */
  request: RunRequest
  readyS: number
  dueS: number
  weight: number
  /** s in the loading closet before its first pour, 0 where it is loaded already */
  loadingS: number
  /** what speaks against it does not keep it from being arranged: somebody has said why */
  overruled?: boolean | undefined
}

/** A load that is a run by now: it is what it was planned to be, where it was begun. Its bottles are promised to it, or have it in their ledgers. */
export interface BegunLoad {
  load: DecidedLoad
  plan: Plan
  pin: RotaPin
}

/** A bottle as it stands when the evening begins, with what it is reckoned on from. */
export interface EveningBottle {
  shelf: ShelfBottle & { state: BottleState }
  formula: UsedFormula
  facts: BottleFacts
  carry: Carry
  asks: AsksForTests
}

export interface DarkroomEvening {
  /** ms of the midnight from which its seconds are counted */
  midnight: number
  /** in which a day is the same day */
  zone: string
  loads: DecidedLoad[]
  begun?: BegunLoad[] | undefined
  /** loads whose bottles are theirs before what matters more: somebody was told */
  promised?: string[] | undefined
  /** the problem without what follows from loads and vessels */
  room: Omit<RotaProblem, 'loads' | 'vessels'>
  vessels: (Tank & { resetS: number })[]
  /** by the version a request names */
  processes: Record<string, Process>
  chart: ChartTime[]
  partOf?: Record<string, string> | undefined
  bottles: EveningBottle[]
  rules: DueRule[]
  catalogue: Catalogue
  rooms?: LoadRooms | undefined
}

/** A test that is due before a load, by what its bottle has seen by then. */
export interface TestBefore {
  load: string
  bottleId: string
  label: string
  kind: string
  name: string
  says: string
}

/** An evening arranged with its bottles in turn. */
export interface DarkroomPlan {
  rota: RotaPlan
  /** what it is a plan of: every load with the times it has in its turn */
  problem: RotaProblem
  /** what each load that was arranged is, with its bottles as they are by its turn */
  plans: Record<string, Plan>
  /** loads that were not arranged, with what speaks against them */
  left: { load: string; findings: Finding[] }[]
  tests: TestBefore[]
}
