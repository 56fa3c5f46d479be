<script setup lang="ts">
import { freePrinting, startOfDay } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { sentence } from '../api/call'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { showClock } from '../marks/words'
import { momentOf } from '../order/when'
import { usePeople } from '../stores'
import type { EveningView } from './useEvening'

/** Who prints when: an enlarger is theirs for a time. */
const { view } = defineProps<{ view: EveningView }>()
const emit = defineEmits<{ close: [] }>()
const { evening, house, busy, problem, send } = view
const zone = computed(() => house.value?.zone ?? 'UTC')
const people = usePeople()
onMounted(() => void people.load())
const members = computed(() =>
  people.rows
    .filter((one) => one.active)
    .map(({ id, name }) => ({ value: id, name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const usualMs = 2 * 3_600_000
const first = evening.value && house.value ? (freePrinting(evening.value.body, house.value.room, usualMs) ?? evening.value.body.opensAt) : 0
const who = ref<string | null>(null)
const from = ref(showClock(first, zone.value))
const until = ref(showClock(first + usualMs, zone.value))
const wrong = ref('')
const nameOf = (id: string): string => members.value.find((one) => one.value === id)?.name ?? view.people.value[id] ?? ''
const sorted = computed(() => [...(evening.value?.body.prints ?? [])].sort((a, b) => a.fromAt - b.fromAt))
async function keep(): Promise<void> {
  const body = evening.value?.body
  if (!body) return
  wrong.value = ''
  if (who.value === null) return void (wrong.value = 'Say who prints.')
  try {
    const day = String(startOfDay(body.opensAt, zone.value))
    const fromAt = momentOf(day, from.value, zone.value)
    const untilAt = momentOf(day, until.value, zone.value)
    if (await send('printing', { ...body, prints: [...body.prints, { id: uuid(), memberId: who.value, fromAt, untilAt }] })) emit('close')
  } catch (error) {
    wrong.value = sentence(error)
  }
}
async function takeOut(id: string): Promise<void> {
  const body = evening.value?.body
  if (body) await send('printing', { ...body, prints: body.prints.filter((one) => one.id !== id) })
}
</script>

<template>
  <FormPanel title="Who prints" yes="Book it" :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="keep">
    <ul v-if="sorted.length > 0">
      <li v-for="one in sorted" :key="one.id" class="flex flex-wrap items-center gap-3 border-b border-line py-1">
        <b class="font-mono">{{ showClock(one.fromAt, zone) }} to {{ showClock(one.untilAt, zone) }}</b>
        <span class="flex-1">{{ nameOf(one.memberId) }}</span>
        <button type="button" class="button button-small" :disabled="busy" @click="takeOut(one.id)">
          Take out {{ nameOf(one.memberId) }}
        </button>
      </li>
    </ul>
    <ChoiceField v-model="who" label="Who" :choices="members" />
    <div class="grid grid-cols-2 gap-3">
      <TextField v-model="from" label="From" />
      <TextField v-model="until" label="To" />
    </div>
  </FormPanel>
</template>
