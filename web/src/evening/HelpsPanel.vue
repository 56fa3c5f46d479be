<script setup lang="ts">
import { clockAt, darkroomOf, showTime, type Comes, type Help } from '@selvrin/core'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { counted } from '../marks/words'
import ProgressBar from '../fields/ProgressBar.vue'
import { inArranging } from '../rota/arranging'
import { eveningSeed, helpMs } from './patience'
import type { EveningView } from './useEvening'

/** What would help the evening most: each thing more is tried by arranging it anew, and what it brings is said. */
const { view } = defineProps<{ view: EveningView }>()
defineEmits<{ close: [] }>()
const { evening, house, runs, names } = view
const share = ref<number | null>(0)
const failed = ref('')
const found = shallowRef<{ asItIs: Comes; helps: { help: Help; comes: Comes }[] } | null>(null)
let cancel: () => void = () => undefined
onBeforeUnmount(() => cancel())
onMounted(async () => {
  if (!evening.value || !house.value) return
  const asked = darkroomOf(evening.value.body, house.value, runs.value, { now: now(), keeps: (load) => load.fixed })
  const going = inArranging(
    'helps',
    asked,
    { seed: eveningSeed, rounds: 1_000_000, ms: helpMs },
    ({ tried, of }) => (share.value = tried / of),
  )
  cancel = going.cancel
  try {
    found.value = await going.answer
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error)
  }
  share.value = null
})
const helpWords = (help: Help): string => {
  switch (help.kind) {
    case 'person':
      return 'One more person'
    case 'vessel':
      return `Another tank like ${names.value?.vessel(help.vessel)}`
    case 'bath':
      return `Another bath like ${names.value?.bath(help.bath)}`
    case 'bottle':
      return `${help.label} mixed fresh`
    case 'closet':
      return 'Another place to load'
    case 'wash':
      return 'Another place in the wash'
    case 'longer':
      return 'Half an hour longer open'
  }
}
/** What it brings, the weightiest first. */
function brings(comes: Comes): string {
  const { value } = found
  if (!value) return ''
  const { asItIs } = value
  const parts: string[] = []
  if (comes.without < asItIs.without) parts.push(`${counted(asItIs.without - comes.without, 'load')} more with a place`)
  else if (comes.unplaced < asItIs.unplaced) parts.push('what matters more has a place')
  if (comes.lateS < asItIs.lateS) parts.push(`${showTime(asItIs.lateS - comes.lateS)} less late, weighted`)
  if (comes.endS < asItIs.endS)
    parts.push(`over ${showTime(asItIs.endS - comes.endS)} sooner, at ${names.value ? clockAt(names.value, comes.endS) : ''}`)
  return parts.join(', ')
}
const nothing = computed(() => (evening.value?.body.loads.length ?? 0) === 0)
</script>

<template>
  <ModalPanel open wide title="What would help?" @close="$emit('close')">
    <p v-if="nothing" class="text-lg">There is nothing in this evening yet.</p>
    <ProgressBar v-else-if="share !== null" :share="share" words="Trying one thing after another" :stoppable="false" />
    <ProblemLine :problem="failed" />
    <div v-if="found" role="status">
      <ul v-if="found.helps.length > 0">
        <li v-for="(one, i) in found.helps" :key="i" class="border-b border-line py-2 text-lg">
          <b>{{ helpWords(one.help) }}</b>: {{ brings(one.comes) }}
        </li>
      </ul>
      <p v-else-if="!nothing" class="text-lg">
        Nothing of what was tried: another person, tank, bath, place or half an hour would make it no better.
      </p>
      <p v-if="!nothing" class="mt-3 text-quiet">
        Each was looked at for {{ helpMs / 1000 }} s with everything that is not fixed free to move.
      </p>
    </div>
    <button class="button mt-4" @click="$emit('close')">Close</button>
  </ModalPanel>
</template>
