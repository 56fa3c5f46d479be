<script setup lang="ts">
import { spanWords, weekOf } from '@selvrin/core'
import type { PrintingDay, PrintPlace } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { now } from '../clock'
import { counted } from '../marks/words'
import { useSession } from '../session/store'
import BookPanel from './BookPanel.vue'
import GiveBackPanel from './GiveBackPanel.vue'
import OpeningCells from './OpeningCells.vue'
import PlaceChips from './PlaceChips.vue'
import PlaceList from './PlaceList.vue'
import { usePrinting } from './usePrinting'

/** Places at the enlargers: what is one's own, and what is free on the coming days. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const view = usePrinting(() => zone.value)
const { page, days, coming } = view
const all = computed(() => page.value.value)
const own = computed(() => coming.value.filter((one) => one.memberId === session.person?.id))
const ofDay = (day: string): PrintPlace[] => coming.value.filter((one) => one.day === day)
const enlargers = computed(() => {
  const { places = 0, outOfOrder = 0 } = all.value ?? {}
  if (places + outOfOrder === 0) return 'There are no enlargers.'
  return `${counted(places + outOfOrder, 'enlarger')}${outOfOrder === 0 ? '' : `, ${outOfOrder} out of order`}`
})
const limits = computed(() => all.value?.limits)
/** What everybody's share is. */
const share = computed(() => {
  if (!limits.value) return ''
  const { atOnceMinutes, weekMinutes, aheadDays, freeMinutes } = limits.value
  const ahead = `Places are given out ${aheadDays === 1 ? 'one day' : `${aheadDays} days`} ahead`
  const long = atOnceMinutes > 0 ? `, each at most ${spanWords(atOnceMinutes)} long` : ''
  const week = weekMinutes > 0 ? ` A member has ${spanWords(weekMinutes)} a week, Monday to Sunday` : ''
  const free = week && freeMinutes > 0 ? `; what is still free ${spanWords(freeMinutes)} before it begins does not count` : ''
  return `${ahead}${long}.${week}${free}${week ? '.' : ''}`
})
/** How much of a member's week is booked. */
const used = computed(() => {
  if (!all.value || !limits.value || session.isTechnician || limits.value.weekMinutes === 0) return ''
  const mine = weekOf(all.value.booked, now(), limits.value, zone.value)
  return `This week you have booked ${spanWords(mine)} of ${spanWords(limits.value.weekMinutes)}.`
})
const booking = ref<{ day: PrintingDay; fromAt: number; place: PrintPlace | null } | null>(null)
const givingBack = ref<PrintPlace | null>(null)
function giveBack(place: PrintPlace): void {
  booking.value = null
  givingBack.value = place
}
/** To move it is to choose among the times of its day. */
function move(place: PrintPlace): void {
  const day = days.value.find((one) => one.day === place.day)
  if (day) booking.value = { day, fromAt: place.fromAt, place }
}
</script>

<template>
  <div class="station max-w-6xl">
    <RouterLink to="/rota" class="link inline-flex min-h-11 items-center">← {{ session.isTechnician ? 'Rota' : 'My orders' }}</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
      <h1 class="text-3xl font-bold">Printing places</h1>
      <p v-if="all" class="text-lg text-quiet" role="status">{{ enlargers }}</p>
    </div>
    <PageState
      v-if="!all"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the places at the enlargers"
      back="To the Rota"
      back-to="/rota"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <section v-if="own.length > 0" class="mb-5" aria-labelledby="own">
        <h2 id="own" class="mb-1 text-2xl font-bold">You print</h2>
        <PlaceList :places="own" :zone="zone" @move="move" @give-back="givingBack = $event" />
      </section>
      <p class="mb-4 max-w-4xl text-lg">
        <b v-if="used">{{ used }}</b> {{ share }}
      </p>
      <p v-if="days.length === 0" class="text-xl">It is not open on any of the coming days.</p>
      <section v-for="day in days" :key="day.day" class="mb-4">
        <OpeningCells
          :day="day"
          :cells="view.cells(day)"
          :places="all.places"
          :own="own"
          :zone="zone"
          @book="booking = { day, fromAt: $event, place: null }"
        />
        <PlaceChips v-if="session.isTechnician" class="md:ml-40" :places="ofDay(day.day)" :zone="zone" @choose="move" />
      </section>
      <BookPanel
        v-if="booking"
        :view="view"
        :day="booking.day"
        :from-at="booking.fromAt"
        :place="booking.place"
        @close="booking = null"
        @give-back="giveBack"
      />
      <GiveBackPanel v-if="givingBack" :place="givingBack" :zone="zone" @close="givingBack = null" />
    </template>
  </div>
</template>
