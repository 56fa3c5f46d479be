import type { Tank } from './shelf'

/** What a reel or an insert is made for: rolls of 135, rolls of 120 and 220, or sheets. */
export const loadKinds = ['135', '120', 'sheets'] as const
export type LoadKind = (typeof loadKinds)[number]

/**
 * What a film of a format is loaded as.
 * @example
 * loadKindOf('220') // → '120'
 */
export const loadKindOf = (format: string): LoadKind =>
  format.startsWith('135') ? '135' : format === '120' || format === '220' ? '120' : 'sheets'

/** How many 135 reels take the height of 1, 2, … of 120. Domain figures, by the common tanks and drums. */
const heightOf120 = { hand: [2, 3, 5, 6, 8], rotary: [2, 4, 5, 7, 9] }
/** ml that covers six sheets of 4×5 in, in a tank of that size or larger. Domain figures. */
const sixSheets = { hand: 1050, rotary: 270 }

/**
 * ml that covers 1, 2, … of each kind in a vessel: what somebody measured, else from the room the reels of the other kind need.
 * @example
 * coversOf({ kind: 'hand', coversMl: [300, 600, 1000] })['120'] // → [600, 1000]
 */
export function coversOf({
  kind,
  format = '135',
  coversMl,
  also = [],
}: Pick<Tank, 'kind' | 'coversMl'> & Partial<Tank>): Record<LoadKind, number[]> {
  const said = (load: LoadKind): number[] | undefined => (load === format ? coversMl : also.find((one) => one.format === load)?.coversMl)
  const heights = heightOf120[kind]
  const from135 = heights.flatMap((reels) => coversMl[reels - 1] ?? [])
  const from120 = Array.from({ length: heights[coversMl.length - 1] ?? coversMl.length }, (_, i) => {
    const reels = heights.findIndex((height) => height >= i + 1)
    return coversMl[reels] ?? coversMl.at(-1) ?? 0
  })
  const largest = coversMl.at(-1) ?? 0
  return {
    '135': said('135') ?? (format === '120' ? from120 : []),
    '120': said('120') ?? (format === '135' ? from135 : []),
    sheets: said('sheets') ?? (largest >= sixSheets[kind] ? Array<number>(6).fill(sixSheets[kind]) : []),
  }
}

export interface VesselCover {
  coversMl: number
  /** why the load does not fit, and what would; null where it does */
  misfit: string | null
}

const called: Record<LoadKind, [string, string]> = {
  '135': ['film of 135', 'films of 135'],
  '120': ['film of 120', 'films of 120'],
  sheets: ['sheet', 'sheets'],
}
const counted = (count: number, kind: LoadKind): string => `${count} ${called[kind][count === 1 ? 0 : 1]}`

/**
 * What covers a load in a vessel (ml), and whether it fits: rolls and sheets each have their own figures, and films of two kinds share the height.
 * @example
 * vesselCover({ name: 'Tank 2', kind: 'hand', format: '135', coversMl: [300, 600, 1000] }, ['120', '120']) // → { coversMl: 1000, misfit: null }
 */
export function vesselCover(tank: Pick<Tank, 'name' | 'kind' | 'coversMl'> & Partial<Tank>, films: string[]): VesselCover {
  const covers = coversOf(tank)
  const load = loadKinds.flatMap((kind) => {
    const count = films.filter((format) => loadKindOf(format) === kind).length
    return count > 0 ? [{ kind, count, most: covers[kind].length }] : []
  })
  const short = load.find(({ count, most }) => count > most)
  if (short)
    return {
      coversMl: covers[short.kind].at(-1) ?? tank.coversMl.at(-1) ?? 0,
      misfit:
        short.most === 0
          ? `${tank.name} takes no ${called[short.kind][1]}: use another vessel, or write on it what covers them.`
          : `${tank.name} takes ${counted(short.most, short.kind)}, not ${short.count}: use a larger one or fewer films.`,
    }
  const share = load.reduce((sum, { count, most }) => sum + count / most, 0)
  const alone = load.map(
    ({ kind, count, most }) => covers[kind][Math.ceil((load.length > 1 ? share * most : count) - 1e-9) - 1] ?? covers[kind].at(-1) ?? 0,
  )
  const coversMl = Math.max(0, ...alone)
  return share > 1 + 1e-9 && load.length > 1
    ? {
        coversMl,
        misfit: `${tank.name} has no room for ${load.map(({ kind, count }) => counted(count, kind)).join(' and ')} together: use a larger one or fewer films.`,
      }
    : { coversMl, misfit: null }
}

/**
 * How many of what is loaded a vessel takes; of two kinds together the reels it was made for.
 * @example
 * placesIn({ kind: 'hand', format: '135', coversMl: [300, 600, 1000] }, ['120']) // → 2
 */
export function placesIn(tank: Pick<Tank, 'kind' | 'coversMl'> & Partial<Tank>, films: string[]): number {
  const kinds = [...new Set(films.map(loadKindOf))]
  return (kinds.length === 1 && kinds[0] ? coversOf(tank)[kinds[0]].length : 0) || tank.coversMl.length
}

/**
 * Where a single film's reel goes in a vessel with room for more, in words; null where it is full or stands alone.
 * @example
 * reelPlace({ kind: 'hand', reels: 2 }, 1) // → 'its reel at the bottom, an empty one above it so that it cannot rise out of the liquid'
 */
export function reelPlace({ kind, reels }: { kind: 'hand' | 'rotary'; reels: number }, count: number): string | null {
  if (count >= reels) return null
  if (kind === 'rotary') return 'the loaded reels at the closed end, empty ones to fill the core'
  return count === 1
    ? 'its reel at the bottom, an empty one above it so that it cannot rise out of the liquid'
    : 'the loaded reels at the bottom, empty ones above them so that they cannot rise out of the liquid'
}
