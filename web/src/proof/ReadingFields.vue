<script setup lang="ts">
import type { Guide, TestKind } from '@selvrin/core'
import { useBench } from '../device/readings'
import TakeReading from '../device/TakeReading.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import PressOne from '../fields/PressOne.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { digits } from '../session/manner'
import { useShow } from '../session/useShow'
import MeasuredTemperature from './MeasuredTemperature.vue'
import { showReading } from './readings'
import type { Testing } from './useTest'
import { part } from '../part/part'

/** What is read in a test, with its conditions: seen, typed, taken from the meter, or off a photograph. */
const { of, kind, guide } = defineProps<{ of: Testing; kind: TestKind; guide: Guide }>()
/** a photograph is being measured */
const measuring = defineModel<boolean>('measuring', { required: true })
const PhotoReading = part(() => import('./PhotoReading.vue'))
const { reference, mayBeFresh, judged, fromPhoto } = of
const { form, figure, freshFigure, baseFigure, look, celsius, filmKind, doubtful, fresh, wrongFigure } = of.said
const show = useShow()
const meter = useBench('ph-meter')
const filmKinds = [
  { value: 'ordinary' as const, name: 'Ordinary', detail: 'fixed twice its clearing time' },
  { value: 'slow' as const, name: 'Tabular grain, or rich in iodide', detail: 'fixed three times its clearing time' },
]
</script>

<template>
  <PressOne v-if="guide.looks.length > 0" v-model="look" label="What is seen" :choices="guide.looks" clearable size="large" />
  <PhotoReading v-if="kind === 'scrap-density' && look === null" v-model:working="measuring" @read="fromPhoto" />
  <div v-if="form && look === null" class="grid grid-cols-2 items-start gap-4 max-sm:grid-cols-1">
    <TextField
      v-model="figure"
      begin
      :label="`${form.label}${form.unit === 'pH' ? '' : `, ${form.unit}`}`"
      :hint="reference ? show.said(`fresh ${showReading(kind, reference.value)}`) : 'no fresh reading yet'"
      :problem="wrongFigure"
    />
    <TextField
      v-if="kind === 'scrap-density' && !fresh"
      v-model="freshFigure"
      label="Density of the fresh scrap beside it, D"
      hint="kept from the fresh batch"
    />
    <TextField
      v-if="kind === 'scrap-density'"
      v-model="baseFigure"
      label="Density of clear film, D"
      hint="base and fog: unexposed, fixed"
    />
    <TakeReading
      v-if="form.unit === 'pH'"
      v-slot="{ value, called }"
      :bench="meter"
      class="button mt-7"
      @take="(ph) => (figure = ph.toFixed(2))"
    >
      Take {{ digits(value, 2) }} from {{ called }}
    </TakeReading>
  </div>
  <MeasuredTemperature
    v-if="form?.temperature && look === null"
    v-model="celsius"
    :label="kind === 'scrap-density' ? 'Developed at' : 'Its temperature'"
  />
  <ChoiceField
    v-if="kind === 'clearing-time'"
    v-model="filmKind"
    label="Kind of film"
    :choices="filmKinds"
    placeholder="Say which: it sets the fixing time"
  />
  <p v-if="kind === 'clearing-time' && reference?.slowClearing != null && look === null" class="text-quiet">
    As the fresh scrap was: change it if this one is another film.
  </p>
  <TextField
    v-if="judged.implausible && kind === 'clearing-time'"
    v-model="doubtful"
    label="Keep it all the same? Say why"
    hint="it shortens no fixing and lengthens no life"
  />
  <SwitchField
    v-if="mayBeFresh && look === null"
    v-model="fresh"
    label="This is the fresh reading of its batch"
    detail="later tests are held against it"
  />
</template>
