<script setup lang="ts">
import { api, type Vessel } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { onMounted, ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import ReadField from '../fields/ReadField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import WaitFor from '../fields/WaitFor.vue'
import { useShow } from '../session/useShow'
import { useVessels } from '../stores'
import AlsoCovers from './AlsoCovers.vue'
import { readCovers, writeCovers } from './coverVolumes'

/** The tanks and drums of the darkroom: what covers their films, what they carry out; and new ones. */
const { states } = defineProps<{ states: ReadonlyMap<string, { look: 'full' | 'wet' | 'dry'; says: string }> }>()
const show = useShow()
const vessels = useVessels()
onMounted(() => void vessels.load())
const open = ref(false)
const changed = ref<Vessel | null>(null)
const { fields, typed, busy, rest, current, submit, again } = useContractForm(api.run.addVessel, {
  begin: () => {
    const { id, name, kind, format, coversMl, carryMl, also } = changed.value ?? newVessel()
    return { id, name, kind, format, coversMl, carryMl, also: also ?? [] }
  },
  send: async ({ id, ...body }, theirs) => {
    const { value: vessel } = changed
    const work = vessel
      ? call(api.run.changeVessel, { params: { id }, body: { version: basedOn(vessel, theirs), ...body } })
      : call(api.run.addVessel, { body: { id, ...body } })
    // a tank that someone else changed meanwhile is shown as it is now
    await work.finally(() => vessels.load(true))
    open.value = false
  },
})
function newVessel() {
  return { id: uuid(), name: '', kind: 'hand' as const, format: '135' as const, coversMl: [300, 600], carryMl: null, also: [] }
}
/** full in a run, tinted while its reels are wet; the words beside it say the same */
const looks = { full: 'var(--primary)', wet: 'color-mix(in srgb, var(--ink) 22%, var(--panel))', dry: 'none' }
const kinds = [
  { value: 'hand' as const, name: 'Hand tank' },
  { value: 'rotary' as const, name: 'Rotary drum' },
]
const formats = [
  { value: '135' as const, name: '135' },
  { value: '120' as const, name: '120' },
]

function begin(vessel: Vessel | null): void {
  changed.value = vessel
  again()
  open.value = true
}
</script>

<template>
  <section>
    <h2 class="mb-1 text-xl font-bold">Tanks and drums</h2>
    <WaitFor :of="[vessels]" what="the tanks">
      <ul>
        <li v-for="vessel in vessels.rows" :key="vessel.id" class="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
          <svg width="28" height="36" viewBox="0 0 28 36" class="shrink-0" aria-hidden="true">
            <path d="M8 2h12v6h6v26H2V8h6z" stroke="var(--ink)" stroke-width="2" :fill="looks[states.get(vessel.id)?.look ?? 'dry']" />
            <path d="M8 8h12" stroke="var(--ink)" stroke-width="2" />
          </svg>
          <span class="min-w-36 flex-1">
            <button class="link min-h-11 min-w-11 text-left font-bold" :aria-label="`Change ${vessel.name}`" @click="begin(vessel)">
              {{ vessel.name }}
            </button>
            <span class="block text-sm text-quiet">
              {{ vessel.format }}, {{ vessel.reels }} {{ vessel.reels === 1 ? 'reel' : 'reels' }}, to
              {{ show.volume(vessel.coversMl.at(-1) ?? 0)
              }}{{ vessel.carryMl === null ? '' : `, carries out ${show.volume(vessel.carryMl)} a reel` }}
            </span>
          </span>
          <span class="text-right">{{ states.get(vessel.id)?.says }}</span>
        </li>
      </ul>
      <p v-if="vessels.rows.length === 0">None yet: add the first.</p>
    </WaitFor>
    <button class="link min-h-11" @click="begin(null)">Add a tank</button>
    <FormPanel
      :open="open"
      :title="changed ? `Change ${changed.name}` : 'Add a tank or drum'"
      :yes="current ? 'Keep mine over theirs' : changed ? 'Keep it so' : 'Add it'"
      :busy="busy"
      :problem="rest"
      @close="open = false"
      @submit="submit"
    >
      <BodyField v-slot="{ bind }" :of="fields" name="name"><TextField v-bind="bind" label="Name" /></BodyField>
      <div class="grid grid-cols-2 gap-4">
        <BodyField v-slot="{ bind }" :of="fields" name="kind"><ChoiceField v-bind="bind" label="Kind" :choices="kinds" /></BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="format"><ChoiceField v-bind="bind" label="Takes" :choices="formats" /></BodyField>
      </div>
      <BodyField v-slot="{ bind }" :of="fields" name="coversMl">
        <ReadField
          v-bind="bind"
          label="What covers 1, 2, … films"
          :hint="`one volume a reel, such as ${show.volume(300)}, ${show.volume(600)}`"
          :read="readCovers"
          :write="writeCovers"
        />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="also" items>
        <AlsoCovers v-bind="bind" :kind="typed.kind ?? 'hand'" :format="typed.format ?? '135'" :covers-ml="typed.coversMl ?? []" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="carryMl">
        <QuantityField
          v-bind="bind"
          kind="volume"
          label="A loaded reel carries out, if you measured it"
          :hint="`otherwise ${show.volume(15)} of 135, ${show.volume(25)} of 120`"
          :near="15"
        />
      </BodyField>
    </FormPanel>
  </section>
</template>
