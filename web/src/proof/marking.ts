import type { Area } from '@selvrin/core'
import type { PictureMarks } from '@selvrin/core/contract'

/** One area marked on a picture, as shares of its width and height. */
export interface Mark {
  key: string
  name: string
  /** null until it was marked */
  area: Area | null
  /** of a wedge step, as typed */
  density?: string
}

const least = 0.004
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))

/** An area between two corners, inside the picture and never empty. */
export function areaBetween(a: { x: number; y: number }, b: { x: number; y: number }): Area {
  const [x0, x1] = [clamp(Math.min(a.x, b.x), 0, 1 - least), clamp(Math.max(a.x, b.x), least, 1)]
  const [y0, y1] = [clamp(Math.min(a.y, b.y), 0, 1 - least), clamp(Math.max(a.y, b.y), least, 1)]
  return { x: x0, y: y0, width: Math.max(least, x1 - x0), height: Math.max(least, y1 - y0) }
}

/** An area moved, or with `resize` made larger or smaller, by a key; null for a key that means nothing here. */
export function byKey(area: Area, key: string, resize: boolean, step = 0.01): Area | null {
  const way: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }
  const by = way[key]
  if (!by) return null
  const [dx, dy] = by
  if (resize) return { ...area, width: clamp(area.width + dx, least, 1 - area.x), height: clamp(area.height + dy, least, 1 - area.y) }
  return { ...area, x: clamp(area.x + dx, 0, 1 - area.width), y: clamp(area.y + dy, 0, 1 - area.height) }
}

const block = (x: number): Area => ({ x, y: 0.4, width: 0.12, height: 0.2 })
/** What two patches are read: a fresh scrap and a new one, or two steps of a film. */
export type PatchNames = { fresh: string; scrap: string }
export const firstMarks = (names: PatchNames = { fresh: 'Fresh reference', scrap: 'New scrap' }): Mark[] => [
  { key: 'empty', name: 'Empty light', area: null },
  { key: 'base', name: 'Clear film', area: null },
  { key: 'fresh', name: names.fresh, area: null },
  { key: 'scrap', name: names.scrap, area: null },
]
/** Where an area appears that is marked by keys: side by side across the picture. */
export const firstPlace = (key: string): Area => block({ empty: 0.04, base: 0.26, fresh: 0.48, scrap: 0.7 }[key] ?? 0.4)
let steps = 0
export const wedgeStep = (count: number): Mark => ({
  key: `wedge ${steps++}`,
  name: `Wedge step ${count + 1}`,
  area: { x: clamp(0.05 + count * 0.1, 0, 0.92), y: 0.75, width: 0.06, height: 0.12 },
  density: '',
})

const densityOf = ({ density = '' }: Mark): number | null =>
  /^\d([.,]\d+)?$/.test(density.trim()) ? Number(density.trim().replace(',', '.')) : null

/** The marks as they are measured; null while one is missing. A wedge step counts once its density is written. */
export function marksOf(marks: Mark[], noClear: boolean): PictureMarks | null {
  const areaOf = (key: string) => marks.find((mark) => mark.key === key)?.area ?? null
  const [empty, fresh, scrap, base] = [areaOf('empty'), areaOf('fresh'), areaOf('scrap'), noClear ? null : areaOf('base')]
  if (!empty || !fresh || !scrap || (!base && !noClear)) return null
  const wedge = marks.flatMap((mark) => {
    const density = mark.density === undefined ? null : densityOf(mark)
    return density === null || mark.area === null ? [] : [{ area: mark.area, density }]
  })
  return { empty, fresh, scrap, ...(base ? { base } : {}), wedge }
}
