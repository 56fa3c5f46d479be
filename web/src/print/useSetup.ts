import { columnMm, enlargementAt, type NegativeBody, type TrySetup } from '@selvrin/core'
import { computed, ref, watch, type Ref } from 'vue'
import { readFigure } from '../fields/figure'
import type { RoomView } from '../printroom/useRoom'
import { useShow } from '../session/useShow'

/** What a print is made with, as it is typed: the size as the width of the picture on the paper. */
export function useSetup(room: RoomView, negative: Ref<Pick<NegativeBody, 'widthMm'>>, from: TrySetup | undefined, sized: boolean) {
  const show = useShow()
  const boxId = ref<string | null>(
    room.boxChoices.value.find((one) => one.value === from?.boxId)?.value ?? room.boxChoices.value[0]?.value ?? null,
  )
  const enlargerId = ref<string | null>(from?.enlargerId ?? room.enlargerChoices.value[0]?.value ?? null)
  const width = ref(from && sized ? show.number((from.m * negative.value.widthMm) / 10, 1) : '')
  const stop = ref(from ? show.plain(from.lensN) : '8')
  const developer = ref(from?.developer ?? '')
  /** as it stood when nothing was typed: what was not touched is not rounded */
  const standing = width.value
  const m = computed(() => {
    if (from && sized && width.value === standing) return from.m
    const cm = readFigure(width.value)
    return cm && cm > 0 ? (10 * cm) / negative.value.widthMm : null
  })
  const lenses = computed(() =>
    (room.enlargerOf(enlargerId.value ?? '')?.lenses ?? []).map(({ focalMm: mm, name }) => ({
      value: String(mm),
      name: `${show.plain(mm)} mm${name ? ` ${name}` : ''}`,
    })),
  )
  const lens = ref<string | null>(from?.focalMm === undefined ? (lenses.value[0]?.value ?? null) : String(from.focalMm))
  const focalMm = computed(() => (lens.value === null ? null : Number(lens.value)))
  // another enlarger has lenses of its own
  watch(lenses, (now) => {
    if (!now.some((one) => one.value === lens.value)) lens.value = now[0]?.value ?? null
  })
  /** negative to paper as it was typed, until the size is */
  const typedColumn = ref<string | null>(null)
  watch(width, () => (typedColumn.value = null), { flush: 'sync' })
  const column = computed((): string => {
    if (typedColumn.value !== null) return typedColumn.value
    return m.value === null || focalMm.value === null ? '' : show.number(columnMm({ focalMm: focalMm.value, m: m.value }) / 10, 1)
  })
  /** How high the head stands says how large the picture is, with this lens. */
  function typeColumn(text: string): void {
    const cm = readFigure(text)
    const at = cm && focalMm.value !== null ? enlargementAt({ focalMm: focalMm.value, columnMm: 10 * cm }) : null
    if (at !== null) width.value = show.number((at * negative.value.widthMm) / 10, 1)
    typedColumn.value = text
  }
  /** What was typed, or what is wrong with it. */
  function read(): TrySetup | string {
    const lensN = readFigure(stop.value)
    if (m.value === null) return 'How wide is the picture on the paper, in cm?'
    if (!lensN) return 'The lens stop is a number such as 8.'
    const through = focalMm.value === null ? {} : { focalMm: focalMm.value }
    if (boxId.value === null || enlargerId.value === null) return 'Say which paper and which enlarger.'
    return { boxId: boxId.value, enlargerId: enlargerId.value, m: m.value, lensN, developer: developer.value, ...through }
  }
  return { room, lenses, lens, column, typeColumn, boxId, enlargerId, width, stop, developer, m, read }
}
export type SetupView = ReturnType<typeof useSetup>
