import { trayStanding, type TrayStanding } from '@selvrin/core'
import { lineApi, type TrayFill, type TrayLine } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { useTime } from '../hand/useTime'

const hourMs = 3_600_000
const concerned = ['line', 'bottle', 'trays']

/** Trays of the house, and the line that stands in them, as it wears out. */
export function useLine() {
  const page = usePage(
    (signal) => call(lineApi.get, { signal }),
    (event) => concerned.includes(event.subject),
  )
  void page.load()
  const time = useTime(30_000)
  const there = computed(() => page.value.value)
  const line = computed((): TrayLine | null => there.value?.line ?? null)
  const fixing = computed(() => (line.value?.fills.some((one) => one.role === 'fix-2') ? 'first-of-two' : 'one'))
  function standingOf({ role, ml, at, rc, fibre, bottle }: TrayFill): TrayStanding {
    const openH = Math.max(0, time.value - at) / hourMs
    if (bottle === null || ml <= 0) return { share: null, why: '', findings: [] }
    return trayStanding({ role, openH, ml, rc, fibre, fixing: fixing.value, state: bottle.state })
  }
  /** What the server answered stands at once. */
  function told(next: TrayLine): void {
    const { value: before } = page.value
    if (before) page.take({ ...before, line: next.closedAt === null ? next : null })
    void page.load()
  }
  const { busy, problem, act } = useAction()
  const passBack = (passId: string, reason: string) =>
    act(async () => {
      if (line.value) told(await call(lineApi.passBack, { params: { id: line.value.id, passId }, body: { reason } }))
    })
  return { page, there, line, time, standingOf, told, busy, problem, passBack }
}
export type LineView = ReturnType<typeof useLine>
