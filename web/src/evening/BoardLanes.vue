<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, useTemplateRef, watch } from 'vue'
import { axisStepS, type Block, type Board, type Span } from './board'
import BarsLane from './BarsLane.vue'
import BathLane from './BathLane.vue'
import HandsLane from './HandsLane.vue'
import LoadBlock from './LoadBlock.vue'
import PrintsLane from './PrintsLane.vue'
import type { Moving } from './useMoving'
import { useZoom } from './useZoom'

/**
 * An evening as lanes along the time: hands, tanks, baths, closet, wash, dryer. A load is dragged in time or to another tank, or moved with the arrow keys; what it would meet is said by
 * whoever shows the board.
 */
const { board, moving, selected, free, nowS, clock } = defineProps<{
  board: Board
  moving: Moving | null
  selected: string | null
  /** where the chosen load could begin instead, by tank */
  free: Record<string, Span[]>
  nowS: number
  clock: (s: number) => string
}>()
const emit = defineEmits<{
  select: [load: string | null]
  move: [load: string, to: { startS: number; vessel: string }]
  drop: []
  leave: []
}>()

/** What is set in px grows with the letters. */
const rem = useTemplateRef<HTMLElement>('rem')
const { height: remPx } = useElementSize(rem)
const scale = computed(() => (remPx.value || 16) / 16)
const handsPx = computed(() => 36 * scale.value)
const tankPx = computed(() => 76 * scale.value)
/** a tank nothing is in */
const emptyPx = computed(() => 34 * scale.value)
const tallOf = (lane: { blocks: Block[]; id: string }): number =>
  lane.blocks.length > 0 || moving?.place.vessel === lane.id ? tankPx.value : emptyPx.value
const bathPx = computed(() => 64 * scale.value)
const rowPx = computed(() => 16 * scale.value)
const printPx = computed(() => 22 * scale.value)
const scroller = useTemplateRef<HTMLElement>('scroller')
/** s before opening and after closing that are in sight as well */
const edgeS = 600
const span = computed(() => ({
  fromS: Math.min(board.opensS, ...board.blocks.map((one) => one.startS)) - edgeS,
  toS: Math.max(board.closesS, ...board.blocks.map((one) => one.endS)) + edgeS,
}))
/** px a load has at the least */
const leastPx = 48
const zoom = useZoom(
  scroller,
  () => span.value,
  () => leastPx / Math.max(600, Math.min(Infinity, ...board.blocks.map((one) => one.endS - one.startS))),
)
const marks = computed(() => {
  const step = axisStepS(zoom.pxPerS.value)
  const first = Math.ceil(zoom.fromS.value / step) * step
  const found: { s: number; x: number }[] = []
  for (let s = first; s < zoom.toS.value; s += step) found.push({ s, x: zoom.x(s) })
  return found
})
const inSight = (block: Pick<Block, 'startS' | 'endS'>): boolean => block.endS > zoom.fromS.value && block.startS < zoom.toS.value
const rows = (bars: { row: number }[]): number => 1 + Math.max(0, ...bars.map((bar) => bar.row))
/** A block where it is, or where it is being moved to. */
const lanes = computed(() =>
  board.vessels.map((vessel) => ({
    ...vessel,
    shown: [
      ...vessel.blocks.filter((block) => block.load !== moving?.place.load && inSight(block)),
      ...(moving && moving.place.vessel === vessel.id ? movedBlock(moving) : []),
    ],
  })),
)
function movedBlock({ place }: Moving): Block[] {
  const block = board.blocks.find((one) => one.load === place.load)
  if (!block) return []
  const by = place.startS - block.startS
  const segments = block.segments.map((one) => ({ ...one, fromS: one.fromS + by, toS: one.toS + by }))
  return [{ ...block, startS: place.startS, endS: block.endS + by, segments }]
}

/** s a drag is rounded to: finer the nearer one looks */
const gridS = computed(() => (zoom.pxPerS.value > 2 ? 1 : zoom.pxPerS.value > 0.4 ? 10 : 30))
let grabbed: { load: string; startS: number; x: number; y: number; pulled: boolean } | null = null
/** px before a press becomes a drag */
const pullPx = 5
const laneAt = (y: number): string | undefined =>
  [...document.querySelectorAll<HTMLElement>('[data-lane]')].find((lane) => {
    const box = lane.getBoundingClientRect()
    return box.top <= y && y < box.bottom
  })?.dataset.lane

