import { partsOfBaths } from '@selvrin/core'
import type { Bottle, ChartRow, ProcessRow, Vessel } from '@selvrin/core/contract'
import { computed, reactive } from 'vue'
import { useMine } from '../permission/mine'
import { useBottles, useChart, useFormulas, usePeople, useProcesses, useVessels } from '../stores'

/** What stands in the house for whoever plans a run, as far as they may use it. */
export interface PlanHouse {
  processes: ProcessRow[]
  chart: ChartRow[]
  /** by id of a formula that is only a part: what it is a part of */
  partOf: Record<string, string>
  people: { id: string; name: string }[]
  /** tanks and bottles for a process */
  vessels: (processId: string | null) => Vessel[]
  bottles: (processId: string | null) => Bottle[]
  loaded: { bottles: boolean; chart: boolean; vessels: boolean; all: boolean }
  load: () => Promise<unknown>
}

/** All of it: a technician's. */
export function useWholeHouse(): PlanHouse {
  const [bottles, chart, people, vessels, processes] = [useBottles(), useChart(), usePeople(), useVessels(), useProcesses()]
  const formulas = useFormulas()
  const lists = [bottles, chart, people, vessels, processes, formulas]
  return reactive({
    processes: computed(() => processes.rows),
    chart: computed(() => chart.rows),
    partOf: computed(() => partsOfBaths(formulas.rows)),
    people: computed(() => people.rows.filter((person) => person.active).map(({ id, name }) => ({ id, name }))),
    vessels: () => vessels.rows,
    bottles: () => bottles.rows,
    loaded: {
      bottles: computed(() => bottles.loaded),
      chart: computed(() => chart.loaded),
      vessels: computed(() => vessels.loaded),
      all: computed(() => lists.every((list) => list.loaded)),
    },
    load: () => Promise.all(lists.map((list) => list.load())),
  }) as PlanHouse
}

/** What a member was allowed, and nothing besides. */
export function usePermittedHouse(): PlanHouse {
  const [bottles, processes, mine] = [useBottles(), useProcesses(), useMine()]
  const terms = (processId: string | null) => mine.permissions.find((one) => one.processId === processId)
  const among = <T extends { id: string }>(rows: T[], ids: string[] | undefined): T[] =>
    ids === undefined ? [] : ids.length === 0 ? rows : rows.filter((row) => ids.includes(row.id))
  const loaded = computed(() => bottles.loaded && processes.loaded && mine.loaded)
  return reactive({
    processes: computed(() => processes.rows.filter((row) => terms(row.id)?.before === '')),
    chart: computed(() => mine.answer?.chart ?? []),
    partOf: computed(() => mine.answer?.partOf ?? {}),
    people: computed(() => mine.answer?.people ?? []),
    vessels: (processId: string | null) => among(mine.answer?.vessels ?? [], terms(processId)?.vesselIds),
    bottles: (processId: string | null) => among(bottles.rows, terms(processId)?.bottleIds),
    loaded: { bottles: loaded, chart: loaded, vessels: loaded, all: loaded },
    load: () => Promise.all([bottles.load(), processes.load(), mine.load()]),
  }) as PlanHouse
}
