import { coatFindings, coatStanding, coatedSteps, type CoatAct } from '@selvrin/core'
import { coatApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { useTime } from '../hand/useTime'
import { useCoating } from './useCoating'

/** A hand-coated print: how far it is, and what is done with it next. */
export function useCoated(id: string) {
  const bench = useCoating()
  const page = usePage(
    (signal) => call(coatApi.sheet, { params: { id }, signal }),
    (event) => event.subject === 'trays' && event.id === id,
  )
  void page.load()
  const sheet = computed(() => page.value.value)
  const standing = computed(() => (sheet.value ? coatStanding(sheet.value.body.process, sheet.value.acts) : null))
  const steps = computed(() => (sheet.value ? coatedSteps(sheet.value.body.process) : []))
  const minute = useTime(30_000)
  const findings = computed(() => (sheet.value && standing.value ? coatFindings(sheet.value.body, standing.value, minute.value) : []))
  const { busy, problem, act } = useAction()
  /** Writes down what was done; one that was sent twice is written once. */
  const write = (one: CoatAct): Promise<boolean> => {
    const actId = uuid()
    return act(async () => {
      if (!sheet.value) return
      page.take(await call(coatApi.act, { params: { id }, body: { id: actId, version: sheet.value.version, act: one } }))
      await bench.page.load()
    })
  }
  return { id, bench, page, sheet, standing, steps, findings, busy, problem, write }
}
export type CoatedView = ReturnType<typeof useCoated>
