<script setup lang="ts">
import { decideCourse, DomainError, type CourseChange, type RunClock } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import { useClocks } from './clocks'

/** In the middle of a run something has to go otherwise: a step once more, water between, or one left out; with a reason, and what it would come to. */
const { run, clock, open } = defineProps<{ run: Run; clock: RunClock; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const show = useShow()
const kind = ref<CourseChange['kind'] | null>('repeat')
const key = ref<string | null>(null)
const seconds = ref<number | null>(60)
const why = ref('')
const kinds = [
  { value: 'repeat' as const, name: 'A step once more' },
  { value: 'add' as const, name: 'Water between' },
  { value: 'skip' as const, name: 'Leave one out' },
]
const times = [
  { value: 30, name: '0:30' },
  { value: 60, name: '1:00' },
  { value: 120, name: '2:00' },
  { value: 300, name: '5:00' },
]
const steps = computed(() => {
  const { course, step } = clock
  const those = kind.value === 'skip' ? course.slice(step + 1) : course.slice(0, step + 1)
  return [...new Map(those.map((one) => [one.key, { value: one.key, name: one.name.replace(/, again$/, '') }])).values()]
})
watch([kind, () => open], () => (key.value = null))
const change = computed((): CourseChange | null => {
  if (kind.value === 'add') return seconds.value === null ? null : { kind: 'add', seconds: seconds.value }
  return kind.value === null || key.value === null ? null : { kind: kind.value, key: key.value }
})
/** What it would come to, by the same function that carries it out. */
const ahead = computed(() => {
  if (!change.value) return { findings: [], problem: '' }
  try {
    return { ...decideCourse(run.plan, clock.course, clock.step, change.value), problem: '' }
  } catch (error) {
    if (error instanceof DomainError) return { findings: [], problem: show.said(error.message) }
    throw error
  }
})
const asked = ref('')
async function keep(): Promise<void> {
  asked.value = !change.value ? 'Choose the step.' : why.value.trim().length < 3 ? 'Say why in a few words.' : ''
  if (asked.value || ahead.value.problem || !change.value) return
  await clocks.note(run.id, { ...change.value, step: clock.step, text: why.value.trim() })
  why.value = ''
  emit('close')
}
</script>

<template>
  <FormPanel
    :open="open"
    wide
    title="Otherwise than planned"
    yes="So it is"
    :busy="false"
    :problem="ahead.problem || asked"
    @close="$emit('close')"
    @submit="keep"
  >
    <p>It comes after {{ clock.course[clock.step]?.name }}, which goes on meanwhile.</p>
    <PressOne v-model="kind" label="What" :choices="kinds" size="large" />
    <PressOne v-if="kind === 'add'" v-model="seconds" label="How long" :choices="times" />
    <template v-else>
      <p v-if="steps.length === 0">Nothing is to come any more.</p>
      <PressOne v-else v-model="key" label="Which step" :choices="steps" />
    </template>
    <FindingList :findings="ahead.findings" />
    <TextField v-model="why" label="Why?" />
  </FormPanel>
</template>
