<script setup lang="ts">
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import type { RoomView } from '../printroom/useRoom'
import SetupFields from './SetupFields.vue'
import { useFilms } from './useFilms'
import { useSetup } from './useSetup'

/** A print is begun: which negative, on which paper, how large. */
const { view } = defineProps<{ view: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const router = useRouter()
const last = view.there.value?.sheets[0]?.setup
const title = ref('')
const what = ref('')
const format = ref('36x24')
const formats: { value: string; name: string; mm: [number, number] }[] = [
  { value: '36x24', name: '24 × 36 mm', mm: [36, 24] },
  { value: '56x42', name: '4.5 × 6 cm', mm: [56, 41.5] },
  { value: '56x56', name: '6 × 6 cm', mm: [56, 56] },
  { value: '69x56', name: '6 × 7 cm', mm: [69, 56] },
  { value: '120x95', name: '4 × 5 in', mm: [120, 95] },
]
const negative = computed(() => {
  const [widthMm = 36, heightMm = 24] = formats.find((one) => one.value === format.value)?.mm ?? []
  return { widthMm, heightMm }
})
const memberId = ref(session.session?.person?.id ?? '')
const films = useFilms()
const { chosen: film, choices: filmChoices } = films
watch(films.of, (now) => {
  if (!now) return
  what.value = now.what
  if (now.size) format.value = '36x24'
  if (session.isTechnician && now.memberId !== null) memberId.value = now.memberId
})
const setup = useSetup(view, negative, last, false)
const people = usePeople()
onMounted(() => void (session.isTechnician && people.load()))
const whose = computed(() => people.rows.filter((one) => one.active).map((one) => ({ value: one.id, name: one.name })))
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function begin(): Promise<void> {
  wrong.value = ''
  if (title.value.trim() === '') return void (wrong.value = 'Give the print a name.')
  if (what.value.trim() === '') return void (wrong.value = 'Say which negative, such as roll 41, frame 12.')
  const read = setup.read()
  if (typeof read === 'string') return void (wrong.value = read)
  const body = {
    id,
    memberId: memberId.value,
    title: title.value,
    negative: { what: what.value, ...negative.value, ...films.negative.value },
    setup: read,
  }
  if (await act(() => call(traysApi.begin, { body }))) await router.push(`/trays/prints/${id}`)
}
</script>

<template>
  <FormPanel title="Begin a print" yes="Begin" wide :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="begin">
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="title" label="Name" hint="such as: the sluice at low water" begin />
      <ChoiceField v-if="filmChoices.length > 1" v-model="film" label="Film developed here" :choices="filmChoices" />
      <TextField v-model="what" label="Negative" hint="film and frame" />
      <ChoiceField v-model="format" label="Format" :choices="formats" />
      <SetupFields :view="setup" />
      <ChoiceField v-if="session.isTechnician && whose.length > 0" v-model="memberId" label="Whose" :choices="whose" />
    </div>
  </FormPanel>
</template>
