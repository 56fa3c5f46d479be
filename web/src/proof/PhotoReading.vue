<script setup lang="ts">
import type { PictureReading } from '@selvrin/core'
import { ref } from 'vue'
import ProgressBar from '../fields/ProgressBar.vue'
import SwitchField from '../fields/SwitchField.vue'
import { inSentence } from '../marks/words'
import MarkList from './MarkList.vue'
import PhotoPlace from './PhotoPlace.vue'
import { usePhoto } from './usePhoto'
import type { PatchNames } from './marking'
import type { KeptPicture } from './useTest'

/** Densities off a photograph: pick or drop it, mark the areas by pointer or keys, see the reading follow. */
const { names } = defineProps<{ /** where two steps of a film are read instead of two scraps */ names?: PatchNames }>()
const emit = defineEmits<{ read: [reading: PictureReading | null, keep: KeptPicture | null] }>()
/** While a picture is opened or measured nothing can be written: what stands beside it is still the one before. */
const working = defineModel<boolean>('working', { default: false })
const of = usePhoto(working, (reading, keep) => emit('read', reading, keep), names)
const { problem, doing, name, opened, open, stop, noClear, reading, toMark } = of
const over = ref(false)
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
        >{{ names ? 'Both frames' : 'Fresh scrap, new scrap' }}, clear film and an empty patch of one light box in one picture; exposure and
        white balance locked, no HDR.</span
      >
      <input type="file" accept="image/png,image/jpeg" class="sr-only" @change="open(($event.target as HTMLInputElement).files?.[0])" />
    </label>
    <ProgressBar v-if="doing" class="mt-3" :words="doing.what" :share="doing.done" @stop="stop" />
    <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <div v-if="opened" class="mt-4 grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-6 max-md:grid-cols-1">
      <PhotoPlace :of="of" />
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
        <MarkList :of="of" />
        <p v-if="reading" class="text-lg">
          <template v-if="names"
            >{{ names.fresh }} {{ (reading.fresh.density - (reading.base?.density ?? 0)).toFixed(2) }}, {{ inSentence(names.scrap) }}
            {{ (reading.scrap.density - (reading.base?.density ?? 0)).toFixed(2)
            }}{{ reading.base ? ', both over base and fog' : '' }}.</template
          >
          <template v-else-if="reading.ratio !== null"
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
