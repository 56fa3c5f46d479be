<script setup lang="ts">
import { aidOfFamily, drumLabel, drumLimitMl } from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { chemicalAid, standsBefore } from '../aid/before'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { catalogue } from '../chemical/chemistry'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import HazardSign from '../hazard/HazardSign.vue'
import BathMark from '../marks/BathMark.vue'
import FindingList from '../marks/FindingList.vue'
import { showDate, showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import DrumLedger from './DrumLedger.vue'
import DrumShape from './DrumShape.vue'
import { drumMarks, drumName, kilosIn, standingWords } from './drumWords'
import MoveDrum from './MoveDrum.vue'
import PourByHand from './PourByHand.vue'
import QuarantinePanel from './QuarantinePanel.vue'
import { useSink } from './useSink'
import WeighPanel from './WeighPanel.vue'

/** One drum: what it is for, what it holds, what may be done with it, and every line of it. */
const id = String(useRoute().params.id)
const session = useSession()
const show = useShow()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const view = useSink()
const page = usePage(
  (signal) => call(sinkApi.drum, { params: { id }, query: { limit: 100 }, signal }),
  (event) => (event.subject === 'drum' && event.id === id) || event.subject === 'sink',
)
void page.load()
const drum = computed(() => page.value.value?.drum ?? null)
const label = computed(() => drum.value && drumLabel(drum.value, drum.value.state, catalogue()))
standsBefore(() => {
  if (!drum.value) return []
  const { family, code, state } = drum.value
  return [
    {
      name: `Drum ${code}`,
      of: { ...aidOfFamily(family), throughSkin: state.contents.flatMap((one) => chemicalAid(one.chemical, catalogue()).throughSkin) },
    },
  ]
})
const tray = computed(() => view.sink.value?.facts.trays.find((one) => one.id === drum.value?.trayId)?.name ?? null)
const takes = computed(() => drum.value && (drum.value.state.standing === 'open' || drum.value.state.standing === 'empty'))
const panel = ref<'pour' | 'weigh' | 'quarantine' | 'move' | null>(null)
const { busy, problem, act } = useAction({ keeps: false })
const mark = (what: 'label' | 'seal') =>
  act(async () => {
    await call(sinkApi[what], { params: { id }, body: { version: drum.value?.version ?? 1 } })
    await page.load()
  })
function closed(): void {
  panel.value = null
  void page.load()
}
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <PageState
      v-if="!drum || !label"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="this drum"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
        <BathMark :family="drumMarks[drum.family]" :size="40" />
        <h1 class="font-mono text-3xl font-bold">{{ drum.code }}</h1>
        <p class="text-2xl font-semibold">{{ drumName(drum) }}</p>
        <p class="text-xl text-quiet" role="status">{{ drum.labelledAt === null ? 'no label yet' : standingWords[drum.state.standing] }}</p>
      </div>
      <ProblemLine :problem="problem" />
      <div class="mb-5 flex flex-wrap gap-x-8 gap-y-4">
        <DrumShape :drum="drum" :size="150" />
        <div class="min-w-64 flex-1 space-y-1">
          <p class="text-4xl font-bold">{{ show.volume(drum.state.ml) }}</p>
          <p class="text-lg">of {{ show.volume(drumLimitMl(drum)) }}; {{ show.volume(drum.state.roomMl) }} more go in</p>
          <p v-if="drum.state.silverG >= 0.05" class="text-lg">silver about {{ show.mass(drum.state.silverG) }}, ± 30 %</p>
          <p class="text-quiet">
            {{ drum.state.firstAt === null ? 'nothing was poured yet' : `first pour ${showDate(drum.state.firstAt, zone)}` }};
            {{ tray === null ? 'in no tray' : `in the tray “${tray}”` }}; {{ drum.vented ? 'vented cap' : 'tight cap' }}
          </p>
          <p v-if="drum.state.weighed" class="text-quiet">
            weighed {{ kilosIn(drum.state.weighed.readingKg, session.manner) }}, {{ showMoment(drum.state.weighed.at, zone) }}
          </p>
          <FindingList class="pt-2" :findings="drum.findings" />
        </div>
        <section class="w-80 max-sm:w-full" aria-labelledby="label">
          <h2 id="label" class="text-xl font-bold">Its label</h2>
          <p class="my-1 flex gap-1"><HazardSign v-for="sign in label.pictograms" :key="sign" :sign="sign" :size="44" /></p>
          <p class="font-bold">{{ label.signal ?? 'No signal word' }}</p>
          <p>{{ label.statements.join('. ') }}</p>
          <p v-if="label.unknownShare > 0.005" class="text-quiet">
            Of {{ Math.round(100 * label.unknownShare) }} % it is not written what is in it.
          </p>
          <a :href="`/api/print/drums/${id}`" target="_blank" class="button mt-2">Print the label</a>
        </section>
      </div>
      <div v-if="drum.state.standing !== 'collected'" class="mb-6 flex flex-wrap gap-2">
        <button v-if="drum.labelledAt === null" type="button" class="button button-main" :disabled="busy" @click="mark('label')">
          Its label is on it
        </button>
        <button v-else-if="takes" type="button" class="button button-main" @click="panel = 'pour'">Pour into it</button>
        <button type="button" class="button" @click="panel = 'weigh'">Weigh it</button>
        <button v-if="drum.state.standing === 'open'" type="button" class="button" :disabled="busy" @click="mark('seal')">Seal it</button>
        <button v-if="drum.state.standing !== 'quarantined'" type="button" class="button" @click="panel = 'move'">Tray, cap</button>
        <button v-if="drum.state.standing !== 'quarantined'" type="button" class="button" @click="panel = 'quarantine'">
          Something wrong was poured in
        </button>
      </div>
      <p v-if="drum.state.standing === 'quarantined'" class="mb-6 border-l-4 border-alarm pl-3 text-lg font-semibold">
        Do not open it, do not move it, do not top it up. Ventilate, keep people away, call the contractor. The local authority and the
        supplier’s sheets decide.
      </p>
      <DrumLedger
        :lines="page.value.value?.lines ?? []"
        :drum-id="id"
        :zone="zone"
        :fixed="drum.state.standing === 'quarantined' || drum.state.standing === 'collected'"
        @changed="page.load()"
      />
      <PourByHand v-if="panel === 'pour'" :view="view" :drum="drum" @close="closed" />
      <WeighPanel v-if="panel === 'weigh'" :drum="drum" @close="closed" />
      <QuarantinePanel v-if="panel === 'quarantine'" :drum="drum" @close="closed" />
      <MoveDrum v-if="panel === 'move'" :drum="drum" :view="view" @close="closed" />
    </template>
  </div>
</template>
