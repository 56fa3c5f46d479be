<script setup lang="ts">
import { DomainError, type Formula } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import { catalogue, chemicalOf, estimatePh, perLitre } from '../chemical/chemistry'
import type { Line } from '../chart/LineChart.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { useFormulas } from '../stores'
import { sweeps } from './sweeps'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'
import { part } from '../part/part'

const show = useShow()
/** What if another amount goes in, and how the pH creeps up in the bottle; the second with another formula in the same picture. */
const { formula } = defineProps<{ formula: Formula }>()
const LineChart = part(() => import('../chart/LineChart.vue'))
const formulas = useFormulas()
const amounts = computed(() => perLitre(formula))
const known = computed(() => {
  try {
    return estimatePh(amounts.value)
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
})

const chemical = ref<string | null>(null)
const chemicals = computed(() => Object.keys(amounts.value).map((value) => ({ value, name: chemicalOf(value).name })))
const usual = computed(() => amounts.value[chemical.value ?? ''] ?? 0)
const tried = ref(0)
watch(
  chemicals,
  (list) => {
    // the alkali is what most is asked of
    if (!list.some((one) => one.value === chemical.value))
      chemical.value = (list.find((one) => chemicalOf(one.value).natures.includes('alkali')) ?? list[0])?.value ?? null
  },
  { immediate: true },
)
watch(usual, (grams) => (tried.value = grams), { immediate: true })
const upTo = computed(() => Math.max(usual.value * 2.5, 1))
const then = computed(() => (known.value && chemical.value ? estimatePh({ ...amounts.value, [chemical.value]: tried.value }).ph : null))
const amountLines = ref<Line[]>([])
watch(
  [amounts, chemical, upTo],
  async () => {
    if (!known.value || !chemical.value) return
    const answer = await sweeps().amount({ ...amounts.value }, chemical.value, upTo.value, 80, catalogue())
    if (Array.isArray(answer)) amountLines.value = [{ name: formula.name, points: answer }]
  },
  { immediate: true },
)

const other = ref<string | null>(null)
const others = computed(() => [
  { value: '', name: 'No other' },
  ...formulas.rows
    .filter((row) => row.id !== formula.id && row.body.additions.some((line) => line.chemical === 'hydroquinone'))
    .map((row) => ({ value: row.id, name: row.body.name })),
])
const airLines = ref<Line[]>([])
const airProblem = ref('')
watch(
  [amounts, other, () => formulas.rows],
  async () => {
    airProblem.value = ''
    const second = formulas.rows.find((row) => row.id === other.value)
    const wanted = [
      { name: formula.name, grams: amounts.value },
      ...(second ? [{ name: second.body.name, grams: perLitre({ id: second.id, ...second.body } as Formula) }] : []),
    ]
    const lines: Line[] = []
    for (const { name, grams } of wanted) {
      const answer = await sweeps().air({ ...grams }, 50, catalogue())
      if (Array.isArray(answer)) lines.push({ name, points: answer.map((point) => [point.share * 100, point.ph]) })
      else airProblem.value = answer.problem
    }
    airLines.value = lines
  },
  { immediate: true },
)
const creep = computed(() => {
  const points = airLines.value[0]?.points
  const [fresh, fifth] = [points?.[0]?.[1], points?.find(([share]) => share >= 20)?.[1]]
  return fresh === undefined || fifth === undefined
    ? ''
    : `pH ${digits(fresh, 2)} fresh, ${digits(fifth, 2)} when air has taken a fifth of the hydroquinone`
})
</script>

<template>
  <div v-if="known" class="grid grid-cols-2 gap-8 max-xl:grid-cols-1">
    <section class="space-y-3" aria-labelledby="what-if">
      <h2 id="what-if" class="text-xl font-bold">What if</h2>
      <ChoiceField v-model="chemical" label="More or less of" :choices="chemicals" />
      <label class="block"
        ><span class="font-semibold">{{ show.massEach(tried) }} a {{ show.big() }}</span>
        <input v-model.number="tried" class="range" type="range" min="0" :max="upTo" :step="upTo / 250" />
      </label>
      <p v-if="then !== null" class="text-xl" aria-live="polite">
        pH <b class="font-mono text-2xl" data-what-if>{{ digits(then, 2) }}</b>
        <span class="ml-2 text-quiet">instead of {{ digits(known.ph, 2) }}</span>
      </p>
      <LineChart
        :lines="
          amountLines.map((line) => ({ ...line, points: line.points.map(([x, y]) => [show.concentrationOn(x), y] as [number, number]) }))
        "
        :x-name="`${chemical ? chemicalOf(chemical).name : ''}, ${show.concentrationUnit()}`"
        y-name="pH"
        :mark="{ x: show.concentrationOn(tried), name: '' }"
        :says="`pH against the amount of ${chemical ? chemicalOf(chemical).name : ''}`"
      />
    </section>
    <section v-if="airLines.length > 0" class="space-y-3" aria-labelledby="in-air">
      <h2 id="in-air" class="text-xl font-bold">In the bottle</h2>
      <ChoiceField v-model="other" label="Beside it" :choices="others" placeholder="Another formula …" />
      <p>{{ creep }}.</p>
      <p v-if="airProblem" class="text-quiet">{{ airProblem }}</p>
      <LineChart :lines="airLines" x-name="hydroquinone taken by air, %" y-name="pH" :says="creep" />
    </section>
  </div>
</template>
