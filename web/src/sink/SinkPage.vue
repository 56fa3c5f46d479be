<script setup lang="ts">
import { drums as families } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { counted } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import DrumCard from './DrumCard.vue'
import NewDrum from './NewDrum.vue'
import PendingList from './PendingList.vue'
import PourByHand from './PourByHand.vue'
import { useSink } from './useSink'

/** The sink: what waits to be poured and into which drum, and the drums as they stand. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const view = useSink()
const { page, sink, drums } = view
const making = ref(false)
const pouring = ref(false)
/** as their families stand in the table, those that need somebody first */
const inOrder = computed(() => {
  const rank = ({ state, family }: WasteDrum): number => (state.standing === 'quarantined' ? -1 : families.indexOf(family))
  return [...drums.value].sort((a, b) => rank(a) - rank(b) || Number(a.state.standing === 'sealed') - Number(b.state.standing === 'sealed'))
})
const waits = computed(() => sink.value?.pending ?? [])
const waitingMl = computed(() => waits.value.reduce((sum, row) => sum + row.ml, 0))
const missing = computed(() => {
  const { responsible, emergency, poison, roomM3 } = sink.value?.facts ?? {}
  return [
    ...(responsible && responsible.name === '' ? ['who is responsible'] : []),
    ...(emergency === '' ? ['the emergency number'] : []),
    ...(poison === '' ? ['the poison centre’s number'] : []),
    ...(roomM3 === null ? ['how large the room is'] : []),
  ]
})
</script>

<template>
  <div class="station">
    <div class="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Sink</h1>
      <p v-if="sink" class="text-lg text-quiet" role="status">
        {{ waits.length === 0 ? 'nothing waits to be poured' : `${show.volume(waitingMl)} wait to be poured` }}
      </p>
      <div class="ml-auto flex flex-wrap gap-2">
        <button type="button" class="button button-main" data-next @click="pouring = true">Pour by hand</button>
        <button type="button" class="button" @click="making = true">A new drum</button>
        <RouterLink to="/sink/collections" class="button">Collections</RouterLink>
        <RouterLink to="/sink/drain" class="button">Down the drain</RouterLink>
        <RouterLink to="/sink/checks" class="button">Checks</RouterLink>
        <RouterLink to="/sink/facts" class="button">What it stands on</RouterLink>
      </div>
    </div>
    <p class="mb-4 text-quiet">
      Gloves and goggles on, ventilate; closed but while pouring; never one family into another. The local authority, the supplier’s sheet
      and the licensed contractor decide.
    </p>
    <PageState
      v-if="!sink"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the sink"
      back="To the Shelf"
      back-to="/shelf"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <p v-if="missing.length > 0" class="mb-4 border-l-4 border-alarm pl-3">
        Not said yet: {{ missing.join(', ') }}. <RouterLink to="/sink/facts" class="link">Say it</RouterLink>, since labels and warnings
        need it.
      </p>
      <section v-if="waits.length > 0" class="mb-6" aria-labelledby="waits">
        <h2 id="waits" class="mb-1 text-2xl font-bold">To pour</h2>
        <PendingList :view="view" :rows="waits" :zone="zone" />
      </section>
      <section aria-labelledby="drums">
        <h2 id="drums" class="mb-2 text-2xl font-bold">{{ drums.length === 0 ? 'No drum yet' : counted(drums.length, 'drum') }}</h2>
        <p v-if="drums.length === 0" class="text-xl">
          A drum for each family of waste: developers, fixers, stop baths … Make the first, print its label, and put it on before the first
          pour.
        </p>
        <div class="flex flex-wrap items-start gap-3">
          <DrumCard v-for="drum in inOrder" :key="drum.id" :drum="drum" :zone="zone" />
        </div>
      </section>
      <p class="mt-6">
        <RouterLink to="/sink/lines" class="link mr-8 inline-flex min-h-11 items-center">Everything that was poured away</RouterLink>
        <RouterLink to="/sink/silver" class="link mr-8 inline-flex min-h-11 items-center">Silver</RouterLink>
        <RouterLink to="/sink/year" class="link mr-8 inline-flex min-h-11 items-center">The year in one page</RouterLink>
        <RouterLink to="/sink/spills" class="link inline-flex min-h-11 items-center">Spills, and the kit</RouterLink>
      </p>
      <NewDrum v-if="making" :view="view" @close="making = false" />
      <PourByHand v-if="pouring" :view="view" :drum="null" @close="pouring = false" />
    </template>
  </div>
</template>
