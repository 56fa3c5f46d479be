import { api, type ConsumptionRow, type LiveRows, type SupplyRow } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { keepTrying } from '../api/keepTrying'
import { latest } from '../api/latest'
import { onChange } from '../api/live'

/** How long each formula's bottles last: the server works out anew what a change can have changed, and tells it. */
export const useSupply = defineStore('supply', () => {
  const supplies = shallowRef<SupplyRow[]>([])
  const consumption = shallowRef<ConsumptionRow[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const turns = latest()
  async function load(fresh = false): Promise<void> {
    if (loaded.value && !fresh) return
    const unwanted = turns.begin()
    const answer = await keepTrying(
      (signal) => call(api.shelf.supply, { signal }),
      (said) => void (problem.value = said),
      unwanted,
    ).catch(() => null)
    if (answer === null) return
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
