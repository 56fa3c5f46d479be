import { lightOf, stripTotals, throughFog, uvMoved, type CoatAct, type UvLight } from '@selvrin/core'
import { computed, reactive, watch } from 'vue'
import { now } from '../clock'
import { sentence } from '../api/call'
import { readFigure } from '../fields/figure'
import { useTime } from '../hand/useTime'
import { keptByTab } from '../printroom/keptByTab'
import { useShow } from '../session/useShow'
import { lightWords } from './coatWords'
import { ring } from './ring'
import type { CoatedView } from './useCoated'

type Shining = Extract<CoatAct, { kind: 'strip' | 'expose' }>
/** What stands under the lamp, since when (ms), and when it went off, where that could not be written down yet; kept by the tab. */
interface Lit {
  act: Shining
  sinceMs: number
  offMs?: number
}
/** s a lamp usually needs where nobody has exposed anything yet. Rounded literature value. */
const firstGuessS = 2 * 60

/** Under the lamp: which lamps, how far away, how long, and why; and the clock while they shine. */
export function useUv(view: CoatedView) {
  const show = useShow()
  const last = computed(() => {
    const body = view.sheet.value?.body
    const rows = view.bench.there.value?.last ?? []
    return (
      rows.find((one) => one.process === body?.process && one.paper === body.paper) ??
      rows.find((one) => one.process === body?.process) ??
      null
    )
  })
  const typed = reactive({ lamps: [] as string[], distance: '14', more: '', firstS: firstGuessS as number | null, stepStops: 0.5 as number | null, bands: 5 as number | null, seconds: null as number | null }) // prettier-ignore
  const lit = keptByTab<Lit | null>(`selvrin.uv.${view.id}`, null)
  /** under which it stands now, or its strip stood, where it had one */
  const stood = computed(() => lit.value?.act ?? view.sheet.value?.acts.findLast(({ act }) => act.kind === 'strip')?.act)
  watch(
    [view.bench.lamps, stood],
    ([lamps, before]) => {
      const known = (id: string): boolean => lamps.some((one) => one.id === id)
      if (typed.lamps.length > 0 && typed.lamps.every(known)) return
      typed.lamps = before && 'lamps' in before ? before.lamps.filter(known) : lamps.slice(0, 1).map((one) => one.id)
      if (before && 'lamps' in before) typed.distance = show.plain(before.distanceCm)
    },
    { immediate: true },
  )
  const strip = computed(() => view.standing.value?.strip ?? null)
  /** a time that was found, with the light it was found under */
  const found = computed((): { seconds: number; light: UvLight; why: string } | null => {
    if (strip.value?.seconds != null) return { seconds: strip.value.seconds, light: strip.value.light, why: 'by the strip' }
    return last.value && { seconds: last.value.seconds, light: last.value.light, why: `as print ${last.value.number}` }
  })
  /** The light that is chosen, or a sentence why there is none. */
  const light = computed((): UvLight | string => {
    const distance = readFigure(typed.distance)
    if (!distance) return 'Say how far away the lamp is, in cm.'
    try {
      return lightOf(
        view.bench.lamps.value.filter((one) => typed.lamps.includes(one.id)).map((one) => one.body),
        distance,
      )
    } catch (error) {
      return sentence(error)
    }
  })
  /** s that are proposed, with why; or a sentence why none are. */
  const proposed = computed((): { seconds: number; why: string } | string => {
    const more = readFigure(typed.more)
    if (typeof light.value === 'string') return light.value
    if (!found.value) return 'Nothing of this process was exposed here yet: a strip first.'
    if (more === undefined) return 'What the negative has more of base and fog is a density, or nothing.'
    try {
      const moved = throughFog(uvMoved(found.value.seconds, found.value.light, light.value), more ?? 0)
      const { why } = found.value
      const same = Math.abs(moved / found.value.seconds - 1) < 1e-6
      const under = same ? '' : `, under ${lightWords(light.value, show.plain)} instead of ${lightWords(found.value.light, show.plain)}`
      return { seconds: Math.max(1, Math.round(moved)), why: `${why}${under}${more ? `, through ${show.plain(more)} more of fog` : ''}` }
    } catch (error) {
      return sentence(error)
    }
  })
  // by its figure: what somebody typed stays while nothing else is proposed
  watch(
    () => (typeof proposed.value === 'string' ? null : proposed.value.seconds),
    (one) => {
      // a time that was proposed for other lamps is none
      typed.seconds = one
      // a strip around what is expected
      if (one !== null && strip.value === null) typed.firstS = Math.max(5, Math.round(one / 2))
    },
    { immediate: true },
  )
  const time = useTime(250)
  const seconds = computed(() => (lit.value ? Math.max(0, ((lit.value.offMs ?? time.value) - lit.value.sinceMs) / 1000) : 0))
  /** s after which a band more is covered, the last when the lamp goes off */
  const totals = computed((): number[] => {
    const act = lit.value?.act
    if (act?.kind === 'strip') return stripTotals({ by: 'stops', firstS: act.firstS, stepStops: act.stepStops }, act.bands)
    return act ? [act.seconds] : []
  })
  const passed = computed(() => totals.value.filter((one) => seconds.value >= one).length)
  watch(passed, (is, was) => is > was && ring())
  /** The lamp goes on, or a sentence why not. */
  function on(kind: Shining['kind']): string {
    const distanceCm = readFigure(typed.distance)
    if (typeof light.value === 'string' || !distanceCm) return typeof light.value === 'string' ? light.value : ''
    const under = { lamps: [...typed.lamps], distanceCm }
    if (kind === 'expose') {
      if (!typed.seconds) return 'Say how long.'
      lit.value = { act: { kind, seconds: typed.seconds, ...under }, sinceMs: now() }
      return ''
    }
    if (!typed.firstS || typed.firstS < 5) return 'The first band is 5 seconds at least.'
    const stepStops = (typed.stepStops ?? 0.5) as Extract<Shining, { kind: 'strip' }>['stepStops']
    lit.value = { act: { kind, firstS: typed.firstS, stepStops, bands: typed.bands ?? 5, ...under }, sinceMs: now() }
    return ''
  }
  /** The lamp is off: what was given is written down. */
  async function off(): Promise<void> {
    if (!lit.value) return
    // what was given does not grow while nobody can write it down
    const one = (lit.value = { offMs: now(), ...lit.value })
    const act: CoatAct = one.act.kind === 'expose' ? { ...one.act, seconds: Math.max(1, Math.round(seconds.value)) } : one.act
    if (await view.write(act)) lit.value = null
  }
  const leave = (): void => void (lit.value = null)
  return { typed, light, proposed, strip, lit, seconds, totals, passed, on, off, leave }
}
export type UvView = ReturnType<typeof useUv>
