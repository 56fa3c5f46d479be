import type { ExchangeKind, Present } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { computed, onMounted, shallowRef } from 'vue'
import { useChart, useFormulas, useJars, useShelves, useVessels } from '../stores'
import { everyBottle, everyLine, everyTest } from './everything'

/** What the house holds now, which a file is compared with and written from. */
export function usePresent() {
  const lists = { formulas: useFormulas(), jars: useJars(), chart: useChart(), shelves: useShelves(), vessels: useVessels() }
  /** retired ones as well: a file holds all */
  const bottles = shallowRef<Bottle[]>([])
  const load = (fresh = false) =>
    Promise.all([
      ...Object.values(lists).map((list) => list.load(fresh)),
      fresh || bottles.value.length === 0 ? everyBottle().then((rows) => (bottles.value = rows)) : undefined,
    ])
  onMounted(() => void load().catch(() => undefined))
  const present = (): Present => ({
    formulas: lists.formulas.rows,
    jars: lists.jars.rows,
    chart: lists.chart.rows,
    bottles: bottles.value,
    shelves: lists.shelves.rows,
    tanks: lists.vessels.rows,
  })
  /** How many there are of a kind; not of ledgers and tests, which are fetched only to be saved. */
  const counts = computed((): Partial<Record<ExchangeKind, number>> =>
    Object.fromEntries(Object.entries(present()).map(([kind, rows]) => [kind, (rows as unknown[]).length])),
  )
  /** All that a file of that kind holds, as it is now. */
  async function whole(kind: ExchangeKind, told: (done: number) => void): Promise<Present> {
    await load(true)
    const all = present()
    if (kind === 'ledger') all.ledger = await everyLine(told)
    if (kind === 'tests') all.tests = await everyTest(told)
    return all
  }
  return { load, present, counts, whole }
}
