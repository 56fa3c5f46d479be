<script setup lang="ts">
import { DomainError, spreadOver, type MixEvent, type MixState } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { containerAdvice, explainReading, perLitre, whatGoesIn } from '../chemical/chemistry'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useBench } from '../device/readings'
import TakeReading from '../device/TakeReading.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { causeWords } from '../ph/causeWords'
import { useShow } from '../session/useShow'
import DemoDip from './DemoDip.vue'
import { digits, figure, readNumber } from '../session/manner'
import { useTyped } from '../hand/typed'

const { mixId, state, record } = defineProps<{ mixId: string; state: MixState; record: (...events: MixEvent[]) => Promise<boolean> }>()
const emit = defineEmits<{ bottled: [ids: string[]] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const typing = useTyped()
const batchId = uuid()
const ids = Array.from({ length: 24 }, () => uuid())
const rows = ref<{ key: number; count: string; sizeMl: number | null }[]>([{ key: 0, count: '1', sizeMl: state.formula.finalMl }])
const ph = ref(state.ph === null ? '' : figure(state.ph))
const phC = ref<number | null>(state.phCelsius)
const phProblem = ref('')
const note = ref('')
const meter = useBench('ph-meter')
const probe = useBench('thermometer')
const volume = (ml: number) => show.volume(ml)
const countOf = (text: string): number | null => (/^\d{1,2}$/.test(text.trim()) ? Number(text) : null)
/** Bottles in the order they are filled, of any sizes. */
const sizes = computed(() =>
  rows.value.flatMap((row) => Array.from({ length: row.sizeMl === null ? 0 : (countOf(row.count) ?? 0) }, () => row.sizeMl ?? 0)),
)
const fills = computed(() => spreadOver(state.formula.finalMl, sizes.value))
const over = computed(() => state.formula.finalMl - fills.value.reduce((sum, { ml }) => sum + ml, 0))
const halfFull = computed(() => fills.value.some(({ ml, sizeMl }) => ml < 0.85 * sizeMl))

/** What the reading says beside what the amounts predict. */
const compared = computed(() => {
  const read = readNumber(ph.value)
  try {
    // of what was really weighed, at the temperature the meter stood in it
    const amounts = perLitre(whatGoesIn(state))
    const explained = explainReading(amounts, ph.value.trim() === '' || !(read >= 0 && read <= 14) ? 7 : read, { atC: phC.value ?? 20 })
    return { ...explained, read: ph.value.trim() !== '' && read >= 0 && read <= 14 }
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
})
function fromMeter(value: number): void {
  ph.value = digits(value, 2)
  const celsius = probe.reading.value?.value
  if (phC.value === null && celsius !== null && celsius !== undefined) phC.value = Math.round(celsius * 10) / 10
}

async function keepPh(): Promise<boolean> {
  phProblem.value = ''
  if (ph.value.trim() === '') return true
  const value = readNumber(ph.value)
  if (!Number.isFinite(value) || value < 0 || value > 14) {
    phProblem.value = 'A pH is a number from 0 to 14.'
    return false
  }
  return value === state.ph ? true : record({ id: uuid(), kind: 'ph', ph: value, celsius: phC.value })
}
async function finish(): Promise<void> {
  if (fills.value.length === 0 || rows.value.some((row) => row.sizeMl === null || countOf(row.count) === null)) {
    problem.value = 'Write how many bottles and their size.'
    return
  }
  if (!(await keepPh())) return
  const bottles = fills.value.map((fill, i) => ({ id: ids[i] ?? uuid(), ...fill }))
  await act(async () => {
    const { bottleIds } = await call(api.mix.finish, { params: { id: mixId }, body: { batchId, bottles, note: note.value } })
    typing.kept()
    emit('bottled', bottleIds)
  })
}
</script>

<template>
  <form class="max-w-2xl space-y-5" @submit.prevent="finish">
    <div>
      <p class="text-xl text-quiet">{{ volume(state.formula.finalMl) }} are mixed</p>
      <h1 class="text-5xl font-bold max-sm:text-3xl">Measure, bottle, label</h1>
    </div>
    <div class="grid grid-cols-2 gap-4">
      <TextField v-model="ph" label="pH, if measured" :problem="phProblem" />
      <QuantityField v-model="phC" kind="temperature" label="at" />
    </div>
    <div class="flex flex-wrap items-center gap-4">
      <TakeReading v-slot="{ value, called }" :bench="meter" steady class="button" @take="fromMeter">
        {{ called }}: <b class="font-mono">{{ digits(value, 2) }}</b>
      </TakeReading>
      <DemoDip v-if="meter.device.value?.simulated && compared" :device="meter.device.value" :value="compared.predicted - 0.06" />
      <p v-if="compared" class="text-lg">
        Predicted <b class="font-mono">{{ digits(compared.predicted, 2) }}</b> ± {{ digits(compared.uncertainty, 2) }} at
        {{ show.temperature(phC ?? 20) }}
      </p>
    </div>
    <p v-if="compared?.read && compared.outside" class="text-lg font-semibold text-alarm" role="alert">
      The reading is off by more than that.
      <template v-if="compared.causes.length === 0">No single slip explains it.</template>
      <template v-else
        >Would explain it:
        {{
          compared.causes
            .slice(0, 3)
            .map((cause) => `${causeWords(cause)} (${digits(cause.ph, 2)})`)
            .join('; ')
        }}.</template
      >
      Or an old jar, or a meter out of calibration. Try it on a scrap before a film.
    </p>
    <div v-for="(row, i) in rows" :key="row.key" class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] gap-4">
      <TextField v-model="row.count" :label="i === 0 ? 'How many bottles' : 'and how many'" />
      <QuantityField v-model="row.sizeMl" kind="volume" label="Size of each" />
      <button
        v-if="rows.length > 1"
        type="button"
        class="button mt-7"
        :aria-label="`Without the bottles of row ${i + 1}`"
        @click="rows.splice(i, 1)"
      >
        −
      </button>
    </div>
    <button
      v-if="rows.length < 6"
      type="button"
      class="link min-h-11"
      @click="rows.push({ key: Date.now(), count: '1', sizeMl: over > 1 ? over : 500 })"
    >
      Bottles of another size as well
    </button>
    <p v-if="fills.length > 0" class="text-2xl">{{ fills.map(({ ml }) => volume(ml)).join(' · ') }}</p>
    <p v-if="fills.length > 0 && fills.length < sizes.length" class="text-lg">
      {{ fills.length === 1 ? 'One bottle is' : `${fills.length} bottles are` }} enough; write smaller sizes to fill more.
    </p>
    <p v-if="over > 0.5" class="text-lg font-semibold text-alarm">
      {{ volume(over) }} do not fit: take more or larger bottles, or pour the rest away.
    </p>
    <p v-if="halfFull" class="text-lg">A bottle with air in it keeps less long: smaller bottles, full to the neck, are better.</p>
    <TextField v-model="note" label="Note on the batch" />
    <p class="text-lg">{{ containerAdvice(state.formula).join(' ') }}</p>
    <p class="text-quiet">A first use of a new batch is a scrap or a test film.</p>
    <ProblemLine :problem="problem" />
    <button class="button button-main min-h-16 px-8" :disabled="busy" data-next>
      Put {{ fills.length === 1 ? 'it' : 'them' }} on the shelf
    </button>
  </form>
</template>
