<script setup lang="ts">
import { agitations, DomainError, planFor, showParts, type Plan } from '@selvrin/core'
import { api, type Run, type PlanRequest } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, nextTick, useTemplateRef, onMounted, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import FindingList from '../marks/FindingList.vue'
import { useBottles, useChart, usePeople, useVessels } from '../stores'
import BeakerRow from './BeakerRow.vue'
import { bathChoices, developerChoices, sourcesOf, uniqueTexts } from './planChoices'
import StepRibbon from './StepRibbon.vue'
import TimeFactors from './TimeFactors.vue'
import { useTyped } from '../hand/typed'
import { useBench } from '../device/readings'
import { useShow } from '../session/useShow'

const router = useRouter()
const route = useRoute()
const show = useShow()
const probe = useBench('thermometer')
const [bottles, chart, people, vessels] = [useBottles(), useChart(), usePeople(), useVessels()]
onMounted(() => void Promise.all([bottles.load(), chart.load(), people.load(), vessels.load()]))

const { busy, problem, act } = useAction()
const typing = useTyped()
const runId = uuid()
const film = ref<string | null>(null)
const ei = ref<string | null>(null)
const push = ref<string | null>('0')
const vesselId = ref<string | null>(null)
const format = ref<'135-36' | '135-24' | '135-12' | '120' | null>('135-36')
const owners = reactive<{ id: string; memberId: string | null }[]>([{ id: uuid(), memberId: null }])
const developer = ref<string | null>(null)
const source = ref<string | null>(null)
const stop = ref<string | null>(null)
const fixer = ref<string | null>(null)
const aid = ref<string | null>(null)
const wetting = ref<string | null>(null)
const temperatureC = ref<number | null>(20)
const typedC = ref<number | null>(20)
const critical = ref(false)
const second = ref<string | null>(null)
const agitation = ref<string | null>('10-4inv-30')
const preWet = ref(false)
const slow = ref(false)
const overrule = ref('')

const filmChoices = computed(() => uniqueTexts(chart.rows.map((row) => row.film)).map((value) => ({ value, name: value })))
const eiChoices = computed(() =>
  uniqueTexts(chart.rows.filter((row) => row.film === film.value).map((row) => String(row.ei))).map((value) => ({
    value,
    name: `EI ${value}`,
  })),
)
watch(film, () => (ei.value = eiChoices.value[0]?.value ?? null))
const developers = computed(() => developerChoices(bottles.rows, chart.rows, film.value, Number(ei.value)))
watch(developers, (choices) => {
  if (!choices.some((choice) => choice.value === developer.value))
    developer.value = choices.find((choice) => !choice.disabled)?.value ?? null
})
const chosenDeveloper = computed(() => developers.value.find((choice) => choice.value === developer.value))
const sources = computed(() =>
  sourcesOf(chart.rows, film.value, Number(ei.value), chosenDeveloper.value?.formulaId, chosenDeveloper.value?.charted),
)
watch(sources, (choices) => (source.value = choices[0]?.value ?? null), { immediate: true })
const chartRows = computed(() => sources.value.find((choice) => choice.value === source.value)?.rows ?? [])
const formatChoices = [
  { value: '135-36' as const, name: '135, 36 exposures' },
  { value: '135-24' as const, name: '135, 24 exposures' },
  { value: '135-12' as const, name: '135, 12 exposures' },
  { value: '120' as const, name: '120' },
]
const vesselChoices = computed(() =>
  vessels.rows
    .filter((vessel) => vessel.format === (format.value === '120' ? '120' : '135'))
    .map((vessel) => ({
      value: vessel.id,
      name: vessel.name,
      detail: `${vessel.reels} ${vessel.reels === 1 ? 'reel' : 'reels'}, ${vessel.kind === 'rotary' ? 'rotary' : 'by hand'}`,
    })),
)
watch(
  vesselChoices,
  (choices) => {
    if (!choices.some((choice) => choice.value === vesselId.value))
      vesselId.value =
        choices.find(
          (_, i) => (vessels.rows.filter((v) => v.format === (format.value === '120' ? '120' : '135'))[i]?.reels ?? 0) >= owners.length,
        )?.value ?? null
  },
  { immediate: true },
)
const memberChoices = computed(() =>
  people.rows.filter((person) => person.active).map((person) => ({ value: person.id, name: person.name })),
)
const stops = computed(() => [
  ...bathChoices(bottles.rows, 'stop-bath'),
  { value: 'none', name: 'Water instead', detail: 'after it the fixer carries the developer’s alkali', disabled: false, rolls: Infinity },
])
const fixers = computed(() => bathChoices(bottles.rows, 'fixer'))
const aids = computed(() => [{ value: 'none', name: 'No wash aid' }, ...bathChoices(bottles.rows, 'wash-aid')])
const wettings = computed(() => [{ value: 'none', name: 'No wetting agent' }, ...bathChoices(bottles.rows, 'wetting-agent')])
/** A bottle that should not be used can be chosen all the same: the plan then asks for the reason. */
const pickable = <C extends { name: string; detail?: string; disabled?: boolean }>(choices: C[]): C[] =>
  choices.map((choice) => (choice.disabled ? { ...choice, disabled: false, detail: `only with a reason: ${choice.detail ?? ''}` } : choice))
