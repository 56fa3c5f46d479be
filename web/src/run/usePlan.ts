import { DomainError, planFor, type Plan } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, watch } from 'vue'
import { sentence } from '../api/call'
import { useBottles, useChart, usePeople, useVessels } from '../stores'
import {
  bathChoices,
  developerChoices,
  firstThatServes,
  secondFixers,
  sourcesOf,
  stopChoices,
  uniqueTexts,
  vesselChoices,
  vesselFor,
} from './planChoices'
import { lacking, planRequest, type Asked, type Found } from './planRequest'

const begin = (): Asked => ({
  film: null,
  ei: null,
  push: '0',
  format: '135-36',
  owners: [{ id: uuid(), memberId: null }],
  vesselId: null,
  developer: null,
  source: null,
  stop: null,
  fixer: null,
  second: null,
  aid: null,
  wetting: null,
  temperatureC: 20,
  typedC: 20,
  agitation: '10-4inv-30',
  critical: false,
  slow: false,
  preWet: false,
})

/**
 * A run while it is planned: what is chosen, what may be chosen, and the plan that core makes of it with every change. A choice that the one before it no
 * longer allows gives way to the first that serves.
 */
export function usePlan() {
  const [bottles, chart, people, vessels] = [useBottles(), useChart(), usePeople(), useVessels()]
  const lists = [bottles, chart, people, vessels]
  const load = () => Promise.all(lists.map((list) => list.load()))
  onMounted(() => void load())

  const asked = reactive(begin())
  const format = computed(() => asked.format ?? '135-36')
  const ei = computed(() => Number(asked.ei))
  const fixer = computed(() => bottles.rows.find((one) => one.id === asked.fixer))
  const developers = computed(() => developerChoices(bottles.rows, chart.rows, asked.film, ei.value))
  const developer = computed(() => developers.value.find((choice) => choice.value === asked.developer))
  const sources = computed(() => sourcesOf(chart.rows, asked.film, ei.value, developer.value?.formulaId, developer.value?.charted))
  const eisOf = (film: string | null) => uniqueTexts(chart.rows.filter((row) => row.film === film).map((row) => String(row.ei)))
  const named = (value: string) => ({ value, name: value })
  const choices = reactive({
    films: computed(() => uniqueTexts(chart.rows.map((row) => row.film)).map(named)),
    eis: computed(() => eisOf(asked.film).map((value) => ({ value, name: `EI ${value}` }))),
    members: computed(() => people.rows.filter((person) => person.active).map(({ id, name }) => ({ value: id, name }))),
    vessels: computed(() => vesselChoices(vessels.rows, format.value)),
    developers,
    sources,
    stops: computed(() => stopChoices(bottles.rows)),
    fixers: computed(() => bathChoices(bottles.rows, 'fixer')),
    seconds: computed(() => secondFixers(bottles.rows, fixer.value)),
    aids: computed(() => [{ value: 'none', name: 'No wash aid' }, ...bathChoices(bottles.rows, 'wash-aid')]),
    wettings: computed(() => [{ value: 'none', name: 'No wetting agent' }, ...bathChoices(bottles.rows, 'wetting-agent')]),
  })

  const among = (list: { value: string }[], value: string | null) => list.some((one) => one.value === value)
  watch(
    () => asked.film,
    (film) => (asked.ei = eisOf(film)[0] ?? null),
  )
  watch(developers, (list) => {
    if (!among(list, asked.developer)) asked.developer = list.find((one) => !one.disabled)?.value ?? null
  })
  watch(sources, (list) => (asked.source = list[0]?.value ?? null), { immediate: true })
  watch(
    () => choices.vessels,
    (list) => {
      if (!among(list, asked.vesselId)) asked.vesselId = vesselFor(vessels.rows, format.value, asked.owners.length)
    },
    { immediate: true },
  )
  watch(
    () => choices.seconds,
    (list) => (asked.second = list[0]?.value ?? null),
  )
  watch(
    () => [choices.stops, choices.fixers] as const,
    ([stops, fixers]) => {
      // before the shelf is here there is only water to choose from
      if (!bottles.loaded) return
      asked.stop ??= firstThatServes(stops, asked.owners.length)
      asked.fixer ??= firstThatServes(fixers, asked.owners.length)
    },
    { immediate: true },
  )

  const found = reactive({
    developer,
    rows: computed(() => sources.value.find((choice) => choice.value === asked.source)?.rows ?? []),
    bottles: computed(() => bottles.rows),
    paired: computed(() => fixer.value?.use.school === 'two-bath'),
  }) as Found
  const ready = computed(() => lists.every((list) => list.loaded))
  const request = computed(() => (ready.value ? planRequest(asked, found) : null))
  const worked = computed((): { plan: Plan | null; refused: string } => {
    if (!request.value) return { plan: null, refused: '' }
    try {
      return { plan: planFor(request.value, { vessels: vessels.rows, bottles: bottles.rows, chart: chart.rows }), refused: '' }
    } catch (error) {
      return { plan: null, refused: error instanceof DomainError ? error.message : sentence(error) }
    }
  })
  const plan = computed(() => worked.value.plan)
  return {
    asked,
    choices,
    found,
    request,
    plan,
    /** what core has against it */
    refused: computed(() => worked.value.refused),
    /** what is to be done before there is a plan */
    lacking: computed(() => lacking(asked, found)),
    /** it needs a reason to go on */
    blocked: computed(() => plan.value?.findings.some((finding) => finding.severity === 'error') ?? false),
    empty: reactive({
      chart: computed(() => chart.loaded && chart.rows.length === 0),
      vessels: computed(() => vessels.loaded && vessels.rows.length === 0),
    }),
    load,
  }
}
export type Planning = ReturnType<typeof usePlan>
