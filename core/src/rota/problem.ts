/* An evening as a problem. Times are whole seconds since the midnight before opening, weights whole, 1–1,000; intervals are half-open. */

/** What somebody brings or leaves to be developed. */
export interface Order {
  id: string
  memberId: string
  /** of the vessel */
  kind: string
  film: string
  format: string
  rolls: number
  ei: number
  process: string
  developer: string
  parts: number[]
  temperatureC: number
  /** s of its developing */
  seconds: number
  agitation: string
  pushStops: number
  readyS: number
  dueS: number
  /** someone's only negatives */
  critical: boolean
}

/** Orders that share a load. */
export interface OrderGroup {
  /** the first order's */
  id: string
  orders: string[]
  kind: string
  format: string
  rolls: number
  seconds: number
  temperatureC: number
  readyS: number
  dueS: number
  weight: number
  critical: boolean
}

interface RotaStep {
  s: number
  /** s from the step's start, within it, none upon another */
  handsOn: [number, number][]
  /** it needs the temperature of the bath */
  inBath: boolean
  /** allowed before it, s; 0 where not given */
  maxWaitS?: number | undefined
  /** resources it takes a place of for its own seconds */
  uses?: string[] | undefined
  /** its own lowest and highest °C in the bath */
  c?: [number, number] | undefined
  /** the light it needs in a room while it lasts: nothing that needs another can be there */
  light?: RoomLight | undefined
}

interface RoomLight {
  room: string
  /** such as 'dark', 'red', 'white' */
  light: string
}

/** A time for which a room has its light already: somebody prints there. */
interface RoomLit extends RoomLight {
  fromS: number
  toS: number
}

export interface RotaLoad {
  id: string
  kind: string
  rolls: number
  readyS: number
  dueS: number
  weight: number
  temperatureC: number
  toleranceC: number
  steps: RotaStep[]
}

export interface RotaVessel {
  id: string
  kinds: string[]
  rolls: number
  /** from rinsed to dry */
  resetS: number
}

export interface RotaBath {
  id: string
  /** at opening */
  startC: number
  heatCPerMin: number
  coolCPerMin: number
  places: number
}

export interface RotaPin {
  load: string
  startS: number
  vessel: string
  person?: number | undefined
  bath?: string | undefined
  waits?: number[] | undefined
}

export interface RotaProblem {
  opensS: number
  closesS: number
  /** people who can do hands-on work at the same time, numbered from 0 */
  hands: number
  vessels: RotaVessel[]
  baths: RotaBath[]
  loads: RotaLoad[]
  /** what has begun, or somebody has fixed; placed in this order */
  pinned?: RotaPin[] | undefined
  /** closet, wash, dryer, hangers */
  resources?: { id: string; places: number }[] | undefined
  /** rooms whose light is spoken for */
  lit?: RoomLit[] | undefined
  /** who is there when; without an entry all evening */
  duty?: { person: number; fromS: number; toS: number }[] | undefined
  breaks?: { person: number; s: number; earliestS: number; latestS: number }[] | undefined
  /** kept free before closing; 0 where not given */
  cleanS?: number | undefined
}

/** Why a load has no place: the first that forbids it in an evening of its own, else that the evening is full. */
export const unplacedReasons = ['pin', 'ready', 'vessel', 'bath', 'resource', 'hands', 'full'] as const
export type UnplacedReason = (typeof unplacedReasons)[number]

export interface PlacedLoad {
  load: string
  startS: number
  vessel: string
  /** null where no step of it is in a bath */
  bath: string | null
  person: number
  /** s before each step; all 0 where not given */
  waits?: number[] | undefined
}

export interface RotaPlan {
  placed: PlacedLoad[]
  unplaced: { load: string; reason: UnplacedReason }[]
  /** Σ weight × s past due, of what is placed */
  lateS: number
  /** end of the last step of the last load; opening where nothing is placed */
  endS: number
  /** what no plan of the same loads can be below */
  bound: { lateS: number; endS: number }
  rounds: number
}
