<script setup lang="ts">
import { contactSeconds, grades, stripTotals, type Grade } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import StripPhoto from './StripPhoto.vue'
import type { RoomView } from './useRoom'
import { gradeName, secondsWords } from './words'

/** The least time that prints clear film full black, found on a strip: by eye, or by densities. */
const { room } = defineProps<{ room: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const bands = 7
const stepStops = 0.5
const papers = computed(() => (room.there.value?.papers ?? []).map(({ id, name }) => ({ value: id, name })))
const paperId = ref<string | null>(papers.value[0]?.value ?? null)
const enlargerId = ref<string | null>(room.enlargerChoices.value[0]?.value ?? null)
const paper = computed(() => room.there.value?.papers.find((one) => one.id === paperId.value) ?? null)
const grade = ref<Grade | null>('2')
const gradeChoices = grades.map((one) => ({ value: one, name: `Grade ${gradeName(one)}` }))
const [film, enlarged, stop, developer, first] = [ref(''), ref('8'), ref('8'), ref(''), ref('4')]
const chosen = ref<number | null>(null)
const densities = ref('')
const wrong = ref('')
const firstS = computed(() => readFigure(first.value))
const totals = computed(() =>
  firstS.value && firstS.value > 0 && firstS.value < 400 ? stripTotals({ by: 'stops', firstS: firstS.value, stepStops }, bands) : [],
)
const read = computed(() =>
  densities.value
    .split(/\s+|;\s*/)
    .filter(Boolean)
    .map(readFigure),
)
const known = computed(() => read.value.filter((one): one is number => one != null))
const seconds = computed(() => {
  if (!firstS.value || totals.value.length === 0 || (known.value.length > 0 && known.value.length !== bands)) return null
  return contactSeconds({ firstS: firstS.value, stepStops, bands, chosen: chosen.value, densities: known.value })
})
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const [m, lensN] = [readFigure(enlarged.value), readFigure(stop.value)]
  if (film.value.trim() === '') return void (wrong.value = 'Of which film is the clear piece?')
  if (!m || !lensN)
    return void (wrong.value = 'How high the head stands, as the enlargement it would give, and the lens stop, are numbers.')
  if (paperId.value === null || enlargerId.value === null) return void (wrong.value = 'Say which paper and which enlarger.')
  if (!firstS.value) return void (wrong.value = 'The first step is a number of seconds.')
  if (known.value.length > 0 && known.value.length !== bands) return void (wrong.value = `Densities of all ${bands} steps, or none.`)
  if (seconds.value === null)
    return void (wrong.value =
      'Tap the first step that looks as black as the next one. Where the last is still blacker, expose a strip with more.')
  const body = {
    ...{
      kind: 'contact' as const,
      enlargerId: enlargerId.value,
      paperId: paperId.value,
      m,
      lensN,
      film: film.value,
      developer: developer.value,
    },
    ...{ grade: paper.value?.grade === null ? grade.value : null, firstS: firstS.value, stepStops, bands },
    ...{ chosen: known.value.length > 0 ? null : chosen.value, densities: known.value },
  }
  if (await act(() => call(traysApi.calibrate, { body: { id, body } }))) emit('close')
}
</script>

<template>
  <FormPanel
    title="Standard contact time"
    yes="Keep it"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p>
      A piece of the film, unexposed and processed, under glass on the paper; a strip in halves of a stop through it; dried, under the
      viewing lamp.
    </p>
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="film" label="Clear piece of" hint="film and its developer" begin />
      <ChoiceField v-model="paperId" label="Paper" :choices="papers" />
      <ChoiceField v-model="enlargerId" label="Enlarger" :choices="room.enlargerChoices.value" />
      <ChoiceField v-if="paper?.grade === null" v-model="grade" label="Grade" :choices="gradeChoices" />
      <TextField v-model="enlarged" label="Head as high as for" hint="times enlarged" />
      <TextField v-model="stop" label="Lens stop" hint="f/" />
      <TextField v-model="developer" label="Developer" hint="and its dilution" />
      <TextField v-model="first" label="First step" hint="s" />
    </div>
    <div v-if="totals.length > 0">
      <p class="mb-1 font-semibold">The first step that is as black as the next</p>
      <div class="flex flex-wrap gap-1" role="group" aria-label="Steps">
        <button
          v-for="(one, i) in totals"
          :key="i"
          type="button"
          class="button"
          :class="chosen === i ? 'button-main' : ''"
          :aria-pressed="chosen === i"
          :disabled="i === totals.length - 1"
          @click="chosen = i"
        >
          {{ show.number(one, 1) }}
        </button>
      </div>
    </div>
    <StripPhoto :bands="bands" @read="densities = $event.map((one) => one.toFixed(2)).join(' ')" />
    <TextField v-model="densities" label="Or their densities" hint="seven, with spaces between, where they were measured" />
    <p v-if="seconds !== null" class="text-2xl" role="status">
      Standard contact time <b class="font-mono">{{ secondsWords(seconds) }}</b>
    </p>
  </FormPanel>
</template>
