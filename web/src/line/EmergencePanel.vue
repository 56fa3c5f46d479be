<script setup lang="ts">
import { developedBy, emergenceAgainst, emergenceFactor, emergenceSays, paperSteps } from '@selvrin/core'
import { lineApi, type TrayFill, type TrayLine } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import type { RoomView } from '../printroom/useRoom'
import { useShow } from '../session/useShow'
import type { LineView } from './useLine'

/** How long it takes until a chosen middle tone begins to show: tapped, or typed. What it says of the bath, and how long this print stays in. */
const { line, fill, view, room } = defineProps<{ line: TrayLine; fill: TrayFill; view: LineView; room: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const papers = computed(() =>
  (room.there.value?.papers ?? []).filter((one) => one.material === 'black-and-white' && !(one.base === 'rc' && one.holdsDeveloper)),
)
const choices = computed(() => papers.value.map(({ id, name }) => ({ value: id, name })))
const paperId = ref<string | null>(papers.value.find((one) => one.base === line.base)?.id ?? papers.value[0]?.id ?? null)
const seconds = ref('')
const celsius = ref<number | null>(line.celsius)
const wrong = ref('')
const readingId = uuid()
/** since when it lies in the developer, by the monotonic clock */
const since = ref<number | null>(null)
const running = ref(0)
const watchHand = useIntervalFn(() => (running.value = (performance.now() - (since.value ?? 0)) / 1000), 100, { immediate: false })
function tap(): void {
  if (since.value === null) {
    since.value = performance.now()
    running.value = 0
    return watchHand.resume()
  }
  seconds.value = show.number((performance.now() - since.value) / 1000, 1)
  since.value = null
  watchHand.pause()
}

const paper = computed(() => papers.value.find((one) => one.id === paperId.value) ?? null)
const name = computed(() => paper.value?.name ?? '')
/** of the first reading of this paper in this tray: what the fresh bath took */
const first = computed(() => fill.emergence.find((one) => one.paper === name.value) ?? null)
/** s its paper develops in the fresh bath */
const usualS = computed(() => {
  const base = paper.value?.base ?? line.base
  return paperSteps({ base, fixer: 'ammonium-paper', twoBaths: false, aid: false, waterC: 20 })[0]?.s ?? 0
})
const says = computed(() => {
  const s = readFigure(seconds.value)
  if (!s || s <= 0 || !paper.value) return null
  try {
    if (!first.value) {
      const factor = emergenceFactor({
        developS: usualS.value,
        emergenceS: s,
        base: paper.value.base,
        holdsDeveloper: paper.value.holdsDeveloper,
      })
      return {
        text: `The first of this tray: ${show.number(usualS.value, 0)} s are ${show.number(factor, 1)} times as long.`,
        findings: [],
      }
    }
    const factor = usualS.value / first.value.seconds
    const ratio = emergenceAgainst(first.value, { seconds: s, celsius: celsius.value ?? line.celsius })
    return {
      text: `Leave it ${show.number(developedBy({ factor, emergenceS: s }), 0)} s in the developer. At the same temperature tones come up ${show.number(ratio, 2)} times as late as fresh.`,
      findings: emergenceSays(ratio),
    }
  } catch (error) {
    return { text: sentence(error), findings: [] }
  }
})
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const s = readFigure(seconds.value)
  if (!s || s <= 0) return void (wrong.value = 'Seconds until the tone begins to show.')
  if (celsius.value === null) return void (wrong.value = 'How warm is the developer? Without it the reading says nothing.')
  if (paperId.value === null) return void (wrong.value = 'On which paper?')
  const body = { readingId, fillId: fill.id, paperId: paperId.value, celsius: celsius.value, seconds: s }
  if (await act(async () => view.told(await call(lineApi.emergence, { params: { id: line.id }, body })))) emit('close')
}
</script>

<template>
  <FormPanel
    title="When a tone begins to show"
    yes="Write it down"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p>Choose one middle tone and always look at the same. Tap when the print goes in, tap again when the tone begins to show.</p>
    <button type="button" class="button min-h-20 w-full text-2xl" @click="tap">
      {{ since === null ? 'It goes in' : `It shows: ${show.number(running, 1)} s` }}
    </button>
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="seconds" label="Seconds" />
      <QuantityField v-model="celsius" kind="temperature" label="Developer" />
    </div>
    <ChoiceField v-model="paperId" label="Paper" :choices="choices" />
    <template v-if="says">
      <p class="text-lg" role="status">{{ says.text }}</p>
      <FindingList :findings="says.findings" />
    </template>
  </FormPanel>
</template>
