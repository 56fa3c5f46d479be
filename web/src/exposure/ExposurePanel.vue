<script setup lang="ts">
import { catalogue as known, exposureBody, type ExposureWay } from '@selvrin/core'
import { exposureApi, type ExposureNote } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import SuggestField from '../fields/SuggestField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { wayChoices } from './exposureWords'

/** A note of exposure, new or as it went on. */
const { note } = defineProps<{ note: ExposureNote | null }>()
const emit = defineEmits<{ close: []; done: [] }>()
const session = useSession()
const show = useShow()
const names = Object.values(known).map((one) => one.name)
const agent = ref<string | null>(note?.body.agent ?? '')
const [task, course] = [ref(note?.body.task ?? ''), ref(note?.body.course ?? '')]
const minutes = ref(note?.body.minutes == null ? '' : show.plain(note.body.minutes))
const gloves = ref(note?.body.gloves ?? true)
const way = ref<ExposureWay | null>(note?.body.way ?? null)
const daysAgo = ref('')
const dayMs = 86_400_000
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const [long, days] = [readFigure(minutes.value), readFigure(daysAgo.value)]
  if (days === undefined) return void (wrong.value = 'How long ago is a number of days, or empty for today.')
  if (long === undefined) return void (wrong.value = 'For how long is a number of minutes, or empty.')
  const name = (agent.value ?? '').trim()
  const read = exposureBody.safeParse({
    ...{ at: note?.body.at ?? Math.round(now() - dayMs * (days ?? 0)), agent: name, task: task.value, minutes: long },
    chemical: Object.values(known).find((one) => one.name.toLowerCase() === name.toLowerCase())?.id ?? null,
    ...{ gloves: gloves.value, way: way.value, course: course.value },
  })
  if (!read.success) return void (wrong.value = read.error.issues[0]?.message ?? '')
  const body = read.data
  const good = await act(() =>
    note
      ? call(exposureApi.change, { params: { id: note.id }, body: { version: note.version, body } })
      : call(exposureApi.write, { body: { id, personId: session.person?.id ?? '', body } }),
  )
  if (good) emit('done')
}
</script>

<template>
  <FormPanel
    :title="note ? 'How it went on' : 'A note of exposure'"
    yes="Keep it"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p>It is yours: you see it, and the technicians who are named to. It stands in no file and on no wall.</p>
    <SuggestField v-model="agent" label="What it was" :known="names" hint="a chemical, or what stands on the label" begin />
    <div>
      <p class="mb-1 font-semibold">Where it came</p>
      <PressOne v-model="way" label="Where it came" :choices="wayChoices" />
    </div>
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="task" label="What was being done" />
      <TextField v-model="minutes" label="For how long" hint="minutes; empty where nobody can say" />
    </div>
    <TextField v-if="!note" v-model="daysAgo" label="Days ago" hint="empty for today" />
    <SwitchField v-model="gloves" label="Gloves were on" detail="" />
    <TextField v-model="course" label="How it went on" />
    <p class="text-quiet">A note is no help: press <kbd class="font-mono font-bold">!</kbd> for that, and see a doctor.</p>
  </FormPanel>
</template>
