<script setup lang="ts">
import { faultThings, type FaultThing } from '@selvrin/core'
import { api, eveningApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useFaults, useVessels } from '../stores'

/** Anybody may say that something is wrong. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const faults = useFaults()
const vessels = useVessels()
const room = usePage((signal) => call(eveningApi.room, { signal }))
onMounted(() => {
  if (!session.isTechnician) return
  void vessels.load()
  void room.load()
})
const words: Record<FaultThing, string> = {
  vessel: 'A tank or drum',
  bath: 'A tempering bath',
  closet: 'The loading closet',
  wash: 'The wash',
  dryer: 'The dryer',
  enlarger: 'An enlarger',
  instrument: 'A scale, thermometer or other instrument',
  other: 'Something else',
}
const thing = ref<FaultThing | null>('vessel')
const things = faultThings.map((value) => ({ value, name: words[value] }))
/** What has a row of its own is named by it; of the rest somebody says which it is. */
const known = computed(() =>
  thing.value === 'vessel'
    ? vessels.rows.map(({ id, name }) => ({ value: id, name }))
    : thing.value === 'bath'
      ? (room.value.value?.baths ?? []).map(({ id, name }) => ({ value: id, name }))
      : [],
)
const thingId = ref<string | null>(null)
const which = ref('')
const what = ref('')
const mine = computed(() => known.value.find((one) => one.value === thingId.value))
const name = computed(() => mine.value?.name ?? (which.value.trim() === '' ? words[thing.value ?? 'other'] : which.value.trim()))
const { busy, problem, act } = useAction()
const report = () =>
  act(async () => {
    const body = {
      id: uuid(),
      thing: thing.value ?? ('other' as const),
      thingId: mine.value?.value ?? null,
      name: name.value,
      what: what.value,
    }
    faults.put(await call(api.fault.report, { body }))
    emit('close')
  })
</script>

<template>
  <FormPanel title="Something is wrong" yes="Say it" :busy="busy" :problem="problem" @close="$emit('close')" @submit="report">
    <ChoiceField v-model="thing" label="With what" :choices="things" />
    <ChoiceField v-if="known.length > 0" v-model="thingId" label="Which" :choices="known" />
    <TextField v-else v-model="which" label="Which" hint="such as: tank 2, the left enlarger" />
    <TextField v-model="what" label="What is wrong" multiline />
    <p class="text-quiet">It is in doubt until somebody on duty has looked. If it leaks, smells or burns, leave it and fetch them now.</p>
  </FormPanel>
</template>