function grab(event: PointerEvent, block: Block): void {
  if (event.button !== 0) return
  emit('select', block.load)
  if (block.run !== null) return
  grabbed = { load: block.load, startS: block.startS, x: event.clientX, y: event.clientY, pulled: false }
  scroller.value?.setPointerCapture(event.pointerId)
}
useEventListener(scroller, 'pointermove', (event: PointerEvent) => {
  if (!grabbed) return
  const [dx, dy] = [event.clientX - grabbed.x, event.clientY - grabbed.y]
  if (!grabbed.pulled && Math.hypot(dx, dy) < pullPx) return
  grabbed.pulled = true
  const startS = Math.round((grabbed.startS + dx / zoom.pxPerS.value) / gridS.value) * gridS.value
  const vessel = laneAt(event.clientY) ?? moving?.place.vessel
  if (vessel) emit('move', grabbed.load, { startS, vessel })
})
useEventListener(scroller, 'pointerup', () => {
  if (grabbed?.pulled) emit('drop')
  grabbed = null
})
useEventListener(scroller, 'pointercancel', () => {
  grabbed = null
  emit('leave')
})
useEventListener(
  scroller,
  'wheel',
  (event: WheelEvent) => {
    if (!event.ctrlKey) return
    event.preventDefault()
    const left = scroller.value?.getBoundingClientRect().left ?? 0
    void zoom.by(event.deltaY < 0 ? 1.25 : 0.8, event.clientX - left)
  },
  { passive: false },
)

/** Arrow keys move what is chosen: a minute, with Shift a second; up and down to another tank. Enter puts it there, Escape leaves it where it was. */
function pressed(event: KeyboardEvent, block: Block): void {
  if (event.altKey || event.ctrlKey || event.metaKey) return
  const here = moving?.place.load === block.load ? moving.place : { startS: block.startS, vessel: block.vessel }
  const by = event.shiftKey ? 1 : zoom.pxPerS.value > 2 ? 10 : 60
  const at = board.vessels.findIndex((one) => one.id === here.vessel)
  const to = (startS: number, lane: number): void => {
    const vessel = board.vessels[lane]?.id
    if (vessel && block.run === null) emit('move', block.load, { startS, vessel })
  }
  const keys: Record<string, () => void> = {
    ArrowLeft: () => to(here.startS - by, at),
    ArrowRight: () => to(here.startS + by, at),
    ArrowUp: () => to(here.startS, at - 1),
    ArrowDown: () => to(here.startS, at + 1),
    Enter: () => (moving ? emit('drop') : emit('select', block.load)),
    Escape: () => emit('leave'),
  }
  const act = keys[event.key]
  if (!act) return
  event.preventDefault()
  event.stopPropagation()
  act()
}
/** What is moved by keys goes to another lane: its button is another one there. */
watch(
  () => moving?.place.vessel,
  (now, before) => {
    if (!now || !before || now === before || grabbed) return
    const load = moving?.place.load
    requestAnimationFrame(() => scroller.value?.querySelector<HTMLElement>(`[data-load="${load}"]`)?.focus({ preventScroll: true }))
  },
)
watch(
  () => selected,
  (load) => {
    const block = board.blocks.find((one) => one.load === load)
    if (block) void zoom.show(block.startS)
  },
)
/** What is chosen stays in sight, where it is; else the middle. */
function around(factor: number): Promise<void> {
  const block = board.blocks.find((one) => one.load === selected)
  const px = block ? zoom.x((block.startS + block.endS) / 2) : NaN
  return px > 0 && px < zoom.width.value ? zoom.by(factor, px) : zoom.by(factor)
}
const closer = 1.6
defineExpose({ nearer: () => around(closer), farther: () => around(1 / closer), whole: zoom.whole })
</script>

