<script setup lang="ts">
import type { WholeTry } from '@selvrin/core'
import { computed, ref, toRef } from 'vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import TextField from '../fields/TextField.vue'
import { light } from '../light/light'
import OutlineView from '../printroom/OutlineView.vue'
import { stopWords } from '../printroom/words'
import { useOutline } from './useOutline'
import type { PrintView } from './usePrint'

/** Where the print is dodged and burned: its places on an outline of it, or on a photograph in white light. */
const props = defineProps<{ view: PrintView; plan: WholeTry | null }>()
const { sheet } = props.view
const drawn = useOutline(props.view, toRef(props, 'plan'))
const { outline, stops, places, active, shape, busy, problem, sent, turn } = drawn
const typed = ref('')
const ratio = computed(() => (sheet.value ? sheet.value.negative.widthMm / sheet.value.negative.heightMm : 1))
const photo = computed(() =>
  sheet.value?.photo && light.value === 'white' ? `/api/prints/${sheet.value.id}/photo?turn=${turn.value}` : undefined,
)
const isDrawn = (name: string): boolean => outline.value.some((one) => one.name === name)
function add(): void {
  const name = typed.value.trim()
  if (name !== '') drawn.another(name)
  typed.value = ''
}
</script>

<template>
  <section v-if="sheet" aria-labelledby="places">
    <h2 id="places" class="mb-2 text-2xl font-bold">Dodge and burn</h2>
    <div class="flex flex-wrap items-start gap-6">
      <OutlineView
        class="max-w-full"
        :style="{ width: `min(28rem, ${20 * ratio}rem)` }"
        :ratio="ratio"
        :outline="outline"
        :stops="stops"
        :active="active"
        :drawing="active === undefined ? undefined : (shape ?? 'round')"
        :photo="photo"
        @drawn="drawn.draw"
      />
      <div class="min-w-72 flex-1 space-y-3">
        <p v-if="active !== undefined" class="font-semibold" role="status">
          Draw {{ active }} on the outline; arrow keys move it, with Shift its size.
        </p>
        <p v-else-if="places.length === 0" class="text-quiet">No place has more or less than the rest. Name one to draw it.</p>
        <p v-else class="text-quiet">Choose a place to draw where it lies.</p>
        <ul>
          <li v-for="name in places" :key="name" class="flex flex-wrap items-center gap-2 py-1">
            <button
              type="button"
              class="button button-small min-w-40 text-left"
              :class="active === name ? 'button-main' : ''"
              :aria-pressed="active === name"
              @click="drawn.choose(name)"
              @keydown="drawn.press(name, $event) && $event.preventDefault()"
            >
              {{ name }}
            </button>
            <span v-if="stops.get(name)"
              >{{ (stops.get(name) ?? 0) < 0 ? 'held back' : 'burned in' }}
              <b class="font-mono">{{ stopWords(stops.get(name) ?? 0) }}</b></span
            >
            <span v-else class="text-quiet">as the rest</span>
            <span v-if="!isDrawn(name)" class="text-quiet">not drawn</span>
            <button v-if="isDrawn(name)" type="button" class="button button-small ml-auto" :disabled="busy" @click="drawn.takeOut(name)">
              Take it out<span class="sr-only"> of the outline: {{ name }}</span>
            </button>
          </li>
        </ul>
        <PressOne
          v-if="active !== undefined"
          label="Its shape"
          :model-value="shape"
          :choices="[
            { value: 'round', name: 'round' },
            { value: 'straight', name: 'with straight edges' },
          ]"
          @update:model-value="drawn.reshape"
        />
        <form class="flex flex-wrap items-end gap-2" @submit.prevent="add">
          <TextField v-model="typed" label="Another place" class="max-w-60" />
          <button class="button">Name it</button>
        </form>
        <ProblemLine :problem="problem" />
        <ProgressBar v-if="sent !== null" :share="sent" words="Sending the photograph" :stoppable="false" />
        <label v-if="light === 'white'" class="button cursor-pointer">
          {{ sheet.photo ? 'Another photograph of it' : 'Photograph the print' }}
          <input
            type="file"
            accept="image/png,image/jpeg"
            capture="environment"
            class="sr-only"
            :disabled="busy"
            @change="drawn.photograph(($event.target as HTMLInputElement).files?.[0])"
          />
        </label>
        <p v-else-if="sheet.photo" class="text-quiet">There is a photograph of it, shown in white light only.</p>
      </div>
    </div>
  </section>
</template>
