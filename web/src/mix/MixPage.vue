<script setup lang="ts">
import { aidOf, heatFindings, cautions, mixCourse, type Finding, type MixLine } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { catalogue, checkFormula, safetyFirst } from '../chemical/chemistry'
import { chemicalAid, standsBefore } from '../aid/before'
import { call } from '../api/call'
import PageState from '../fields/PageState.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import PrintLabels from '../label/PrintLabels.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBottles } from '../stores'
import AdditionStep from './AdditionStep.vue'
import BottleStep from './BottleStep.vue'
import JugPanel from './JugPanel.vue'
import MoreWaterStep from './MoreWaterStep.vue'
import PutRightPanel from './PutRightPanel.vue'
import BatchPhPanel from './BatchPhPanel.vue'
import RecordTable from './RecordTable.vue'
import { useMix } from './useMix'
import WaterStep from './WaterStep.vue'
import { inSentence } from '../marks/words'

const route = useRoute()
const router = useRouter()
const session = useSession()
const show = useShow()
const bottles = useBottles()
const id = String(route.params.id)
const { mix, missing, unreached, state, fitting, jar, stock, pick, record, busy, problem, act } = useMix(id)
const givingUp = ref(false)
const why = ref('')
/** the step whose writing is to be put right */
const wrong = ref<number | 'water' | 'end' | null>(null)
const changed = computed(
  () => mix.value !== null && state.value !== null && Math.abs(state.value.formula.finalMl - mix.value.finalMl) > 1e-6,
)

const line = computed(() => (typeof state.value?.at === 'number' ? state.value.lines[state.value.at] : undefined))
const upcoming = computed(() =>
  state.value?.at === 'water'
    ? state.value.lines[0]
    : typeof state.value?.at === 'number'
      ? state.value.lines[state.value.at + 1]
      : undefined,
)
// the jar on the scale, then what has been and will be weighed, then the batch
standsBefore(() => {
  const { lines = [], formula } = state.value ?? {}
  const named = [line.value, upcoming.value, ...lines].flatMap((one) => (one ? [one.line.chemical] : []))
  const batch = formula ? [{ name: formula.name, of: aidOf(formula, catalogue()) }] : []
  return [...named.map((one) => ({ name: one.name, of: chemicalAid(one.id, catalogue()) })), ...batch]
})
const volume = (ml: number) => show.volume(ml)
const amount = (one: MixLine, value: number) => (one.unit === 'g' ? show.mass(value) : volume(value))
const warn = (one: MixLine | undefined) => (one ? cautions(one.chemical) : [])
const course = computed(() => (state.value ? mixCourse(state.value) : []))
/** What is worth a word before this step: heat, gas, what never meets. */
const findings = computed((): Finding[] =>
  state.value && line.value
    ? [...heatFindings(state.value), ...checkFormula(state.value.formula)].filter(
        (finding) => finding.step === line.value?.line.step && (finding.severity !== 'advice' || finding.rule.startsWith('heat')),
      )
    : [],
)
const first = computed(() => (state.value ? safetyFirst(state.value.formula) : []))
const made = computed(() => bottles.rows.filter((bottle) => mix.value?.bottleIds.includes(bottle.id)))
/** Tests that are to be taken while the batch is fresh. */
const references = computed(() => (made.value[0]?.due ?? []).filter((due) => due.why === 'reference'))

const toppedUp = () => record({ id: uuid(), kind: 'topped-up' })
async function giveUp(): Promise<void> {
  const again = mix.value
  const good = await act(() => call(api.mix.abandon, { params: { id }, body: { reason: why.value } }))
  if (good) await router.push(again ? `/formulary/${again.formulaId}` : '/scales')
}
async function bottled(bottleIds: string[]): Promise<void> {
  await Promise.all([bottles.load(true), bottleIds.length === 1 ? router.push(`/shelf/${bottleIds[0]}`) : undefined])
}
</script>

