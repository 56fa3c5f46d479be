import type { ExchangeKind, Present } from '@selvrin/core'
import { coatApi, traysApi, type Bottle } from '@selvrin/core/contract'
import { computed, onMounted, shallowRef } from 'vue'
import { useChart, useFormulas, useJars, useShelves, useVessels } from '../stores'
import { call } from '../api/call'
import { everyBottle, everyCoated, everySwatch, everyLine, everyPerson, everyPrint, everyTest } from './everything'

/** What the house holds now, which a file is compared with and written from. */
export function usePresent() {
  const lists = { formulas: useFormulas(), jars: useJars(), chart: useChart(), shelves: useShelves(), vessels: useVessels() }
  /** retired ones as well: a file holds all */
  const bottles = shallowRef<Bottle[]>([])
  /** papers with their boxes, enlargers, what was matched */
  const room = shallowRef<Pick<Present, 'papers' | 'boxes' | 'enlargers' | 'calibrations'>>({})
  const loadRoom = async (): Promise<void> => {
    const { papers, boxes, enlargers, calibrations } = await call(traysApi.get)
    room.value = { papers, boxes, enlargers, calibrations }
  }
  const load = (fresh = false) =>
    Promise.all([
      ...Object.values(lists).map((list) => list.load(fresh)),
      fresh || bottles.value.length === 0 ? everyBottle().then((rows) => (bottles.value = rows)) : undefined,
      fresh || !room.value.papers ? loadRoom() : undefined,
    ])
  onMounted(() => void load().catch(() => undefined))
  const present = (): Present => ({
    formulas: lists.formulas.rows,
    jars: lists.jars.rows,
    chart: lists.chart.rows,
    bottles: bottles.value,
    shelves: lists.shelves.rows,
    tanks: lists.vessels.rows,
    ...room.value,
  })
  /** How many there are of a kind; not of ledgers and tests, which are fetched only to be saved. */
  const counts = computed((): Partial<Record<ExchangeKind, number>> =>
    Object.fromEntries(Object.entries(present()).map(([kind, rows]) => [kind, (rows as unknown[]).length])),
  )
  /** Prints, and who they may be of. */
  const printsAnd = async (told: (done: number) => void) => ({ prints: await everyPrint(told), people: await everyPerson() })
  /** What is asked for only where a file of its kind is read or written. */
  async function besides(kind: ExchangeKind, told: (done: number) => void): Promise<Partial<Present>> {
    if (kind === 'prints') return printsAnd(told)
    if (kind === 'swatches') return { swatches: await everySwatch(told) }
    if (kind === 'lamps') return { lamps: (await call(coatApi.get)).lamps }
    return kind === 'coated' ? { coated: await everyCoated(told), people: await everyPerson() } : {}
  }
  /** What a file of that kind is read against. */
  const against = async (kind: ExchangeKind, told: (done: number) => void): Promise<Present> => {
    await load(true)
    return { ...present(), ...(await besides(kind, told)) }
  }
  /** All that a file of that kind holds, as it is now. */
  async function whole(kind: ExchangeKind, told: (done: number) => void): Promise<Present> {
    await load(true)
    const all = present()
    if (kind === 'ledger') all.ledger = await everyLine(told)
    if (kind === 'tests') all.tests = await everyTest(told)
    return { ...all, ...(await besides(kind, told)) }
  }
  return { load, counts, against, whole }
}
