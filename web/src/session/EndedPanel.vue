<script setup lang="ts">
import { ref } from 'vue'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from './store'

/** The session ended elsewhere: sign in again on top of the page, which keeps what was typed. */
const session = useSession()
const password = ref('')
const { busy, problem, act } = useAction()
const again = () => act(() => session.signIn(session.person?.login ?? '', password.value)).then((good) => good && (password.value = ''))
</script>

<template>
  <ModalPanel :open="session.ended" title="You were signed out" @close="() => undefined">
    <form class="space-y-4" @submit.prevent="again">
      <p>Sign in again as {{ session.person?.name }}; what you typed below is still there.</p>
      <TextField v-model="password" label="Password" type="password" autocomplete="current-password" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Sign in</button>
        <a class="button" href="/sign-in">Someone else</a>
      </div>
    </form>
  </ModalPanel>
</template>