<template>
  <div class="station">
    <PageState v-if="!mix || !state" :missing="missing" :problem="unreached" what="the mix" back="Back to the scales" back-to="/scales" />
    <div v-else-if="mix.state !== 'open'" class="space-y-5 text-xl">
      <h1 class="text-3xl font-bold">{{ volume(state.formula.finalMl) }} {{ mix.formulaName }}</h1>
      <p>
        {{ mix.state === 'done' ? 'This mix is bottled and on the shelf.' : 'This mix was given up.' }}{{ mix.note ? ` ${mix.note}` : '' }}
      </p>
      <p v-if="made.length > 0" class="flex flex-wrap items-center gap-4">
        <b class="text-4xl">{{ made.map((bottle) => bottle.label).join(' · ') }}</b>
        <PrintLabels :bottles="mix.bottleIds" name="Print their labels" />
      </p>
      <ul v-if="references.length > 0" class="space-y-2">
        <li v-for="one in references" :key="one.kind" class="flex flex-wrap items-center gap-4 border-l-4 border-alarm pl-4">
          <p>
            <b>While it is fresh: {{ inSentence(one.name) }}.</b> Every later test is held against it.
          </p>
          <RouterLink :to="`/proofs/${one.kind}/${made[0]?.id}`" class="button button-small">Take it</RouterLink>
        </li>
      </ul>
      <BatchPhPanel v-if="mix.batchPh" :mix="mix" @changed="mix = $event" />
      <RecordTable :mix="mix" />
      <RouterLink to="/shelf" class="link inline-flex min-h-11 items-center">To the shelf</RouterLink>
    </div>
    <div v-else class="grid grid-cols-[300px_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
      <aside class="max-lg:order-last">
        <p v-if="mix.hand" class="font-semibold">{{ mix.hand.name }} weighs</p>
        <h2 class="mb-2 text-lg font-bold">
          {{ volume(state.formula.finalMl) }} {{ mix.formulaName }}
          <button v-if="changed || state.at === 'bottle'" class="link block min-h-11 text-base font-normal" @click="wrong = 'end'">
            {{ changed ? `${volume(mix.finalMl)} were wanted first: put it right` : 'Not topped up yet: put it right' }}
          </button>
        </h2>
        <ol class="ladder">
          <li :class="{ here: state.at === 'water' }">
            <span class="mark">{{ state.at === 'water' ? '·' : '✓' }}</span><span
              >Water at {{ show.temperature(state.formula.mixC)
              }}{{ state.waterC === null ? '' : `, had ${show.temperature(state.waterC)}` }}</span
            ><b v-if="state.at === 'water'">{{ volume(state.startMl) }}</b
            ><button
              v-else
              class="link min-h-11 font-mono"
              :aria-label="`${volume(state.startMl)} of water: put it right`"
              @click="wrong = 'water'"
            >
              {{ volume(state.startMl) }}
            </button>
          </li>
          <li
            v-for="(one, i) in state.lines"
            :key="i"
            :class="{ here: state.at === i }"
            :aria-current="state.at === i ? 'step' : undefined"
          >
            <span class="mark">{{ one.state === 'done' ? '✓' : i + 1 }}</span><span>{{ one.chemical.name }}</span
            ><b v-if="one.put === 0">{{ amount(one, one.target) }}</b
            ><button
              v-else
              class="link min-h-11 font-mono"
              :aria-label="`${amount(one, one.put)} of ${one.chemical.name} are in: put it right`"
              @click="wrong = i"
            >
              {{ amount(one, one.put) }}
            </button>
          </li>
          <li :class="{ here: state.at === 'top-up' }">
            <span class="mark">{{ state.at === 'bottle' ? '✓' : '·' }}</span><span>Cold water to</span
            ><b>{{ volume(state.formula.finalMl) }}</b>
          </li>
          <li :class="{ here: state.at === 'bottle' }"><span class="mark">·</span><span>pH, bottle, label</span></li>
        </ol>
        <div class="mt-4 border-t-2 border-ink pt-3">
          <p v-for="word in warn(line)" :key="word">
            <b>{{ word }}.</b>
          </p>
          <p v-if="upcoming && warn(upcoming).length > 0">
            Next, {{ upcoming.chemical.name }}: {{ warn(upcoming).map(inSentence).join('; ') }}.
          </p>
          <p v-if="warn(line).length === 0 && warn(upcoming).length === 0">
            Gloves, eye protection and apron; air on; away from film and paper.
          </p>
          <p class="text-quiet">The supplier’s safety sheet decides. Skin or eye: water for 15 minutes, and call.</p>
        </div>
        <button class="link mt-3 min-h-11" @click="givingUp = true">Give this mix up</button>
      </aside>

      <section>
        <div v-if="state.at === 'water' && first.length > 0" class="card mb-5 border-2 border-alarm" role="note">
          <p v-for="word in first" :key="word" class="text-lg font-semibold">{{ word }}</p>
        </div>
        <WaterStep v-if="state.at === 'water'" :state="state" :mix-id="id" :busy="busy" :problem="problem" :record="record" />
        <MoreWaterStep v-else-if="state.at === 'more-water'" :state="state" :busy="busy" :problem="problem" :record="record" />
        <AdditionStep
          v-else-if="line && typeof state.at === 'number'"
          :key="`${state.at} ${state.formula.finalMl}`"
          :mix="mix"
          :state="state"
          :line="line"
          :jar="jar"
          :jars="fitting"
          :stock="stock"
          :course="course[state.at]"
          :findings="findings"
          :busy="busy"
          :problem="problem"
          :record="record"
          @again="givingUp = true"
          @put-right="wrong = state.at as number"
          @jar="pick"
          @checked="mix = $event"
        />
        <template v-else-if="state.at === 'top-up'">
          <p class="text-xl text-quiet">All dissolved</p>
          <h1 class="text-4xl font-bold">Cold water to the mark</h1>
          <p class="my-4 font-mono text-7xl font-bold max-sm:text-5xl">{{ volume(state.formula.finalMl) }}</p>
          <p class="mb-5 text-2xl">Stir once more and let it cool to the room.</p>
          <ProblemLine :problem="problem" />
          <button class="button button-main mt-3 min-h-16 px-8" :disabled="busy" data-next @click="toppedUp">Topped up</button>
          <JugPanel :mix-id="id" :target-c="session.darkroom?.roomC ?? null" class="mt-6" />
        </template>
        <BottleStep v-else :mix-id="id" :state="state" :record="record" @bottled="bottled" />
      </section>
    </div>

    <PutRightPanel
      v-if="mix && state && wrong !== null"
      :mix="mix"
      :step="wrong"
      :line="typeof wrong === 'number' ? state.lines[wrong] : undefined"
      :busy="busy"
      :problem="problem"
      :record="record"
      @close="wrong = null"
    />
    <ModalPanel :open="givingUp" title="Give this mix up" @close="givingUp = false">
      <form class="space-y-4" @submit.prevent="giveUp">
        <p>What was weighed in leaves the jars’ record. Pour the solution where its kind belongs, then begin again from the formula.</p>
        <TextField v-model="why" label="What happened?" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Give it up</button>
          <button type="button" class="button" @click="givingUp = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </div>
</template>

<style scoped>
.ladder {
  border-left: 4px solid var(--line);
}
.ladder li {
  display: grid;
  grid-template-columns: 1.75rem 1fr auto;
  gap: 0.5rem;
  padding: 0.5rem 0.75rem;
}
.ladder b {
  font-family: var(--font-mono);
  font-weight: 500;
}
.ladder .here {
  margin-left: -4px;
  border-left: 4px solid var(--primary);
  background: var(--panel);
  font-weight: 700;
  outline: 1px solid var(--line);
}
</style>
