<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'

const session = useSession()
const router = useRouter()
const route = useRoute()
const { busy, problem, field, act } = useAction()
const first = computed(() => session.session?.firstVisit ?? false)
const withCode = ref(false)
const login = ref('')
const password = ref('')
const code = ref('')
const name = ref('')
const title = computed(() => (first.value ? 'Make the first technician' : withCode.value ? 'Set a password with a code' : 'Sign in'))

async function enter(): Promise<void> {
  const good = await act(() =>
    first.value
      ? session.makeFirst(code.value, name.value, login.value, password.value)
      : withCode.value
        ? session.useCode(login.value, code.value, password.value)
        : session.signIn(login.value, password.value),
  )
  const { then } = route.query
  if (good) await router.push(typeof then === 'string' && then.startsWith('/') && !then.startsWith('//') ? then : '/shelf')
}
function take(person: { login: string; password: string }): void {
  login.value = person.login
  password.value = person.password
  void enter()
}
</script>

<template>
  <div class="mx-auto flex min-h-full max-w-4xl flex-wrap items-center justify-center gap-10 p-6">
    <form class="w-full max-w-md space-y-5" @submit.prevent="enter">
      <div>
        <p class="text-xl text-quiet">{{ session.session?.darkroom.name ?? 'Selvrin' }}</p>
        <h1 class="text-5xl font-bold">{{ title }}</h1>
      </div>
      <p v-if="first">The code was printed where the server was started.</p>
      <p v-if="!session.session" role="alert" class="font-semibold text-alarm">
        The darkroom’s server does not answer. Check that it runs, then load this page again.
      </p>
      <TextField v-if="first" v-model="name" label="Your name" autocomplete="name" />
      <TextField v-if="first || withCode" v-model="code" label="One-time code" />
      <TextField v-model="login" label="Sign-in name" autocomplete="username" :problem="field === 'login' ? problem : ''" />
      <TextField
        v-model="password"
        :label="first || withCode ? 'New password, at least 10 characters' : 'Password'"
        type="password"
        :autocomplete="first || withCode ? 'new-password' : 'current-password'"
      />
      <ProblemLine :problem="field === 'login' ? '' : problem" />
      <div class="flex flex-wrap items-center gap-5">
        <button class="button button-main" :disabled="busy">{{ first || withCode ? 'Set it and enter' : 'Sign in' }}</button>
        <button v-if="!first" type="button" class="link min-h-11" @click="withCode = !withCode">
          {{ withCode ? 'I have a password' : 'I have a one-time code' }}
        </button>
      </div>
    </form>
    <section v-if="session.session?.demoSignIns" class="card w-full max-w-xs">
      <h2 class="mb-2 text-xl font-bold">This is the demo</h2>
      <p class="mb-3 text-quiet">Made-up people of a made-up darkroom. Enter as</p>
      <button
        v-for="person in session.session.demoSignIns"
        :key="person.login"
        class="button mb-2 w-full justify-between"
        :disabled="busy"
        @click="take(person)"
      >
        <span>{{ person.name }}</span><span class="text-base font-normal">{{ person.role }}</span>
      </button>
      <p class="mt-2 font-mono text-sm">password: {{ session.session.demoSignIns[0]?.password }}</p>
    </section>
  </div>
</template>
