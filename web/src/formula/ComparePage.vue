<script setup lang="ts">
import { DomainError, showParts, type Formula } from '@selvrin/core'
import { api, type FormulaBody } from '@selvrin/core/contract'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call'
import { useRoute, useRouter } from 'vue-router'
import { chemicalOf, compareFormulas, costOf, estimatePh, perLitre, pricesFor } from '../chemical/chemistry'
import ChoiceField from '../fields/ChoiceField.vue'
import BathMark from '../marks/BathMark.vue'
import { percent } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useFormulas, useJars } from '../stores'
import { showMoney } from './missing'
import { digits, figure } from '../session/manner'

/** Two formulas side by side, per litre. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const show = useShow()
const formulas = useFormulas()
const jars = useJars()
onMounted(() => void Promise.all([formulas.load(), jars.load()]))

interface Compared {
  id: string
  body: FormulaBody
  name: string
}
/** earlier versions that are looked at: their side's id is the formula's, an at sign and the number */
const earlier = shallowRef<Compared[]>([])
async function loadEarlier(side: string | null): Promise<void> {
  const [id = '', number] = side?.split('@') ?? []
  if (number === undefined) return
  const { versions } = await call(api.formula.get, { params: { id } })
  earlier.value = versions.map((one) => ({ id: `${id}@${one.number}`, body: one.body, name: `${one.body.name}, version ${one.number}` }))
}
const all = computed((): Compared[] => [
  ...formulas.rows.map((row) => ({ id: row.id, body: row.body, name: row.body.name })),
  ...earlier.value,
])
const choices = computed(() =>
  all.value
    .filter((row) => row.body.additions.length > 0)
    .map((row) => ({ value: row.id, name: row.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const asked = (side: string): string | null => (typeof route.query[side] === 'string' ? String(route.query[side]) : null)
const one = ref(asked('one'))
const other = ref(asked('other'))
// the address says what is compared, so that it can be sent on
watch(
  [one, other],
  () => void router.replace({ query: { ...(one.value ? { one: one.value } : {}), ...(other.value ? { other: other.value } : {}) } }),
)
onMounted(() => void Promise.all([one.value, other.value].map(loadEarlier)))
const rowOf = (id: string | null) => all.value.find((row) => row.id === id)
const left = computed(() => rowOf(one.value))
const right = computed(() => rowOf(other.value))
const asFormula = (row: Compared): Formula => ({ id: row.id, ...row.body }) as Formula
const lines = computed(() => (left.value && right.value ? compareFormulas(asFormula(left.value), asFormula(right.value)) : []))

function phOf(row: Compared): string {
  try {
    const { ph, uncertainty } = estimatePh(perLitre(asFormula(row)))
    return `${digits(ph, 2)} ± ${figure(uncertainty)}`
  } catch (error) {
    if (error instanceof DomainError) return 'no data'
    throw error
  }
}
function costWords(row: Compared): string {
  const cost = costOf(asFormula(row), pricesFor(asFormula(row), jars.rows))
  const chemicals = new Set(row.body.additions.map((line) => line.chemical)).size
  return cost.unpriced.length >= chemicals ? 'not known' : showMoney(show.each(cost.perLitre), session.darkroom?.currency ?? 'EUR')
}
const facts = computed(() => {
  if (!left.value || !right.value) return []
  const of = (row: Compared) => ({
    'Predicted pH': phOf(row),
    Water: `${percent(row.body.startMl / row.body.finalMl)} at ${show.temperature(row.body.mixC)}`,
    Dilutions: row.body.use.dilutions.map((parts) => showParts(parts)).join(', '),
    'Keeps, full bottle': row.body.use.keeping.fullDays === null ? 'not known' : `${row.body.use.keeping.fullDays} days`,
    [`Cost a ${show.big()}`]: costWords(row),
  })
  const [a, b] = [of(left.value), of(right.value)]
  return (Object.keys(a) as (keyof typeof a)[]).map((name) => ({ name, one: a[name], other: b[name], differs: a[name] !== b[name] }))
})
const times = (ratio: number | null) => (ratio === null || Math.abs(ratio - 1) < 0.005 ? '' : `× ${digits(ratio, 2)}`)
</script>

<template>
  <div class="station">
    <RouterLink :to="one ? `/formulary/${one}` : '/formulary'" class="link inline-flex min-h-11 items-center"
      >← {{ left?.body.name ?? 'Formulary' }}</RouterLink
    >
    <h1 class="mb-4 text-3xl font-bold">Side by side, a {{ show.big() }} of each</h1>
    <div class="mb-6 grid max-w-4xl grid-cols-2 gap-8 max-sm:grid-cols-1">
      <ChoiceField v-model="one" label="One formula" :choices="choices" />
      <ChoiceField v-model="other" label="Beside it" :choices="choices" />
    </div>
    <div v-if="left && right" class="overflow-x-auto">
      <table class="w-full max-w-6xl border-collapse text-left text-lg">
        <thead>
          <tr class="border-b-4 border-ink align-bottom">
            <td class="w-8" />
            <th class="py-2 pr-4 text-2xl">
              <span class="inline-flex items-center gap-3"><BathMark :family="left.body.family" />{{ left.body.name }}</span>
            </th>
            <th class="pr-4 text-right">a {{ show.big() }}</th>
            <th class="pr-4 text-right">a {{ show.big() }}</th>
            <th class="py-2 text-2xl">
              <span class="inline-flex items-center gap-3"><BathMark :family="right.body.family" />{{ right.body.name }}</span>
            </th>
            <th class="text-right text-base">by strength</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(line, i) in lines"
            :key="i"
            class="border-b border-line"
            :class="line.differs ? 'font-bold' : 'text-quiet'"
            :data-differs="line.differs || undefined"
          >
            <td class="py-2.5" :aria-label="line.differs ? 'differs' : 'the same'">{{ line.differs ? '≠' : '=' }}</td>
            <td class="pr-4">{{ line.one ? chemicalOf(line.one.chemical).name : '—' }}</td>
            <td class="pr-4 text-right font-mono whitespace-nowrap">{{ line.one ? show.mass(line.one.grams) : '' }}</td>
            <td class="pr-4 text-right font-mono whitespace-nowrap">{{ line.other ? show.mass(line.other.grams) : '' }}</td>
            <td>{{ line.other ? chemicalOf(line.other.chemical).name : '—' }}</td>
            <td class="text-right font-mono">{{ times(line.ratio) }}</td>
          </tr>
          <tr v-for="fact in facts" :key="fact.name" class="border-b border-line" :class="fact.differs ? 'font-bold' : 'text-quiet'">
            <td class="py-2.5" :aria-label="fact.differs ? 'differs' : 'the same'">{{ fact.differs ? '≠' : '=' }}</td>
            <td class="pr-4" colspan="2">
              <span class="flex justify-between gap-4"
                ><span class="font-normal">{{ fact.name }}</span
                ><span>{{ fact.one }}</span></span
              >
            </td>
            <td class="pr-4" colspan="3">{{ fact.other }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else class="text-xl">Choose two formulas.</p>
  </div>
</template>
