<script setup lang="ts">
import { heatFindings, houseDefault, scaleFormula, showParts, showTime, type Formula } from '@selvrin/core'
import { api, type FormulaBatch, type FormulaVersion } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import {
  cautionsOf,
  asOnShelf,
  asTaken,
  checkFormula,
  chemicalOf,
  checkWeighing,
  costOf,
  linesOf,
  mixState,
  shelfFindings,
  pricesFor,
} from '../chemical/chemistry'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import FindingList from '../marks/FindingList.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBottles, useFormulas, useJars } from '../stores'
import FormulaLadder from './FormulaLadder.vue'
import { schoolWords } from './schoolWords'
import { missingFor, showMoney, stockFor } from './missing'

const PhCurves = defineAsyncComponent(() => import('../ph/PhCurves.vue'))
const PhPanel = defineAsyncComponent(() => import('../ph/PhPanel.vue'))
const CombinePanel = defineAsyncComponent(() => import('./CombinePanel.vue'))
const OwnCapacity = defineAsyncComponent(() => import('./OwnCapacity.vue'))
const VersionList = defineAsyncComponent(() => import('./VersionList.vue'))
const route = useRoute()
const router = useRouter()
const session = useSession()
const show = useShow()
const formulas = useFormulas()
const jars = useJars()
const bottles = useBottles()
const { busy, problem, field, act } = useAction()
const newId = uuid()
const versions = shallowRef<FormulaVersion[]>([])
const batches = shallowRef<FormulaBatch[]>([])

const id = computed(() => String(route.params.id))
const row = computed(() => formulas.rows.find((one) => one.id === id.value))
const wantedMl = ref<number | null>(null)
const packNote = ref('')
/** an earlier version, where one is looked at */
const seen = computed(
  () => versions.value.find((one) => String(one.number) === route.query.version && one.number !== row.value?.number) ?? null,
)
const body = computed(() => seen.value?.body ?? row.value?.body)
/** out of the starter set, and never mixed */
const untried = computed(
  () => body.value?.note.startsWith(houseDefault) === true && versions.value.length > 0 && batches.value.length === 0,
)
const overrule = ref('')
/** what stops the mixing short of a reason; what never meets stops it altogether */
const grave = computed(() =>
  findings.value.some((one) => one.severity === 'error' && one.rule !== 'shelf-2' && !one.rule.startsWith('never-')),
)
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const quick = [500, 1000, 2000, 2500, 5000]

onMounted(() => void Promise.all([formulas.load(), jars.load(), bottles.load()]))
const whole = usePage(
  (signal) => call(api.formula.get, { params: { id: id.value }, signal }),
  // a batch of it may be bottled somewhere else while this is open
  (event) => event.subject === 'mix',
)
watch(whole.value, (answer) => {
  versions.value = answer?.versions ?? []
  batches.value = answer?.batches ?? []
})
watch(
  row,
  (value) => {
    if (!value) return
    wantedMl.value ??= value.body.finalMl
    void whole.load()
  },
  { immediate: true },
)

const formula = computed((): Formula | null => (body.value ? ({ id: id.value, ...body.value } as Formula) : null))
const scaled = computed(() => (formula.value && wantedMl.value ? scaleFormula(formula.value, wantedMl.value) : formula.value))
const lines = computed(() => (scaled.value ? linesOf(scaled.value) : []))
const takings = computed(() => (scaled.value && jars.loaded ? asOnShelf(scaled.value, jars.rows) : []))
const findings = computed(() =>
  scaled.value
    ? [
        ...checkFormula(scaled.value),
        ...takings.value.flatMap(({ step, chemical, blocked }) =>
          blocked === undefined
            ? []
            : [
                {
                  rule: 'shelf-2',
                  severity: 'error' as const,
                  step,
                  message: `The shelf has only ${chemicalOf(chemical).name} for this line. ${blocked}`,
                },
              ],
        ),
        ...heatFindings(mixState(scaled.value, scaled.value.finalMl, [])),
        ...checkWeighing(scaled.value, session.darkroom?.scaleReadabilityG ?? 0.1),
      ]
    : [],
)
const partOfPack = computed(() => findings.value.some((one) => one.rule === 'mix-13' && one.severity === 'warning'))
const missing = computed(() => (scaled.value && jars.loaded ? missingFor(scaled.value, jars.rows) : []))
/** Stock solutions a line is drawn from, where no bottle holds enough. */
const noStock = computed(() =>
  bottles.loaded
    ? lines.value
        .filter((line) => line.dissolved && !stockFor(line, formulas.rows, bottles.rows).some((one) => one.state.volumeMl >= line.liquidMl))
        .map((line) => `${line.chemical.name} ${line.addition.percent} %`)
    : [],
)
const instead = computed(() => (scaled.value && jars.loaded ? shelfFindings(scaled.value, jars.rows).filter((one) => one.repair) : []))
/** A litre costs the same at every volume: it is reckoned once, and the batch from it. */
const cost = computed(() => {
  if (!formula.value || !body.value) return null
  const one = costOf({ ...formula.value, use: body.value.use }, pricesFor(formula.value, jars.rows))
  const known = one.unpriced.length < new Set(lines.value.map((line) => line.chemical.id)).size
  return { ...one, known, batch: (one.perLitre * (wantedMl.value ?? body.value.finalMl)) / 1000 }
})
/** of what the shelf really gives */
const hazards = computed(() => (scaled.value ? cautionsOf(asTaken(scaled.value, takings.value)) : []))
const mass = (grams: number) => show.mass(grams)
const volume = (ml: number) => show.volume(ml)
const money = (amount: number) => showMoney(amount, session.darkroom?.currency ?? 'EUR')
const keeping = computed(() => {
  const keeps = body.value?.use.keeping
  if (!keeps) return ''
  const say = (days: number | null, where: string) =>
    days === null ? [] : [`${where} ${days < 2 ? `${Math.round(days * 24)} h` : `${Math.round(days)} days`}`]
  return [...say(keeps.fullDays, 'full bottle'), ...say(keeps.halfDays, 'half full'), ...say(keeps.workingDays, 'working strength')].join(
    ' · ',
  )
})

