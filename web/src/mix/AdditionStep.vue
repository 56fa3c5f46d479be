<script setup lang="ts">
import { showMass, showVolume, volumeFor, whatToWatch, type MixEvent, type MixLine, type MixState } from '@selvrin/core'
import type { Jar } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, nextTick, ref } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { isDoneKey, useKeys } from '../room/keys'
import { useSession } from '../session/store'

const { state, line, jars, busy, problem, record } = defineProps<{
  state: MixState
  line: MixLine
  jars: Jar[]
  busy: boolean
  problem: string
  record: (...events: MixEvent[]) => Promise<boolean>
}>()
defineEmits<{ again: [] }>()
const session = useSession()
const weighed = ref<number | null>(null)
const wrong = ref('')
const step = computed(() => line.line.step)
const amount = (value: number) => (line.unit === 'g' ? showMass(value, session.units) : showVolume(value, session.units))
const volume = (ml: number) => showVolume(ml, session.units)

const mine = computed(() =>
  jars
    .filter((jar) => jar.chemical === line.line.chemical.id)
    .sort((a, b) => Number(b.grams >= line.line.grams) - Number(a.grams >= line.line.grams) || (a.openedAt ?? 0) - (b.openedAt ?? 0)),
)
const picked = ref<string | null>(null)
const jarId = computed(() => picked.value ?? mine.value[0]?.id ?? null)
const jar = computed(() => mine.value.find((one) => one.id === jarId.value))
const jarChoices = computed(() =>
  mine.value.map((one) => ({ value: one.id, name: `lot ${one.lot}, ${one.place}`, detail: `${showMass(one.grams, session.units)} left` })),
)

// the bar runs to a little beyond the band
const scaleEnd = computed(() => line.high + (line.high - line.low) * 0.6)
const at = (value: number) => `${Math.min(100, Math.max(0, (value / scaleEnd.value) * 100))}%`
const again = computed(() => line.put > 0)
const rescaled = computed(() => volumeFor(state, step.value))

async function put(): Promise<void> {
  wrong.value = ''
  if (weighed.value === null || weighed.value <= 0) {
    wrong.value = `Write what the scale says, such as ${amount(line.target)}.`
    return
  }
  if (await record({ id: uuid(), kind: 'weigh', step: step.value, amount: weighed.value, jarId: jarId.value })) {
    weighed.value = null
    await nextTick()
    ;(document.activeElement as HTMLElement | null)?.blur()
  }
}
const dissolved = () => record({ id: uuid(), kind: 'dissolved', step: step.value })
const rescale = () => record({ id: uuid(), kind: 'rescale', finalMl: rescaled.value })
useKeys((event) => {
  if (!isDoneKey(event) || line.state !== 'in-band' || busy || event.repeat) return false
  void dissolved()
  return true
})
</script>

<template>
  <div>
    <p class="text-xl text-quiet">{{ line.unit === 'g' ? 'Weigh and stir in' : 'Measure and stir in' }}</p>
    <h1 class="text-5xl font-bold max-sm:text-3xl">
      {{ line.line.chemical.name }}{{ line.line.addition.percent ? `, ${line.line.addition.percent} %` : '' }}
    </h1>
    <p class="mt-1 text-lg text-quiet">
      {{
        jar
          ? `lot ${jar.lot}, ${jar.place}, ${showMass(jar.grams, session.units)} left. `
          : 'No jar of it on the shelf: the record will not know where it came from. '
      }}{{ whatToWatch(line.line) }}
    </p>
    <p class="my-4 font-mono leading-none font-bold">
      <template v-if="again"
        ><span class="big whitespace-nowrap">{{ amount(line.put) }}</span>
        <span class="ml-4 text-4xl font-normal whitespace-nowrap max-sm:text-2xl">of {{ amount(line.target) }}</span></template
      >
      <span v-else class="big">{{ amount(line.target) }}</span>
    </p>
    <div
      class="relative mb-10 h-10"
      role="img"
      :aria-label="`${amount(line.put)} of ${amount(line.target)}, accepted from ${amount(line.low)} to ${amount(line.high)}`"
    >
      <div class="absolute inset-x-0 top-2 h-6 border-2 border-quiet bg-panel" />
      <div
        class="absolute top-2 left-0 h-6"
        :style="{ width: at(line.put), background: line.state === 'too-much' ? 'var(--alarm)' : 'var(--developer)' }"
      />
      <div
        class="absolute top-0 h-10 border-[3px] border-primary"
        :style="{ left: at(line.low), width: `calc(${at(line.high)} - ${at(line.low)})` }"
      />
      <p class="absolute top-11 right-0 font-mono text-lg">
        {{ amount(line.low) }} to {{ amount(line.high) }}{{ line.toGo > 0 && again ? ` · ${amount(line.toGo)} to go` : '' }}
      </p>
    </div>

    <div v-if="line.state === 'too-much'" class="card border-2 border-alarm" role="alert">
      <h2 class="text-2xl font-bold">{{ amount(-line.toGo) }} too much</h2>
      <p class="mb-3 text-lg">
        Two ways out. Made to fit, the batch becomes {{ volume(rescaled) }}; what is already in then gets its share added, in order. Or
        begin again.
      </p>
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy" @click="rescale">Make {{ volume(rescaled) }} instead</button>
        <button class="button" @click="$emit('again')">Begin again</button>
      </div>
    </div>
    <template v-else>
      <form v-if="line.state !== 'in-band'" class="flex flex-wrap items-start gap-4" @submit.prevent="put">
        <div class="w-64">
          <QuantityField
            v-model="weighed"
            :kind="line.unit === 'g' ? 'mass' : 'volume'"
            :label="again ? 'Weighed now, more' : line.unit === 'g' ? 'The scale says' : 'The graduate says'"
            :problem="wrong"
          />
        </div>
        <div v-if="jarChoices.length > 1" class="w-72">
          <ChoiceField
            :model-value="jarId"
            label="From the jar"
            :choices="jarChoices"
            @update:model-value="(value: string | null) => (picked = value)"
          />
        </div>
        <button class="button mt-7" :class="again ? '' : 'button-main'" :disabled="busy">It is in</button>
      </form>
      <div class="mt-4 flex flex-wrap items-center gap-4">
        <button class="button button-main min-h-16 px-8" :disabled="busy || line.state !== 'in-band'" data-next @click="dissolved">
          Dissolved, next
        </button>
        <p v-if="line.state === 'in-band'" class="text-lg">
          Stir until it is clear, then go on. <kbd class="font-mono">Space</kbd> or the pedal does it too.
        </p>
      </div>
    </template>
    <ProblemLine :problem="problem" class="mt-4" />
  </div>
</template>

<style scoped>
.big {
  font-size: clamp(3.5rem, 8vw, 6.5rem);
}
</style>
