import { api, type ConsumptionRow, type LiveRows, type SupplyRow } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { keepTrying } from '../api/keepTrying'
import { onChange } from '../api/live'

/** How long each formula's bottles last: the server works out anew what a change can have changed, and tells it. */
export const useSupply = defineStore('supply', () => {
  const supplies = shallowRef<SupplyRow[]>([])
  const consumption = shallowRef<ConsumptionRow[]>([])
  const loaded = ref(false)
  const problem = ref('')
  let turn = 0
  async function load(fresh = false): Promise<void> {
    if (loaded.value && !fresh) return
    const mine = ++turn
    const answer = await keepTrying(
      () => call(api.shelf.supply),
      (said) => void (problem.value = said),
      () => mine !== turn,
    ).catch(() => null)
    if (answer === null || mine !== turn) return
    supplies.value = answer.supplies
    consumption.value = answer.consumption
    loaded.value = true
    problem.value = ''
  }
  onChange((event) => {
    if (!loaded.value) return
    if (event === 'all') return void load(true)
    if (event.subject !== 'supply') return
    const row = event.row as LiveRows['supply'] | null
    const others = supplies.value.filter((one) => one.formulaId !== event.id)
    supplies.value = row ? [...others, row] : others
  })
  function forget(): void {
    supplies.value = []
    loaded.value = false
  }
  return { supplies, consumption, loaded, problem, load, forget }
})
