import type { NegativeBody, TrySetup } from '@selvrin/core'
import { computed, ref, type Ref } from 'vue'
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
  /** What was typed, or what is wrong with it. */
  function read(): TrySetup | string {
    const lensN = readFigure(stop.value)
    if (m.value === null) return 'How wide is the picture on the paper, in cm?'
    if (!lensN) return 'The lens stop is a number such as 8.'
    if (boxId.value === null || enlargerId.value === null) return 'Say which paper and which enlarger.'
    return { boxId: boxId.value, enlargerId: enlargerId.value, m: m.value, lensN, developer: developer.value }
  }
  return { room, boxId, enlargerId, width, stop, developer, m, read }
}
export type SetupView = ReturnType<typeof useSetup>