const first = computed(() => bottles.rows.find((one) => one.id === fixer.value))
const paired = computed(() => first.value?.use.school === 'two-bath')
const seconds = computed(() =>
  bathChoices(
    bottles.rows.filter((one) => one.formulaId === first.value?.formulaId && one.state.twoBath?.position === 2),
    'fixer',
  ),
)
watch(seconds, (choices) => (second.value = choices[0]?.value ?? null))
/** The oldest bottle that bears two rolls or the films already named. */
const firstThatServes = (choices: { value: string; disabled: boolean; rolls: number }[]) =>
  choices.find((choice) => !choice.disabled && choice.rolls >= Math.max(2, owners.length))?.value ?? null
watch(
  [stops, fixers],
  () => {
    // before the shelf is here there is only water to choose from
    if (!bottles.loaded) return
    stop.value ??= firstThatServes(stops.value)
    fixer.value ??= firstThatServes(fixers.value)
  },
  { immediate: true },
)
const pushes = ['-2', '-1', '0', '1', '2', '3'].map((value) => ({
  value,
  name: value === '0' ? 'as exposed' : Number(value) > 0 ? `push ${value}` : `pull ${value.slice(1)}`,
}))
const agitationChoices = Object.entries(agitations)
  .filter(([key]) => key !== 'none')
  .map(([value, one]) => ({ value, name: one.name }))

/** The same again: what was decided for an earlier run, with the bottles that serve now. */
const again = ref<Run | null>(null)
const toBeakers = useTemplateRef<HTMLButtonElement>('toBeakers')
onMounted(async () => {
  const id = route.query.again
  if (typeof id !== 'string') return
  const [run] = await Promise.all([
    call(api.run.get, { params: { id } }).catch((error: unknown) => ((problem.value = sentence(error)), null)),
    ...[bottles, chart, people, vessels].map((list) => list.load()),
  ])
  const asked = run?.request
  const [one] = asked?.films ?? []
  if (!run || !asked || !one) return
  again.value = run
  film.value = one.film
  await nextTick()
  ei.value = String(one.ei)
  push.value = String(one.pushStops)
  format.value = formatChoices.find((choice) => choice.value === one.format)?.value ?? '135-36'
  owners.splice(0, owners.length, ...asked.films.map(({ memberId }) => ({ id: uuid(), memberId })))
  await nextTick()
  vesselId.value = asked.vesselId
  agitation.value = asked.agitation
  critical.value = asked.critical ?? false
  slow.value = one.slowClearing ?? false
  preWet.value = asked.preWet
  // a thermometer in the developer goes before what it was last time
  const read = probe.reading.value
  temperatureC.value = typedC.value = read?.value != null && read.stable ? Math.round(read.value * 10) / 10 : asked.temperatureC
  await nextTick()
  const was = (family: string) => asked.baths.find((one) => one.family === family)
  const formulaOf = (bottleId: string | undefined) => bottles.rows.find((one) => one.id === bottleId)?.formulaId
  const dev = was('film-developer')
  const candidates = developers.value
    .filter((one) => !one.disabled)
    .sort((x, y) => rankOf(y) - rankOf(x))
    .map((one) => one.value)
  developer.value = candidates[0] ?? null
  // the very bottle first, then another of the same, then what else the film is charted in
  function rankOf(one: { bottleId: string; formulaId: string; parts: number[] }): number {
    const sameParts = one.parts.join() === dev?.parts.join() ? 1 : 0
    return (one.bottleId === dev?.bottleId ? 4 : one.formulaId === formulaOf(dev?.bottleId) ? 2 : 0) + sameParts
  }
  const same = (choices: { value: string; disabled?: boolean }[], family: string): string | null => {
    const before = was(family)?.bottleId
    if (before === undefined) return null
    const serves = choices.filter((one) => !one.disabled)
    return (
      (serves.find((one) => one.value === before) ?? serves.find((one) => formulaOf(one.value) === formulaOf(before)) ?? serves[0])
        ?.value ?? null
    )
  }
  stop.value = same(stops.value, 'stop-bath') ?? 'none'
  fixer.value = same(fixers.value, 'fixer') ?? fixer.value
  aid.value = same(aids.value, 'wash-aid') ?? (asked.washAid ? aid.value : 'none')
  wetting.value = same(wettings.value, 'wetting-agent') ?? (asked.wettingAgent ? wetting.value : 'none')
  await nextTick()
  source.value = sources.value.find((one) => one.rows.some((row) => asked.chartRowIds.includes(row.id)))?.value ?? source.value
  // a bottle that holds too little for it gives way to one that serves
  for (const value of candidates) {
    if (!blocked.value) break
    developer.value = value
    await nextTick()
  }
  await nextTick()
  toBeakers.value?.focus()
})

