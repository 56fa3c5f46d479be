<script setup lang="ts">
import { brushMixes, metalGiven, showTime } from '@selvrin/core'
import { computed, ref } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import UpClock from '../printroom/UpClock.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import TapDrum from '../sink/TapDrum.vue'
import TakeBack from './TakeBack.vue'
import { useBaths } from './useBaths'
import type { CoatedView } from './useCoated'

/** Developing by looking, or by brush; clearing, fixing and washing; then what became of it. */
const { view } = defineProps<{ view: CoatedView }>()
const session = useSession()
const show = useShow()
const baths = useBaths(view)
const { at, step, seconds } = baths
const said = ref('')
const process = computed(() => view.sheet.value?.body.process ?? 'cyanotype')
const isMetal = computed(() => process.value === 'platinum' || process.value === 'palladium')
const isDeveloping = computed(() => step.value?.kind === 'develop')
/** what this step gives off that does not go down the sink */
const gives = computed(() => {
  const { value: sheet } = view.sheet
  return sheet && metalGiven(sheet.body, sheet.acts.find(({ act }) => act.kind === 'coat')?.act ?? null, at.value)
})
</script>

<template>
  <section aria-labelledby="baths">
    <h2 id="baths" class="sr-only">Baths</h2>
    <template v-if="step">
      <UpClock v-bind="step" :seconds="seconds" />
      <ProblemLine :problem="view.problem.value" />
      <div class="mb-4 flex flex-wrap gap-3">
        <button type="button" class="button button-main min-h-20 px-8 text-3xl" data-next :disabled="view.busy.value" @click="baths.press">
          {{ seconds === null ? 'In' : step.inspected ? 'Out' : 'Done' }}
        </button>
        <button v-if="seconds === null" type="button" class="button min-h-20" :disabled="view.busy.value" @click="baths.skip">
          Not needed, or done elsewhere
        </button>
      </div>
      <details v-if="isMetal && isDeveloping" class="mb-4 max-w-2xl border-l-4 border-line pl-3">
        <summary class="min-h-11 cursor-pointer py-2 text-lg font-semibold">By brush, place by place</summary>
        <p>
          A thin film of glycerol over the whole print, wiped almost off. Then a brush for each mix of developer and glycerol, from strong
          to none:
          <b class="font-mono">{{ brushMixes.join(' · ') }}</b>. Blot a place to stop it. At the end all of it goes through clearing, what
          is bare too.
        </p>
      </details>
      <TapDrum
        v-if="gives && session.isTechnician"
        class="mb-4"
        :title="process === 'iron-silver' ? 'First wash' : 'Clearing, bath 1'"
        family="nob"
        :metal="gives.metal"
        :ml="500"
        :silver-g="gives.silverG"
        source="wash"
        :note="`coated print ${view.sheet.value?.number ?? ''}`"
      />
      <p v-else-if="gives" class="mb-4 font-semibold">▲ It holds metal: a technician pours it into its drum, not down the sink.</p>
    </template>
    <template v-else>
      <p class="mb-3 text-3xl font-bold" role="status">Through all its baths. Judge it dry.</p>
    </template>
    <ol v-if="view.standing.value" class="mb-4 flex flex-wrap gap-x-4 gap-y-1" aria-label="Steps">
      <li
        v-for="(one, i) in view.steps.value"
        :key="i"
        :class="i === at ? 'font-bold underline' : i < at ? 'text-quiet' : ''"
        :aria-current="i === at ? 'step' : undefined"
      >
        {{ i < at ? '✓ ' : '' }}{{ show.said(one.name)
        }}<span v-if="view.standing.value.tookS[i] != null" class="ml-1 font-mono">{{ showTime(view.standing.value.tookS[i] ?? 0) }}</span>
      </li>
    </ol>
    <TakeBack v-if="seconds === null" class="mb-4" :view="view" />
    <div class="max-w-2xl">
      <TextField v-model="said" label="What is to be said of it" hint="such as: a little less for the sky" />
      <button
        type="button"
        class="button mt-3"
        :class="step ? '' : 'button-main'"
        :data-next="step ? undefined : ''"
        :disabled="view.busy.value"
        @click="view.write({ kind: 'done', said })"
      >
        {{ step ? 'It ends here' : 'It is finished' }}
      </button>
    </div>
  </section>
</template>
