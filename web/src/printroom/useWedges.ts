import { filterWayFor, gradeNear, wedgeOf, type WedgeReading, type WedgesBody } from '@selvrin/core'
import { computed, ref } from 'vue'
import { sentence } from '../api/call'
import { readFigure } from '../fields/figure'
import type { RoomView } from './useRoom'

/** One wedge as it is typed. */
export interface TypedWedge {
  y: string
  m: string
  seconds: string
  black: string
  grey: string
  white: string
  light: string
}
const blank = (y: string, m: string): TypedWedge => ({ y, m, seconds: '', black: '', grey: '', white: '', light: '' })
/** settings to begin with: the softest there is, none, and a hard one */
const firstSettings = [
  ['90', '0'],
  ['0', '0'],
  ['0', '100'],
] as const

/** Wedges of one head on one paper, as they are typed, and what they say. */
export function useWedges(room: RoomView) {
  const heads = computed(() =>
    (room.there.value?.enlargers ?? []).filter((one) => one.filters.kind !== 'set').map(({ id, name }) => ({ value: id, name })),
  )
  const papers = computed(() =>
    (room.there.value?.papers ?? [])
      .filter((one) => one.grade === null && one.material === 'black-and-white')
      .map(({ id, name }) => ({ value: id, name })),
  )
  const enlargerId = ref<string | null>(heads.value[0]?.value ?? null)
  const paperId = ref<string | null>(papers.value[0]?.value ?? null)
  const stepD = ref<number | null>(0.15)
  const key = ref<'middle' | 'light' | null>('middle')
  const developer = ref('')
  const rows = ref<TypedWedge[]>(firstSettings.map(([y, m]) => blank(y, m)))
  const more = (): void => void rows.value.push(blank('0', ''))
  const less = (at: number): void => void rows.value.splice(at, 1)

  const readingOf = (one: TypedWedge): WedgeReading | null => {
    const [y, m, seconds, black, grey, white] = [one.y, one.m, one.seconds, one.black, one.grey, one.white].map(readFigure)
    const light = readFigure(key.value === 'light' ? one.light : '')
    if (y == null || m == null || !seconds || black == null || grey == null || white == null || light === undefined) return null
    return { y, m, seconds, black, grey, white, light }
  }
  /** What each row says, once all of it is typed. */
  const said = computed(() =>
    rows.value.map((one) => {
      const reading = readingOf(one)
      if (!reading) return { range: null, grade: null, problem: '' }
      try {
        const { range } = wedgeOf(reading, stepD.value ?? 0.15)
        return { range, grade: gradeNear(range), problem: '' }
      } catch (error) {
        return { range: null, grade: null, problem: sentence(error) }
      }
    }),
  )
  /** All of it, or what it lacks. */
  function body(): WedgesBody | string {
    const readings = rows.value.map(readingOf)
    if (enlargerId.value === null || paperId.value === null) return 'Say which head and which paper.'
    if (readings.includes(null))
      return 'Of each wedge: its dials, its seconds and the three steps, as numbers. Take out what was not printed.'
    return {
      ...{ kind: 'wedges', enlargerId: enlargerId.value, paperId: paperId.value, stepD: stepD.value ?? 0.15, key: key.value ?? 'middle' },
      ...{ readings: readings as WedgeReading[], developer: developer.value, note: '' },
    }
  }
  /** whether what is there now goes by older wedges */
  const replaces = computed(() => {
    const head = room.enlargerOf(enlargerId.value ?? '')
    const paper = room.there.value?.papers.find((one) => one.id === paperId.value)
    return head !== null && filterWayFor(head, paper, room.there.value?.calibrations ?? []).by === 'wedges'
  })
  return { heads, papers, enlargerId, paperId, stepD, key, developer, rows, more, less, said, body, replaces }
}
