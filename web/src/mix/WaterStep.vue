<script setup lang="ts">
import { blendWater, DomainError, type MixEvent, type MixState } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useBench } from '../device/readings'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import DemoDip from './DemoDip.vue'
import JugPanel from './JugPanel.vue'

/** How much hot and cold makes the water, from the taps of the day; or how long a bath takes. */
const { state, busy, problem, record, mixId } = defineProps<{
  state: MixState
  mixId: string
  busy: boolean
  problem: string
  record: (...events: MixEvent[]) => Promise<boolean>
}>()
const session = useSession()
const show = useShow()
const probe = useBench('thermometer')
const keeping = useAction({ keeps: false })
const hotC = ref<number | null>(session.darkroom?.tapHotC ?? null)
const coldC = ref<number | null>(session.darkroom?.tapColdC ?? null)
const typedC = ref<number | null>(null)
const readC = ref<number | null>(null)
const temperature = (celsius: number) => show.temperature(Math.round(celsius * 10) / 10)
const volume = (ml: number) => show.volume(ml)
const blend = computed(() => {
  if (hotC.value === null || coldC.value === null) return null
  try {
    const { hotMl, coldMl } = blendWater({ targetMl: state.startMl, targetC: state.formula.mixC, hotC: hotC.value, coldC: coldC.value })
    return { hotMl, coldMl, problem: '' }
  } catch (error) {
    if (error instanceof DomainError) return { hotMl: 0, coldMl: 0, problem: error.message }
    throw error
  }
})
/** °C from the wanted temperature at which it is worth a word. */
const worthAWord = 5
const off = computed(() => (typedC.value === null ? 0 : typedC.value - state.formula.mixC))
const live = computed(() => probe.reading.value?.value ?? null)

/** The taps of the day are the darkroom's: the next mix starts from them. */
async function keepTaps(): Promise<void> {
  const room = session.darkroom
  if (!room || hotC.value === null || coldC.value === null || (room.tapHotC === hotC.value && room.tapColdC === coldC.value)) return
  const { version, ...settings } = room
  const [tapHotC, tapColdC] = [hotC.value, coldC.value]
  await keeping.act(async () => {
    await call(api.darkroom.change, { body: { version, ...settings, tapHotC, tapColdC } })
    await session.load()
  })
}
/** What the probe at the bench says is corrected already. */
function fromProbe(): void {
  readC.value = null
  typedC.value = Math.round((live.value ?? 0) * 10) / 10
}
async function ready(): Promise<void> {
  await keepTaps()
  await record({ id: uuid(), kind: 'water', celsius: typedC.value })
}
</script>

<template>
  <div>
    <p class="text-xl text-quiet">Fill first</p>
    <h1 class="text-4xl font-bold">{{ state.formula.water === 'deionised' ? 'Deionised water' : 'Water' }}</h1>
    <p class="my-4 font-mono text-7xl font-bold max-sm:text-5xl">{{ volume(state.startMl) }}</p>
    <p class="mb-4 text-2xl">
      at <b class="font-mono">{{ temperature(state.formula.mixC) }}</b>. Never start with the full volume.
    </p>
    <p v-if="blend && !blend.problem" class="mb-4 text-3xl" data-blend>
      <b class="font-mono">{{ volume(blend.hotMl) }}</b> hot + <b class="font-mono">{{ volume(blend.coldMl) }}</b> cold
    </p>
    <p v-else-if="!blend" class="mb-4 max-w-2xl text-xl">Measure the taps, and this says how much of each.</p>
    <p v-else class="mb-4 text-xl font-semibold text-alarm">{{ blend.problem }}</p>
    <div class="mb-4 grid max-w-2xl grid-cols-2 gap-4">
      <QuantityField v-model="hotC" kind="temperature" label="Hot tap today" />
      <QuantityField v-model="coldC" kind="temperature" label="Cold tap today" />
    </div>
    <MeasuredTemperature v-model="typedC" v-model:typed="readC" label="Measured, if you like" class="mb-4 max-w-2xl" :probe-too="false" />
    <div v-if="live !== null" class="mb-4 flex flex-wrap items-center gap-4">
      <button type="button" class="button" :disabled="!probe.reading.value?.stable" @click="fromProbe">
        {{ probe.device.value?.name }}: <b class="font-mono text-2xl">{{ temperature(live) }}</b>
        {{ probe.reading.value?.stable ? '' : ', still moving' }}
      </button>
      <DemoDip v-if="probe.device.value?.simulated" :device="probe.device.value" :value="state.formula.mixC - 0.6" />
    </div>
    <p v-if="Math.abs(off) > worthAWord" class="mb-3 max-w-2xl border-l-4 border-alarm pl-3 text-lg font-semibold" role="status">
      {{ show.degrees(Math.abs(off)) }} {{ off > 0 ? 'warmer' : 'colder' }} than wanted.
      {{ off > 0 ? 'Let it cool first: what is sensitive to heat is lost in it.' : 'Warm it first: the rest dissolves badly in it.' }}
      Look at the thermometer again if that cannot be.
    </p>
    <ProblemLine :problem="problem || keeping.problem.value" />
    <button class="button button-main mt-3 min-h-16 px-8" :disabled="busy" data-next @click="ready">The water is ready</button>
    <JugPanel :mix-id="mixId" :target-c="state.formula.mixC" class="mt-6" />
  </div>
</template>
