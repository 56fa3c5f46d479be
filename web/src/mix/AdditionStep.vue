<script setup lang="ts">
import {
  askAbout,
  mostStretch,
  volumeFor,
  levelSpoons,
  neverWith,
  onPan,
  whatToWatch,
  type Finding,
  type MixCoursePoint,
  type MixEvent,
  type MixLine,
  type MixState,
} from '@selvrin/core'
import { api, type Bottle, type Jar, type Mix } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, nextTick, ref } from 'vue'
import { chemicalOf, takingFrom } from '../chemical/chemistry'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useBench } from '../device/readings'
import AskCard from '../fields/AskCard.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import ProtectionSigns from '../hazard/ProtectionSigns.vue'
import FindingList from '../marks/FindingList.vue'
import { isDoneKey, useKeys } from '../hand/keys'
import { useShow } from '../session/useShow'
import CheckPanel from './CheckPanel.vue'
import DemoPour from './DemoPour.vue'
import { useAutoWeigh } from './useAutoWeigh'
import { digits } from '../session/manner'
import { useTyped } from '../hand/typed'

/** One addition on the whole screen: the weight to reach, the needle, and what to do with it. */
const { mix, state, line, jar, jars, stock, course, findings, busy, problem, record } = defineProps<{
  mix: Mix
  state: MixState
  line: MixLine
  jar: Jar | undefined
  jars: Jar[]
  stock: Bottle[]
  course: MixCoursePoint | undefined
  /** of this step */
  findings: Finding[]
  busy: boolean
  problem: string
  record: (...events: MixEvent[]) => Promise<boolean>
}>()
const emit = defineEmits<{ again: []; jar: [id: string]; checked: [mix: Mix]; putRight: [] }>()
const show = useShow()
const scale = useBench('scale')
const probe = useBench('thermometer')
const taring = useAction({ keeps: false })
const typing = useTyped()
const weighed = ref<number | null>(null)
const wrong = ref('')
/** an odd weight that was typed, with what is asked of it */
const asking = ref('')
const step = computed(() => line.line.step)
const amount = (value: number) => (line.unit === 'g' ? show.mass(value) : show.volume(value))
const volume = (ml: number) => show.volume(ml)
const temperature = (celsius: number) => show.temperature(Math.round(celsius))

const because = computed(() => (jar && !line.line.dissolved ? takingFrom(line.line, jar).because : ''))
/** The jar's own record says it will not do alone. */
const scant = computed(() => jar !== undefined && !line.line.dissolved && !takingFrom(line.line, jar).enough)
const jarChoices = computed(() =>
  jars.map((one) => ({
    value: one.id,
    name: `${one.chemical === line.line.chemical.id ? '' : `${chemicalOf(one.chemical).name}, `}lot ${one.lot}, ${one.place}`,
    detail: `${show.mass(one.grams)} left`,
  })),
)
const bottleId = ref<string | null>(null)
const bottle = computed(() => stock.find((one) => one.id === bottleId.value) ?? stock[0])
const spoons = computed(() => levelSpoons(line, jar?.spoonG ?? null))
const never = computed(() => neverWith(line.chemical))

// the needle: what the pan holds now, on top of what is in
const panG = computed(() => (onPan(line, 0).band ? (scale.reading.value?.value ?? null) : null))
const band = computed(() => onPan(line, null).band)
const { armed } = useAutoWeigh(
  scale,
  band,
  (grams) => void put(grams, scale.device.value?.name ?? null),
  () => busy,
)
/** What stood on the pan before this step is not this step's. */
const pan = computed(() => onPan(line, armed.value ? panG.value : null))
/** More than the noise of an empty pan. */
const moving = computed(() => pan.value.shown > line.target / 100)

// the bar runs to a little beyond the band
const scaleEnd = computed(() => line.high + (line.high - line.low) * 0.6)
const at = (value: number) => `${Math.min(100, Math.max(0, (value / scaleEnd.value) * 100))}%`
const again = computed(() => line.put > 0)
const rescaled = computed(() => volumeFor(state, step.value))
const stretches = computed(() => rescaled.value <= mix.finalMl * mostStretch)
const moreWater = computed(() => Math.max(0, (state.startMl * rescaled.value) / state.formula.finalMl - state.startMl))

