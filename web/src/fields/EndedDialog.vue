<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref } from 'vue'
import { useAction } from '../api/useAction'
import ProblemLine from './ProblemLine.vue'
import TextField from './TextField.vue'
import { notTyped } from '../hand/typed'
import { useSession } from '../session/store'

/** The session ended in the middle of something: signing in again lies on top of whatever is open, takes the focus, and gives everything back. */
const session = useSession()
notTyped()
const password = ref('')
const { busy, problem, act } = useAction({ keeps: false })
const again = () => act(() => session.signIn(session.person?.login ?? '', password.value)).then((good) => good && (password.value = ''))
</script>

<template>
  <Dialog open class="relative z-50" data-ended @close="() => undefined">
    <div class="fixed inset-0 bg-ground" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel class="w-full max-w-xl rounded-sm border-2 border-ink bg-panel p-6 max-sm:p-4">
          <DialogTitle class="mb-4 text-2xl font-bold">You were signed out</DialogTitle>
          <form class="space-y-4" @submit.prevent="again">
            <p>Sign in again as {{ session.person?.name }}; what you typed below is still there.</p>
            <TextField v-model="password" label="Password" type="password" autocomplete="current-password" />
            <ProblemLine :problem="problem" />
            <div class="flex gap-3">
              <button class="button button-main" :disabled="busy">Sign in</button>
              <a class="button" href="/sign-in">Someone else</a>
            </div>
          </form>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
