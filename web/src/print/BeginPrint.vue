<script setup lang="ts">
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { readFigure } from '../fields/figure'
import { usePeople } from '../stores'
import type { RoomView } from '../printroom/useRoom'

/** A print is begun: which negative, on which paper, how large. */
const { view } = defineProps<{ view: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const show = useShow()
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
const boxId = ref<string | null>(
  view.boxChoices.value.find((one) => one.value === last?.boxId)?.value ?? view.boxChoices.value[0]?.value ?? null,
)
const enlargerId = ref<string | null>(last?.enlargerId ?? view.enlargerChoices.value[0]?.value ?? null)
const width = ref('')
const stop = ref(last ? show.plain(last.lensN) : '8')
const developer = ref(last?.developer ?? '')
const negative = computed((): [number, number] => formats.find((one) => one.value === format.value)?.mm ?? [36, 24])
const m = computed(() => {
  const cm = readFigure(width.value)
  return cm && cm > 0 ? (10 * cm) / negative.value[0] : null
})
const people = usePeople()
onMounted(() => void (session.isTechnician && people.load()))
const memberId = ref(session.session?.person?.id ?? '')
const whose = computed(() => people.rows.filter((one) => one.active).map((one) => ({ value: one.id, name: one.name })))
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function begin(): Promise<void> {
  wrong.value = ''
  const lensN = readFigure(stop.value)
  if (title.value.trim() === '') return void (wrong.value = 'Give the print a name.')
  if (what.value.trim() === '') return void (wrong.value = 'Say which negative, such as roll 41, frame 12.')
  if (m.value === null) return void (wrong.value = 'How wide is the picture on the paper, in cm?')
  if (!lensN) return void (wrong.value = 'The lens stop is a number such as 8.')
  if (boxId.value === null || enlargerId.value === null) return void (wrong.value = 'Say which paper and which enlarger.')
  const [widthMm, heightMm] = negative.value
  const body = {
    ...{ id, memberId: memberId.value, title: title.value, negative: { what: what.value, widthMm, heightMm } },
    setup: { boxId: boxId.value, enlargerId: enlargerId.value, m: m.value, lensN, developer: developer.value },
  }
  if (await act(() => call(traysApi.begin, { body }))) await router.push(`/trays/prints/${id}`)
}
</script>

<template>
  <FormPanel title="Begin a print" yes="Begin" wide :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="begin">
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="title" label="Name" hint="such as: the sluice at low water" begin />
      <TextField v-model="what" label="Negative" hint="film and frame" />
      <ChoiceField v-model="format" label="Format" :choices="formats" />
      <TextField
        v-model="width"
        label="Picture on the paper"
        :hint="m === null ? 'cm wide' : `cm wide; enlarged ${show.number(m, 1)} times`"
      />
      <ChoiceField v-model="boxId" label="Paper" :choices="view.boxChoices.value" />
      <ChoiceField v-model="enlargerId" label="Enlarger" :choices="view.enlargerChoices.value" />
      <TextField v-model="stop" label="Lens stop" hint="f/" />
      <TextField v-model="developer" label="Developer" hint="and its dilution" />
      <ChoiceField v-if="session.isTechnician && whose.length > 0" v-model="memberId" label="Whose" :choices="whose" />
    </div>
  </FormPanel>
</template>
