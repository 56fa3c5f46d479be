import type { Drum, WasteFamily } from './drumIds'
import type { Held } from './gas'

/** A drum as it stands: what never changes of it, and what was done with it. Times are ms. */
export interface DrumFacts {
  id: string
  /** on its label */
  code: string
  family: Drum
  /** of a drum for noble metals: which */
  metal: string | null
  volumeMl: number
  tareKg: number
  /** its cap lets gas out */
  vented: boolean
  /** the tray it stands in */
  trayId: string | null
  /** when its label was put on it */
  labelledAt: number | null
  sealedAt: number | null
  collectedAt: number | null
  quarantinedAt: number | null
  /** something that was poured into it by mistake */
  quarantinedWhy: string | null
}

/** Where what is poured into a drum came from. */
export const drumSources = ['bottle', 'run', 'batch', 'tray', 'wash', 'other'] as const
export type DrumSource = (typeof drumSources)[number]

/** A line of a drum: a pour, one that takes a pour back (ml and silver negative), or a weighing (nothing but its reading). */
export interface DrumLine {
  id: string
  at: number
  kind: 'pour' | 'reverse' | 'weigh'
  ml: number
  gPerMl: number
  silverG: number
  /** of the liquid */
  family: WasteFamily
  source: DrumSource
  /** g of products in it; null where nobody knows */
  contents: Held[] | null
  ph: number | null
  readingKg: number | null
  /** the line it takes back */
  reverses: string | null
}

/** Weight of a ml of waste where nobody weighed it, g. House default. */
export const usualGPerMl = 1.05
/** share of its volume to which a drum is filled: liquid and gas need room */
const fullShare = 0.9

/**
 * ml a drum may hold.
 * @example
 * drumLimitMl({ volumeMl: 20_000 }) // → 18_000
 */
export const drumLimitMl = ({ volumeMl }: Pick<DrumFacts, 'volumeMl'>): number => fullShare * volumeMl

export type DrumStanding = 'empty' | 'open' | 'sealed' | 'collected' | 'quarantined'
export interface DrumState {
  standing: DrumStanding
  ml: number
  /** with the drum itself */
  kg: number
  silverG: number
  /** ml that still go in */
  roomMl: number
  firstAt: number | null
  lastAt: number | null
  /** g of products in it, as far as they are known */
  contents: Held[]
  /** ml of which nobody knows what is in them */
  unknownMl: number
  lowestPh: number | null
  highestPh: number | null
  weighed: { at: number; readingKg: number } | null
}

function standingOf({ collectedAt, quarantinedAt, sealedAt }: DrumFacts, isEmpty: boolean): DrumStanding {
  if (collectedAt !== null) return 'collected'
  if (quarantinedAt !== null) return 'quarantined'
  if (sealedAt !== null) return 'sealed'
  return isEmpty ? 'empty' : 'open'
}

/** Amounts of the same product together, those that are gone left out. */
function together(all: Held[]): Held[] {
  const grams = new Map<string, number>()
  for (const one of all) grams.set(one.chemical, (grams.get(one.chemical) ?? 0) + one.grams)
  return [...grams].map(([chemical, sum]) => ({ chemical, grams: sum }))
}

/**
 * What a drum holds by its lines: what was taken back counts for nothing.
 * @example
 * drumState(aDrum, []).roomMl // → 18_000
 */
export function drumState(drum: DrumFacts, lines: DrumLine[]): DrumState {
  const back = new Set(lines.flatMap((line) => line.reverses ?? []))
  const pours = lines.filter((line) => line.kind === 'pour' && !back.has(line.id))
  const sum = (of: (line: DrumLine) => number): number => pours.reduce((all, line) => all + of(line), 0)
  const ml = sum((line) => line.ml)
  const times = pours.map((line) => line.at)
  const phs = pours.flatMap((line) => line.ph ?? [])
  const weighings = lines.filter((line) => line.kind === 'weigh' && !back.has(line.id) && line.readingKg !== null)
  const last = weighings.reduce<DrumLine | null>((latest, line) => (latest === null || line.at >= latest.at ? line : latest), null)
  return {
    ...{ standing: standingOf(drum, pours.length === 0), ml, roomMl: Math.max(0, drumLimitMl(drum) - ml) },
    kg: drum.tareKg + sum((line) => line.ml * line.gPerMl) / 1000,
    silverG: sum((line) => line.silverG),
    firstAt: times.length > 0 ? Math.min(...times) : null,
    lastAt: times.length > 0 ? Math.max(...times) : null,
    contents: together(pours.flatMap((line) => line.contents ?? [])),
    unknownMl: sum((line) => (line.contents === null ? line.ml : 0)),
    lowestPh: phs.length > 0 ? Math.min(...phs) : null,
    highestPh: phs.length > 0 ? Math.max(...phs) : null,
    weighed: last && { at: last.at, readingKg: last.readingKg as number },
  }
}
