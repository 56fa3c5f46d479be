<script setup lang="ts">
import { decideDecanting, bottlesToFill, standsFull } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import OverruleField from './OverruleField.vue'

/** Into small bottles that stand full: each takes its share of the history along. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const overrule = ref('')
interface Row {
  id: string
  sizeMl: number | null
  ml: number | null
}
const fill = (sizes: number[]): Row[] => {
  let left = bottle.state.volumeMl
  return [...sizes]
    .sort((a, b) => b - a)
    .map((sizeMl) => {
      const ml = Math.min(left, sizeMl)
      left -= ml
      return { id: uuid(), sizeMl, ml }
    })
}
const rows = ref<Row[]>(fill(bottle.decant?.into ?? bottlesToFill(bottle.state.volumeMl, bottle.sizeMl) ?? [500]))
const rest = computed(() => bottle.state.volumeMl - rows.value.reduce((sum, row) => sum + (row.ml ?? 0), 0))
const volume = (ml: number) => show.volume(ml)

const asked = computed(() => ({
  into: rows.value.flatMap(({ id, sizeMl, ml }) => (sizeMl !== null && ml !== null && ml > 0 ? [{ id, sizeMl, ml }] : [])),
  ...(overrule.value.trim() === '' ? {} : { overrule: overrule.value }),
}))
const decide = () => (asked.value.into.length === 0 ? null : decideDecanting(bottle, asked.value))

async function write(): Promise<void> {
  if (asked.value.into.length === 0) {
    problem.value = 'Write the size of each bottle and how much goes into it.'
    return
  }
  const good = await act(() => call(api.bottle.decant, { params: { id: bottle.id }, body: asked.value }))
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open wide :title="`Decant ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <p>
        Fill them to the neck: air is what ages it. Every bottle gets its own label and keeps the date, the use and the tests of its batch.
      </p>
      <ul class="space-y-3">
        <li v-for="(row, i) in rows" :key="row.id" class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-start gap-4">
          <QuantityField v-model="row.sizeMl" kind="volume" :label="`Bottle ${i + 1}, size`" />
          <QuantityField v-model="row.ml" kind="volume" label="Filled with" />
          <button type="button" class="button button-small mt-7" :aria-label="`Leave bottle ${i + 1} out`" @click="rows.splice(i, 1)">
            ✕
          </button>
        </li>
      </ul>
      <button
        type="button"
        class="button button-small"
        @click="rows.push({ id: uuid(), sizeMl: 250, ml: Math.max(0, Math.min(250, rest)) })"
      >
        One more bottle
      </button>
      <p class="text-lg">
        <template v-if="rest < -0.5"
          >That is <b class="font-mono">{{ volume(-rest) }}</b> more than it holds.</template
        >
        <template v-else
          >{{ bottle.label }} keeps <b class="font-mono">{{ volume(Math.max(0, rest)) }}</b>{{
            rest > 0.5 && !standsFull(rest, bottle.sizeMl)
              ? `, which ages faster there: ${volume(bottle.sizeMl - rest)} of air stand over it`
              : ''
          }}.</template
        >
      </p>
      <OverruleField v-model="overrule" :bottle="bottle" />
      <WouldWrite v-if="rest >= -0.5" :decide="decide" :bottles="[bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy || rest < -0.5">Decant and label</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
