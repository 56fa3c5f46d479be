<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, useTemplateRef, watch } from 'vue'
import { axisStepS, type Block, type Board } from './board'
import { type Span } from './lanes'
import BarsLane from './BarsLane.vue'
import BathLane from './BathLane.vue'
import HandsLane from './HandsLane.vue'
import LightLane from './LightLane.vue'
import TankLane from './TankLane.vue'
import { useDrag } from './useDrag'
import type { Mover } from './useMoving'
import { useZoom } from './useZoom'

/**
 * An evening as lanes along the time: hands, tanks, baths, closet, wash, dryer. A load is dragged in time or to another tank, or moved with the arrow keys; what it would meet is said by
 * whoever shows the board.
 */
const { board, mover, selected, free, nowS, clock } = defineProps<{
  board: Board
  mover: Mover
  selected: string | null
  /** where the chosen load could begin instead, by tank */
  free: Record<string, Span[]>
  nowS: number
  clock: (s: number) => string
}>()
const emit = defineEmits<{ select: [load: string]; drop: [] }>()
/** Which load is in hand and over which tank: what is drawn of the rest changes with these alone. */
const movedLoad = computed(() => mover.moving.value?.place.load ?? null)
const movedTo = computed(() => mover.moving.value?.place.vessel ?? null)

/** What is set in px grows with the letters. */
const rem = useTemplateRef<HTMLElement>('rem')
const { height: remPx } = useElementSize(rem)
const scale = computed(() => (remPx.value || 16) / 16)
const lightPx = computed(() => 24 * scale.value)
const handsPx = computed(() => 36 * scale.value)
const tankPx = computed(() => 76 * scale.value)
/** a tank nothing is in */
const emptyPx = computed(() => 42 * scale.value)
const tallOf = (lane: { blocks: Block[]; id: string }): number =>
  lane.blocks.length > 0 || movedTo.value === lane.id ? tankPx.value : emptyPx.value
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
const rows = (bars: { row: number }[]): number => 1 + Math.max(0, ...bars.map((bar) => bar.row))
const { grab, pressed, inHand } = useDrag(
  scroller,
  zoom,
  { board: () => board, moving: mover.moving },
  {
    select: (load) => emit('select', load),
    move: mover.moveTo,
    drop: () => emit('drop'),
    leave: mover.leave,
  },
)
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
/** What is chosen is not behind its own card; while a hand is on it nothing moves under that hand. */
function reveal(): void {
  if (!inHand()) scroller.value?.querySelector(`[data-load="${selected}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}
useEventListener(scroller, 'pointerup', () => requestAnimationFrame(reveal))
watch(
  () => selected,
  (load) => {
    const block = board.blocks.find((one) => one.load === load)
    if (block) void zoom.show(block.startS)
    requestAnimationFrame(reveal)
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
      <p v-for="one in board.lights" :key="one.room" class="lane-name" :style="{ height: `${lightPx}px` }">
        <b class="block truncate">{{ one.room }}</b>
      </p>
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
          <div v-for="one in board.lights" :key="one.room" class="lane" :style="{ height: `${lightPx}px` }">
            <LightLane :spans="one.spans" :zoom="zoom" :scale="scale" />
          </div>
          <div v-for="one in board.people" :key="one.person" class="lane" :style="{ height: `${handsPx}px` }">
            <HandsLane :lane="one" :zoom="zoom" :scale="scale" :marked="movedLoad ?? selected" />
          </div>
          <div v-for="lane in board.vessels" :key="lane.id" class="lane" :data-lane="lane.id" :style="{ height: `${tallOf(lane)}px` }">
            <TankLane
              :lane="lane"
              :blocks="board.blocks"
              :mover="mover"
              :free="free[lane.id]"
              :selected="selected"
              :zoom="zoom"
              :scale="scale"
              :clock="clock"
              @grab="grab"
              @select="emit('select', $event)"
              @pressed="pressed"
            />
          </div>
          <div v-for="one in board.baths" :key="one.id" class="lane" :style="{ height: `${bathPx}px` }">
            <BathLane :lane="one" :zoom="zoom" :scale="scale" :clock="clock" />
          </div>
          <div class="lane" :style="{ height: `${8 + rowPx * rows(board.closet)}px` }">
            <BarsLane :bars="board.closet" :zoom="zoom" :row-px="rowPx" colour="var(--ink)" :marked="selected" word="dark" />
          </div>
          <div class="lane" :style="{ height: `${8 + rowPx * rows(board.wash)}px` }">
            <BarsLane :bars="board.wash" :zoom="zoom" :row-px="rowPx" colour="var(--wash)" :marked="selected" />
          </div>
          <div v-if="board.dryer.length > 0" class="lane" :style="{ height: `${8 + rowPx * rows(board.dryer)}px` }">
            <BarsLane :bars="board.dryer" :zoom="zoom" :row-px="rowPx" colour="var(--quiet)" :marked="selected" />
          </div>
          <div v-if="board.prints.length > 0" class="lane" :style="{ height: `${8 + printPx * rows(board.prints)}px` }">
            <BarsLane :bars="board.prints" :zoom="zoom" :row-px="printPx" colour="var(--panel)" lined :marked="null" />
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
