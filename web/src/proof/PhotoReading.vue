<script setup lang="ts">
import type { PictureReading } from '@selvrin/core'
import { pictureBytes, type PictureMarks } from '@selvrin/core/contract'
import { proxy } from 'comlink'
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue'
import SwitchField from '../fields/SwitchField.vue'
import { light } from '../light/light'
import { areaBetween, byKey, firstMarks, firstPlace, wedgeStep, type Mark } from './marking'
import { pictures } from './pictures'
import { inSentence } from '../marks/words'
import { digits } from '../session/manner'

/** Densities off a photograph: pick or drop it, mark the areas by pointer or keys, see the reading follow. */
const emit = defineEmits<{ read: [reading: PictureReading | null, keep: { name: string; blob: Blob; marks: PictureMarks } | null] }>()
/** While a picture is opened or measured nothing can be written: what stands beside it is still the one before. */
const working = defineModel<boolean>('working', { default: false })
const problem = ref('')
const doing = ref<{ done: number; what: string } | null>(null)
const name = ref('')
const opened = shallowRef<{ width: number; height: number; kept: Blob } | null>(null)
const marks = ref<Mark[]>(firstMarks())
const active = ref('empty')
const reading = shallowRef<PictureReading | null>(null)
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
let bitmap: ImageBitmap | null = null
/** the latest picture and the latest reading asked of the worker: an answer to an older one is dropped. Marking while a picture opens asks for no reading. */
let opening = 0
let asked = 0
const isOpening = ref(false)
/** the picture shows no clear film, so the ratio cannot be net of base and fog */
const noClear = ref(false)
const over = ref(false)
/** a browser that ran out of memory, say: whatever it is, the figures can be typed */
const broken = () => ({ problem: 'The picture could not be read here. Try a smaller one, or type the densities.' })

async function open(file: File | undefined): Promise<void> {
  if (!file) return
  problem.value = ''
  if (!/^image\//.test(file.type)) {
    problem.value = 'This is no picture. Choose a PNG or JPEG photograph.'
    return
  }
  const mine = ++opening
  asked++
  tell(null)
  working.value = true
  isOpening.value = true
  doing.value = { done: 0, what: 'Opening the picture' }
  const answer = await pictures()
    .open(
      file,
      proxy((done, what) => void (doing.value = { done, what })),
    )
    .catch(broken)
  if (mine !== opening) return
  doing.value = null
  isOpening.value = false
  const refused =
    'problem' in answer ? answer.problem : answer.kept.size > pictureBytes ? 'The picture is too large to keep. Take it smaller.' : ''
  if (refused || 'problem' in answer) {
    problem.value = refused
    opened.value = null
    name.value = ''
    working.value = false
    return
  }
  name.value = file.name
  // another picture lies otherwise: what was marked on the last one is marked anew
  marks.value = firstMarks()
  noClear.value = false
  active.value = 'empty'
  bitmap?.close()
  bitmap = await createImageBitmap(answer.kept)
  opened.value = answer
  await nextTick()
  draw()
  await measure()
}

/** A reading goes out together with the picture it was read off, or not at all. */
function tell(found: PictureReading | null, on?: PictureMarks): void {
  reading.value = found
  emit('read', found, found && on && opened.value ? { name: name.value, blob: opened.value.kept, marks: on } : null)
}

/** In safelight nothing but red may shine: the picture is shown through its red channel. */
function draw(): void {
  const context = canvas.value?.getContext('2d')
  if (!context || !canvas.value || !bitmap) return
  canvas.value.width = bitmap.width
  canvas.value.height = bitmap.height
  context.drawImage(bitmap, 0, 0)
  if (light.value !== 'safelight') return
  context.globalCompositeOperation = 'multiply'
  context.fillStyle = '#ff0000'
  context.fillRect(0, 0, bitmap.width, bitmap.height)
}
watch(light, () => void nextTick(draw))
onBeforeUnmount(() => {
  opening++
  asked++
  working.value = false
  bitmap?.close()
})

const areaOf = (key: string): Mark['area'] => marks.value.find((mark) => mark.key === key)?.area ?? null
const toMark = computed(() => marks.value.filter((mark) => mark.area === null && !(mark.key === 'base' && noClear.value)))
const density = (mark: Mark): number | null =>
  /^\d([.,]\d+)?$/.test((mark.density ?? '').trim()) ? Number((mark.density ?? '').replace(',', '.')) : null
const wedge = computed(() => marks.value.filter((mark) => mark.density !== undefined))
const asMarks = computed((): PictureMarks | null => {
  const [empty, fresh, scrap, base] = [areaOf('empty'), areaOf('fresh'), areaOf('scrap'), areaOf('base')]
  if (!empty || !fresh || !scrap || (!base && !noClear.value)) return null
  return {
    empty,
    fresh,
    scrap,
    ...(base && !noClear.value ? { base } : {}),
    wedge: wedge.value.flatMap((mark) => {
      const known = density(mark)
      return known === null || mark.area === null ? [] : [{ area: mark.area, density: known }]
    }),
  }
})
async function measure(): Promise<void> {
  if (!opened.value || isOpening.value) return
  const mine = ++asked
  if (!asMarks.value) {
    // no verdict before every area is marked
    tell(null)
    working.value = false
    return
  }
  working.value = true
  const plain = JSON.parse(JSON.stringify(asMarks.value)) as PictureMarks
  const answer = await pictures().read(plain).catch(broken)
  if (mine !== asked) return
  problem.value = 'problem' in answer ? answer.problem : ''
  tell('problem' in answer ? null : answer, plain)
  working.value = false
}
watch(asMarks, () => void measure(), { deep: true })

