<script setup lang="ts">
import { castTurns, ringAround, type Cast, type ColourMaterial, type RingPlace } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { light } from '../light/light'
import { useRoom } from '../printroom/useRoom'
import { turnWords } from '../printroom/words'
import type { Pixels } from './colour.worker'
import { colours } from './colours'
import ShownPicture from './ShownPicture.vue'

/** The ring-around of a print: how its photograph would look with each cast, and with more and less light. */
const id = String(useRoute().params.id)
const room = useRoom()
const page = usePage(
  (signal) => call(traysApi.sheet, { params: { id }, signal }),
  (event) => event.subject === 'print' && event.id === id,
)
void page.load()
const sheet = computed(() => page.value.value?.sheet ?? null)
const paper = computed(() => room.paperOf(sheet.value?.setup.boxId ?? ''))
const material = computed((): ColourMaterial => (paper.value?.material === 'reversal' ? 'reversal' : 'negative'))
const pictures = shallowRef<Pixels[]>([])
const problem = ref('')
const places = ringAround()
/** px of the longer side of each */
const side = 420
watch(
  [sheet, light, paper],
  async ([of, now, on]) => {
    if (!of?.photo || !on || now !== 'white' || pictures.value.length > 0) return
    try {
      const answer = await fetch(`/api/prints/${id}/photo`)
      if (!answer.ok) throw new Error(String(answer.status))
      const found = await colours().ring(await answer.blob(), side, material.value)
      if ('problem' in found) problem.value = found.problem
      else pictures.value = found
    } catch {
      problem.value = 'The photograph cannot be fetched now. Try again.'
    }
  },
  { immediate: true },
)
type Shown = { place: RingPlace; picture: Pixels | undefined; name: string; turn: string }
const nameOf = (place: RingPlace): string => {
  if (place.of === 'centre') return 'as it is'
  return place.of === 'cast' ? `${place.cast} ${place.units}` : `${place.percent > 0 ? '+' : '−'}${Math.abs(place.percent)} %`
}
const turnOf = (place: RingPlace): string =>
  place.of === 'cast' ? turnWords(castTurns(place.cast, place.units, material.value)) : place.of === 'exposure' ? 'of the time' : ''
const all = computed((): Shown[] =>
  places.map((place, i) => ({ place, picture: pictures.value[i], name: nameOf(place), turn: turnOf(place) })),
)
/** from one colour by way of the print to its opposite */
const axes: [Cast, Cast][] = [
  ['yellow', 'blue'],
  ['magenta', 'green'],
  ['red', 'cyan'],
]
const rows = computed(() => {
  const centre = all.value.filter((one) => one.place.of === 'centre')
  const ofCast = (cast: Cast) => all.value.filter((one) => one.place.of === 'cast' && one.place.cast === cast)
  const exposed = all.value.filter((one) => one.place.of === 'exposure')
  return [
    ...axes.map(([one, other]) => ({
      name: `${one} to ${other}`,
      pictures: [...ofCast(one).reverse(), ...centre, ...ofCast(other)],
    })),
    { name: 'less and more light', pictures: [...exposed.slice(0, 2), ...centre, ...exposed.slice(2)] },
  ]
})
const chosen = ref<Shown | null>(null)
const right = computed(() => all.value[0])
</script>

<template>
  <div class="station">
    <PageState
      v-if="!sheet"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the print"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <div class="mb-3 flex flex-wrap items-center gap-x-5">
        <RouterLink :to="`/trays/prints/${id}`" class="link inline-flex min-h-11 items-center">← {{ sheet.title }}</RouterLink>
        <h1 class="text-3xl font-bold">Ring-around</h1>
        <p class="text-quiet">what each cast would look like, and what to turn where a print looks so</p>
      </div>
      <ProblemLine :problem="problem" />
      <p v-if="!sheet.photo" class="text-xl">There is no photograph of this print yet: take one on its sheet.</p>
      <p v-else-if="paper?.material === 'black-and-white'" class="text-xl">This print is grey: a ring-around is of colours.</p>
      <p v-else-if="light !== 'white'" class="text-xl">Pictures in colours are shown in white light only.</p>
      <template v-else>
        <p v-if="pictures.length === 0 && !problem" class="text-xl" role="status">Working the pictures out…</p>
        <div v-if="chosen?.picture && right?.picture" class="mb-4 flex flex-wrap items-start gap-4" aria-live="polite">
          <figure class="w-96 max-w-full">
            <ShownPicture :of="right.picture" name="The print as it is" />
            <figcaption class="text-lg">as it is</figcaption>
          </figure>
          <figure class="w-96 max-w-full">
            <ShownPicture :of="chosen.picture" :name="chosen.name" />
            <figcaption class="text-lg">
              <b>{{ chosen.name }}</b>: <span class="font-mono">{{ chosen.turn }}</span>
            </figcaption>
          </figure>
          <button type="button" class="button" @click="chosen = null">Both away</button>
        </div>
        <div v-for="row in rows" :key="row.name" class="mb-3">
          <ul class="grid grid-cols-7 gap-2 max-sm:grid-cols-2" :aria-label="row.name">
            <li
              v-for="one in row.pictures"
              :key="one.name"
              :class="row.pictures.length < 7 && one === row.pictures[0] ? 'sm:col-start-2' : ''"
            >
              <button
                v-if="one.picture"
                type="button"
                class="block w-full border-2 p-1 text-left"
                :class="one.place.of === 'centre' ? 'border-ink' : chosen?.name === one.name ? 'border-primary' : 'border-line'"
                :aria-pressed="chosen?.name === one.name"
                @click="chosen = one.place.of === 'centre' ? null : one"
              >
                <ShownPicture :of="one.picture" :name="one.name" />
                <b class="block">{{ one.name }}</b>
                <span class="block font-mono text-sm">{{ one.turn || 'the print' }}</span>
              </button>
            </li>
          </ul>
        </div>
        <p class="text-quiet">Worked out from its photograph by what a filter unit moves; a screen is no print, and no proof.</p>
      </template>
    </template>
  </div>
</template>
