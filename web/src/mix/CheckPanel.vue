<script setup lang="ts">
import { api, type Mix } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'

/** The second pair of eyes: whoever did not weigh it, signed in on another device, or by name and password here. */
const { mix, step } = defineProps<{ mix: Mix; step: number }>()
const emit = defineEmits<{ checked: [mix: Mix] }>()
const session = useSession()
const { busy, problem, act } = useAction()
const login = ref('')
const password = ref('')
let eventId = uuid()
const mine = computed(() => mix.record.find((line) => line.step === step)?.by.includes(session.person?.name ?? '') ?? false)
async function check(more: { login?: string; password?: string }): Promise<void> {
  const good = await act(async () =>
    emit('checked', await call(api.mix.check, { params: { id: mix.id }, body: { eventId, step, ...more } })),
  )
  if (!good) eventId = uuid()
  password.value = ''
}
</script>

<template>
  <div class="card max-w-2xl border-2 border-ink">
    <h2 class="text-2xl font-bold">A second person looks</h2>
    <p class="mb-3 text-lg">At the jar’s label, the weight and the line of the formula, before it goes on.</p>
    <button v-if="!mine" class="button button-main" :disabled="busy" data-next @click="check({})">I have looked: it is right</button>
    <form
      v-else
      class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-start gap-3 max-sm:grid-cols-1"
      @submit.prevent="check({ login, password })"
    >
      <TextField v-model="login" label="Their sign-in name" />
      <TextField v-model="password" label="Their password" type="password" />
      <button class="button button-main mt-7" :disabled="busy">It is right</button>
    </form>
    <p v-if="mine" class="mt-2 text-quiet">Or on their own device: this page goes on by itself.</p>
    <ProblemLine :problem="problem" class="mt-3" />
  </div>
</template>
