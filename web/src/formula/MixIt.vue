<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import HandField from '../training/HandField.vue'
import { useShow } from '../session/useShow'
import type { BenchFormula } from './useBenchCard'

/** How much of a formula is mixed, and on to the scales with it; or, of what is bought ready made, onto the shelf. */
const { of } = defineProps<{ of: BenchFormula }>()
const { id, lines, wantedMl, grave, partOfPack } = of
const router = useRouter()
/** of a kit: which, and how much its leaflet makes */
const { kit, ml: leaflet } = useRoute().query
const kitSetId = typeof kit === 'string' ? kit : null
if (typeof leaflet === 'string' && Number(leaflet) > 0) wantedMl.value = Number(leaflet)
const show = useShow()
const { busy, problem, field, act } = useAction()
const newId = uuid()
const packNote = ref('')
const overrule = ref('')
const hand = ref<string | null>()
const quick = [500, 1000, 2000, 2500, 5000]
const volume = (ml: number) => show.volume(ml)

async function begin(): Promise<void> {
  if (wantedMl.value === null) {
    problem.value = 'Write how much to mix.'
    return
  }
  if (hand.value === null) return void (problem.value = 'Say who weighs, or leave it empty for yourself.')
  const handId = hand.value
  const finalMl = wantedMl.value
  const good = await act(() =>
    call(api.mix.start, {
      body: {
        id: newId,
        formulaId: id.value,
        finalMl,
        note: packNote.value,
        ...(handId === undefined ? {} : { handId }),
        ...(kitSetId === null ? {} : { kitSetId }),
        ...(grave.value && overrule.value.trim() !== '' ? { overrule: overrule.value } : {}),
      },
    }),
  )
  if (good) await router.push(`/scales/${newId}`)
}
async function bring(): Promise<void> {
  const ml = wantedMl.value ?? 0
  const good = await act(async () => {
    await call(api.bottle.bring, { body: { id: newId, formulaId: id.value, sizeMl: ml, ml } })
    if (kitSetId !== null) await call(api.kit.putIn, { params: { id: kitSetId }, body: { bottleId: newId } })
  })
  if (good) await router.push(`/shelf/${newId}`)
}
</script>

<template>
  <div class="card space-y-3">
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
    <HandField v-if="lines.length > 0" v-model="hand" label="Who weighs" />
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
</template>
