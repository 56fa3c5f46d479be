<script setup lang="ts">
import { freePrinting } from '@selvrin/core'
import type { PrintPlace } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import BookPanel from '../printing/BookPanel.vue'
import GiveBackPanel from '../printing/GiveBackPanel.vue'
import PlaceChips from '../printing/PlaceChips.vue'
import { usePrinting } from '../printing/usePrinting'
import type { EveningView } from './useEvening'

/** Who prints when in this evening. */
const { view } = defineProps<{ view: EveningView }>()
defineEmits<{ close: [] }>()
const { evening, house } = view
const zone = computed(() => house.value?.zone ?? 'UTC')
const printing = usePrinting(() => zone.value)
const { page, days, booked } = printing
const day = computed(() => days.value.find((one) => one.day === evening.value?.day) ?? null)
const places = computed(() => booked.value.filter((one) => one.day === evening.value?.day))
const usualMs = 2 * 3_600_000
const free = computed(() => {
  const { value: all } = page.value
  if (!all || !day.value) return 0
  const prints = day.value.taken.map((one) => ({ ...one, memberId: '' }))
  const from = printing.cells(day.value).find((cell) => cell.untilAt > now())?.fromAt
  return freePrinting(day.value, { prints, places: all.places, ms: usualMs, from }) ?? from ?? day.value.opensAt
})
const booking = ref<{ fromAt: number; place: PrintPlace | null } | null>(null)
const givingBack = ref<PrintPlace | null>(null)
</script>

<template>
  <BookPanel
    v-if="booking && day"
    :view="printing"
    :day="day"
    :from-at="booking.fromAt"
    :place="booking.place"
    @close="booking = null"
    @give-back="((givingBack = $event), (booking = null))"
  />
  <GiveBackPanel v-else-if="givingBack" :place="givingBack" :zone="zone" @close="givingBack = null" />
  <ModalPanel v-else open title="Who prints" @close="$emit('close')">
    <p v-if="!page.value.value" role="status">{{ page.problem.value || 'Asking …' }}</p>
    <template v-else>
      <p v-if="places.length === 0" class="text-lg">Nobody has booked an enlarger.</p>
      <PlaceChips :places="places" :zone="zone" @choose="booking = { fromAt: $event.fromAt, place: $event }" />
      <div class="mt-4 flex flex-wrap gap-3">
        <button v-if="day" type="button" class="button button-main" @click="booking = { fromAt: free, place: null }">
          Book an enlarger
        </button>
        <RouterLink to="/rota/printing" class="button">All printing places</RouterLink>
        <button type="button" class="button" @click="$emit('close')">Back to the board</button>
      </div>
    </template>
  </ModalPanel>
</template>
