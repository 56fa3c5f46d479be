<script setup lang="ts">
import { enoughBottles } from '@selvrin/core'
import { api, type FormulaRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'
import { counted } from '../marks/words'

const show = useShow()
/** The capacity this darkroom's own tests come to, beside the formula's: offered, never taken by itself. */
const { row } = defineProps<{ row: FormulaRow }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, act } = useAction()
const found = shallowRef<{ estimate: { rollsPerL: number; low: number; high: number; bottles: number } | null; bottles: number } | null>(
  null,
)
let versionId = uuid()
watch(
  () => row.id,
  async (id) => {
    found.value = await call(api.proof.capacity, { params: { id } }).catch(() => null)
  },
  { immediate: true },
)
const whole = computed(() => Math.floor(found.value?.estimate?.rollsPerL ?? 0))
const differs = computed(() => row.body.use.capacityRollsPerL !== null && Math.abs(whole.value - row.body.use.capacityRollsPerL) >= 1)
const declined = ref(false)
async function take(): Promise<void> {
  const body = { ...row.body, use: { ...row.body.use, capacityRollsPerL: whole.value } }
  const good = await act(() => call(api.formula.revise, { params: { id: row.id }, body: { version: row.version, versionId, body } }))
  if (!good) return
  versionId = uuid()
  emit('changed')
}
</script>

<template>
  <div v-if="found && found.bottles > 0 && !declined">
    <template v-if="found.estimate">
      <p>
        This darkroom’s own tests: <b class="font-mono">{{ show.number(show.each(found.estimate.rollsPerL), 1) }}</b> rolls a
        {{ show.big() }} ({{ digits(found.estimate.low, 1) }} to {{ digits(found.estimate.high, 1) }},
        {{ counted(found.estimate.bottles, 'bottle') }}).
      </p>
      <div v-if="differs" class="mt-2 flex flex-wrap gap-3">
        <button class="button button-small" :disabled="busy" @click="take">
          Take {{ show.plain(show.each(whole)) }} rolls a {{ show.big() }} as version {{ row.number + 1 }}
        </button>
        <button class="link min-h-11" @click="declined = true">Leave it at {{ row.body.use.capacityRollsPerL }}</button>
      </div>
      <ProblemLine :problem="problem" />
    </template>
    <p v-else class="text-quiet">
      {{ found.bottles }} of its bottles {{ found.bottles === 1 ? 'was' : 'were' }} tested; {{ enoughBottles }} followed to where they end
      give a capacity of this darkroom’s own.
    </p>
  </div>
</template>
