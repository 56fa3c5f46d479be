<script setup lang="ts">
import { taskNames, taskShows } from '@selvrin/core'
import { trainingApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onBeforeUnmount, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { presenceAsked } from '../hand/present'
import { useSession } from '../session/store'

/** Somebody lacks training for what they pressed: a technician who stands beside them confirms, or it is not done. */
const session = useSession()
const { value: asked } = presenceAsked
const lacking = computed(() => asked?.lacking)
const [login, password] = [ref(''), ref('')]
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction({ keeps: false })
let answered = false
function answer(confirmed: boolean): void {
  answered = true
  asked?.answer(confirmed)
}
async function confirm(): Promise<void> {
  wrong.value = ''
  const { personId = '', tasks = [] } = lacking.value ?? {}
  const by = session.isTechnician ? {} : { login: login.value.trim(), password: password.value }
  if (by.login === '' || by.password === '') return void (wrong.value = 'The technician writes their sign-in name and their password.')
  const good = await act(() => call(trainingApi.present, { body: { id, personId, tasks, ...by } }))
  password.value = ''
  if (good) answer(true)
}
// the page under it was left
onBeforeUnmount(() => void (!answered && asked?.answer(false)))
</script>

<template>
  <FormPanel
    v-if="lacking"
    title="A technician has to be present"
    :yes="session.isTechnician ? 'I stand beside them' : 'Confirmed: I stand beside them'"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="answer(false)"
    @submit="confirm"
  >
    <p class="text-xl">
      {{ lacking.person }} lacks training for <b>{{ lacking.tasks.map((one) => taskNames[one]).join(', ') }}</b>.
    </p>
    <ul class="list-disc space-y-1 pl-5">
      <li v-for="task in lacking.tasks" :key="task">
        <b>{{ taskNames[task] }}:</b> {{ taskShows[task] }}
      </li>
    </ul>
    <div v-if="!session.isTechnician" class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="login" label="The technician’s sign-in name" autocomplete="off" />
      <TextField v-model="password" label="Their password" type="password" autocomplete="off" />
    </div>
    <p class="text-quiet">It holds for four hours, for this alone, and is written down with the technician’s name. It is no training.</p>
  </FormPanel>
</template>
