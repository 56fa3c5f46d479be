<script setup lang="ts">
import { densityAdvice, type PictureReading } from '@selvrin/core'
import { api, type Roll } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { useTyped } from '../hand/typed'
import PhotoReading from '../proof/PhotoReading.vue'
import { readDensity } from './readDensity'

/** Two frames of a grey card, four stops under the meter and three stops over: their net densities, read off a photograph or typed from a densitometer. */
const { roll } = defineProps<{ roll: Roll }>()
const emit = defineEmits<{ close: []; kept: [roll: Roll] }>()
const { busy, problem, current, act } = useAction()
const typing = useTyped()
const written = (density: number | null | undefined) => density?.toFixed(2) ?? ''
const shadow = ref(written(roll.densities?.shadow))
const high = ref(written(roll.densities?.high))
const by = ref<'photograph' | 'densitometer'>(roll.densities?.by ?? 'densitometer')
const enlarger = ref<'diffuser' | 'condenser' | null>(roll.densities?.enlarger ?? 'diffuser')
const measuring = ref(false)
const names = { fresh: 'Four stops under', scrap: 'Three stops over' }
const enlargers = [
  { value: 'diffuser' as const, name: 'A diffuser' },
  { value: 'condenser' as const, name: 'A condenser' },
]
function fromPhoto(reading: PictureReading | null): void {
  if (!reading?.base) return
  shadow.value = Math.max(0, reading.fresh.density - reading.base.density).toFixed(2)
  high.value = Math.max(0, reading.scrap.density - reading.base.density).toFixed(2)
  by.value = 'photograph'
}
const said = computed(() => {
  const [low, top] = [readDensity(shadow.value), readDensity(high.value)]
  if (low === 'wrong' || top === 'wrong') return null
  return { shadow: low, high: top, by: by.value, enlarger: enlarger.value ?? 'diffuser' }
})
const advice = computed(() => densityAdvice(said.value))
const wrong = (text: string) => (readDensity(text) === 'wrong' ? 'Write a density from 0 to 4, such as 0.10.' : '')
async function keep(): Promise<void> {
  const densities = said.value
  if (!densities) return
  const { result, contrast, note } = roll
  const version = (current.value as Roll | null)?.version ?? roll.version
  const none = densities.shadow === null && densities.high === null
  const body = { version, result, contrast, note, densities: none ? null : densities }
  if (!(await act(async () => emit('kept', await call(api.run.judge, { params: { id: roll.id }, body }))))) return
  typing.kept()
  emit('close')
}
</script>

<template>
  <FormPanel
    :title="`Densities of ${roll.film}, ${roll.member}`"
    :yes="current ? 'Keep mine over theirs' : 'Keep them'"
    :busy="busy"
    :blocked="measuring || said === null"
    :problem="problem"
    wide
    @close="$emit('close')"
    @submit="keep"
  >
    <p>
      Two frames of a grey card, one four stops under the meter and one three stops over, read over base and fog. The thin one tells the
      exposure index, the dense one the time.
    </p>
    <PhotoReading v-model:working="measuring" :names="names" @read="fromPhoto" />
    <div class="grid grid-cols-2 items-start gap-4 max-sm:grid-cols-1">
      <TextField
        v-model="shadow"
        label="Four stops under, net D"
        hint="about 0.10"
        :problem="wrong(shadow)"
        @update:model-value="by = 'densitometer'"
      />
      <TextField
        v-model="high"
        label="Three stops over, net D"
        hint="1.25 to 1.35, with a condenser 1.15 to 1.25"
        :problem="wrong(high)"
        @update:model-value="by = 'densitometer'"
      />
    </div>
    <div>
      <p class="font-semibold">Printed with</p>
      <PressOne v-model="enlarger" label="Printed with" :choices="enlargers" />
    </div>
    <ul v-if="advice.length > 0" class="list-disc space-y-1 pl-5" aria-label="What they say">
      <li v-for="line in advice" :key="line">{{ line }}</li>
    </ul>
  </FormPanel>
</template>
