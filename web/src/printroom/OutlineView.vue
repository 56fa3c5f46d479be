<script setup lang="ts">
import type { PrintArea, PrintOutline } from '@selvrin/core'
import { computed, ref } from 'vue'
import { areaBetween, sharesAt } from '../hand/area'
import { stopWords } from './words'

/** A print as an outline, with its places where they lie: what is burned in has a whole line, what is held back a broken one. The one that is drawn follows the pointer. */
const { ratio, outline, stops, active, drawing, photo } = defineProps<{
  /** width over height */
  ratio: number
  outline: PrintOutline
  /** of each place, more or less than the rest */
  stops: ReadonlyMap<string, number>
  active?: string | undefined
  /** the pointer draws the active place */
  drawing?: PrintArea['shape'] | undefined
  /** where a photograph of the print is fetched, in white light */
  photo?: string | undefined
}>()
const emit = defineEmits<{ drawn: [area: PrintArea] }>()
const from = ref<{ x: number; y: number } | null>(null)
const now = ref<PrintArea | null>(null)
function down(event: PointerEvent): void {
  if (!drawing || !active) return
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  from.value = sharesAt(event)
}
function drag(event: PointerEvent): void {
  if (from.value && drawing && active) now.value = { name: active, shape: drawing, ...areaBetween(from.value, sharesAt(event)) }
}
function up(): void {
  if (now.value && now.value.width > 0.02 && now.value.height > 0.02) emit('drawn', now.value)
  from.value = now.value = null
}
const shown = computed(() => {
  const { value: one } = now
  return one ? [...outline.filter((area) => area.name !== one.name), one] : outline
})
const percent = (share: number): string => `${100 * share}%`
const heldBack = (name: string): boolean => (stops.get(name) ?? 0) < 0
</script>

<template>
  <div
    class="relative overflow-hidden border-2 border-ink bg-panel select-none"
    :class="drawing ? 'cursor-crosshair touch-none' : ''"
    :style="{ aspectRatio: String(ratio) }"
    role="img"
    :aria-label="`Outline of the print${outline.length > 0 ? `: ${outline.map((one) => one.name).join(', ')}` : ''}`"
    @pointerdown="down"
    @pointermove="drag"
    @pointerup="up"
    @pointercancel="from = now = null"
  >
    <img v-if="photo" :src="photo" alt="" class="absolute inset-0 h-full w-full object-fill" draggable="false" />
    <div
      v-for="area in shown"
      :key="area.name"
      class="area absolute border-ink"
      :class="[
        area.shape === 'round' ? 'rounded-[50%]' : '',
        heldBack(area.name) ? 'border-dashed' : 'border-solid',
        active === area.name ? 'border-[5px]' : 'border-[3px]',
      ]"
      :style="{ left: percent(area.x), top: percent(area.y), width: percent(area.width), height: percent(area.height) }"
    />
    <p
      v-for="area in shown"
      :key="`${area.name} words`"
      class="pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 w-max max-w-40 bg-panel px-1 text-center leading-tight break-words"
      :class="active === area.name ? 'font-bold underline' : 'font-semibold'"
      :style="{ left: percent(area.x + area.width / 2), top: percent(area.y + area.height / 2) }"
    >
      {{ area.name }}
      <span v-if="stops.get(area.name)" class="block font-mono">{{ stopWords(stops.get(area.name) ?? 0) }}</span>
    </p>
  </div>
</template>

<style scoped>
.area {
  outline: 2px solid var(--panel);
}
:root[data-light='safelight'] .area {
  outline: none;
}
</style>
