<script setup lang="ts">
import { parseQuantity, showVolume } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { onMounted, reactive, ref } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useVessels } from '../stores'

/** The tanks and drums of the darkroom, and a new one. */
const session = useSession()
const vessels = useVessels()
onMounted(() => void vessels.load())
const { busy, problem, field, act } = useAction()
const adding = ref(false)
const fresh = () => ({
  id: uuid(),
  name: '',
  kind: 'hand' as 'hand' | 'rotary' | null,
  format: '135' as '135' | '120' | null,
  covers: '300 ml, 600 ml',
})
const draft = reactive(fresh())
const coversProblem = ref('')
const kinds = [
  { value: 'hand' as const, name: 'Hand tank' },
  { value: 'rotary' as const, name: 'Rotary drum' },
]
const formats = [
  { value: '135' as const, name: '135' },
  { value: '120' as const, name: '120' },
]

async function add(): Promise<void> {
  coversProblem.value = ''
  let coversMl: number[]
  try {
    coversMl = draft.covers.split(/[,;]\s+|,(?=\s*\d+\s*ml)/).map((text) => parseQuantity(text, 'volume'))
  } catch (error) {
    coversProblem.value = sentence(error)
    return
  }
  const good = await act(() =>
    call(api.run.addVessel, {
      body: { id: draft.id, name: draft.name, kind: draft.kind ?? 'hand', format: draft.format ?? '135', coversMl },
    }),
  )
  if (!good) return
  adding.value = false
  Object.assign(draft, fresh())
  await vessels.load(true)
}
</script>

<template>
  <section>
    <h2 class="mb-1 text-xl font-bold">Tanks and drums</h2>
    <p>
      <template v-for="(vessel, i) in vessels.rows" :key="vessel.id"
        >{{ i > 0 ? ' · ' : '' }}<b>{{ vessel.name }}</b> {{ vessel.format }}, {{ vessel.reels }}
        {{ vessel.reels === 1 ? 'reel' : 'reels' }}, to {{ showVolume(vessel.coversMl.at(-1) ?? 0, session.units) }}</template
      >
      <span v-if="vessels.loaded && vessels.rows.length === 0">None yet: add the first.</span>
    </p>
    <button class="link min-h-11" @click="adding = true">Add a tank</button>
    <ModalPanel :open="adding" title="Add a tank or drum" @close="adding = false">
      <form class="space-y-4" @submit.prevent="add">
        <TextField v-model="draft.name" label="Name" :problem="field === 'name' ? problem : ''" />
        <div class="grid grid-cols-2 gap-4">
          <ChoiceField v-model="draft.kind" label="Kind" :choices="kinds" />
          <ChoiceField v-model="draft.format" label="Takes" :choices="formats" />
        </div>
        <TextField
          v-model="draft.covers"
          label="What covers 1, 2, … films"
          hint="one volume a reel, such as 300 ml, 600 ml"
          :problem="coversProblem"
        />
        <ProblemLine :problem="field === 'name' ? '' : problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Add it</button>
          <button type="button" class="button" @click="adding = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </section>
</template>