let from: { x: number; y: number } | null = null
const at = (event: PointerEvent) => {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
}
const set = (key: string, area: Mark['area']) => {
  marks.value = marks.value.map((mark) => (mark.key === key ? { ...mark, area } : mark))
}
function down(event: PointerEvent): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  from = at(event)
}
function drag(event: PointerEvent): void {
  if (from) set(active.value, areaBetween(from, at(event)))
}
function keys(event: KeyboardEvent, mark: Mark): void {
  const area = byKey(mark.area ?? firstPlace(mark.key), event.key, event.shiftKey, event.altKey ? 0.002 : 0.01)
  if (!area) return
  event.preventDefault()
  set(mark.key, area)
}
/** beside its area, where neighbours leave little room: 'Fresh', or the number of a wedge step */
const shortName = (mark: Mark): string => (mark.density === undefined ? mark.name.split(' ')[0] : mark.name.split(' ').at(-1)) ?? ''
const marked = computed(() => marks.value.flatMap((mark) => (mark.area ? [{ ...mark, area: mark.area }] : [])))
const percentOf = (share: number) => `${share * 100}%`
const shown = (value: { density: number; spread: number; opaque: boolean }) =>
  value.opaque ? 'opaque' : `${digits(value.density, 2)} ±${digits(value.spread, 2)}`
const shownOf = (key: string): string => {
  const found = reading.value
  const area = found && { fresh: found.fresh, scrap: found.scrap, base: found.base }[key]
  return area ? shown(area) : ''
}
</script>

<template>
  <div>
    <label
      class="flex min-h-20 cursor-pointer flex-wrap items-center gap-4 rounded-sm border-2 border-dashed px-4 py-3"
      :class="over ? 'border-ink' : 'border-quiet'"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="((over = false), open($event.dataTransfer?.files[0]))"
    >
      <span class="font-semibold">{{ name || 'Pick a photograph, or drop it here' }}</span>
      <span class="text-quiet"
        >Fresh scrap, new scrap, clear film and an empty patch of one light box in one picture; exposure and white balance locked, no
        HDR.</span
      >
      <input type="file" accept="image/png,image/jpeg" class="sr-only" @change="open(($event.target as HTMLInputElement).files?.[0])" />
    </label>
    <div v-if="doing" class="mt-3" role="status">
      <p>{{ doing.what }} …</p>
      <div class="mt-1 h-3 border-2 border-ink"><div class="h-full bg-ink" :style="{ width: percentOf(doing.done) }" /></div>
    </div>
    <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <div v-if="opened" class="mt-4 grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-6 max-md:grid-cols-1">
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
      <div class="space-y-3">
        <p class="text-quiet">
          Choose an area and draw it on the picture; or place and move it with the arrow keys, with Shift its size, with Alt finely.
        </p>
        <p v-if="toMark.length > 0" class="text-lg font-semibold" role="status">
          Still to mark: {{ toMark.map((mark) => inSentence(mark.name)).join(', ') }}.
        </p>
        <SwitchField
          v-model="noClear"
          label="No clear film in the picture"
          detail="then base and fog stay in, and the verdict is no more than marginal"
        />
        <ul class="space-y-2">
          <li v-for="mark in marks" :key="mark.key" class="flex items-center gap-2">
            <button
              type="button"
              class="button button-small flex-1 text-left"
              :class="active === mark.key ? 'button-main' : ''"
              :aria-pressed="active === mark.key"
              @click="active = mark.key"
              @keydown="keys($event, mark)"
            >
              {{ mark.name }}
            </button>
            <template v-if="mark.density !== undefined">
              <input
                v-model="mark.density"
                class="input w-24 font-mono"
                :aria-label="`Density of ${inSentence(mark.name)}`"
                placeholder="D"
              />
              <button
                type="button"
                class="link min-h-11"
                :aria-label="`Leave ${mark.name} out`"
                @click="marks = marks.filter((one) => one.key !== mark.key)"
              >
                ✕
              </button>
            </template>
            <b v-else-if="reading && shownOf(mark.key)" class="font-mono whitespace-nowrap">D {{ shownOf(mark.key) }}</b>
          </li>
        </ul>
        <button
          type="button"
          class="button button-small"
          @click="((marks = [...marks, wedgeStep(wedge.length)]), (active = marks.at(-1)?.key ?? active))"
        >
          A wedge step of known density
        </button>
        <p v-if="reading" class="text-lg">
          <template v-if="reading.ratio !== null"
            >The new scrap has <b>{{ Math.round(reading.ratio * 100) }} %</b> of the fresh one’s density{{
              reading.base ? ', both over base and fog' : ''
            }}.</template
          >
          <template v-else>A photograph tells no more than “opaque” beyond D 2: use a mid grey.</template>
          <template v-if="Math.max(reading.fresh.spread, reading.scrap.spread) > 0.1"
            ><b>An area is uneven: keep it within one patch.</b>
          </template>
          {{ reading.approximate ? 'Approximate: no wedge in the picture takes the camera’s tone curve out.' : 'Corrected by the wedge.' }}
        </p>
      </div>
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
