<script setup lang="ts">
import { watch } from 'vue'
import { light } from '../light/light'
import { pictures } from '../proof/pictures'
import { useShow } from '../session/useShow'
import MarkedPhotoFields from './MarkedPhotoFields.vue'
import { useMarkedPhoto } from './useMarkedPhoto'

/** A strip read off a photograph of it, in white light, once it is fixed and dry. */
const { bands } = defineProps<{ bands: number }>()
const emit = defineEmits<{ read: [densities: number[]] }>()
const show = useShow()
const of = useMarkedPhoto<{ densities: number[] }>(
  [
    { key: 'paper', name: 'Bare paper', first: { x: 0.04, y: 0.04, width: 0.1, height: 0.1 } },
    { key: 'strip', name: 'Strip, all its bands', first: { x: 0.1, y: 0.4, width: 0.8, height: 0.2 } },
  ],
  async ([paper, strip]) =>
    paper && strip ? await pictures().strip({ paper, strip, bands }) : { problem: 'Mark the bare paper and the strip.' },
)
const { found } = of
watch(found, (now) => now && emit('read', now.densities))
</script>

<template>
  <p v-if="light !== 'white'" class="text-quiet">A strip is photographed in white light, once it is fixed and dry.</p>
  <MarkedPhotoFields v-else :of="of" ask="Photograph the strip">
    <p v-if="found" role="status">
      D <b class="font-mono">{{ found.densities.map((one) => show.number(one, 2)).join(' · ') }}</b>. Approximate: gloss lightens blacks;
      look at the last steps by eye as well.
    </p>
  </MarkedPhotoFields>
</template>
