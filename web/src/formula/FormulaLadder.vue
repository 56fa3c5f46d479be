<script setup lang="ts">
import { mixCourse, whatToWatch, type Formula, type Taking } from '@selvrin/core'
import { computed } from 'vue'
import { chemicalOf, linesOf, mixState } from '../chemical/chemistry'
import { useShow } from '../session/useShow'

/** The additions as a bench card reads: each with its weight large, what it is, what to watch, and what the jar on the shelf changes. */
const { formula, takings } = defineProps<{ formula: Formula; takings: Taking[] }>()
const show = useShow()
const lines = computed(() => linesOf(formula))
const course = computed(() => mixCourse(mixState(formula, formula.finalMl, [])))
const volume = (ml: number) => show.volume(ml)
const rungs = computed(() =>
  lines.value.map((line) => {
    const taking = takings.find((one) => one.step === line.step)
    const converted = taking && taking.jarId !== null && Math.abs(taking.factor - 1) > 1e-9 ? taking : undefined
    const chemical = converted ? chemicalOf(converted.chemical) : line.chemical
    const poured = line.addition.millilitres !== undefined && !converted
    const amount = poured ? volume(line.addition.millilitres ?? 0) : show.mass(converted?.grams ?? line.grams)
    const point = course.value[line.step]
    const change = point ? Math.round(point.afterC - point.beforeC) : 0
    return {
      step: line.step,
      amount,
      formulaAmount: converted ? show.mass(line.grams) : '',
      name: `${chemical.name}${line.addition.percent ? `, ${line.addition.percent} % solution` : ''}`,
      at: line.addition.atC === undefined ? '' : ` at ${show.temperature(line.addition.atC)}`,
      watch: show.said(whatToWatch(line)),
      because: show.said(converted?.because ?? ''),
      heat:
        point && Math.abs(change) >= 2 ? `${change > 0 ? 'warms' : 'cools'} it to about ${show.temperature(Math.round(point.afterC))}` : '',
    }
  }),
)
</script>

<template>
  <ol class="ladder mt-5">
    <li class="rung">
      <b class="amount">{{ volume(formula.startMl) }}</b>
      <div>
        <b class="text-xl">{{ formula.water === 'deionised' ? 'Deionised water' : 'Water' }} at {{ show.temperature(formula.mixC) }}</b>
        <p class="text-quiet">
          {{ Math.round((formula.startMl / formula.finalMl) * 100) }} % of the final volume. Never start with all of it.
        </p>
      </div>
    </li>
    <li v-for="rung in rungs" :key="rung.step" class="rung">
      <b class="amount">{{ rung.amount }}</b>
      <div>
        <span class="mr-2 font-mono text-quiet">{{ rung.step + 1 }}</span><b class="text-xl">{{ rung.name }}</b
        >{{ rung.at }}
        <p class="text-quiet">
          {{ rung.watch }}<template v-if="rung.heat"> It {{ rung.heat }}.</template>
        </p>
        <p v-if="rung.because" class="mt-0.5 border-l-4 border-primary pl-2">{{ rung.because }}</p>
      </div>
    </li>
    <li class="rung">
      <b class="amount">{{ volume(formula.finalMl) }}</b>
      <div>
        <b class="text-xl">Cold water to the mark</b>
        <p class="text-quiet">Only when everything is dissolved. Cool, measure pH, bottle full to the neck, label.</p>
      </div>
    </li>
  </ol>
</template>
