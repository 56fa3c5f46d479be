import { api, type PlanRequest, type Run } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { nextTick, onMounted, ref, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import { call, sentence } from '../api/call'
import { useBench } from '../device/readings'
import { formats, type DeveloperChoice } from './planChoices'
import type { Planning } from './usePlan'

/** The bath of before, else another of its formula, else the first that serves; nothing where there was none. */
function sameBath(
  choices: { value: string; disabled?: boolean }[],
  before: string | undefined,
  formulaOf: (id: string) => string | undefined,
): string | null {
  if (before === undefined) return null
  const serves = choices.filter((one) => !one.disabled)
  const one =
    serves.find(({ value }) => value === before) ?? serves.find(({ value }) => formulaOf(value) === formulaOf(before)) ?? serves[0]
  return one?.value ?? null
}

/** The same again: what was decided for the run that the address names, with the bottles that serve now. */
export function usePlanAgain({ asked, choices, found, blocked, load }: Planning, problem: Ref<string>, done: () => void): Ref<Run | null> {
  const route = useRoute()
  const probe = useBench('thermometer')
  const again = ref<Run | null>(null)
  const formulaOf = (id: string) => found.bottles.find((one) => one.id === id)?.formulaId

  /** What depends on nothing on the shelf. */
  async function films(request: PlanRequest): Promise<void> {
    const [one] = request.films
    if (!one) return
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
    asked.preWet = request.preWet
    // a thermometer in the developer goes before what it was last time
    const read = probe.reading.value
    asked.temperatureC = asked.typedC = read?.value != null && read.stable ? Math.round(read.value * 10) / 10 : request.temperatureC
    await nextTick()
  }
  async function baths(request: PlanRequest): Promise<void> {
    const was = (family: string) => request.baths.find((one) => one.family === family)?.bottleId
    const same = (list: { value: string; disabled?: boolean }[], family: string) => sameBath(list, was(family), formulaOf)
    asked.stop = same(choices.stops, 'stop-bath') ?? 'none'
    asked.fixer = same(choices.fixers, 'fixer') ?? asked.fixer
    asked.aid = same(choices.aids, 'wash-aid') ?? (request.washAid ? asked.aid : 'none')
    asked.wetting = same(choices.wettings, 'wetting-agent') ?? (request.wettingAgent ? asked.wetting : 'none')
    await nextTick()
  }
  /** The very bottle first, then another of the same, then what else the film is charted in; one that holds too little for it gives way. */
  async function developer(request: PlanRequest): Promise<void> {
    const dev = request.baths.find((one) => one.family === 'film-developer')
    const rank = (one: DeveloperChoice) =>
      (one.bottleId === dev?.bottleId ? 4 : dev && one.formulaId === formulaOf(dev.bottleId) ? 2 : 0) +
      (one.parts.join() === dev?.parts.join() ? 1 : 0)
    const candidates = choices.developers.filter((one) => !one.disabled).sort((x, y) => rank(y) - rank(x))
    for (const { value } of candidates) {
      asked.developer = value
      await nextTick()
      asked.source = choices.sources.find((one) => one.rows.some((row) => request.chartRowIds.includes(row.id)))?.value ?? asked.source
      if (!blocked.value) return
    }
    asked.developer = candidates[0]?.value ?? null
    await nextTick()
  }

  onMounted(async () => {
    const id = route.query.again
    if (typeof id !== 'string') return
    try {
      const [run] = await Promise.all([call(api.run.get, { params: { id } }), load()])
      if (!run.request) return
      again.value = run
      await films(run.request)
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
