<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from 'vue'
import type { Pixels } from './colour.worker'

/** A picture that was worked out. It shines in all colours: whoever shows it does so in white light only. */
const { of, name } = defineProps<{ of: Pixels; name: string }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
function draw(): void {
  if (!canvas.value) return
  canvas.value.width = of.width
  canvas.value.height = of.height
  canvas.value.getContext('2d')?.putImageData(new ImageData(of.rgba, of.width, of.height), 0, 0)
}
onMounted(draw)
watch(() => of, draw)
</script>

<template>
  <canvas ref="canvas" class="block h-auto w-full" role="img" :aria-label="name" />
</template>
