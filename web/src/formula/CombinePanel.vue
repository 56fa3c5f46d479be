<script setup lang="ts">
import { cautions, dilute, showParts } from '@selvrin/core'
import { api, type FormulaRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { catalogue } from '../chemical/chemistry'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import { useBottles, useFormulas } from '../stores'

/** Parts of their own bottles poured together, in their order, at a ratio, with water. */
const { row } = defineProps<{ row: FormulaRow }>()
const show = useShow()
const router = useRouter()
const bottles = useBottles()
const formulas = useFormulas()
const { busy, problem, act } = useAction()
onMounted(() => void bottles.load())
const newId = uuid()
const totalMl = ref<number | null>(row.body.finalMl)
const ratio = ref(String(0))
const combine = computed(() => row.body.combine ?? [])
const ratios = computed(() => row.body.use.dilutions.map((parts, i) => ({ value: String(i), name: showParts(parts) })))
const parts = computed(() => row.body.use.dilutions[Number(ratio.value)] ?? [])
const volumes = computed(() => (totalMl.value ? dilute({ parts: parts.value, totalMl: totalMl.value }) : []))
const volume = (ml: number) => show.volume(ml)
const picked = reactive<Record<string, string | null>>({})
const choices = (formulaId: string) =>
  bottles.rows
    .filter((bottle) => bottle.formulaId === formulaId && bottle.retiredAt === null)
    .map((bottle) => ({ value: bottle.id, name: `${bottle.label}, ${volume(bottle.state.volumeMl)}`, detail: bottle.name }))
const from = (formulaId: string) => picked[formulaId] ?? choices(formulaId)[0]?.value ?? null
const nameOf = (formulaId: string) => formulas.rows.find((one) => one.id === formulaId)?.body.name ?? 'a formula that is gone'

/** days a mixture keeps from which on it is a stock of its own. House default. */
const stockDays = 7
const keeps = computed(() => (row.body.use.keeping.fullDays ?? 0) >= stockDays)
/** Cautions of what is in the parts, before the hand is at the bottle. */
const warnings = (formulaId: string) => [
  ...new Set(
    (formulas.rows.find((one) => one.id === formulaId)?.body.additions ?? []).flatMap((line) =>
      catalogue()[line.chemical] ? cautions(catalogue()[line.chemical]!) : [],
    ),
  ),
]

async function pour(): Promise<void> {
  const bottleIds = combine.value.map((part) => from(part.formulaId))
  const missing = combine.value[bottleIds.indexOf(null)]
  if (missing) {
    problem.value = `There is no bottle of part ${missing.part} on the shelf: mix ${nameOf(missing.formulaId)} first.`
    return
  }
  if (!totalMl.value) {
    problem.value = 'Write how much to make.'
    return
  }
  const body = { newId, formulaId: row.id, from: bottleIds as string[], parts: parts.value, totalMl: totalMl.value, sizeMl: totalMl.value }
  if (await act(() => call(api.bottle.combine, { body }))) await router.push(`/shelf/${newId}`)
}
</script>

<template>
  <form class="mt-5 space-y-5" @submit.prevent="pour">
    <div class="grid max-w-xl grid-cols-2 gap-4">
      <QuantityField v-model="totalMl" kind="volume" label="How much to make" />
      <ChoiceField v-model="ratio" label="Ratio" :choices="ratios" />
    </div>
    <ol class="ladder">
      <li v-for="(part, i) in combine" :key="part.part" class="rung">
        <b class="amount">{{ volume(volumes[i] ?? 0) }}</b>
        <div>
          <b class="text-xl">Part {{ part.part }}</b
          >{{ i > 0 ? ` into ${i > 1 ? 'what is poured' : `part ${combine[0]?.part}`}` : '' }}
          <RouterLink :to="`/formulary/${part.formulaId}`" class="link ml-2">{{ nameOf(part.formulaId) }}</RouterLink>
          <p v-for="word in warnings(part.formulaId)" :key="word" class="font-semibold">{{ word }}.</p>
          <div class="mt-1 max-w-sm">
            <ChoiceField
              :model-value="from(part.formulaId)"
              label="From the bottle"
              :choices="choices(part.formulaId)"
              placeholder="none on the shelf"
              @update:model-value="(value: string | null) => (picked[part.formulaId] = value)"
            />
          </div>
        </div>
      </li>
      <li v-if="volumes.length > combine.length" class="rung">
        <b class="amount">{{ volume(volumes[combine.length] ?? 0) }}</b>
        <div><b class="text-xl">Water</b></div>
      </li>
    </ol>
    <p class="text-lg">
      {{
        keeps
          ? 'In this order, slowly, stirring; what is poured together keeps as a stock of its own.'
          : 'Only right before use: the parts keep, what is poured together does not.'
      }}
      A separate graduate for each part.
    </p>
    <ProblemLine :problem="problem" />
    <button class="button button-main min-h-14" :disabled="busy">Poured together</button>
  </form>
</template>
