<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { sentence } from '../api/call'
import { now } from '../clock'
import { showClock } from '../marks/words'
import ChoiceField from '../fields/ChoiceField.vue'
import TextField from '../fields/TextField.vue'
import { dayChoices, momentOf } from './when'
import { useUnread } from '../fields/unread'
import { startOfDay } from '@selvrin/core'

/** A day and a time in the darkroom's zone, or none: the model is ms, null for none. */
const { zone, usual = '18:00' } = defineProps<{ label: string; none: string; zone: string; problem?: string; usual?: string }>()
const model = defineModel<number | null>({ required: true })
const kept = model.value
const day = ref<string | null>(kept === null ? 'none' : String(startOfDay(kept, zone)))
const clock = ref(kept === null ? usual : showClock(kept, zone))
const days = computed(() => dayChoices(now(), zone, kept))
const wrong = ref('')
useUnread(wrong)
watch([day, clock], () => {
  wrong.value = ''
  if (day.value === null || day.value === 'none') return void (model.value = null)
  try {
    model.value = momentOf(day.value, clock.value, zone)
  } catch (error) {
    wrong.value = sentence(error)
  }
})
</script>

<template>
  <div class="grid gap-3" :class="day === 'none' ? '' : 'grid-cols-[minmax(0,2fr)_minmax(0,1fr)]'">
    <ChoiceField v-model="day" :label="label" :choices="[{ value: 'none', name: none }, ...days]" />
    <TextField v-if="day !== 'none'" v-model="clock" label="At" :problem="wrong || problem || ''" />
  </div>
</template>
