<script setup lang="ts">
import { fillOf, gravest } from '@selvrin/core'
import type { Bottle, Tray } from '@selvrin/core/contract'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { pouredInto, sourcesOf, type PlannedTray, type TraySource } from './useSetUp'

/** What fills one tray: which tray, out of what, how much; and what is poured, water as hot and cold. */
const { trays, bottles, inTrays, paper, celsius } = defineProps<{
  trays: Tray[]
  bottles: Bottle[]
  inTrays: string[]
  paper: { widthCm: number; heightCm: number }
  celsius: number
}>()
const planned = defineModel<PlannedTray>({ required: true })
const show = useShow()
const session = useSession()
const sources = computed(() => sourcesOf(planned.value.role, bottles, inTrays))
const source = computed(() => sources.value.find((one) => one.key === planned.value.source))
const words: Record<TraySource['way'], string> = { water: '', dilute: '', part: ', as it is', whole: ', all of it' }
const choices = computed(() =>
  sources.value.map((one) => ({
    value: one.key,
    name: one.bottle ? `${one.bottle.label} ${one.bottle.name}${one.parts ? ` ${one.parts.join('+')}` : words[one.way]}` : 'Water',
    detail: one.bottle
      ? `holds ${show.volume(one.bottle.state.volumeMl)}${one.way === 'whole' ? ', and goes back into it at the end' : ''}`
      : '',
  })),
)
const trayChoices = computed(() =>
  trays.map((one) => ({
    value: one.id,
    name: one.name,
    detail: `${show.plain(one.widthCm)} × ${show.plain(one.heightCm)} cm inside`,
    disabled: fillOf(one, paper) === null,
  })),
)
function set(more: Partial<PlannedTray>): void {
  planned.value = { ...planned.value, ...more }
}
function choose(key: string | null): void {
  const next = sources.value.find((one) => one.key === key)
  const tray = trays.find((one) => one.id === planned.value.trayId)
  const ml = next?.way === 'whole' ? (next.bottle?.state.volumeMl ?? null) : tray ? fillOf(tray, paper) : planned.value.ml
  set({ source: key, ml })
}
const poured = computed(() => {
  const { tapHotC, tapColdC, roomC } = session.darkroom ?? { tapHotC: null, tapColdC: null, roomC: null }
  return pouredInto(planned.value, source.value, { hotC: tapHotC, coldC: tapColdC, roomC, targetC: celsius })
})
const against = computed(() => (source.value?.bottle ? gravest(source.value.bottle) : null))
const short = computed(() => {
  const { bottle } = source.value ?? {}
  return bottle && poured.value && poured.value.stockMl > bottle.state.volumeMl + 1e-6 ? bottle : null
})
/** What a run was promised of the bottle is not left in it. */
const promised = computed(() => {
  const { bottle, way } = source.value ?? {}
  if (!bottle?.reserved || bottle.reserved.runs.length === 0) return null
  const left = way === 'whole' ? 0 : bottle.state.volumeMl - (poured.value?.stockMl ?? 0)
  return left + 1e-6 < bottle.reserved.ml || way === 'whole' ? { label: bottle.label, ...bottle.reserved } : null
})
</script>

<template>
  <div class="grid grid-cols-[1fr_2fr_1fr] gap-3 max-md:grid-cols-1">
    <ChoiceField :model-value="planned.trayId" label="Tray" :choices="trayChoices" @update:model-value="(id) => set({ trayId: id })" />
    <ChoiceField
      v-if="planned.role !== 'wash' && planned.role !== 'rinse'"
      :model-value="planned.source"
      label="Out of"
      :choices="choices"
      placeholder="nothing on the shelf"
      @update:model-value="choose"
    />
    <p v-else class="self-end pb-3 text-lg">Water, running or changed every 5 minutes.</p>
    <QuantityField :model-value="planned.ml" kind="volume" label="In it" @update:model-value="(ml) => set({ ml })" />
  </div>
  <p v-if="poured && source" class="mt-2 text-2xl leading-snug">
    <template v-if="source.bottle"
      ><b class="font-mono">{{ show.volume(poured.stockMl) }}</b> of {{ source.bottle.label }}</template
    >
    <template v-if="source.bottle && poured.waterMl > 0"> + </template>
    <template v-if="poured.water"
      ><b class="font-mono">{{ show.volume(poured.water.hotMl) }}</b> hot +
      <b class="font-mono">{{ show.volume(poured.water.coldMl) }}</b> cold water</template
    >
    <template v-else-if="poured.waterMl > 0"
      ><b class="font-mono">{{ show.volume(poured.waterMl) }}</b> water</template
    >
  </p>
  <p v-if="short" class="mt-1 font-semibold text-alarm">
    ▲ {{ short.label }} holds {{ show.volume(short.state.volumeMl) }}. Take less, or another bottle.
  </p>
  <p v-if="promised" class="mt-1 font-semibold">
    ▲ {{ promised.label }} is reserved for run {{ promised.runs.join(', ') }}{{ promised.ml > 0 ? `, ${show.volume(promised.ml)}` : '' }}:
    it would not find it.
  </p>
  <template v-if="against && source?.way !== 'water'">
    <p class="mt-1 font-semibold text-alarm">▲ {{ show.said(against.message) }}</p>
    <TextField
      :model-value="planned.overrule"
      label="Why it is used all the same"
      hint="stays on the record, with your name"
      @update:model-value="(overrule) => set({ overrule: overrule ?? '' })"
    />
  </template>
</template>
