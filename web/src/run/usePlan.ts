import { developsFirst, DomainError, planFor, roleOf, rolesOf, secondOf, servedOptions, stepsOf, vesselFor, type Plan } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sentence } from '../api/call'
import { useSession } from '../session/store'
import {
  bathChoices,
  developerChoices,
  firstThatServes,
  pushChoices,
  secondBaths,
  sourcesOf,
  uniqueTexts,
  vesselChoices,
  type DeveloperChoice,
} from './planChoices'
import { usePermittedHouse, useWholeHouse } from './planHouse'
import { lacking, planRequest, readEi, type Asked, type Found, type RoleChoices } from './planRequest'

const begin = (): Asked => ({
  processId: null,
  options: {},
  film: null,
  ei: null,
  push: '0',
  format: '135-36',
  owners: [{ id: uuid(), memberId: null }],
  vesselId: null,
  baths: {},
  source: null,
  temperatureC: 20,
  typedC: 20,
  bathC: {},
  agitation: '10-4inv-30',
  critical: false,
  slow: false,
})

/**
 * A run while it is planned: what is chosen, what may be chosen, and the plan that core makes of it with every change. A choice that the one before it no
 * longer allows gives way to the first that serves.
 */
export function usePlan() {
  const house = useSession().isTechnician ? useWholeHouse() : usePermittedHouse()
  onMounted(() => void house.load())

  const asked = reactive(begin())
  const bottles = computed(() => house.bottles(asked.processId))
  const vessels = computed(() => house.vessels(asked.processId))
  const { process: wanted } = useRoute().query
  const format = computed(() => asked.format ?? '135-36')
  const ei = computed(() => readEi(asked.ei) ?? NaN)
  const process = computed(() => house.processes.find((one) => one.id === asked.processId))
  const bottleIn = (role: string) => bottles.value.find((one) => asked.baths[role]?.startsWith(one.id))

  /** what can be poured: a part of a bath only together with the other */
  const baths = (family: string) => bathChoices(bottles.value, family, house.partOf)

  const options = computed((): Record<string, boolean> => {
    const body = process.value?.body
    if (!body) return {}
    const familyOf = (role: string) => body.roles.find((one) => one.id === role)?.family ?? ''
    const charted = body.steps.find((step) => step.time === 'chart')
    const serves = (role: string) =>
      !house.loaded.bottles || role === (charted ? roleOf(charted) : null) || baths(familyOf(role)).some((one) => !one.disabled)
    // the first bath of a pair is followed by its second
    const pairs = body.roles.flatMap(({ id }) => {
      const second = bottleIn(id)?.use.school === 'two-bath' ? secondOf(body, id) : null
      return second?.option ? [[second.option, true] as const] : []
    })
    const made = { ...servedOptions(body, serves), ...Object.fromEntries(pairs) }
    // what was turned by hand goes before all of its group
    for (const [id, on] of Object.entries(asked.options)) {
      const group = body.options.find((one) => one.id === id)?.group
      if (on && group) for (const other of body.options) if (other.group === group) delete made[other.id]
      made[id] = on
    }
    return made
  })
  const steps = computed(() => (process.value ? stepsOf(process.value.body, options.value) : []))
  const chartedRole = computed(() => {
    const step = steps.value.find((one) => one.time === 'chart')
    return step ? roleOf(step) : null
  })
  const roles = computed((): RoleChoices[] => {
    const body = process.value?.body
    if (!body) return []
    return rolesOf(body, options.value).map(({ id, name, family }) => {
      const first = body.roles.find((one) => secondOf(body, one.id)?.role === id && bottleIn(one.id)?.use.school === 'two-bath')
      const charted = id === chartedRole.value
      const choices = charted
        ? developerChoices(bottles.value, house.chart, asked.film, ei.value, family)
        : first
          ? secondBaths(bottles.value, bottleIn(first.id))
          : baths(family)
      return { id, name, charted, choices }
    })
  })
  const developer = computed(() => {
    const role = roles.value.find((one) => one.charted)
    return role?.choices.find((one) => one.value === asked.baths[role.id]) as DeveloperChoice | undefined
  })
  const sources = computed(() => sourcesOf(house.chart, asked.film, ei.value, developer.value?.formulaId, developer.value?.charted))
  const eisOf = (film: string | null) => uniqueTexts(house.chart.filter((row) => row.film === film).map((row) => String(row.ei)))
  const named = (value: string) => ({ value, name: value })
  const choices = reactive({
    processes: computed(() => house.processes.map(({ id, body }) => ({ value: id, name: body.name }))),
    films: computed(() => uniqueTexts(house.chart.map((row) => row.film)).map(named)),
    eis: computed(() => eisOf(asked.film).map((value) => ({ value, name: `EI ${value}` }))),
    pushes: computed(() => pushChoices(steps.value)),
    members: computed(() => house.people.map(({ id, name }) => ({ value: id, name }))),
    vessels: computed(() => vesselChoices(vessels.value, format.value, process.value?.body.vessel)),
    sources,
  })

  const among = (list: { value: string }[], value: string | null | undefined) => list.some((one) => one.value === value)
  watch(
    () => choices.processes,
    (list) => {
      if (!among(list, asked.processId)) asked.processId = (list.find((one) => one.value === wanted) ?? list[0])?.value ?? null
    },
    { immediate: true },
  )
  watch(process, (now, before) => {
    if (!now || now.id === before?.id) return
    asked.options = {}
    asked.baths = {}
    asked.bathC = {}
    asked.typedC = asked.temperatureC = now.body.steps.find(developsFirst)?.atC ?? 20
  })
  // a film may be chosen before its process is here, which says whether its index comes from the chart
  watch([() => asked.film, chartedRole], ([film, role], [before]) => {
    const eis = role === null ? [] : eisOf(film)
    if (role !== null && (film !== before || !eis.includes(asked.ei ?? ''))) asked.ei = eis[0] ?? null
  })
  watch(chartedRole, (role) => {
    // a film of the chart is chosen, any other is written
    if (role !== null && asked.film !== null && !among(choices.films, asked.film)) asked.film = null
  })
  watch(
    roles,
    (list) => {
      // before the shelf is here there is nothing to choose from
      if (!house.loaded.bottles) return
      for (const { id, charted, choices: may } of list) {
        if (among(may, asked.baths[id])) continue
        const baths = may as { value: string; disabled: boolean; rolls?: number }[]
        asked.baths[id] = charted
          ? (baths.find((one) => !one.disabled)?.value ?? null)
          : firstThatServes(
              baths.map((one) => ({ rolls: Infinity, ...one })),
              asked.owners.length,
            )
      }
    },
    { immediate: true },
  )
  // where only one may be named, they are
  watch(
    () => choices.members,
    ([only, ...more]) => {
      if (only && more.length === 0) for (const owner of asked.owners) owner.memberId ??= only.value
    },
    { immediate: true },
  )
  watch(sources, (list) => (asked.source = list[0]?.value ?? null), { immediate: true })
  watch(
    () => choices.pushes,
    (list) => {
      if (!among(list, asked.push)) asked.push = '0'
    },
  )
  watch(
    () => choices.vessels,
    (list) => {
      if (!among(list, asked.vesselId))
        asked.vesselId =
          vesselFor(vessels.value, format.value, { films: asked.owners.length, kind: process.value?.body.vessel })?.id ?? null
    },
    { immediate: true },
  )

  const found = reactive({
    process,
    options,
    roles,
    chartRowIds: computed(() => sources.value.find((choice) => choice.value === asked.source)?.rows.map((row) => row.id) ?? []),
  }) as Found
  const request = computed(() => (house.loaded.all ? planRequest(asked, found) : null))
  const worked = computed((): { plan: Plan | null; refused: string } => {
    if (!request.value || !process.value) return { plan: null, refused: '' }
    const { id, body } = process.value
    try {
      const shelf = {
        process: { ...body, id },
        vessels: vessels.value,
        bottles: bottles.value,
        chart: house.chart,
        partOf: house.partOf,
      }
      return { plan: planFor(request.value, shelf), refused: '' }
    } catch (error) {
      return { plan: null, refused: error instanceof DomainError ? error.message : sentence(error) }
    }
  })
  const plan = computed(() => worked.value.plan)
  return {
    asked,
    choices,
    found,
    developer,
    steps,
    bottles,
    request,
    plan,
    /** what core has against it */
    refused: computed(() => worked.value.refused),
    /** what is to be done before there is a plan */
    lacking: computed(() => lacking(asked, found)),
    /** it needs a reason to go on */
    blocked: computed(() => plan.value?.findings.some((finding) => finding.severity === 'error') ?? false),
    empty: reactive({
      chart: computed(() => chartedRole.value !== null && house.loaded.chart && house.chart.length === 0),
      vessels: computed(() => house.loaded.vessels && vessels.value.length === 0),
      processes: computed(() => house.loaded.all && house.processes.length === 0),
    }),
    load: house.load,
  }
}
export type Planning = ReturnType<typeof usePlan>
