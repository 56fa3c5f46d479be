import { api, type ConsumptionRow, type SupplyRow } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { call, sentence } from '../api/call'
import { onChange } from '../api/live'

const settleMs = 400

/** How long each formula's bottles last; asked again when a bottle or run changes, while someone looks. */
export const useSupply = defineStore('supply', () => {
  const supplies = shallowRef<SupplyRow[]>([])
  const consumption = shallowRef<ConsumptionRow[]>([])
  const loaded = ref(false)
  const problem = ref('')
  let again = 0
  async function load(fresh = false): Promise<void> {
    if (loaded.value && !fresh) return
    try {
      const answer = await call(api.shelf.supply)
      supplies.value = answer.supplies
      consumption.value = answer.consumption
      loaded.value = true
      problem.value = ''
    } catch (error) {
      problem.value = sentence(error)
    }
  }
  onChange((event) => {
    if (!loaded.value || (event !== 'all' && event.subject !== 'bottle' && event.subject !== 'run')) return
    clearTimeout(again)
    again = window.setTimeout(() => void load(true), settleMs)
  })
  function forget(): void {
    supplies.value = []
    loaded.value = false
  }
  return { supplies, consumption, loaded, problem, load, forget }
})
