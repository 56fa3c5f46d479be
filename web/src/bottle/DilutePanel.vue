<script setup lang="ts">
import { decideDilution, dilute, parseRatio, showParts } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'

const { bottle } = defineProps<{ bottle: Bottle }>()
const emit = defineEmits<{ close: []; made: [] }>()
const show = useShow()
const router = useRouter()
const { busy, problem, act } = useAction()
const newId = uuid()
const ratio = ref(showParts(bottle.use.dilutions.find((parts) => parts.length > 1)))
const totalMl = ref<number | null>(500)
const sizeMl = ref<number | null>(500)
// the bottle follows until it is given a size of its own
watch(totalMl, (ml, before) => {
  if (ml !== null && (sizeMl.value === before || sizeMl.value === null || sizeMl.value < ml)) sizeMl.value = ml
})
const meant = ref<number[] | null>(null)

const read = computed((): { parts: number[] | null; problem: string; ambiguous: number[] | null } => {
  try {
    const { parts, ambiguous } = parseRatio(ratio.value)
    if (ambiguous && meant.value === null) return { parts: null, problem: '', ambiguous: parts }
    return { parts: ambiguous ? meant.value : parts, problem: '', ambiguous: ambiguous ? parts : null }
  } catch (error) {
    return { parts: null, problem: sentence(error), ambiguous: null }
  }
})
const amounts = computed(() =>
  read.value.parts && totalMl.value !== null ? dilute({ parts: read.value.parts, totalMl: totalMl.value }) : null,
)
const volume = (ml: number) => show.volume(ml)

const asked = computed(() => {
  const { parts } = read.value
  return parts && totalMl.value !== null && sizeMl.value !== null ? { newId, parts, totalMl: totalMl.value, sizeMl: sizeMl.value } : null
})
const decide = () => asked.value && decideDilution(bottle, asked.value)

async function make(): Promise<void> {
  const body = asked.value
  if (!body) {
    problem.value = 'Write the dilution, how much to make and the bottle’s size.'
    return
  }
  const good = await act(() => call(api.bottle.dilute, { params: { id: bottle.id }, body }))
  if (!good) return
  emit('made')
  await router.push(`/shelf/${newId}`)
}
</script>

<template>
  <ModalPanel open :title="`Working strength from ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="make">
      <TextField
        v-model="ratio"
        label="Dilution"
        hint="one part plus the rest, such as 1+4"
        :problem="read.problem"
        @update:model-value="meant = null"
      />
      <div v-if="read.ambiguous" class="card" role="group" aria-label="Which is meant?">
        <p class="mb-2 font-semibold">{{ ratio }} is written for two things. Which is meant?</p>
        <button type="button" class="button button-small mr-3" :aria-pressed="meant === read.ambiguous" @click="meant = read.ambiguous">
          {{ read.ambiguous.join('+') }}, {{ read.ambiguous.reduce((a, b) => a + b) }} parts in all
        </button>
        <button
          v-if="read.ambiguous.length === 2 && (read.ambiguous[1] ?? 0) > (read.ambiguous[0] ?? 0)"
          type="button"
          class="button button-small"
          @click="((meant = [read.ambiguous[0] ?? 1, (read.ambiguous[1] ?? 0) - (read.ambiguous[0] ?? 1)]), (ratio = meant.join('+')))"
        >
          one in {{ read.ambiguous[1] }}: {{ read.ambiguous[0] }}+{{ (read.ambiguous[1] ?? 0) - (read.ambiguous[0] ?? 1) }}
        </button>
      </div>
      <div class="grid grid-cols-2 gap-4">
        <QuantityField v-model="totalMl" kind="volume" label="Make" begin />
        <QuantityField v-model="sizeMl" kind="volume" label="Into a bottle of" />
      </div>
      <p v-if="amounts" class="text-3xl leading-snug">
        <b class="font-mono">{{ volume(amounts[0] ?? 0) }}</b> from {{ bottle.label }}<br />
        <template v-for="(ml, i) in amounts.slice(1)" :key="i"
          >+ <b class="font-mono">{{ volume(ml) }}</b> {{ amounts.length > 2 && i < amounts.length - 2 ? `of part ${i + 2}` : 'water' }}<br
        /></template>
      </p>
      <WouldWrite :decide="decide" :bottles="[bottle]" />
      <p class="text-quiet">{{ bottle.label }} holds {{ volume(bottle.state.volumeMl) }}. Water first, then the concentrate; gloves on.</p>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Make it and label it</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
