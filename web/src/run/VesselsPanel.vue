<script setup lang="ts">
import { api, type Vessel } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { onMounted, reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { useVessels } from '../stores'
import { draftOf, emptyVessel, readVessel, type VesselProblem } from './vesselDraft'
import { useSession } from '../session/store'
import WaitFor from '../fields/WaitFor.vue'

/** The tanks and drums of the darkroom: what covers their films, what they carry out; and new ones. */
const session = useSession()
const show = useShow()
const vessels = useVessels()
onMounted(() => void vessels.load())
const { busy, problem, field, act } = useAction()
const open = ref(false)
const draft = reactive({ ...emptyVessel(session.manner), id: '', version: null as number | null })
const wrong = ref<VesselProblem | null>(null)
const kinds = [
  { value: 'hand' as const, name: 'Hand tank' },
  { value: 'rotary' as const, name: 'Rotary drum' },
]
const formats = [
  { value: '135' as const, name: '135' },
  { value: '120' as const, name: '120' },
]

function begin(vessel: Vessel | null): void {
  wrong.value = null
  problem.value = ''
  Object.assign(
    draft,
    vessel
      ? { ...draftOf(vessel, session.manner), id: vessel.id, version: vessel.version }
      : { ...emptyVessel(session.manner), id: uuid(), version: null },
  )
  open.value = true
}
async function keep(): Promise<void> {
  const read = readVessel(draft, session.manner)
  wrong.value = 'problem' in read ? read : null
  if ('problem' in read) return
  const { id, version } = draft
  const good = await act(() =>
    version === null
      ? call(api.run.addVessel, { body: { id, ...read } })
      : call(api.run.changeVessel, { params: { id }, body: { version, ...read } }),
  )
  // a tank that someone else changed meanwhile is shown as it is now
  await vessels.load(true)
  if (good) open.value = false
}
</script>

<template>
  <section>
    <h2 class="mb-1 text-xl font-bold">Tanks and drums</h2>
    <WaitFor :of="[vessels]" what="the tanks">
      <ul>
        <li v-for="vessel in vessels.rows" :key="vessel.id" class="flex flex-wrap items-baseline gap-x-3">
          <button class="link min-h-11 font-bold" :aria-label="`Change ${vessel.name}`" @click="begin(vessel)">{{ vessel.name }}</button>
          <span>
            {{ vessel.format }}, {{ vessel.reels }} {{ vessel.reels === 1 ? 'reel' : 'reels' }}, to
            {{ show.volume(vessel.coversMl.at(-1) ?? 0)
            }}{{ vessel.carryMl === null ? '' : `, carries out ${show.volume(vessel.carryMl)} a reel` }}
          </span>
        </li>
      </ul>
      <p v-if="vessels.rows.length === 0">None yet: add the first.</p>
    </WaitFor>
    <button class="link min-h-11" @click="begin(null)">Add a tank</button>
    <ModalPanel :open="open" :title="draft.version === null ? 'Add a tank or drum' : `Change ${draft.name}`" @close="open = false">
      <form class="space-y-4" @submit.prevent="keep">
        <TextField v-model="draft.name" label="Name" :problem="field === 'name' ? problem : ''" />
        <div class="grid grid-cols-2 gap-4">
          <ChoiceField v-model="draft.kind" label="Kind" :choices="kinds" />
          <ChoiceField v-model="draft.format" label="Takes" :choices="formats" />
        </div>
        <TextField
          v-model="draft.covers"
          label="What covers 1, 2, … films"
          :hint="`one volume a reel, such as ${show.volume(300)}, ${show.volume(600)}`"
          :problem="wrong?.of === 'covers' ? wrong.problem : ''"
        />
        <TextField
          v-model="draft.carry"
          label="A loaded reel carries out, if you measured it"
          :hint="`otherwise ${show.volume(15)} of 135, ${show.volume(25)} of 120`"
          :problem="wrong?.of === 'carry' ? wrong.problem : ''"
        />
        <ProblemLine :problem="field === 'name' ? '' : problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">{{ draft.version === null ? 'Add it' : 'Keep it so' }}</button>
          <button type="button" class="button" @click="open = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </section>
</template>