async function begin(): Promise<void> {
  if (wantedMl.value === null) {
    problem.value = 'Write how much to mix.'
    return
  }
  const finalMl = wantedMl.value
  const good = await act(() =>
    call(api.mix.start, {
      body: {
        id: newId,
        formulaId: id.value,
        finalMl,
        note: packNote.value,
        ...(grave.value && overrule.value.trim() !== '' ? { overrule: overrule.value } : {}),
      },
    }),
  )
  if (good) await router.push(`/scales/${newId}`)
}
async function backTo(): Promise<void> {
  await formulas.load(true)
  await router.push(`/formulary/${id.value}`)
}
async function bring(): Promise<void> {
  const ml = wantedMl.value ?? 0
  const good = await act(() => call(api.bottle.bring, { body: { id: newId, formulaId: id.value, sizeMl: ml, ml } }))
  if (good) await router.push(`/shelf/${newId}`)
}
</script>

<template>
  <div class="station">
    <div v-if="body && row && formula && scaled" class="grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
      <section>
        <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
        <h1 class="flex items-center gap-4 text-4xl font-bold"><BathMark :family="body.family" :size="40" /> {{ body.name }}</h1>
        <p class="mt-1 text-lg text-quiet">{{ body.purpose }}</p>
        <VersionList v-if="seen" :row="row" :versions="versions" :seen="seen" @back="backTo" />
        <CombinePanel v-if="body.combine" :row="row" />
        <FormulaLadder v-else-if="lines.length > 0" :formula="scaled" :takings="takings" />
        <p v-else class="card mt-5 text-lg">
          Bought ready made: nothing to weigh. Bring the bottle onto the shelf with what it holds, then make working strength from it there.
        </p>
        <p v-if="body.note" class="mt-4 text-lg">
          {{ body.note }} <b v-if="untried">Not yet tried here: run a test film, or a strip, before it counts.</b>
        </p>
        <PhCurves v-if="lines.length > 0" :formula="formula" class="mt-8" />
      </section>

      <aside class="space-y-5">
        <div v-if="!body.combine && !seen" class="card space-y-3">
          <QuantityField v-model="wantedMl" kind="volume" :label="lines.length > 0 ? 'How much to mix' : 'How much it holds'" />
          <div class="flex flex-wrap gap-2">
            <button
              v-for="ml in quick"
              :key="ml"
              class="button button-small px-2.5 font-mono"
              :aria-pressed="wantedMl === ml"
              @click="wantedMl = ml"
            >
              {{ volume(ml) }}
            </button>
          </div>
          <TextField
            v-if="partOfPack"
            v-model="packNote"
            label="Why a part of the pack?"
            hint="kept with the batch"
            :problem="field === 'note' ? problem : ''"
          />
          <ProblemLine :problem="field === 'note' ? '' : problem" />
          <TextField v-if="grave" v-model="overrule" label="Mix it all the same? Say why" hint="it stays on the batch" />
          <button
            v-if="lines.length > 0"
            class="button button-main w-full"
            :disabled="busy || (grave && overrule.trim().length < 3)"
            @click="begin"
          >
            Mix it on the scales
          </button>
          <button v-else class="button button-main w-full" :disabled="busy" @click="bring">Put the bottle on the shelf</button>
        </div>
        <PhPanel v-if="lines.length > 0" :formula="formula" :batches="batches" :zone="zone" />
        <section v-if="findings.length > 0">
          <h2 class="mb-2 text-xl font-bold">To watch</h2>
          <FindingList :findings="findings" />
        </section>
        <section v-if="lines.length > 0">
          <h2 class="mb-1 text-xl font-bold">On the shelf</h2>
          <p v-for="one in noStock" :key="one">
            <b>{{ one }}</b>: no bottle of it on the shelf. Mix it first.
          </p>
          <p v-if="!jars.loaded || !bottles.loaded" role="status">Looking at the jars … {{ jars.problem || bottles.problem }}</p>
          <p v-else-if="missing.length === 0 && noStock.length === 0">Enough of everything in the jars.</p>
          <ul v-else-if="missing.length > 0" class="space-y-1">
            <li v-for="one in missing" :key="one.name">
              <b>{{ one.name }}</b>: {{ mass(one.neededG) }} needed, {{ mass(one.onShelfG) }} there.
            </li>
          </ul>
          <p v-for="finding in instead" :key="finding.message" class="mt-1">{{ show.said(finding.message) }}</p>
        </section>
        <section v-if="cost && lines.length > 0 && jars.loaded">
          <h2 class="mb-1 text-xl font-bold">Cost</h2>
          <p v-if="!cost.known">Not known: no jar of it has a price.</p>
          <p v-else>
            <b class="font-mono">{{ money(cost.batch) }}</b> this batch · <b class="font-mono">{{ money(show.each(cost.perLitre)) }}</b> a
            {{ show.big()
            }}<template v-if="cost.perRoll !== null">
              · <b class="font-mono">{{ money(cost.perRoll) }}</b> a roll</template
            >
          </p>
          <p v-if="cost.known && cost.unpriced.length > 0" class="text-quiet">
            Without
            {{
              lines
                .filter((line) => cost?.unpriced.includes(line.chemical.id))
                .map((line) => line.chemical.name)
                .join(', ')
            }}: no price on its jar.
          </p>
        </section>
        <section v-if="hazards.length > 0">
          <h2 class="mb-1 text-xl font-bold">Gloves, eyes, air</h2>
          <ul class="space-y-1">
            <li v-for="hazard in hazards" :key="hazard.words">
              {{ hazard.words }} <span class="text-quiet">({{ hazard.names.join(', ') }})</span>
            </li>
          </ul>
          <p class="mt-1 text-quiet">The supplier’s safety sheet decides.</p>
        </section>
        <section>
          <h2 class="mb-1 text-xl font-bold">Use</h2>
          <p>
            {{ body.use.dilutions.map((parts) => showParts(parts)).join(', ') }}{{ show.said(schoolWords(body.use))
            }}{{ body.usualS ? `; usually ${showTime(body.usualS)}` : '' }}
          </p>
          <p>Keeps: {{ keeping || 'not known' }}.</p>
          <OwnCapacity :row="row" @changed="formulas.load(true)" />
          <p class="text-quiet">Version {{ row.number }}, {{ showDate(row.changedAt, zone) }}, {{ row.changedBy }}.</p>
          <p v-if="row.overruled" class="text-quiet">Kept in spite of its findings: {{ row.overruled }}</p>
          <VersionList v-if="!seen" :row="row" :versions="versions" :seen="null" />
        </section>
        <div class="flex flex-wrap gap-3">
          <RouterLink :to="`/formulary/${row.id}/edit`" class="button button-small">Edit</RouterLink>
          <RouterLink :to="`/formulary/new?from=${row.id}`" class="button button-small">Duplicate</RouterLink>
          <RouterLink v-if="lines.length > 0" :to="`/formulary/compare?one=${row.id}`" class="button button-small">Compare</RouterLink>
          <a
            v-if="lines.length > 0"
            :href="`/api/print/formulas/${row.id}?ml=${wantedMl ?? body.finalMl}`"
            target="_blank"
            rel="noopener"
            class="button button-small"
            >Print the card</a
          >
        </div>
      </aside>
    </div>
    <p v-else-if="formulas.loaded" class="text-xl">
      There is no such formula. <RouterLink to="/formulary" class="link">Back to the Formulary</RouterLink>
    </p>
    <PageState v-else missing="" :problem="formulas.problem" what="the formula" back="" back-to="/formulary" />
  </div>
</template>
