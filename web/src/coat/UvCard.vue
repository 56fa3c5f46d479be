<script setup lang="ts">
import { showTime, stripTotals } from '@selvrin/core'
import { computed, ref } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import PressOne from '../fields/PressOne.vue'
import QuantityField from '../fields/QuantityField.vue'
import { wake } from '../cue/audio'
import { useShow } from '../session/useShow'
import type { CoatedView } from './useCoated'
import TakeBack from './TakeBack.vue'
import { useUv } from './useUv'
import UvClock from './UvClock.vue'
import UvFields from './UvFields.vue'

/** A strip by minutes, then the print, under the lamp. */
const { view } = defineProps<{ view: CoatedView }>()
const show = useShow()
const uv = useUv(view)
const { typed, proposed, strip, lit } = uv
const wrong = ref({ strip: '', expose: '' })
function on(kind: 'strip' | 'expose'): void {
  void wake()
  wrong.value = { strip: '', expose: '', [kind]: uv.on(kind) }
}
/** nothing is known of its time: the strip stands first */
const isFirst = computed(() => strip.value === null && typeof proposed.value === 'string')
const bands = computed(() => (strip.value ? stripTotals(strip.value.steps, strip.value.bands) : []))
const chosen = computed(() => strip.value?.chosen ?? null)
/** A band, or with its neighbour the middle of the two; pressing the one again takes it alone. */
async function read(i: number): Promise<void> {
  const [one, other] = chosen.value ?? []
  const touches = other === undefined && one !== undefined && Math.abs(one - i) === 1
  await view.write({ kind: 'read', chosen: touches ? [Math.min(one, i), Math.max(one, i)] : [i] })
}
const preview = computed(() =>
  typed.firstS
    ? stripTotals({ by: 'stops', firstS: typed.firstS, stepStops: typed.stepStops ?? 0.5 }, typed.bands ?? 5)
        .map((one) => showTime(one))
        .join(' · ')
    : '',
)
</script>

<template>
  <UvClock v-if="lit" :view="view" :uv="uv" />
  <div v-else class="flex flex-col">
    <ProblemLine :problem="view.problem.value" />
    <UvFields :view="view" :uv="uv" />
    <section v-if="strip" class="mb-6" aria-labelledby="read">
      <h2 id="read" class="mb-1 text-2xl font-bold">Which band is right?</h2>
      <p class="mb-2 max-w-2xl">
        Bathe and dry the strip like the print, then press its band; two that touch, for the middle between them.
      </p>
      <div role="group" aria-label="Bands of the strip" class="flex flex-wrap gap-1">
        <button
          v-for="(total, i) in bands"
          :key="i"
          type="button"
          class="button min-h-16 font-mono text-xl"
          :class="(chosen as number[] | null)?.includes(i) ? 'button-main' : ''"
          :aria-pressed="(chosen as number[] | null)?.includes(i) ?? false"
          :disabled="view.busy.value"
          @click="read(i)"
        >
          {{ showTime(total) }}
        </button>
      </div>
    </section>
    <section class="mb-6" :class="isFirst ? 'order-2' : ''" aria-labelledby="expose">
      <h2 id="expose" class="mb-1 text-2xl font-bold">The print</h2>
      <p v-if="typeof proposed === 'string'" class="mb-2 text-lg">{{ show.said(proposed) }}</p>
      <p v-else class="mb-2 text-lg">
        <b class="font-mono text-3xl">{{ showTime(proposed.seconds) }}</b> {{ proposed.why }}
      </p>
      <QuantityField v-model="typed.seconds" kind="time" label="How long" class="mb-3 max-w-xs" />
      <button
        type="button"
        class="button min-h-16 px-6 text-2xl"
        :class="strip?.seconds != null ? 'button-main' : ''"
        @click="on('expose')"
      >
        Lamp on for the print
      </button>
      <ProblemLine :problem="wrong.expose" />
    </section>
    <section class="mb-6" aria-labelledby="strip">
      <h2 id="strip" class="mb-1 text-2xl font-bold">{{ strip ? 'Another strip' : 'A strip first' }}</h2>
      <div class="mb-2 flex flex-wrap items-end gap-4">
        <QuantityField v-model="typed.firstS" kind="time" label="First band" class="max-w-40" />
        <PressOne
          v-model="typed.stepStops"
          label="Steps"
          :choices="[
            { value: 1 / 3, name: '⅓ stop' },
            { value: 0.5, name: '½ stop' },
            { value: 1, name: 'a stop' },
          ]"
        />
        <PressOne v-model="typed.bands" label="Bands" :choices="[3, 5, 7].map((value) => ({ value, name: `${value} bands` }))" />
      </div>
      <p class="mb-2 font-mono">{{ preview }}</p>
      <button
        type="button"
        class="button min-h-16 px-6 text-2xl"
        :class="strip ? '' : 'button-main'"
        :data-next="strip ? undefined : ''"
        @click="on('strip')"
      >
        Lamp on for the strip
      </button>
      <ProblemLine :problem="wrong.strip" />
    </section>
    <TakeBack class="order-3 self-start" :view="view" />
  </div>
</template>