<template>
  <div class="grid grid-cols-[7.5rem_minmax(0,1fr)] border-y-2 border-ink">
    <div aria-hidden="true">
      <p ref="rem" class="h-[1rem]" />
      <p class="h-3" />
      <p v-for="one in board.people" :key="one.person" class="lane-name" :style="{ height: `${handsPx}px` }">
        <b>{{ one.short }}</b>
      </p>
      <p v-for="one in board.vessels" :key="one.id" class="lane-name" :style="{ height: `${tallOf(one)}px` }">
        <b>{{ one.name }}</b>
        <span v-if="one.blocks.length > 0" class="block text-sm text-quiet">{{
          one.kind === 'rotary' ? 'drum' : `${one.reels} ${one.reels === 1 ? 'reel' : 'reels'}`
        }}</span>
      </p>
      <p v-for="one in board.baths" :key="one.id" class="lane-name" :style="{ height: `${bathPx}px` }">
        <b>{{ one.name }}</b><br /><span class="text-sm text-quiet">°C</span>
      </p>
      <p class="lane-name" :style="{ height: `${8 + rowPx * rows(board.closet)}px` }"><b>Closet</b></p>
      <p class="lane-name" :style="{ height: `${8 + rowPx * rows(board.wash)}px` }"><b>Wash</b></p>
      <p v-if="board.dryer.length > 0" class="lane-name" :style="{ height: `${8 + rowPx * rows(board.dryer)}px` }"><b>Dryer</b></p>
      <p v-if="board.prints.length > 0" class="lane-name" :style="{ height: `${8 + printPx * rows(board.prints)}px` }"><b>Enlargers</b></p>
    </div>
    <div
      ref="scroller"
      class="relative overflow-x-auto overflow-y-hidden"
      role="group"
      aria-label="The evening along the time"
      tabindex="-1"
    >
      <div :style="{ width: `${zoom.totalPx.value}px` }">
        <div class="sticky left-0 overflow-hidden" :style="{ width: `${zoom.width.value}px` }">
          <div class="relative h-7" aria-hidden="true">
            <span v-for="mark in marks" :key="mark.s" class="absolute font-mono text-sm font-bold" :style="{ left: `${mark.x + 4}px` }">{{
              clock(mark.s)
            }}</span>
          </div>
          <svg class="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
            <line v-for="mark in marks" :key="mark.s" :x1="mark.x" :x2="mark.x" y1="0" y2="100%" stroke="var(--line)" />
            <rect x="0" y="0" :width="Math.max(0, zoom.x(board.opensS))" height="100%" fill="var(--line)" opacity="0.5" />
            <rect :x="zoom.x(board.closesS - board.cleanS)" y="0" width="100%" height="100%" fill="var(--line)" opacity="0.3" />
            <rect :x="zoom.x(board.closesS)" y="0" width="100%" height="100%" fill="var(--line)" opacity="0.5" />
          </svg>
          <div v-for="one in board.people" :key="one.person" class="lane" :style="{ height: `${handsPx}px` }">
            <HandsLane :lane="one" :zoom="zoom" :scale="scale" :marked="moving?.place.load ?? selected" />
          </div>
          <div v-for="lane in lanes" :key="lane.id" class="lane" :data-lane="lane.id" :style="{ height: `${tallOf(lane)}px` }">
            <svg v-if="free[lane.id]?.length" class="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
              <rect
                v-for="(one, i) in free[lane.id]"
                :key="i"
                :x="zoom.x(one.fromS)"
                y="0"
                :width="Math.max(2, (one.toS - one.fromS) * zoom.pxPerS.value)"
                :height="5 * scale"
                fill="var(--primary)"
              />
            </svg>
            <LoadBlock
              v-for="block in lane.shown"
              :key="block.load"
              :block="block"
              :x="zoom.x(block.startS)"
              :px-per-s="zoom.pxPerS.value"
              :scale="scale"
              :selected="block.load === selected"
              :moved="moving?.place.load === block.load ? (moving.meets.length > 0 ? 'met' : 'free') : null"
              :clock="clock"
              @pointerdown="grab($event, block)"
              @click="emit('select', block.load)"
              @keydown="pressed($event, block)"
            />
          </div>
          <div v-for="one in board.baths" :key="one.id" class="lane" :style="{ height: `${bathPx}px` }">
            <BathLane :lane="one" :zoom="zoom" :scale="scale" :clock="clock" />
          </div>
          <div class="lane" :style="{ height: `${8 + rowPx * rows(board.closet)}px` }">
            <BarsLane :bars="board.closet" :zoom="zoom" :scale="scale" colour="var(--ink)" :marked="selected" word="dark" />
          </div>
          <div class="lane" :style="{ height: `${8 + rowPx * rows(board.wash)}px` }">
            <BarsLane :bars="board.wash" :zoom="zoom" :scale="scale" colour="var(--wash)" :marked="selected" />
          </div>
          <div v-if="board.dryer.length > 0" class="lane" :style="{ height: `${8 + rowPx * rows(board.dryer)}px` }">
            <BarsLane :bars="board.dryer" :zoom="zoom" :scale="scale" colour="var(--quiet)" :marked="selected" />
          </div>
          <div v-if="board.prints.length > 0" class="lane" :style="{ height: `${8 + printPx * rows(board.prints)}px` }">
            <PrintsLane :bars="board.prints" :zoom="zoom" :scale="scale" />
          </div>
          <div
            v-if="nowS > zoom.fromS.value && nowS < zoom.toS.value"
            class="pointer-events-none absolute inset-y-0 z-10 w-[3px] bg-alarm"
            :style="{ left: `${zoom.x(nowS)}px` }"
            aria-hidden="true"
          >
            <span class="absolute bottom-0 left-0 -translate-x-1/2 bg-alarm px-1 font-mono text-sm font-bold text-ground">{{
              clock(nowS)
            }}</span>
          </div>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.lane,
.lane-name {
  position: relative;
  border-top: 1px solid var(--line);
}
.lane-name {
  padding: 2px 8px 0 0;
  line-height: 1.15;
  overflow: hidden;
}
</style>
