import { api, type ConsumptionRow, type SupplyRow } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { keepTrying } from '../api/keepTrying'
import { onChange } from '../api/live'

const settleMs = 400

/** How long each formula's bottles last; asked again when a bottle or run changes, while someone looks. */
export const useSupply = defineStore('supply', () => {
  const supplies = shallowRef<SupplyRow[]>([])
  const consumption = shallowRef<ConsumptionRow[]>([])
  const loaded = ref(false)
  const problem = ref('')
  let again = 0
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
