import { traysApi, type BoxOfPaper, type Enlarger, type Paper } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import { useShow } from '../session/useShow'

/** Papers with their boxes, enlargers, and the prints in the making. */
export function useRoom() {
  const show = useShow()
  const page = usePage(
    (signal) => call(traysApi.get, { signal }),
    (event) => event.subject === 'trays' || event.subject === 'print',
  )
  void page.load()
  const there = computed(() => page.value.value)
  const boxOf = (id: string): BoxOfPaper | null => there.value?.boxes.find((one) => one.id === id) ?? null
  const paperOf = (boxId: string): Paper | null => there.value?.papers.find((one) => one.id === boxOf(boxId)?.paperId) ?? null
  const enlargerOf = (id: string): Enlarger | null => there.value?.enlargers.find((one) => one.id === id) ?? null
  /** boxes that have something in them, as choices */
  const boxChoices = computed(() =>
    (there.value?.boxes ?? [])
      .filter((one) => one.left > 0)
      .map((one) => ({
        value: one.id,
        name: `${paperOf(one.id)?.name ?? 'paper'}, ${show.plain(one.widthCm)} × ${show.plain(one.heightCm)} cm`,
        detail: `${show.plain(Number(one.left.toFixed(2)))} sheets left`,
      })),
  )
  const enlargerChoices = computed(() => (there.value?.enlargers ?? []).map(({ id, name }) => ({ value: id, name })))
  return { page, there, boxOf, paperOf, enlargerOf, boxChoices, enlargerChoices }
}
export type RoomView = ReturnType<typeof useRoom>
