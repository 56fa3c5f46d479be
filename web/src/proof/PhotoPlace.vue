<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { sharesAt } from '../hand/area'
import { light } from '../light/light'
import type { Mark } from './marking'
import type { Photo } from './usePhoto'

/** The photograph with the areas marked on it; the chosen one is drawn with the pointer. */
const { of } = defineProps<{ of: Pick<Photo, 'bitmap' | 'marks' | 'active' | 'draw'> }>()
const { bitmap, marks, active } = of
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')

/** In safelight nothing but red may shine: the picture is shown through its red channel. */
function show(): void {
  const context = canvas.value?.getContext('2d')
  if (!context || !canvas.value || !bitmap.value) return
  canvas.value.width = bitmap.value.width
  canvas.value.height = bitmap.value.height
  context.drawImage(bitmap.value, 0, 0)
  if (light.value !== 'safelight') return
  context.globalCompositeOperation = 'multiply'
  context.fillStyle = '#ff0000'
  context.fillRect(0, 0, canvas.value.width, canvas.value.height)
}
onMounted(show)
watch([light, bitmap], () => void nextTick(show))

let from: { x: number; y: number } | null = null
function down(event: PointerEvent): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  from = sharesAt(event)
}
const drag = (event: PointerEvent) => void (from && of.draw(from, sharesAt(event)))
/** beside its area, where neighbours leave little room: 'Fresh', or the number of a wedge step */
const shortName = (mark: Mark): string => (mark.density === undefined ? mark.name.split(' ')[0] : mark.name.split(' ').at(-1)) ?? ''
const marked = computed(() => marks.value.flatMap((mark) => (mark.area ? [{ ...mark, area: mark.area }] : [])))
const percentOf = (share: number) => `${share * 100}%`
</script>

<template>
  <div
    class="relative touch-none self-start select-none"
    @pointerdown="down"
    @pointermove="drag"
    @pointerup="from = null"
    @pointercancel="from = null"
  >
    <canvas ref="canvas" class="block h-auto w-full border border-ink" role="img" aria-label="The photograph" />
    <div
      v-for="mark in marked"
      :key="mark.key"
      class="mark absolute"
      :class="active === mark.key ? 'active' : ''"
      :style="{
        left: percentOf(mark.area.x),
        top: percentOf(mark.area.y),
        width: percentOf(mark.area.width),
        height: percentOf(mark.area.height),
      }"
    >
      <span
        class="absolute left-0 bg-panel px-1 text-sm leading-tight font-bold whitespace-nowrap text-ink"
        :class="mark.area.y > 0.08 ? 'bottom-full mb-1' : 'top-full mt-1'"
        >{{ shortName(mark) }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.mark {
  outline: 2px solid var(--ink);
  outline-offset: 0;
  box-shadow: 0 0 0 4px var(--panel);
}
.active {
  outline-width: 4px;
}
:root[data-light='safelight'] .mark {
  box-shadow: none;
}
</style>
