<script setup lang="ts">
import type { WeekOpening } from '@selvrin/core'
import type { FilmOrder } from '@selvrin/core/contract'
import { computed } from 'vue'
import { counted, percent, showDate, showMoment } from '../marks/words'
import { dayWords, filmWords } from '../order/orderWords'

/** Who was spread to a day, load by load. */
const { opening, orders, late, zone } = defineProps<{ opening: WeekOpening; orders: FilmOrder[]; late: string[]; zone: string }>()
const loads = computed(() =>
  opening.loads.map((ids) => ids.flatMap((id) => orders.find((order) => order.id === id) ?? [])).filter((one) => one.length > 0),
)
const otherDay = ({ promisedFor }: FilmOrder): boolean => promisedFor !== null && promisedFor !== opening.day
</script>

<template>
  <section class="card mt-2 mb-4" aria-live="polite" :aria-label="showDate(opening.opensAt, zone)">
    <h3 class="text-xl font-bold">
      {{ showDate(opening.opensAt, zone) }}: {{ counted(loads.length, 'load') }},
      {{ percent(opening.thereS > 0 ? opening.wantedS / opening.thereS : 0) }} of the hands
    </h3>
    <p v-if="loads.length === 0" class="text-lg">
      {{ opening.films === 0 ? 'Nothing yet.' : 'Only what is in its evening already.' }}
    </p>
    <ul>
      <li v-for="(load, i) in loads" :key="i" class="border-b border-line py-1 last:border-0">
        <RouterLink
          v-for="order in load"
          :key="order.id"
          :to="`/rota/orders/${order.id}`"
          class="flex min-h-11 flex-wrap items-center gap-x-4 underline-offset-4 hover:underline"
        >
          <b class="min-w-12">{{ order.number }}</b>
          <span class="min-w-36">{{ order.member }}</span>
          <span class="break-words">{{ filmWords(order) }}</span>
          <span v-if="order.critical">◆ only negatives</span>
          <span v-if="late.includes(order.id)" class="font-semibold text-alarm">▲ too late</span>
          <span class="text-quiet"
            >{{ order.wantedBy === null ? 'no hurry' : `by ${showMoment(order.wantedBy, zone)}`
            }}{{ otherDay(order) ? `, promised for ${dayWords(order.promisedFor ?? '')}` : '' }}</span
          >
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