const bath = (family: string, value: string | null) => {
  const bottle = bottles.rows.find((one) => one.id === value)
  return bottle ? [{ family, bottleId: bottle.id, parts: bottle.parts === null ? (bottle.use.dilutions[0] ?? [1]) : [1] }] : []
}
const lacking = computed(() => {
  if (!film.value) return 'Choose the film.'
  if (!chosenDeveloper.value) return 'Choose the developer.'
  if (!vesselId.value) return 'Choose the tank.'
  if (owners.some((owner) => owner.memberId === null)) return 'Say whose films they are.'
  if (temperatureC.value === null) return 'Measure the developer and write its temperature.'
  return ''
})
const request = computed((): PlanRequest | null =>
  lacking.value !== '' || !chosenDeveloper.value
    ? null
    : {
        vesselId: vesselId.value ?? '',
        films: owners.map((owner) => ({
          id: owner.id,
          memberId: owner.memberId ?? '',
          film: film.value ?? '',
          format: format.value ?? '135-36',
          ei: Number(ei.value),
          pushStops: Number(push.value),
          slowClearing: slow.value,
        })),
        chartRowIds: chartRows.value.map((row) => row.id),
        baths: [
          { family: 'film-developer', bottleId: chosenDeveloper.value.bottleId, parts: chosenDeveloper.value.parts },
          ...bath('stop-bath', stop.value),
          ...bath('fixer', fixer.value),
          ...(paired.value ? bath('fixer', second.value) : []),
          ...bath('wash-aid', aid.value),
          ...bath('wetting-agent', wetting.value),
        ],
        temperatureC: temperatureC.value ?? 20,
        agitation: agitation.value ?? '10-4inv-30',
        critical: critical.value,
        preWet: preWet.value,
        washAid: aid.value !== null && aid.value !== 'none',
        wettingAgent: wetting.value !== null && wetting.value !== 'none',
      },
)
const worked = computed((): { plan: Plan | null; refused: string } => {
  if (!request.value) return { plan: null, refused: '' }
  try {
    return { plan: planFor(request.value, { vessels: vessels.rows, bottles: bottles.rows, chart: chart.rows }), refused: '' }
  } catch (error) {
    return { plan: null, refused: error instanceof DomainError ? error.message : sentence(error) }
  }
})
const plan = computed(() => worked.value.plan)
const blocked = computed(() => plan.value?.findings.some((finding) => finding.severity === 'error') ?? false)

async function keep(): Promise<void> {
  const body = request.value
  if (!body || !plan.value) {
    problem.value = lacking.value || worked.value.refused
    return
  }
  const good = await act(() =>
    call(api.run.plan, { body: { id: runId, request: body, ...(overrule.value.trim() === '' ? {} : { overrule: overrule.value }) } }),
  )
  if (!good) return
  typing.kept()
  await router.push(`/tanks/${runId}`)
}
</script>

