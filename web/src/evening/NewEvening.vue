<script setup lang="ts">
import { dayOf, openOn } from '@selvrin/core'
import { type EveningSummary, eveningApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { now } from '../clock'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { showClock } from '../marks/words'
import { dayChoices, momentOf } from '../order/when'
import { useSession } from '../session/store'

/** The evening of a day is planned: when it is open that day, with whoever plans it on duty. */
const { there } = defineProps<{ there: EveningSummary[] }>()
const emit = defineEmits<{ close: []; planned: [id: string] }>()
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const room = usePage((signal) => call(eveningApi.room, { signal }))
onMounted(() => void room.load())
const dayIs = (value: string): string => dayOf(Number(value) + 12 * 3_600_000, zone.value)
const days = computed(() =>
  dayChoices(now(), zone.value, null).map((one) => ({
    ...one,
    disabled: there.some((evening) => evening.day === dayIs(one.value)),
  })),
)
const day = ref<string | null>(null)
const chosen = computed(() => day.value ?? days.value.find((one) => !one.disabled)?.value ?? null)
const open = computed(() => (chosen.value && room.value.value ? openOn(room.value.value, dayIs(chosen.value), zone.value) : null))
const { busy, problem, act } = useAction()
async function plan(): Promise<void> {
  if (!chosen.value || !session.person) return
  // a day without hours can be planned all the same: somebody opens it
  const hours =
    open.value && 'opensAt' in open.value
      ? open.value
      : { opensAt: momentOf(chosen.value, '18:00', zone.value), closesAt: momentOf(chosen.value, '22:00', zone.value) }
  const id = uuid()
  const people = [{ personId: session.person.id, fromAt: hours.opensAt, untilAt: hours.closesAt, rest: null }]
  if (await act(() => call(eveningApi.plan, { body: { id, day: dayIs(chosen.value as string), ...hours, people } }))) emit('planned', id)
}
</script>

<template>
  <FormPanel title="Plan an evening" yes="Plan it" :busy="busy" :problem="problem" @close="$emit('close')" @submit="plan">
    <ChoiceField
      :model-value="chosen"
      label="Day"
      :choices="days.map((one) => (one.disabled ? { ...one, detail: 'is planned already' } : one))"
      @update:model-value="day = $event"
    />
    <p v-if="open" class="text-lg">
      <template v-if="'opensAt' in open">Open from {{ showClock(open.opensAt, zone) }} to {{ showClock(open.closesAt, zone) }}.</template>
      <template v-else>{{ open.closed }}. It is planned from 18:00 to 22:00; both can be changed.</template>
    </p>
  </FormPanel>
</template>
