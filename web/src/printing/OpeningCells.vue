<script setup lang="ts">
import type { PrintingCell } from '@selvrin/core'
import type { PrintingDay, PrintPlace } from '@selvrin/core/contract'
import { computed } from 'vue'
import { now } from '../clock'
import { showClock, showDate } from '../marks/words'

/** An opening span by span: how many enlargers are free in each. */
const { cells, places, own, day } = defineProps<{
  day: PrintingDay
  cells: PrintingCell[]
  places: number
  own: PrintPlace[]
  zone: string
}>()
defineEmits<{ book: [fromAt: number] }>()
const isOwn = (cell: PrintingCell): boolean => own.some((one) => one.fromAt < cell.untilAt && cell.fromAt < one.untilAt)
const words = (cell: PrintingCell): string => {
  if (cell.untilAt <= now()) return 'over'
  if (isOwn(cell)) return 'yours'
  if (cell.otherLight !== null) return cell.otherLight
  return cell.free === 0 ? 'full' : `${cell.free} free`
}
const canBook = (cell: PrintingCell): boolean => cell.untilAt > now() && cell.free > 0 && cell.otherLight === null && !isOwn(cell)
/** more enlargers than this are said in figures only */
const drawn = 8
const squares = computed(() => (places <= drawn ? Array.from({ length: places }, (_, i) => i) : []))
/** More have booked than there are enlargers, since one is out of order or gone. */
const tooMany = computed(() => cells.some((cell) => most(cell) > places))
function most({ fromAt, untilAt }: PrintingCell): number {
  const here = day.taken.filter((one) => one.fromAt < untilAt && fromAt < one.untilAt)
  return Math.max(0, ...here.map((one) => here.filter((other) => other.fromAt <= one.fromAt && one.fromAt < other.untilAt).length))
}
</script>

<template>
  <div class="grid grid-cols-[9rem_minmax(0,1fr)] gap-x-4 gap-y-1 max-md:grid-cols-1">
    <h2 class="text-xl leading-tight font-bold">
      {{ showDate(day.opensAt, zone) }}<br /><span class="text-base font-normal text-quiet"
        >{{ showClock(day.opensAt, zone) }} to {{ showClock(day.closesAt, zone) }}</span
      >
      <span v-if="tooMany" class="block text-base font-semibold text-alarm">▲ more than there are enlargers</span>
    </h2>
    <div class="grid grid-cols-[repeat(auto-fill,minmax(5.75rem,1fr))] gap-1.5">
      <button
        v-for="cell in cells"
        :key="cell.fromAt"
        type="button"
        class="flex min-h-16 flex-col items-start rounded-sm border-2 p-1.5 text-left"
        :class="[
          canBook(cell) ? 'cursor-pointer border-quiet bg-panel' : 'border-dashed border-line',
          isOwn(cell) ? 'border-solid! border-ink! bg-panel' : '',
        ]"
        :disabled="!canBook(cell)"
        @click="$emit('book', cell.fromAt)"
      >
        <b class="font-mono text-lg leading-tight">{{ showClock(cell.fromAt, zone) }}</b>
        <span class="leading-tight" :class="isOwn(cell) ? 'font-bold' : ''">{{ words(cell) }}</span>
        <span class="mt-auto flex gap-0.5 pt-1" aria-hidden="true">
          <span v-for="i in squares" :key="i" class="size-2.5 border border-ink" :class="i < places - cell.free ? 'bg-ink' : ''" />
        </span>
        <span class="sr-only">, {{ showDate(day.opensAt, zone) }}{{ canBook(cell) ? ', book' : '' }}</span>
      </button>
    </div>
  </div>
</template>
