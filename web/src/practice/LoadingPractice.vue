<script setup lang="ts">
import { showTime, type PractisedLoading } from '@selvrin/core'
import { practiceApi, type PracticeRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ProblemLine from '../fields/ProblemLine.vue'
import PressOne from '../fields/PressOne.vue'
import { isDoneKey, useKeys } from '../hand/keys'
import { useTime } from '../hand/useTime'
import { askedInTheDark } from '../light/dark'
import { goDark } from '../light/light'
import { wentWords } from './words'

/** Loading a reel for practice: timed from the first touch to the closed lid, then it is asked how it went. */
const emit = defineEmits<{ kept: [row: PracticeRow] }>()
const what = ref<PractisedLoading['what'] | null>('135')
const where = ref<PractisedLoading['where'] | null>('light')
const began = ref(0)
const took = ref(0)
const time = useTime()
const { busy, problem, act } = useAction()
let id = uuid()
const kinds = [
  { value: '135' as const, name: '135' },
  { value: '120' as const, name: '120' },
  { value: 'sheets' as const, name: 'Sheets' },
]
const places = [
  { value: 'light' as const, name: 'In the light' },
  { value: 'eyes-shut' as const, name: 'With eyes shut' },
  { value: 'dark' as const, name: 'In the dark' },
]
const runs = computed(() => began.value > 0 && took.value === 0)
function press(): void {
  if (began.value === 0) {
    began.value = now()
    // the screen gives no light to see by; Space and the pedal end it all the same
    if (where.value === 'dark') goDark()
  } else if (took.value === 0) took.value = Math.max(1, Math.round((now() - began.value) / 1000))
}
useKeys((event) => {
  if (!isDoneKey(event) || (event.target as HTMLElement).closest('button, a')) return false
  if (!event.repeat) press()
  return true
})
// in the dark a key is told to whoever asked last: this only while it is timed, a tank that is on has its word otherwise
let leave: (() => void) | null = null
const listen = (timed: boolean) => {
  leave?.()
  leave = timed ? askedInTheDark((done) => void (done && press())) : null
}
watch(runs, listen)
onScopeDispose(() => listen(false))
async function keep(went: PractisedLoading['went']): Promise<void> {
  if (what.value === null || where.value === null) return
  const loading = { what: what.value, where: where.value, seconds: took.value, went }
  let row: PracticeRow | null = null
  if (!(await act(async () => (row = await call(practiceApi.loading, { body: { id, loading } })))) || !row) return
  began.value = took.value = 0
  id = uuid()
  emit('kept', row)
}
</script>

<template>
  <section class="card space-y-4" aria-labelledby="load-a-reel">
    <h2 id="load-a-reel" class="text-2xl font-bold">Load a reel</h2>
    <template v-if="took === 0">
      <PressOne v-model="what" label="What" :choices="kinds" />
      <PressOne v-model="where" label="Where" :choices="places" />
      <p v-if="runs" class="font-mono text-6xl font-bold" role="timer">{{ showTime((time - began) / 1000) }}</p>
      <p v-else class="text-quiet">
        With a film that is lost anyway. In the dark the screen goes black; L and Enter held for a second bring light.
      </p>
      <button type="button" class="button button-main min-h-14 w-full text-lg" @click="press">
        {{ runs ? 'The lid is on' : 'Begin' }}
      </button>
    </template>
    <template v-else>
      <p class="text-xl">
        It took <b class="font-mono">{{ showTime(took) }}</b>. How did it go?
      </p>
      <div class="flex flex-wrap gap-2">
        <button v-for="(says, went) in wentWords" :key="went" type="button" class="button min-h-14" :disabled="busy" @click="keep(went)">
          {{ says }}
        </button>
      </div>
      <ProblemLine :problem="problem" />
    </template>
  </section>
</template>
