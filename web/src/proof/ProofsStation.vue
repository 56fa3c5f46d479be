<script setup lang="ts">
import { mayBeTested, guideOf, guides, testsFor } from '@selvrin/core'
import { api, type Proof } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import ChoiceField from '../fields/ChoiceField.vue'
import BathMark from '../marks/BathMark.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useBottles, useInstruments } from '../stores'
import { showReading } from './readings'
import TakeTestBack from './TakeTestBack.vue'
import VerdictMark from '../marks/VerdictMark.vue'
import { useShow } from '../session/useShow'
import WaitFor from '../fields/WaitFor.vue'
import { vFocusFirst } from '../hand/focusFirst'

const show = useShow()
/** What is due, first and largest; then anything else that can be tested, and what was. */
const session = useSession()
const router = useRouter()
const bottles = useBottles()
const instruments = useInstruments()
const page = usePage(
  (signal) => call(api.proof.list, { query: { limit: 12 }, signal }),
  (event) => event.subject === 'proof' || proofs.value.some((proof) => proof.bottleId === event.id),
)
const proofs = computed((): Proof[] => page.value.value?.rows ?? [])
const recent = page.load
const done = computed(() => ({ loaded: page.value.value !== null, problem: page.problem.value }))
onMounted(() => void Promise.all([bottles.load(), instruments.load(), recent()]))

const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const usable = computed(() => bottles.rows.filter((bottle) => bottle.retiredAt === null && bottle.state.volumeMl > 0))
const weight: Record<string, number> = { again: 0, unexpected: 1, share: 2, days: 3, reference: 4 }
const due = computed(() =>
  usable.value
    .filter(mayBeTested)
    .flatMap((bottle) => bottle.due.map((one) => ({ ...one, bottle })))
    .sort((a, b) => (weight[a.why] ?? 9) - (weight[b.why] ?? 9) || a.bottle.label.localeCompare(b.bottle.label, 'en', { numeric: true })),
)
const failed = computed(() => usable.value.filter((bottle) => bottle.state.findings.some((finding) => finding.rule === 'bottle-failed')))
const bottleId = ref<string | null>(null)
const choices = computed(() =>
  usable.value
    .filter((bottle) => testsFor(bottle.family).length > 0)
    .map((bottle) => ({ value: bottle.id, name: `${bottle.label} ${bottle.name}` })),
)
const tests = computed(() => testsFor(bottles.rows.find((bottle) => bottle.id === bottleId.value)?.family ?? ''))
const filmTests = guides.filter((guide) => guide.of === 'film')
const processes = computed(() => instruments.rows.filter((one) => one.kind === 'process'))
const what = (proof: Proof) => proof.bottleLabel ?? proof.film ?? proof.instrument ?? ''
const to = (proof: Proof) => (proof.bottleId ? `/shelf/${proof.bottleId}` : proof.instrumentId ? '/proofs/instruments' : '/films')
</script>

