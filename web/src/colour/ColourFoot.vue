<script setup lang="ts">
import { colourPrintSteps, drumPrintMl, showTime, type ColourPrintStep } from '@selvrin/core'
import type { BoxOfPaper } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import PressOne from '../fields/PressOne.vue'
import { useShow } from '../session/useShow'

/** What a colour print goes through in the drum, at the temperature the baths have. */
const { box } = defineProps<{ box: BoxOfPaper }>()
const show = useShow()
const atC = ref<number | null>(35)
const temperatures = [35, 30, 25, 20].map((value) => ({ value, name: show.temperature(value) }))
const steps = computed(() => colourPrintSteps({ atC: atC.value ?? 35, drum: true }))
/** ml that wet a small drum; house default */
const wetsMl = 50
const ml = computed(() => drumPrintMl({ areaCm2: box.widthCm * box.heightCm, wetsMl }))
const words = ({ s, atC: c, toleranceC }: ColourPrintStep): string =>
  s === null ? '' : `${showTime(s)}, ${show.temperature(c)} ±${show.degrees(toleranceC)}`
</script>

<template>
  <section aria-labelledby="drum" class="border-t border-line pt-2">
    <div class="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 id="drum" class="text-xl font-bold">In the drum</h2>
      <PressOne v-model="atC" label="The developer has" :choices="temperatures" />
      <p>{{ show.volume(ml) }} of each bath, used once; into the drums of the sink afterwards</p>
    </div>
    <ol class="flex flex-wrap gap-x-6 gap-y-1">
      <li v-for="step in steps" :key="step.kind">
        <b>{{ step.name }}</b> {{ words(step) }}
      </li>
    </ol>
  </section>
</template>
