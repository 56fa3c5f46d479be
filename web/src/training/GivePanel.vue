<script setup lang="ts">
import { isLoading, taskNames, taskShows, trainingBody, trainingEnds, type LoadingStage, type TrainingTask } from '@selvrin/core'
import { trainingApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { stageChoices } from './words'

/** Somebody was shown a task: what to show stands there, when it was, and until when it holds. */
const { task, person, personId } = defineProps<{ task: TrainingTask; person: string; personId: string }>()
const emit = defineEmits<{ close: []; done: [] }>()
const session = useSession()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const stage = ref<LoadingStage | null>(null)
const shown = ref('')
const byOneself = personId === session.person?.id
const outside = ref('')
const daysAgo = ref('')
const dayMs = 86_400_000
const at = computed(() => {
  const days = readFigure(daysAgo.value)
  return days === undefined ? undefined : Math.round(now() - (days ?? 0) * dayMs)
})
const wrong = ref('')
const { busy, problem, act } = useAction()
const id = uuid()
async function keep(): Promise<void> {
  wrong.value = ''
  if (at.value === undefined) return void (wrong.value = 'How long ago is a number of days, or empty for today.')
  if (isLoading(task) && stage.value === null) return void (wrong.value = 'Say how far: in the light, with eyes shut, in the dark.')
  const read = trainingBody.safeParse({ task, at: at.value, stage: stage.value, shown: shown.value, outside: outside.value })
  if (!read.success) return void (wrong.value = read.error.issues[0]?.message ?? '')
  if (await act(() => call(trainingApi.give, { body: { id, personId, body: read.data } }))) emit('done')
}
</script>

<template>
  <FormPanel
    :title="`${person}: ${taskNames[task]}`"
    yes="It was shown"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p class="text-lg">{{ taskShows[task] }}</p>
    <div v-if="isLoading(task)">
      <p class="mb-1 font-semibold">How far</p>
      <PressOne v-model="stage" label="How far" size="usual" :choices="stageChoices" />
    </div>
    <TextField v-model="shown" label="What was shown, if more is to be said" hint="such as which reels, which bleach" />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="daysAgo" label="Days ago" hint="empty for today" />
      <TextField
        v-model="outside"
        label="Shown by"
        :hint="byOneself ? 'who: nobody shows it to themselves' : `empty: ${session.person?.name ?? 'you'}`"
      />
    </div>
    <p v-if="at !== undefined" class="font-semibold">It holds until {{ showDate(trainingEnds(task, at, zone), zone) }}.</p>
  </FormPanel>
</template>
