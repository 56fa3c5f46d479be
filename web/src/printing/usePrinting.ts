import { bookingAgainst, printingCells, type Against, type PrintingCell } from '@selvrin/core'
import { printingApi, type PrintingDay, type PrintPlace } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import { now } from '../clock'
import { showClock, showDate } from '../marks/words'

/** What is free changes with any of these. */
const concerned = ['printing', 'room', 'evening', 'fault', 'darkroom']

/** What somebody asks for. */
export interface PlaceAsked {
  /** the place that is moved; a new one without it */
  id: string | null
  memberId: string
  fromAt: number
  untilAt: number
}

/** Places at enlargers: what is free on the coming days, and what is booked. */
export function usePrinting(zone: () => string) {
  const page = usePage(
    (signal) => call(printingApi.get, { signal }),
    (event) => concerned.includes(event.subject),
  )
  void page.load()
  const days = computed(() => page.value.value?.days ?? [])
  const booked = computed(() => page.value.value?.booked ?? [])
  /** those that are not over, the next first */
  const coming = computed(() => booked.value.filter((one) => one.untilAt > now()))
  const cells = ({ opensAt, closesAt, taken, otherLight }: PrintingDay): PrintingCell[] => {
    const { value: all } = page.value
    if (!all) return []
    const { limits, cleanMinutes, places } = all
    return printingCells({ opensAt, closesAt }, { spanMinutes: limits.spanMinutes, cleanMinutes, taken, places, otherLight })
  }
  /** What speaks against it, as far as it is known here; the server looks again. */
  function against({ id, memberId, ...asked }: PlaceAsked, day: PrintingDay): Against[] {
    const { value: all } = page.value
    if (!all) return []
    return bookingAgainst(asked, {
      ...{ open: day, taken: day.taken.filter((one) => one.id !== id).map((one) => ({ ...one, memberId: '' })) },
      own: booked.value.filter((one) => one.memberId === memberId && one.id !== id),
      ...{ places: all.places, otherLight: day.otherLight, limits: all.limits, cleanMinutes: all.cleanMinutes, now: now(), zone: zone() },
    })
  }
  return { page, days, booked, coming, cells, against }
}
export type PrintingView = ReturnType<typeof usePrinting>

/** 'Tue 14 Apr, 18:30 to 21:00' */
export const placeWords = ({ fromAt, untilAt }: Pick<PrintPlace, 'fromAt' | 'untilAt'>, zone: string): string =>
  `${showDate(fromAt, zone)}, ${showClock(fromAt, zone)} to ${showClock(untilAt, zone)}`