async function put(amountPut: number, device: string | null, sure = false): Promise<void> {
  const drawn = line.line.dissolved ? { bottleId: bottle.value?.id ?? null } : {}
  const jarId = line.line.dissolved ? null : (jar?.id ?? null)
  if (
    await record({ id: uuid(), kind: 'weigh', step: step.value, amount: amountPut, jarId, device, ...drawn, ...(sure ? { sure } : {}) })
  ) {
    weighed.value = null
    typing.kept()
    asking.value = ''
    await nextTick()
    ;(document.activeElement as HTMLElement | null)?.blur()
  }
}
function typed(): void {
  wrong.value = ''
  asking.value = ''
  if (weighed.value === null || weighed.value <= 0) {
    wrong.value = `Write what the scale says, such as ${amount(line.target)}.`
    return
  }
  asking.value = askAbout(line, weighed.value, line.line.dissolved ? null : (jar?.grams ?? null)) ?? ''
  if (asking.value === '') void put(weighed.value, null)
}
const tare = () => taring.act(() => call(api.device.tare, { params: { id: scale.device.value?.id ?? '' } }))
const dissolved = () => record({ id: uuid(), kind: 'dissolved', step: step.value })
const rescale = () => record({ id: uuid(), kind: 'rescale', finalMl: rescaled.value })
const canGoOn = computed(() => line.state === 'in-band' && !line.needsCheck && !busy)
useKeys((event) => {
  if (!isDoneKey(event) || !canGoOn.value || event.repeat) return false
  void dissolved()
  return true
})
</script>

