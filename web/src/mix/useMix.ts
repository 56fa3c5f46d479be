import { type Formula, type MixEvent, type MixState } from '@selvrin/core'
import { api, type Bottle, type Jar } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { jarFactor, jarsFor, mixState } from '../chemical/chemistry'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import { useAction } from '../api/useAction'
import { stockFor } from '../formula/missing'
import { useBottles, useFormulas, useJars } from '../stores'

/** A guided mix as it stands, kept up to date, and what may be taken for its present step. */
export function useMix(id: string) {
  const jars = useJars()
  const bottles = useBottles()
  const formulas = useFormulas()
  const picked = ref<Record<number, string>>({})
  const action = useAction()

  const page = usePage(
    () => call(api.mix.get, { params: { id } }),
    (event) => event.id === id,
  )
  const { value: mix, missing, load } = page
  onMounted(() => void Promise.all([load(), jars.load(), bottles.load(), formulas.load()]))

  const stateWith = (more: MixEvent[]): MixState | null =>
    mix.value
      ? mixState(
          { id: mix.value.formulaId, ...mix.value.formula.body } as Formula,
          mix.value.finalMl,
          [...mix.value.events, ...more],
          mix.value.secondCheck,
        )
      : null
  const recorded = computed(() => stateWith([]))
  const line = computed(() => (typeof recorded.value?.at === 'number' ? recorded.value.lines[recorded.value.at] : undefined))

  /** Jars for the present step, best first; the one in use is the one picked, the one last weighed from, or the best. */
  const fitting = computed((): Jar[] => (line.value && !line.value.line.dissolved ? jarsFor(line.value.line, jars.rows) : []))
  const jar = computed(
    () =>
      fitting.value.find((one) => one.id === picked.value[line.value?.line.step ?? -1]) ??
      fitting.value.find((one) => one.id === line.value?.jarId) ??
      fitting.value[0],
  )
  /** Bottles of the stock solution a step is drawn from. */
  const stock = computed((): Bottle[] => {
    const wanted = line.value?.line
    if (!wanted?.dissolved) return []
    return stockFor(wanted, formulas.rows, bottles.rows)
  })
  /** As if the jar in hand had been said already: its weight is the one to show. */
  const state = computed(() => {
    const step = line.value?.line.step
    if (!jar.value || !line.value || step === undefined || jar.value.id === line.value.jarId) return recorded.value
    const factor = jarFactor(line.value.line.chemical.id, jar.value)
    return stateWith([{ id: 'in-hand', kind: 'jar', step, jarId: jar.value.id, chemical: jar.value.chemical, factor, lot: jar.value.lot }])
  })

  async function record(...events: MixEvent[]): Promise<boolean> {
    const good = await action.act(async () => {
      mix.value = await call(api.mix.record, { params: { id }, body: { events } })
    })
    if (!good) await load()
    return good
  }
  const pick = (jarId: string) => (picked.value = { ...picked.value, [line.value?.line.step ?? -1]: jarId })
  return { mix, missing, unreached: page.problem, state, fitting, jar, stock, pick, record, load, ...action }
}
