<script setup lang="ts">
import { showTime, type Bleaching, type PaperBase } from '@selvrin/core'
import { trainingApi } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import UpClock from '../printroom/UpClock.vue'
import { useSession } from '../session/store'
import type { ToneSteps } from './useToneSteps'

/** Bleach and tone, one step after another, by looking: the clock counts up. */
const { view, tone } = defineProps<{ view: ToneSteps; tone: number; mayKeep: boolean }>()
const emit = defineEmits<{ keep: [] }>()
const { kept, steps, step, isDone, seconds } = view
const base = ref<PaperBase | null>('fibre')
const bleaching = ref<Bleaching | null>('complete')
const session = useSession()
const { busy, problem, act } = useAction()
/** Bleach and toner are for whom they were shown to; a technician needs nobody beside them. */
const may = () => session.isTechnician || act(() => call(trainingApi.ask, { body: { tasks: ['bleaches', 'toners'] } }))
async function begin(strip: boolean): Promise<void> {
  if (await may()) view.begin({ base: base.value ?? 'fibre', bleaching: bleaching.value ?? 'complete', strip, tone })
}
const again = () => view.begin({ base: kept.value?.base ?? 'fibre', bleaching: kept.value?.bleaching ?? 'complete', strip: false, tone })
</script>

<template>
  <section aria-labelledby="steps">
    <h2 id="steps" class="mb-2 text-2xl font-bold">{{ kept ? (kept.strip ? 'A strip' : 'The print') : 'Bleach and tone' }}</h2>
    <template v-if="!kept">
      <div class="mb-2 flex flex-wrap gap-4">
        <PressOne
          v-model="base"
          label="Paper"
          :choices="[
            { value: 'fibre', name: 'fibre' },
            { value: 'rc', name: 'resin-coated' },
          ]"
        />
        <PressOne
          v-model="bleaching"
          label="Bleached"
          :choices="[
            { value: 'complete', name: 'to completion' },
            { value: 'pulled', name: 'pulled: lights only' },
          ]"
        />
      </div>
      <p class="mb-3 max-w-xl">Spare strips first: what is bleached does not come back. Only prints that pass the hypo test.</p>
      <div class="flex flex-wrap gap-3">
        <button type="button" class="button button-main min-h-16 px-6 text-2xl" :disabled="busy" data-next @click="begin(true)">
          A strip first
        </button>
        <button type="button" class="button min-h-16 px-6 text-2xl" :disabled="busy" @click="begin(false)">The print</button>
      </div>
      <ProblemLine class="mt-3" :problem="problem" />
    </template>
    <template v-else>
      <ol class="mb-3 flex flex-wrap gap-x-4 gap-y-1" aria-label="Steps">
        <li
          v-for="(one, i) in steps"
          :key="`${one.kind} ${i}`"
          :class="i === kept.at ? 'font-bold underline' : i < kept.at ? 'text-quiet' : ''"
          :aria-current="i === kept.at ? 'step' : undefined"
        >
          {{ i < kept.at ? '✓ ' : '' }}{{ one.name
          }}<span v-if="i < kept.at && kept.tookS[i] != null" class="ml-1 font-mono">{{ showTime(kept.tookS[i] ?? 0) }}</span>
        </li>
      </ol>
      <template v-if="step">
        <UpClock v-bind="step" :seconds="seconds" />
        <div class="flex flex-wrap gap-3">
          <button type="button" class="button button-main min-h-20 px-8 text-3xl" data-next @click="view.press">
            {{ seconds === null ? 'In' : step.inspected ? 'Out' : 'Done' }}
          </button>
          <button v-if="step.kind === 'tone' && seconds !== null" type="button" class="button min-h-20" @click="view.early">
            Out early, it will be refixed
          </button>
          <button v-if="seconds === null" type="button" class="button min-h-20" @click="view.skip">Not needed</button>
        </div>
      </template>
      <template v-else-if="isDone">
        <p class="mb-3 text-3xl font-bold" role="status">Done. Compare it dry.</p>
        <div class="flex flex-wrap gap-3">
          <button v-if="mayKeep" type="button" class="button button-main min-h-16 px-6 text-2xl" data-next @click="emit('keep')">
            Into the swatch book
          </button>
          <button type="button" class="button min-h-16" @click="again">The print now</button>
        </div>
      </template>
      <button type="button" class="button button-small mt-4" @click="view.leave">Leave it</button>
    </template>
  </section>
</template>