<template>
  <div class="station grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
    <section>
      <h1 class="mb-3 text-3xl font-bold">Proofs</h1>
      <WaitFor :of="[bottles]" what="what is due">
        <ul v-if="failed.length > 0" class="mb-5 space-y-2">
          <li v-for="bottle in failed" :key="bottle.id" class="flex items-center gap-4 border-l-4 border-alarm pl-4">
            <VerdictMark verdict="failed" />
            <p class="flex-1 text-lg">
              <RouterLink :to="`/shelf/${bottle.id}`" class="go">{{ bottle.label }} {{ bottle.name }}</RouterLink>
              stands still. {{ show.said(bottle.state.findings.find((finding) => finding.rule === 'bottle-failed')?.message ?? '') }}
            </p>
          </li>
        </ul>
        <h2 class="text-xl font-bold">Due</h2>
        <p v-if="bottles.rows.length === 0" class="py-3 text-2xl">No bottle stands on the shelf yet: there is nothing to test.</p>
        <p v-else-if="due.length === 0" class="py-3 text-2xl">
          Nothing is due. What stands on the shelf is proven as far as the rules ask.
        </p>
        <ol>
          <li
            v-for="one in due"
            :key="`${one.bottle.id} ${one.kind}`"
            class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line py-3"
          >
            <BathMark :family="one.bottle.family" :size="40" />
            <b class="w-16 text-3xl">{{ one.bottle.label }}</b>
            <p class="min-w-48 flex-1">
              <span class="block text-xl font-bold">{{ one.name }}</span>
              <span class="block">{{ one.bottle.name }}: {{ show.said(one.says) }}.</span>
            </p>
            <RouterLink
              v-focus-first="one === due[0]"
              :to="`/proofs/${one.kind}/${one.bottle.id}`"
              class="button"
              :class="one === due[0] ? 'button-main' : ''"
              >Test {{ one.bottle.label }}</RouterLink
            >
          </li>
        </ol>
      </WaitFor>
      <h2 class="mt-8 mb-1 text-xl font-bold">Done</h2>
      <WaitFor :of="[done]" what="the tests">
        <ul>
          <li v-for="proof in proofs" :key="proof.id" class="flex gap-3 border-b border-line py-2">
            <VerdictMark :verdict="proof.judgement.verdict" />
            <p class="flex-1" :class="proof.takenBack ? 'text-quiet' : ''">
              <RouterLink :to="to(proof)" class="link mr-1.5">{{ what(proof) }}</RouterLink>
              <b :class="proof.takenBack ? 'line-through' : ''">{{ guideOf(proof.kind).name }}</b>{{
                proof.reading.value === undefined ? '' : `, ${show.said(showReading(proof.kind, proof.reading.value))}`
              }}{{ proof.fresh ? ', the fresh reading' : '' }}{{ proof.takenBack ? ', taken back' : '' }}.
              <a v-if="proof.picture" class="link" :href="`/api/proofs/${proof.id}/picture`" target="_blank" rel="noopener">Its picture</a>
              <span class="block text-quiet">{{ showDate(proof.at, zone) }}, {{ proof.by }}. {{ show.said(proof.judgement.reason) }}</span>
            </p>
            <TakeTestBack
              v-if="!proof.takenBack && proof.kind !== 'thermometer-points' && proof.kind !== 'safelight-coin'"
              :id="proof.id"
              :what="`${guideOf(proof.kind).name} of ${what(proof)}`"
              @done="recent"
            />
          </li>
        </ul>
      </WaitFor>
    </section>
    <aside class="space-y-6">
      <div class="card space-y-3">
        <h2 class="text-xl font-bold">Test anything</h2>
        <ChoiceField v-model="bottleId" label="Bottle" :choices="choices" />
        <ul>
          <li v-for="guide in tests" :key="guide.kind">
            <RouterLink :to="`/proofs/${guide.kind}/${bottleId}`" class="link inline-flex min-h-11 items-center">{{
              guide.name
            }}</RouterLink>
          </li>
        </ul>
        <h3 class="font-bold">A finished film or print</h3>
        <ul>
          <li v-for="guide in filmTests" :key="guide.kind">
            <button class="link min-h-11 text-left" @click="router.push(`/proofs/film/${guide.kind}`)">{{ guide.name }}</button>
          </li>
        </ul>
      </div>
      <div class="card">
        <h2 class="mb-1 text-xl font-bold">Control charts</h2>
        <ul>
          <li v-for="one in processes" :key="one.id">
            <RouterLink :to="`/proofs/process/${one.id}`" class="link inline-flex min-h-11 items-center">{{ one.name }}</RouterLink>
          </li>
        </ul>
        <RouterLink to="/proofs/instruments" class="link flex min-h-11 items-center">Thermometers, lamps, processes</RouterLink>
        <RouterLink to="/proofs/rules" class="link flex min-h-11 items-center">When tests fall due</RouterLink>
      </div>
    </aside>
  </div>
</template>
