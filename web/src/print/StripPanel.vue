<script setup lang="ts">
import {
  exposuresOf,
  filterPack,
  grades,
  lampTimes,
  stripAround,
  type FilterPack,
  type Grade,
  type PrintExposure,
  type PrintFilter,
} from '@selvrin/core'
import { computed, reactive, ref } from 'vue'
import { sentence } from '../api/call'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import { readFigure } from '../fields/figure'
import type { PrintView } from './usePrint'
import { filterWords, gradeName } from '../printroom/words'

/** A test strip around a guess: what is exposed one after another while a band more is covered each time. */
const { view, guessS, under } = defineProps<{ view: PrintView; guessS: number; under: PrintExposure | null }>()
const emit = defineEmits<{ close: []; expose: [guessS: number, filter: PrintFilter]; count: [guessS: number, filter: PrintFilter] }>()
const grade = defineModel<Grade>('grade', { required: true })
const pack = defineModel<FilterPack>('pack', { required: true })
const show = useShow()
const typed = ref(show.number(guessS, 1))
const wrong = ref('')
const isColour = view.isColour
const dials = reactive({ y: show.plain(pack.value.y), m: show.plain(pack.value.m), c: show.plain(pack.value.c) })
const packTyped = computed((): FilterPack | null => {
  const [y, m, c] = [dials.y, dials.m, dials.c].map(readFigure)
  const read = filterPack.safeParse({ y, m, c })
  return read.success ? read.data : null
})
const filter = computed((): PrintFilter | null => {
  if (isColour.value) return packTyped.value && { kind: 'pack', ...packTyped.value }
  try {
    return view.filterFor(grade.value)
  } catch {
    return null
  }
})
const filterProblem = computed(() => {
  if (isColour.value) return packTyped.value ? '' : 'The filters are three numbers of 0 to 400, such as 60, 50 and 0.'
  try {
    view.filterFor(grade.value)
    return ''
  } catch (error) {
    return sentence(error)
  }
})
const strip = computed(() => {
  const guess = readFigure(typed.value)
  if (!guess || guess <= 0 || guess > 900 || !filter.value) return null
  const plan = stripAround(guess, filter.value)
  return { guess, ...lampTimes(exposuresOf(plan.steps, plan.bands, plan.way), view.enlarger.value?.lagS ?? 0) }
})
const choices = grades.map((one) => ({ value: one, name: `Grade ${gradeName(one)}` }))
function expose(by: 'expose' | 'count'): void {
  wrong.value = filterProblem.value
  if (filterProblem.value) return
  if (isColour.value && packTyped.value) pack.value = packTyped.value
  if (!strip.value || !filter.value) return void (wrong.value = 'The middle band is a number of seconds, such as 10.')
  if (by === 'expose') emit('expose', strip.value.guess, filter.value)
  else emit('count', strip.value.guess, filter.value)
}
</script>

<template>
  <FormPanel
    title="A strip of seven bands"
    yes="It is exposed"
    :busy="view.busy.value"
    :problem="wrong"
    @close="emit('close')"
    @submit="expose('expose')"
  >
    <template #more
      ><button type="button" class="button" :disabled="view.busy.value" @click="expose('count')">Count it out</button></template
    >
    <TextField v-model="typed" label="Middle band" hint="s; the others in thirds of a stop around it" begin />
    <div v-if="isColour" class="grid grid-cols-3 gap-3" role="group" aria-label="Filters">
      <TextField v-model="dials.y" label="Yellow" />
      <TextField v-model="dials.m" label="Magenta" />
      <TextField v-model="dials.c" label="Cyan" />
    </div>
    <ChoiceField v-else-if="view.paper.value?.grade === null" v-model="grade" label="Grade" :choices="choices" :problem="filterProblem" />
    <p v-if="under" class="text-lg">
      First the whole strip {{ show.number(under.seconds, 1) }} s through {{ filterWords(under.filter) }}; the head stays as it is.
    </p>
    <p v-else-if="!isColour && view.paper.value?.grade === null" class="text-quiet">
      For a split grade begin with grade 00 and choose the band whose highlights are right; the hard strip goes on top.
    </p>
    <template v-if="strip">
      <p v-if="filter">{{ filterWords(filter) }}. The whole strip first, then cover one band more each time:</p>
      <p class="font-mono text-2xl font-bold">{{ strip.onS.map((one) => show.number(one, 1)).join(' · ') }} s</p>
      <p v-if="(view.enlarger.value?.lagS ?? 0) > 0" class="text-quiet">
        with {{ show.number(view.enlarger.value?.lagS ?? 0, 2) }} s in each for the lamp’s lag
      </p>
      <FindingList :findings="strip.findings" />
    </template>
    <p class="text-quiet">Negative dusted, emulsion to the lens; focused on scrap paper, then stopped down; borders set.</p>
  </FormPanel>
</template>
