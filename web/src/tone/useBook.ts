import { nearestSwatches, showTime, toneName, type SwatchBody, type TonerKind } from '@selvrin/core'
import { toneApi } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'

export const tonerNames: Record<TonerKind, string> = {
  selenium: 'selenium',
  'sulfide-pulled': 'thiourea, pulled bleach',
  'sulfide-complete': 'thiourea',
  gold: 'gold',
}

/** What a strip was made with, in a line. */
export function stripWords({ toner, ratio, dilution, bleachS, toneS }: SwatchBody): string {
  return [
    ratio ? `${toneName(ratio)}, ${ratio.thiourea} + ${ratio.hydroxide}` : tonerNames[toner],
    toner === 'sulfide-pulled' ? 'pulled' : '',
    dilution === null ? '' : `1+${dilution}`,
    bleachS === null ? '' : `bleach ${showTime(bleachS)}`,
    toneS === null ? '' : `tone ${showTime(toneS)}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** The swatch book: strips toned here. */
export function useBook() {
  const page = usePage(
    (signal) => call(toneApi.get, { signal }),
    (event) => event.subject === 'trays',
  )
  void page.load()
  const swatches = computed(() => page.value.value?.rows ?? [])
  const { busy, problem, act } = useAction({ keeps: false })
  const takeOut = (id: string, version: number) =>
    act(async () => {
      await call(toneApi.takeOut, { params: { id }, body: { version } })
      await page.load()
    })
  return { page, swatches, nearest: (tone: number) => nearestSwatches(swatches.value, tone), busy, problem, takeOut }
}
export type BookView = ReturnType<typeof useBook>
