<script setup lang="ts">
import { sinkFacts, withSign } from '@selvrin/core'
import { sinkApi, type SinkPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PageState from '../fields/PageState.vue'
import QuantityField from '../fields/QuantityField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useTyping } from '../hand/typed'
import { useSession } from '../session/store'
import { readFigure } from '../fields/figure'
import { useSink } from './useSink'

/** What the sink stands on: who is responsible, how large the room is, how drums are judged, their trays and funnels. */
const { page, sink } = useSink()
const typed = useTyping()
const seen = ref<SinkPage['facts'] | null>(null)
const draft = ref<Record<
  'name' | 'address' | 'telephone' | 'emergency' | 'poison' | 'roomM3' | 'adviceDays' | 'warnDays' | 'wash' | 'silver',
  string
> | null>(null)
const septic = ref(false)
const trays = ref<{ id: string; name: string; ml: number | null }[]>([])
const session = useSession()
const written = (value: number | null): string => (value === null ? '' : withSign(String(value), session.manner))
function open(facts: SinkPage['facts']): void {
  seen.value = facts
  draft.value = {
    ...{
      ...facts.responsible,
      emergency: facts.emergency,
      poison: facts.poison,
      roomM3: written(facts.roomM3),
      silver: written(facts.silverPerG),
    },
    ...{ adviceDays: String(facts.adviceDays), warnDays: String(facts.warnDays), wash: written(facts.washLimitMgPerL) },
  }
  septic.value = facts.septic
  trays.value = facts.trays.map(({ id, name, holdsMl }) => ({ id, name, ml: holdsMl }))
}
watch(sink, (now) => now && draft.value === null && open(now.facts), { immediate: true })
const { busy, problem, current, act } = useAction()
const wrong = ref('')
const said = ref('')
/** @throws Error with a sentence */
function figure(text: string, what: string): number {
  const value = readFigure(text)
  if (value === null || value === undefined) throw new Error(`${what}: write a number.`)
  return value
}
async function keep(): Promise<void> {
  if (!draft.value || !seen.value) return
  ;[wrong.value, said.value] = ['', '']
  const { name, address, telephone, emergency, poison, roomM3, silver, adviceDays, warnDays, wash } = draft.value
  try {
    const body = sinkFacts.parse({
      ...{ responsible: { name, address, telephone }, emergency, poison, septic: septic.value },
      ...{
        roomM3: roomM3.trim() === '' ? null : figure(roomM3, 'The room'),
        silverPerG: silver.trim() === '' ? null : figure(silver, 'Silver'),
      },
      ...{ adviceDays: figure(adviceDays, 'Advice'), warnDays: figure(warnDays, 'Warning'), washLimitMgPerL: figure(wash, 'A wash') },
      trays: trays.value.map((one) => ({ id: one.id, name: one.name.trim(), holdsMl: one.ml ?? 0 })),
    })
    const version = (current.value as SinkPage['facts'] | null)?.version ?? seen.value.version
    if (!(await act(async () => open(await call(sinkApi.facts, { body: { version, ...body } }))))) return
    said.value = 'Kept.'
  } catch (error) {
    const [issue] = (error as { issues?: { message: string }[] }).issues ?? []
    wrong.value = issue?.message ?? (error as Error).message
  }
}
function addTray(): void {
  trays.value.push({ id: uuid(), name: '', ml: null })
  typed()
}
const funnelName = ref('')
const funnels = useAction()
const addFunnel = () =>
  funnels.act(async () => {
    await call(sinkApi.funnel, { body: { id: uuid(), name: funnelName.value } })
    funnelName.value = ''
    await page.load()
  })
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">What the sink stands on</h1>
    <PageState
      v-if="!draft"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the sink"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <form class="space-y-6" novalidate @submit.prevent="keep">
        <section class="grid grid-cols-2 gap-3 max-sm:grid-cols-1" aria-label="Responsible">
          <TextField v-model="draft.name" label="Responsible for the waste" hint="stands on labels and notes" />
          <TextField v-model="draft.telephone" label="Telephone" />
          <TextField v-model="draft.address" label="Address" />
          <TextField v-model="draft.emergency" label="Emergency service" hint="the number to call" />
          <TextField v-model="draft.poison" label="Poison centre" hint="the number to call" />
        </section>
        <section class="grid grid-cols-3 gap-3 max-sm:grid-cols-1" aria-label="Figures">
          <TextField v-model="draft.roomM3" label="The room" hint="m³, length × width × height" />
          <TextField v-model="draft.adviceDays" label="Plan a collection after" hint="days since the first pour" />
          <TextField v-model="draft.warnDays" label="Warn after" hint="days" />
          <TextField v-model="draft.wash" label="A wash may carry away" hint="silver, parts per million" />
          <TextField
            v-model="draft.silver"
            label="A gram of silver is worth"
            hint="in the darkroom’s currency; leave empty if nobody knows"
          />
        </section>
        <SwitchField
          v-model="septic"
          label="On a septic tank or open ground"
          detail="then nothing goes down the drain, whatever a paper says"
        />
        <section aria-labelledby="trays">
          <h2 id="trays" class="mb-1 text-2xl font-bold">Trays under the drums</h2>
          <p class="mb-2 text-quiet">Each holds the largest drum in it and a tenth more.</p>
          <div
            v-for="(one, i) in trays"
            :key="one.id"
            class="mb-2 grid grid-cols-[minmax(0,1fr)_12rem_auto] items-end gap-3 max-sm:grid-cols-1"
          >
            <TextField v-model="one.name" label="Name" />
            <QuantityField v-model="one.ml" kind="volume" label="Holds" />
            <button type="button" class="button justify-self-start" @click="(trays.splice(i, 1), typed())">
              Take away<span class="sr-only"> {{ one.name || 'this tray' }}</span>
            </button>
          </div>
          <button type="button" class="button" @click="addTray">Another tray</button>
        </section>
        <ProblemLine :problem="wrong || problem" />
        <p v-if="said" role="status" class="text-lg font-semibold">{{ said }}</p>
        <button class="button button-main" :disabled="busy">Keep it so</button>
      </form>
      <section class="mt-8" aria-labelledby="funnels">
        <h2 id="funnels" class="mb-1 text-2xl font-bold">Funnels that go from drum to drum</h2>
        <p class="mb-2 text-quiet">Better: each drum its own. What went through one last is asked at the next pour, until it is rinsed.</p>
        <p v-if="(sink?.funnels.length ?? 0) > 0" class="mb-2 text-lg">{{ sink?.funnels.map((one) => one.name).join(', ') }}</p>
        <form class="flex flex-wrap items-end gap-3" novalidate @submit.prevent="addFunnel">
          <TextField v-model="funnelName" label="Its name or colour" />
          <button class="button" :disabled="funnels.busy.value">Add a funnel</button>
        </form>
        <ProblemLine :problem="funnels.problem.value" />
      </section>
    </template>
  </div>
</template>
