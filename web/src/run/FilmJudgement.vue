<script setup lang="ts">
import { densityAdvice, faultNames, faults, filmAdvice, showTime, wipingNames } from '@selvrin/core'
import { api, type Roll } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PressOne from '../fields/PressOne.vue'
import PressSome from '../fields/PressSome.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useTyped } from '../hand/typed'
import FilmPlace from './FilmPlace.vue'
import { part } from '../part/part'

/** A film's record, and how its negatives came out. */
const { roll } = defineProps<{ roll: Roll }>()
const emit = defineEmits<{ judged: [roll: Roll] }>()
const session = useSession()
const show = useShow()
const { busy, problem, act } = useAction()
const typing = useTyped()
const result = ref(roll.result)
const contrast = ref(roll.contrast)
const note = ref(roll.note)
const seen = ref(roll.faults)
const base = ref(roll)
watch(
  () => roll,
  (fresh) => {
    if (!changed.value) [result.value, contrast.value, note.value, seen.value] = [fresh.result, fresh.contrast, fresh.note, fresh.faults]
    base.value = fresh
  },
)
const changed = computed(
  () =>
    result.value !== base.value.result ||
    contrast.value !== base.value.contrast ||
    note.value !== base.value.note ||
    seen.value.join() !== base.value.faults.join(),
)
const advice = computed(() => [
  ...filmAdvice({ result: result.value, contrast: contrast.value, faults: seen.value, wiping: base.value.wiping }),
  ...densityAdvice(base.value.densities),
])
const DensityPanel = part(() => import('../film/DensityPanel.vue'))
const reading = ref(false)
function read(roll: Roll): void {
  base.value = roll
  emit('judged', roll)
}
const densityWords = computed(() => {
  const { densities } = base.value
  const one = (name: string, d: number | null | undefined) => (d == null ? [] : [`${name} ${d.toFixed(2)}`])
  return [...one('four stops under', densities?.shadow), ...one('three stops over', densities?.high)].join(', ')
})
const faultChoices = faults.map((value) => ({ value, name: faultNames[value] }))
const what = ref('')
async function clear(markId: string): Promise<void> {
  const good = await act(async () =>
    emit('judged', await call(api.run.clearMark, { params: { id: roll.id, markId }, body: { what: what.value } })),
  )
  if (!good) return
  what.value = ''
  typing.kept()
}
const named = <T extends string>(...words: T[]) => words.map((value) => ({ value, name: value }))
const results = named('thin', 'right', 'dense')
const contrasts = named('flat', 'right', 'hard')
async function keep(): Promise<void> {
  const good = await act(async () => {
    base.value = await call(api.run.judge, {
      params: { id: roll.id },
      body: { version: base.value.version, result: result.value, contrast: contrast.value, note: note.value, faults: seen.value },
    })
  })
  if (!good) return
  typing.kept()
  emit('judged', base.value)
}
</script>

<template>
  <li :id="`film-${roll.id}`" class="card">
    <div class="flex flex-wrap items-center gap-x-5">
      <p class="text-xl">
        <b>{{ roll.film }}</b> at EI {{ roll.ei }}, {{ roll.format }} · {{ roll.member }}
      </p>
      <RouterLink
        v-if="session.isTechnician"
        :to="{ path: '/films/trace', query: { film: roll.id } }"
        class="link ml-auto inline-flex min-h-11 items-center"
        :aria-label="`${roll.film}, ${roll.member}: follow it to its baths`"
        >Follow it to its baths</RouterLink
      >
    </div>
    <p class="text-quiet">
      {{ roll.developer }}{{ roll.developedS === null ? '' : `, ${showTime(roll.developedS)}`
      }}{{ roll.temperatureC === null ? '' : ` at ${show.temperature(Math.round(roll.temperatureC * 10) / 10)}`
      }}{{ roll.runNumber === null ? '' : `, run ${roll.runNumber}` }} · {{ showMoment(roll.at, session.session?.darkroom.zone ?? 'UTC') }}
    </p>
    <p v-if="roll.wiping !== null && roll.wiping !== 'none'" class="text-quiet">Before hanging: {{ wipingNames[roll.wiping] }}.</p>
    <FilmPlace :roll="roll" @put="$emit('judged', $event)" />
    <div v-for="mark in roll.marks" :key="mark.id" class="mt-3 border-l-4 border-alarm pl-4">
      <p>
        <b>{{ mark.cleared === null ? 'To look at.' : 'Settled.' }}</b> {{ mark.text }}
      </p>
      <p v-if="mark.cleared !== null" class="text-quiet">
        {{ mark.cleared }}, {{ showMoment(mark.clearedAt ?? 0, session.session?.darkroom.zone ?? 'UTC') }}
      </p>
      <form v-else-if="session.isTechnician" class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="clear(mark.id)">
        <div class="min-w-52 flex-1"><TextField v-model="what" label="What was done about it" /></div>
        <button class="button button-small min-h-12" :disabled="busy || what.trim().length < 3">It is settled</button>
      </form>
    </div>
    <form class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3" @submit.prevent="keep">
      <div>
        <p class="font-semibold">Negatives came out</p>
        <PressOne v-model="result" label="Density" :choices="results" clearable />
      </div>
      <div>
        <p class="font-semibold">and</p>
        <PressOne v-model="contrast" label="Contrast" :choices="contrasts" clearable />
      </div>
      <div class="min-w-52 flex-1"><TextField v-model="note" label="Marks, notes" /></div>
      <button class="button button-small min-h-12" :disabled="busy || !changed">Keep</button>
      <details class="basis-full" :open="roll.faults.length > 0">
        <summary class="link inline-flex min-h-11 cursor-pointer items-center">Something is seen on it</summary>
        <PressSome v-model="seen" class="pt-1" label="Seen on it" :choices="faultChoices" />
      </details>
    </form>
    <p class="flex flex-wrap items-center gap-x-4">
      <span v-if="densityWords">Net densities: {{ densityWords }}.</span>
      <button
        type="button"
        class="link min-h-11"
        :aria-label="`${densityWords ? 'Read them again' : 'Read its densities'}: ${roll.film}, ${roll.member}`"
        @click="reading = true"
      >
        {{ densityWords ? 'Read them again' : 'Read its densities' }}
      </button>
    </p>
    <DensityPanel v-if="reading" :roll="base" @close="reading = false" @kept="read" />
    <ul v-if="advice.length > 0" class="mt-3 list-disc space-y-1 pl-5" aria-label="Advice">
      <li v-for="line in advice" :key="line">{{ line }}</li>
    </ul>
    <ProblemLine :problem="problem" class="mt-3" />
  </li>
</template>