<template>
  <div>
    <p class="text-xl text-quiet">Step {{ step + 1 }}: {{ line.unit === 'g' ? 'weigh and stir in' : 'measure and stir in' }}</p>
    <h1 class="text-5xl font-bold max-sm:text-3xl">
      {{ line.chemical.name }}{{ line.line.addition.percent ? `, ${line.line.addition.percent} %` : '' }}
    </h1>
    <p class="mt-1 text-lg text-quiet">
      <template v-if="line.line.dissolved">{{
        bottle
          ? `from ${bottle.label}, ${volume(bottle.state.volumeMl)} left. `
          : 'No bottle of this stock solution on the shelf: the record will not know where it came from. '
      }}</template>
      <template v-else>{{
        jar
          ? `lot ${jar.lot}, ${jar.place}, ${show.mass(jar.grams)} left${scant ? ', too little for it' : ''}. `
          : 'No jar of it on the shelf: the record will not know where it came from. '
      }}</template>
      {{ show.said(whatToWatch(line.line)) }}
    </p>
    <p v-if="because" class="mt-1 border-l-4 border-primary pl-3 text-lg" data-because>{{ show.said(because) }}</p>
    <ProtectionSigns v-if="line.state === 'open' || line.state === 'to-come'" :chemical="line.chemical" class="mt-2" />
    <p v-if="never.length > 0 && line.state === 'open'" class="mt-1">
      <template v-for="one in never" :key="one.what + one.danger"
        ><b>Never with {{ one.what }}:</b> {{ one.danger }}.
      </template>
    </p>
    <FindingList v-if="findings.length > 0" :findings="findings" class="mt-2" />
    <p class="my-3 font-mono leading-none font-bold">
      <template v-if="again || moving"
        ><span class="big whitespace-nowrap" data-needle>{{ amount(pan.shown) }}</span>
        <span class="ml-4 text-4xl font-normal whitespace-nowrap max-sm:text-2xl">of {{ amount(line.target) }}</span></template
      >
      <span v-else class="big">{{ amount(line.target) }}</span>
    </p>
    <div
      class="relative mb-1 h-10"
      role="img"
      :aria-label="`${amount(pan.shown)} of ${amount(line.target)}, accepted from ${amount(line.low)} to ${amount(line.high)}`"
    >
      <div class="absolute inset-x-0 top-2 h-6 border-2 border-quiet bg-panel" />
      <div
        class="absolute top-2 left-0 h-6"
        :style="{ width: at(pan.shown), background: line.state === 'too-much' || pan.over ? 'var(--alarm)' : 'var(--developer)' }"
      />
      <div
        class="absolute top-0 h-10 border-[3px] border-primary"
        :style="{ left: at(line.low), width: `calc(${at(line.high)} - ${at(line.low)})` }"
      />
    </div>

    <div class="mb-3 flex flex-wrap items-baseline gap-x-6">
      <p v-if="course" class="text-lg">
        Expected <b class="font-mono">{{ temperature(course.beforeC) }}</b><template v-if="Math.abs(course.afterC - course.beforeC) >= 1"
          >, <b class="font-mono">{{ temperature(course.afterC) }}</b> when it is dissolved</template
        >{{ course.known ? '' : '; its own heat is not known'
        }}<template v-if="probe.reading.value?.value != null"
          >; {{ probe.device.value?.name }} <b class="font-mono">{{ temperature(probe.reading.value.value) }}</b></template
        >.
        <template v-if="spoons !== null"> About {{ digits(spoons, 1) }} level spoons, ± 30 %: the scale decides.</template>
      </p>
      <p class="ml-auto font-mono text-lg">
        {{ amount(line.low) }} to {{ amount(line.high)
        }}{{ pan.toGo > 0 && moving && line.state === 'open' ? ` · ${amount(pan.toGo)} to go` : '' }}
      </p>
    </div>
    <div v-if="line.state === 'too-much'" class="card border-2 border-alarm" role="alert">
      <h2 class="text-2xl font-bold">{{ amount(-line.toGo) }} too much</h2>
      <p v-if="stretches" class="mb-3 text-lg">
        Made to fit, the batch becomes {{ volume(rescaled) }}: {{ volume(moreWater) }} of water are added to what is in the jug, then what
        is in already gets its share. Or put the weight right where it was only written wrong, or begin again.
      </p>
      <p v-else class="mb-3 text-lg">
        That is too much to make a larger batch of. Put the weight right where it was only written wrong, or begin again.
      </p>
      <div class="flex flex-wrap gap-3">
        <button v-if="stretches" class="button button-main" :disabled="busy" @click="rescale">Make {{ volume(rescaled) }} instead</button>
        <button class="button" :class="stretches ? '' : 'button-main'" @click="emit('putRight')">It was written wrong</button>
        <button class="button" @click="emit('again')">Begin again</button>
      </div>
    </div>
    <template v-else>
      <form v-if="line.state !== 'in-band'" class="flex flex-wrap items-start gap-4" @submit.prevent="typed">
        <div class="w-64 max-xl:w-40">
          <QuantityField
            v-model="weighed"
            :kind="line.unit === 'g' ? 'mass' : 'volume'"
            :label="again ? 'Weighed now, more' : line.unit === 'g' ? 'The scale says' : 'The graduate says'"
            :near="line.target"
            :problem="wrong"
          />
        </div>
        <div v-if="jarChoices.length > 1" class="w-72 max-xl:w-52">
          <ChoiceField
            :model-value="jar?.id ?? null"
            label="From the jar"
            :choices="jarChoices"
            @update:model-value="(value: string | null) => value && emit('jar', value)"
          />
        </div>
        <div v-if="stock.length > 1" class="w-72 max-xl:w-52">
          <ChoiceField
            :model-value="bottle?.id ?? null"
            label="From the bottle"
            :choices="stock.map((one) => ({ value: one.id, name: one.label, detail: `${volume(one.state.volumeMl)} left` }))"
            @update:model-value="(value: string | null) => (bottleId = value)"
          />
        </div>
        <button class="button mt-7" :class="again || panG !== null ? '' : 'button-main'" :disabled="busy">It is in</button>
        <button v-if="panG !== null" type="button" class="button mt-7" :disabled="taring.busy.value" @click="tare">Tare</button>
      </form>
      <AskCard
        v-if="asking && weighed !== null"
        class="mt-3"
        :question="show.said(asking)"
        back="Write it again"
        on="It is right"
        :busy="busy"
        @back="asking = ''"
        @on="put(weighed, null, true)"
      />
      <p v-if="again" class="mt-2">
        <button type="button" class="link min-h-11" @click="emit('putRight')">Put right what was written of it</button>
      </p>
      <p v-if="line.state === 'open' && line.unit === 'g' && scale.device.value" class="mt-3 text-lg" role="status">
        <template v-if="scale.lost.value"
          ><b class="text-alarm">{{ scale.device.value.name }} does not answer.</b> Type what it says: nothing is lost.</template
        >
        <template v-else-if="panG !== null && !armed"
          ><b
            >The pan still holds something<span aria-hidden="true">, {{ amount(panG) }}</span
            >:</b
          >
          stir it in or tare, then weigh this one.</template
        >
        <template v-else-if="pan.over"><b>Take a little off:</b> it is still on the pan.</template>
        <template v-else>{{ scale.device.value.name }}: a steady weight in the band is taken by itself. Then stir it in.</template>
      </p>
      <ProblemLine :problem="taring.problem.value" class="mt-3" />
      <CheckPanel v-if="line.needsCheck" :mix="mix" :step="step" class="mt-4" @checked="(value: Mix) => emit('checked', value)" />
      <div class="mt-4 flex flex-wrap items-center gap-4">
        <button class="button button-main min-h-16 px-8" :disabled="!canGoOn" data-next @click="dissolved">Dissolved, next</button>
        <p v-if="canGoOn" class="text-lg">
          Stir until it is clear, then go on. <kbd class="font-mono">Space</kbd> or the pedal does it too.
        </p>
      </div>
    </template>
    <ProblemLine :problem="problem" class="mt-4" />
    <DemoPour
      v-if="scale.device.value?.simulated && line.unit === 'g' && line.state === 'open'"
      :device="scale.device.value"
      :to-go="pan.toGo"
    />
  </div>
</template>

<style scoped>
.big {
  font-size: clamp(3.5rem, 8vw, 6.5rem);
}
</style>
