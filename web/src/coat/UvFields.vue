<script setup lang="ts">
import { computed } from 'vue'
import PressSome from '../fields/PressSome.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { lightWords } from './coatWords'
import type { CoatedView } from './useCoated'
import type { UvView } from './useUv'

/** Which lamps, and how far away. */
const { view, uv } = defineProps<{ view: CoatedView; uv: UvView }>()
const show = useShow()
const { typed, light } = uv
const choices = computed(() => view.bench.lamps.value.map((one) => ({ value: one.id, name: one.body.name })))
</script>

<template>
  <p v-if="choices.length === 0" class="mb-3 font-semibold">
    ▲ No lamp is written down. A technician writes it into the <RouterLink to="/trays/coating" class="link">lamp table</RouterLink>.
  </p>
  <template v-else>
    <p class="mb-1 font-semibold">Under</p>
    <PressSome v-model="typed.lamps" label="Lamps" :choices="choices" />
    <div class="my-3 grid max-w-2xl grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="typed.distance" label="Distance" hint="cm, lamp to paper" />
      <TextField v-model="typed.more" label="More base and fog than that negative" hint="density by UV; empty for none" />
    </div>
    <p class="mb-3 text-lg">
      <template v-if="typeof light === 'string'">{{ show.said(light) }}</template>
      <template v-else
        >Together <b>{{ lightWords(light, show.plain) }}</b>.</template
      >
    </p>
  </template>
</template>
