import { coatMix, coatMixed, type CoatAct, type PouredPart } from '@selvrin/core'
import type { BenchBottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref, watch } from 'vue'
import { keptByTab } from '../printroom/keptByTab'
import type { CoatedView } from './useCoated'

/** The sensitizer of a sheet, counted drop by drop out of its bottles. */
export function usePouring(view: CoatedView) {
  const body = computed(() => view.sheet.value?.body ?? null)
  const bottlesFor = ({ part }: PouredPart): BenchBottle[] =>
    (view.bench.there.value?.bench ?? []).filter(
      (one) => one.part === part && body.value !== null && one.processes.includes(body.value.process),
    )
  /** out of one bottle where it stands mixed on the shelf and its parts do not */
  const parts = computed((): PouredPart[] => {
    if (!body.value) return []
    const [single, mixed] = [coatMix(body.value), coatMixed(body.value)]
    return single.every((one) => bottlesFor(one).length > 0) || !mixed.every((one) => bottlesFor(one).length > 0) ? single : mixed
  })
  /** drops that fell so far, by part; kept by the tab */
  const fell = keptByTab<Record<string, number>>(`selvrin.drops.${view.id}`, {})
  const chosen = reactive<Record<string, string | null>>({})
  watch(
    parts,
    (now) => {
      for (const one of now) {
        const bottles = bottlesFor(one)
        if (!bottles.some(({ id }) => id === chosen[one.part]))
          chosen[one.part] = (bottles.find(({ ml }) => ml >= one.ml) ?? bottles[0])?.id ?? null
      }
    },
    { immediate: true },
  )
  const drops = (part: string): number => fell.value[part] ?? 0
  const set = (part: string, count: number): void => void (fell.value = { ...fell.value, [part]: Math.max(0, count) })
  const entryIds: Record<string, string> = {}
  const humidity = ref('')
  /** The act as it stands, or a sentence on what is missing. */
  function read(percent: number | null | undefined, overrule: string): CoatAct | string {
    if (percent === undefined) return 'Humidity is a number of percent, or nothing where nobody looked.'
    const poured = []
    for (const { part } of parts.value) {
      const bottleId = chosen[part]
      if (!bottleId) return 'Say which bottle each part is taken from.'
      if (drops(part) < 1) return 'Count the drops of each part.'
      poured.push({ part, bottleId, drops: drops(part), entryId: (entryIds[part] ??= uuid()) })
    }
    return { kind: 'coat', poured, humidity: percent, ...(overrule.trim() === '' ? {} : { overrule }) }
  }
  return { body, parts, bottlesFor, chosen, drops, set, humidity, read }
}