<template>
  <form class="station grid grid-cols-[340px_minmax(0,1fr)] gap-10 max-lg:grid-cols-1" @submit.prevent="keep">
    <section class="space-y-4">
      <h1 class="text-3xl font-bold">Plan a run</h1>
      <p v-if="again" class="card" role="status">
        As run {{ again.number }}, with what stands on the shelf now. Measure the developer: it had
        {{ show.temperature(again.plan.temperatureC) }} then.
      </p>
      <p v-if="chart.loaded && chart.rows.length === 0" class="card">
        The development chart is empty. <RouterLink to="/tanks/chart" class="link">Write its first row</RouterLink>: a film, a developer, a
        time.
      </p>
      <p v-if="vessels.loaded && vessels.rows.length === 0" class="card">
        There is no tank yet. <RouterLink to="/tanks" class="link">Add one</RouterLink> first.
      </p>
      <ChoiceField v-model="film" label="Film" :choices="filmChoices" />
      <div class="grid grid-cols-2 gap-3">
        <ChoiceField v-model="ei" label="Exposed at" :choices="eiChoices" />
        <ChoiceField v-model="push" label="Push or pull" :choices="pushes" />
      </div>
      <ChoiceField v-model="format" label="Format" :choices="formatChoices" />
      <fieldset class="space-y-2">
        <legend class="font-semibold">Whose films</legend>
        <div v-for="(owner, i) in owners" :key="owner.id" class="flex items-end gap-2">
          <ChoiceField v-model="owner.memberId" class="min-w-0 flex-1" :label="`Owner of film ${i + 1}`" :choices="memberChoices" />
          <button
            v-if="owners.length > 1"
            type="button"
            class="button button-small min-h-12"
            :aria-label="`Take film ${i + 1} out`"
            @click="owners.splice(i, 1)"
          >
            ✕
          </button>
        </div>
        <button type="button" class="button button-small" @click="owners.push({ id: uuid(), memberId: owners.at(-1)?.memberId ?? null })">
          One more film
        </button>
      </fieldset>
      <ChoiceField v-model="vesselId" label="Tank" :choices="vesselChoices" />
      <ChoiceField
        v-model="developer"
        label="Developer"
        :choices="pickable(developers)"
        :placeholder="film ? 'No developer on the shelf has a charted time' : 'Choose the film first'"
      />
      <ChoiceField v-if="sources.length > 1" v-model="source" label="Sources disagree: whose time?" :choices="sources" />
      <MeasuredTemperature v-model="temperatureC" v-model:typed="typedC" label="Developer, measured" hint="bring the other baths to it" />
      <ChoiceField v-model="agitation" label="Agitation" :choices="agitationChoices" />
      <ChoiceField v-model="stop" label="Stop bath" :choices="pickable(stops)" />
      <ChoiceField v-model="fixer" label="Fixer" :choices="pickable(fixers)" />
      <ChoiceField v-if="paired" v-model="second" label="Second fixing bath" :choices="seconds" placeholder="pair it with another first" />
      <ChoiceField v-model="aid" label="Wash aid" :choices="pickable(aids)" placeholder="No wash aid" />
      <ChoiceField v-model="wetting" label="Wetting agent" :choices="pickable(wettings)" placeholder="No wetting agent" />
      <SwitchField v-model="critical" label="Someone’s only negatives" detail="every bath tested the same day, or a reason" />
      <SwitchField
        v-model="slow"
        label="Tabular grain, or rich in iodide"
        detail="it is fixed three times the clearing time instead of twice"
      />
      <SwitchField v-model="preWet" label="Pre-wet" detail="a minute of water first, five in a drum; not for tabular grain" />
    </section>

    <section aria-live="polite" class="space-y-7">
      <template v-if="plan">
        <TimeFactors v-if="plan.developing" :developing="plan.developing" :temperature-c="plan.temperatureC" />
        <FindingList :findings="plan.findings" />
        <BeakerRow :plan="plan" />
        <StepRibbon :plan="plan" />
      </template>
      <div v-else class="pt-16">
        <p class="text-4xl font-bold">{{ worked.refused || lacking }}</p>
        <p class="mt-3 text-xl text-quiet">The time, the beakers and the steps appear here as you choose.</p>
        <p v-if="chosenDeveloper && worked.refused" class="mt-3 text-lg">
          {{ chosenDeveloper.name }}, {{ showParts(chosenDeveloper.charted) }}
        </p>
      </div>
      <div class="space-y-3">
        <TextField v-if="blocked" v-model="overrule" label="Overrule it all the same? Say why; it stays on the record." />
        <ProblemLine :problem="problem" />
        <button ref="toBeakers" class="button button-main min-h-16 px-8" :disabled="busy || (blocked && overrule.trim().length < 3)">
          To the beakers
        </button>
      </div>
    </section>
  </form>
</template>
