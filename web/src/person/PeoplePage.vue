<script setup lang="ts">
import { api, type Person } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { download } from '../hand/download'
import { showDate, showMonth } from '../marks/words'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import WaitFor from '../fields/WaitFor.vue'

const session = useSession()
const people = usePeople()
const { busy, problem, act } = useAction()
onMounted(() => void people.load())
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
/** From so many on a list is searched. */
const many = 20
const find = ref('')
const found = computed(() => sorted.value.filter((one) => matches(`${one.name} ${one.login}`, find.value)))
const sorted = computed(() =>
  [...people.rows].sort((a, b) => Number(b.active) - Number(a.active) || a.role.localeCompare(b.role) * -1 || a.name.localeCompare(b.name)),
)
const chosen = ref<Person | null>(null)
const code = ref<{ name: string; login: string; code: string; expiresAt: number } | null>(null)
const inviting = ref(false)
const erasing = ref(false)
const roles = [
  { value: 'member' as const, name: 'Member', detail: 'sees the shelf and their own films' },
  { value: 'technician' as const, name: 'Technician', detail: 'may change the chemistry' },
]
const person = computed(() => people.rows.find((one) => one.id === chosen.value?.id) ?? chosen.value)

const invite = useContractForm(api.person.invite, {
  begin: () => ({ id: uuid(), name: '', login: '', role: 'member' as const }),
  send: async (body) => {
    const answer = await call(api.person.invite, { body })
    code.value = { name: answer.person.name, login: answer.person.login, code: answer.code, expiresAt: answer.expiresAt }
    inviting.value = false
    await people.load(true)
  },
})
const change = (part: { role?: 'member' | 'technician'; active?: boolean }) =>
  act(() =>
    call(api.person.change, { params: { id: person.value?.id ?? '' }, body: { version: person.value?.version ?? 1, ...part } }),
  ).then(() => people.load(true))
const reset = () =>
  act(async () => {
    const answer = await call(api.person.resetCode, { params: { id: person.value?.id ?? '' } })
    code.value = { name: answer.person.name, login: answer.person.login, code: answer.code, expiresAt: answer.expiresAt }
    chosen.value = null
  })
const said = ref('')
const signOut = () =>
  act(() => call(api.person.signOutEverywhere, { params: { id: person.value?.id ?? '' } })).then(
    (good) => (said.value = good ? 'Signed out on every machine.' : ''),
  )
async function takeOut(): Promise<void> {
  await act(async () => {
    const data = await call(api.person.exportData, { params: { id: person.value?.id ?? '' } })
    download(`${person.value?.login ?? 'person'}.json`, JSON.stringify(data, null, 2), 'application/json')
  })
}
async function erase(): Promise<void> {
  const good = await act(() =>
    call(api.person.erase, { params: { id: person.value?.id ?? '' }, body: { version: person.value?.version ?? 1 } }),
  )
  if (!good) return
  erasing.value = false
  chosen.value = null
  await people.load(true)
}
</script>

<template>
  <div class="station max-w-4xl">
    <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">People</h1>
      <RouterLink to="/people/training" class="button ml-auto">Training</RouterLink>
      <RouterLink to="/people/letters" class="button">Letters</RouterLink>
      <button class="button button-main" @click="((inviting = true), invite.again())">Invite someone</button>
    </div>
    <WaitFor :of="[people]" what="the people">
      <FindField
        v-if="sorted.length > many"
        v-model="find"
        class="mb-3 max-w-sm"
        label="Find someone"
        kept="people"
        :count="found.length"
        :of="sorted.length"
        what="people"
      />
      <ul>
        <li v-for="one in found" :key="one.id" class="border-b border-line">
          <button
            class="grid min-h-14 w-full cursor-pointer grid-cols-[minmax(0,1fr)_8rem_minmax(0,1fr)] items-center gap-4 text-left max-sm:grid-cols-2"
            @click="((chosen = one), (problem = ''), (said = ''), (erasing = false))"
          >
            <b class="text-lg" :class="one.active ? '' : 'line-through'">{{ one.name }}</b>
            <span>{{ one.role }}</span>
            <span class="text-quiet"
              >{{ one.login }}, since {{ showMonth(one.createdAt, zone)
              }}{{ one.active ? (one.hasPassword ? '' : ', has not come in yet') : ', may not sign in' }}</span
            >
          </button>
        </li>
      </ul>
    </WaitFor>

    <ModalPanel :open="inviting" title="Invite someone" @close="inviting = false">
      <form class="space-y-4" novalidate @submit.prevent="invite.submit()">
        <BodyField v-slot="{ bind }" :of="invite.fields" name="name"><TextField v-bind="bind" label="Name" /></BodyField>
        <BodyField v-slot="{ bind }" :of="invite.fields" name="login">
          <TextField v-bind="bind" label="Sign-in name" hint="small letters and digits" />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="invite.fields" name="role"><ChoiceField v-bind="bind" label="Role" :choices="roles" /></BodyField>
        <ProblemLine :problem="invite.rest.value" />
        <button class="button button-main" :disabled="invite.busy.value">Make a one-time code</button>
      </form>
    </ModalPanel>
    <ModalPanel :open="code !== null" :title="`One-time code for ${code?.name ?? ''}`" @close="code = null">
      <p class="font-mono text-5xl font-bold">{{ code?.code }}</p>
      <p class="mt-3">
        With it {{ code?.name }} sets a password on the sign-in page, under the sign-in name <b class="font-mono">{{ code?.login }}</b>. It
        works once, until {{ showDate(code?.expiresAt ?? 0, zone) }}. It is shown only now.
      </p>
      <button class="button button-main mt-4" @click="code = null">Passed on</button>
    </ModalPanel>
    <ModalPanel :open="chosen !== null" :title="person?.name ?? ''" @close="chosen = null">
      <div v-if="person && !erasing" class="space-y-3">
        <p>
          {{ person.role }}, signs in as <b class="font-mono">{{ person.login }}</b>
        </p>
        <div class="flex flex-wrap gap-3">
          <button class="button" :disabled="busy" @click="change({ role: person.role === 'member' ? 'technician' : 'member' })">
            Make {{ person.role === 'member' ? 'technician' : 'member' }}
          </button>
          <button class="button" :disabled="busy" @click="reset">New one-time code</button>
          <button class="button" :disabled="busy" @click="signOut">Sign out everywhere</button>
          <button class="button" :disabled="busy" @click="change({ active: !person.active })">
            {{ person.active ? 'May no longer sign in' : 'May sign in again' }}
          </button>
          <button class="button" :disabled="busy" @click="takeOut">Take the record out</button>
          <RouterLink v-if="person.role === 'member'" class="button" :to="`/people/${person.id}`">What they may develop alone</RouterLink>
          <RouterLink class="button" :to="`/people/${person.id}/training`">What they were shown</RouterLink>
          <button class="button" @click="erasing = true">Erase {{ person.name }} …</button>
        </div>
        <p v-if="said" role="status" class="font-semibold">{{ said }}</p>
        <ProblemLine :problem="problem" />
      </div>
      <div v-else-if="person" class="space-y-3">
        <p>Erases {{ person.name }}, the notes on their films and their sign-in for good. Runs and bottles stay, without the name.</p>
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy" @click="erase">Erase {{ person.name }}</button>
          <button class="button" @click="erasing = false">Not now</button>
        </div>
      </div>
    </ModalPanel>
  </div>
</template>
