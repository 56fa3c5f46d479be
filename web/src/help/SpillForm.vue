<script setup lang="ts">
import { aidApi, pictureBytes } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import QuantityField from '../fields/QuantityField.vue'
import SuggestField from '../fields/SuggestField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { light } from '../light/light'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import type { BeforeYou } from '../aid/before'

/** A spill is written down once it is cleaned up: when, how much, who was there, and whether the kit is full again. */
const { what } = defineProps<{ what: BeforeYou }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const people = usePeople()
if (session.isTechnician) void people.load()
const me = session.person
const [name, note, adding] = [ref(what.name), ref(''), ref<string | null>('')]
const [ml, agoS] = [ref<number | null>(null), ref<number | null>(null)]
const kitFull = ref(false)
const there = ref<{ id: string; name: string }[]>(me ? [{ id: me.id, name: me.name }] : [])
const names = computed(() => people.rows.filter((one) => !there.value.some(({ id }) => id === one.id)).map((one) => one.name))
function add(text: string): void {
  const found = people.rows.find((one) => one.name === text)
  if (found) there.value.push({ id: found.id, name: found.name })
  adding.value = ''
}
const file = ref<File | null>(null)
const sent = ref<number | null>(null)
const isWritten = ref(false)
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  if (file.value && file.value.size > pictureBytes) return void (wrong.value = 'The photograph is too large to keep. Take it smaller.')
  const good = await act(async () => {
    const body = {
      ...{ at: Math.round(now() - 1000 * (agoS.value ?? 0)), what: name.value, family: what.of.family, ml: ml.value },
      ...{ present: there.value.map((one) => one.id), kitFull: kitFull.value, note: note.value },
    }
    if (!isWritten.value) await call(aidApi.write, { body: { id, body } })
    isWritten.value = true
    if (file.value) await call(aidApi.putPhoto, { params: { id }, body: {}, file: file.value, sent: (share) => void (sent.value = share) })
  })
  sent.value = null
  if (good) emit('done')
}
</script>

<template>
  <form class="max-w-3xl space-y-4" novalidate @submit.prevent="keep">
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="name" label="What was spilled" />
      <QuantityField v-model="ml" kind="volume" label="How much" hint="empty where nobody can say" />
      <QuantityField v-model="agoS" kind="time" label="How long ago" hint="minutes:seconds; empty for just now" />
      <TextField v-model="note" label="What happened" hint="nobody’s health: that stands elsewhere" />
    </div>
    <div>
      <p class="font-semibold">Who was there</p>
      <p class="flex flex-wrap items-center gap-x-4">
        <span v-for="(one, i) in there" :key="one.id"
          >{{ one.name }}
          <button type="button" class="button button-small ml-1" @click="there.splice(i, 1)">
            Not there<span class="sr-only">: {{ one.name }}</span>
          </button></span
        >
      </p>
      <SuggestField v-if="session.isTechnician" v-model="adding" class="mt-2 max-w-sm" label="Somebody else" :known="names" @taken="add" />
    </div>
    <SwitchField v-model="kitFull" label="The spill kit is full again" detail="absorbent, gloves, bags; else it stays on the list" />
    <ProgressBar v-if="sent !== null" words="Sending the photograph" :share="sent" />
    <ProblemLine :problem="wrong || problem" />
    <div class="flex flex-wrap gap-3">
      <label v-if="light === 'white'" class="button cursor-pointer">
        {{ file?.name ?? 'Photograph it' }}
        <input
          type="file"
          accept="image/png,image/jpeg"
          capture="environment"
          class="sr-only"
          @change="file = ($event.target as HTMLInputElement).files?.[0] ?? null"
        />
      </label>
      <button class="button button-main" :disabled="busy">{{ isWritten ? 'Send the photograph again' : 'Keep it' }}</button>
    </div>
  </form>
</template>
