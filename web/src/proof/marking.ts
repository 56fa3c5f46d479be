import type { Area } from '@selvrin/core'
import type { PictureMarks } from '@selvrin/core/contract'
import { clamp } from '../hand/area'

/** One area marked on a picture, as shares of its width and height. */
export interface Mark {
  key: string
  name: string
  /** null until it was marked */
  area: Area | null
  /** of a wedge step, as typed */
  density?: string
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
