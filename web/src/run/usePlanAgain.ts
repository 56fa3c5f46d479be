import { api, type PlanRequest, type Run } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { nextTick, onMounted, ref, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import { call, sentence } from '../api/call'
import { useBench } from '../device/readings'
import { formats } from './planChoices'
import type { RoleChoices } from './planRequest'
import type { Planning } from './usePlan'

/** The bath of before, else another of its formula, else the first that serves; nothing where there was none. */
function sameBath(
  choices: { value: string; disabled?: boolean; bottleId: string }[],
  before: string | undefined,
  formulaOf: (id: string) => string | undefined,
): string | null {
  if (before === undefined) return null
  const serves = choices.filter((one) => !one.disabled)
  const one =
    serves.find(({ bottleId }) => bottleId === before) ??
    serves.find(({ bottleId }) => formulaOf(bottleId) === formulaOf(before)) ??
    serves[0]
  return one?.value ?? null
}

/** Whether the chart rows a plan was made with are all among those. */
function wereOf(rows: { id: string }[], { chartRowIds }: PlanRequest): boolean {
  return chartRowIds.length > 0 && chartRowIds.every((id) => rows.some((row) => row.id === id))
}

/** The same again: what was decided for the run that the address names, with the bottles that serve now. */
export function usePlanAgain(
  { asked, choices, found, bottles, blocked, load }: Planning,
  problem: Ref<string>,
  done: () => void,
): Ref<Run | null> {
  const route = useRoute()
  const probe = useBench('thermometer')
  const again = ref<Run | null>(null)
  const formulaOf = (id: string) => bottles.value.find((one) => one.id === id)?.formulaId

  /** What depends on nothing on the shelf. */
  async function films(run: Run, request: PlanRequest): Promise<void> {
    const [one] = request.films
    if (!one) return
    asked.processId = run.plan.processId
    await nextTick()
    asked.options = { ...request.options }
    await nextTick()
    asked.film = one.film
    await nextTick()
    asked.ei = String(one.ei)
    asked.push = String(one.pushStops)
    asked.format = formats.find((choice) => choice.value === one.format)?.value ?? '135-36'
    asked.owners.splice(0, asked.owners.length, ...request.films.map(({ memberId }) => ({ id: uuid(), memberId })))
    await nextTick()
    asked.vesselId = request.vesselId
    asked.agitation = request.agitation
    asked.critical = request.critical ?? false
    asked.slow = one.slowClearing ?? false
    // a thermometer in the developer goes before what it was last time
    const read = probe.reading.value
    asked.temperatureC = asked.typedC = read?.value != null && read.stable ? Math.round(read.value * 10) / 10 : request.temperatureC
    await nextTick()
  }
  async function baths(request: PlanRequest): Promise<void> {
    for (const { id, charted, choices: may } of found.roles) {
      const before = request.baths.find((one) => one.role === id)?.bottleId
      if (!charted) asked.baths[id] = sameBath(may, before, formulaOf) ?? asked.baths[id] ?? null
    }
    await nextTick()
  }
  /** The very bottle first, then another of the same, then what else the film is charted in; one that holds too little for it gives way. */
  async function developer(request: PlanRequest): Promise<void> {
    const role = found.roles.find((one) => one.charted)
    if (!role) return
    const dev = request.baths.find((one) => one.role === role.id)
    const rank = (one: RoleChoices['choices'][number]) =>
      (one.bottleId === dev?.bottleId ? 4 : dev && formulaOf(one.bottleId) === formulaOf(dev.bottleId) ? 2 : 0) +
      (one.parts.join() === dev?.parts.join() ? 1 : 0)
    const candidates = role.choices.filter((one) => !one.disabled).sort((x, y) => rank(y) - rank(x))
    for (const { value } of candidates) {
      asked.baths[role.id] = value
      await nextTick()
      asked.source = choices.sources.find((one) => wereOf(one.rows, request))?.value ?? asked.source
      if (!blocked.value) return
    }
    asked.baths[role.id] = candidates[0]?.value ?? null
    await nextTick()
  }

  onMounted(async () => {
    const id = route.query.again
    if (typeof id !== 'string') return
    try {
      const [run] = await Promise.all([call(api.run.get, { params: { id } }), load()])
      if (!run.request) return
      again.value = run
      await films(run, run.request)
      await baths(run.request)
      await developer(run.request)
      await nextTick()
      done()
    } catch (error) {
      problem.value = sentence(error)
    }
  })
  return again
}
