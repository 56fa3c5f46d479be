<script setup lang="ts">
import { computed } from 'vue'
import type { Block, Board } from './board'
import type { Span } from './lanes'
import LoadBlock from './LoadBlock.vue'
import type { Mover } from './useMoving'
import type { Zoom } from './useZoom'

/** What a tank holds through the evening, and what is being moved there. */
const { lane, blocks, mover, free, selected, zoom, scale, clock } = defineProps<{
  lane: Board['vessels'][number]
  /** every load: what is moved may come out of another tank */
  blocks: Block[]
  mover: Mover
  /** where the chosen load could begin instead */
  free: Span[] | undefined
  selected: string | null
  zoom: Zoom
  scale: number
  clock: (s: number) => string
}>()
defineEmits<{ grab: [event: PointerEvent, block: Block]; select: [load: string]; pressed: [event: KeyboardEvent, block: Block] }>()

type Shown = { block: Block; startS: number; moved: 'free' | 'met' | null }
/** What is in hand is not where it was. */
const gone = computed(() => mover.moving.value?.place.load ?? null)
const coming = computed((): Shown | null => {
  const { value: moving } = mover.moving
  const block = moving?.place.vessel === lane.id ? blocks.find((one) => one.load === moving.place.load) : undefined
  return moving && block ? { block, startS: moving.place.startS, moved: moving.meets.length > 0 ? 'met' : 'free' } : null
})
const shown = computed((): Shown[] => [
  ...lane.blocks
    .filter((block) => block.load !== gone.value && block.endS > zoom.fromS.value && block.startS < zoom.toS.value)
    .map((block): Shown => ({ block, startS: block.startS, moved: null })),
  ...(coming.value ? [coming.value] : []),
])
</script>

<template>
  <svg v-if="free?.length" class="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
    <rect
      v-for="(one, i) in free"
      :key="i"
      :x="zoom.x(one.fromS)"
      y="0"
      :width="Math.max(2, (one.toS - one.fromS) * zoom.pxPerS.value)"
      :height="5 * scale"
      fill="var(--primary)"
    />
  </svg>
  <LoadBlock
    v-for="{ block, startS, moved } in shown"
    :key="block.load"
    :block="block"
    :start-s="startS"
    :x="zoom.x(startS)"
    :px-per-s="zoom.pxPerS.value"
    :scale="scale"
    :selected="block.load === selected"
    :moved="moved"
    :clock="clock"
    @pointerdown="$emit('grab', $event, block)"
    @click="$emit('select', block.load)"
    @keydown="$emit('pressed', $event, block)"
  />
</template>
