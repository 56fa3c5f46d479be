<script setup lang="ts">
import { markOf } from '@selvrin/core'
import { computed } from 'vue'
import type { Block } from './board'
import type { Segment } from './lanes'

/** A load in its lane: whose, what, in what, and its steps along the time. Moved by dragging, or with the arrow keys. */
const { block, startS, x, pxPerS, scale, selected, moved, clock } = defineProps<{
  block: Block
  /** where it is, or where it is being moved to */
  startS: number
  /** px of its left edge */
  x: number
  pxPerS: number
  /** how much larger than usual letters are */
  scale: number
  selected: boolean
  /** it is being moved: what it would meet there, nothing where it can be there */
  moved: 'free' | 'met' | null
  clock: (s: number) => string
}>()
const width = computed(() => (block.endS - block.startS) * pxPerS)
const colourOf = ({ family }: Segment): string =>
  family === 'loading' ? 'var(--ink)' : family === 'dry' ? 'var(--line)' : `var(--${markOf(family).colour})`
const letterOf = ({ family }: Segment): string => (family === 'loading' ? 'load' : family === 'dry' ? 'dry' : markOf(family).letter)
/** The light above its steps: dark filled, in the closed tank a line, under a safelight outlined; what is in white light has none. */
const bands = computed(() =>
  block.segments
    .filter((one) => one.light !== 'white')
    .reduce<Segment[]>((all, one) => {
      const last = all.at(-1)
      return last?.light === one.light && last.toS >= one.fromS ? [...all.slice(0, -1), { ...last, toS: one.toS }] : [...all, one]
    }, []),
)
/** px a letter needs */
const letterPx = 12
const letters = (count: number): number => 7.8 * scale * count + 16
/** What is in it is said where it has room beside whose it is; all of it is said by the card. */
const fits = computed(() => letters(block.what.length) <= width.value && letters(block.short.length + 3) <= width.value)
const state = computed(() =>
  block.over
    ? 'developed'
    : block.running
      ? `run ${block.run} is on`
      : block.run !== null
        ? `run ${block.run}, ready`
        : block.fixed
          ? 'fixed'
          : '',
)
const spoken = computed(() =>
  [
    `${block.owners}: ${block.what}, ${block.how}`,
    `${clock(startS)} to ${clock(startS + block.endS - block.startS)}`,
    block.lateS > 0 ? `${Math.ceil(block.lateS / 60)} minutes late` : '',
    block.critical ? 'only negatives' : '',
    state.value,
  ]
    .filter((part) => part !== '')
    .join(', '),
)
</script>

<template>
  <button
    type="button"
    class="load absolute top-1 bottom-1 flex flex-col items-stretch justify-start overflow-hidden rounded-sm border-2 bg-panel pt-0.5 text-left"
    :class="[
      selected ? 'border-primary outline-2 outline-primary' : 'border-ink',
      moved ? 'z-20 cursor-grabbing' : block.run === null ? 'cursor-grab' : '',
      moved === 'met' ? 'border-dashed border-alarm' : '',
      block.over ? 'over' : '',
    ]"
    :style="{ transform: `translateX(${x}px)`, width: `${Math.max(6, width)}px` }"
    :aria-pressed="selected"
    :data-load="block.load"
  >
    <span class="sr-only" data-spoken>{{ spoken }}</span>
    <span class="block px-1.5 text-sm leading-tight font-bold" aria-hidden="true"
      ><span v-if="block.run !== null">{{ block.over ? '✓' : '▶' }} </span><span v-else-if="block.fixed">▪ </span>{{ block.short
      }}<span v-if="block.critical"> ◆</span><span v-if="block.lateS > 0" class="text-alarm"> late</span></span
    >
    <span v-if="fits" class="block px-1.5 text-sm leading-tight whitespace-nowrap" aria-hidden="true">{{ block.what }}</span>
    <span class="absolute inset-x-0 bottom-5 block h-1" aria-hidden="true">
      <span
        v-for="(one, i) in bands"
        :key="i"
        class="absolute inset-y-0 block"
        :class="one.light === 'dark' ? 'bg-ink' : one.light === 'tank' ? 'border-b border-ink' : 'border border-alarm'"
        :style="{ left: `${(one.fromS - block.startS) * pxPerS}px`, width: `${Math.max(1, (one.toS - one.fromS) * pxPerS)}px` }"
      />
    </span>
    <span class="absolute inset-x-0 bottom-0 block h-5" aria-hidden="true">
      <span
        v-for="(one, i) in block.segments"
        :key="i"
        class="absolute inset-y-0 block overflow-hidden border-r border-panel text-center text-xs leading-5 font-bold"
        :style="{
          left: `${(one.fromS - block.startS) * pxPerS}px`,
          width: `${Math.max(1, (one.toS - one.fromS) * pxPerS)}px`,
          background: colourOf(one),
          color: one.family === 'dry' ? 'var(--ink)' : one.family === 'loading' ? 'var(--ground)' : 'var(--mark-text)',
        }"
        >{{
          (one.toS - one.fromS) * pxPerS > 9 * scale * one.name.length
            ? one.name
            : (one.toS - one.fromS) * pxPerS >= letterPx * scale * Math.max(1, letterOf(one).length * 0.6)
              ? letterOf(one)
              : ''
        }}</span
      >
    </span>
  </button>
</template>

<style scoped>
.load {
  will-change: transform;
  touch-action: none;
  /* the card of what is chosen lies over the lower end */
  scroll-margin: 5rem 0 18rem;
}
.over {
  border-style: dotted;
}
</style>
