<script setup lang="ts">
import { calendarApi, type CalendarKey } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'

/** One's own plan and the darkroom's, for a calendar program: as a file, or at an address that stays up to date until it is revoked. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const page = usePage((signal) => call(calendarApi.keys, { signal }))
onMounted(() => void page.load())
const rows = computed(() => page.value.value?.rows ?? [])
const making = ref(false)
const name = ref('')
const whose = ref<CalendarKey['whose'] | null>('mine')
const choices: { value: CalendarKey['whose']; name: string }[] = [
  { value: 'mine', name: 'What concerns me' },
  { value: 'darkroom', name: 'The darkroom’s evenings' },
]
const words = (one: CalendarKey): string => (one.whose === 'mine' ? 'what concerns me' : 'the darkroom’s evenings')
const made = ref<string | null>(null)
const { busy, problem, act } = useAction()
const make = () =>
  act(async () => {
    const { token } = await call(calendarApi.make, { body: { id: uuid(), name: name.value, whose: whose.value ?? 'mine' } })
    made.value = `${location.origin}/api/calendar/${token}.ics`
    making.value = false
    name.value = ''
    await page.load()
  })
const revoke = (key: CalendarKey) =>
  act(async () => {
    await call(calendarApi.revoke, { params: { id: key.id } })
    made.value = null
    await page.load()
  })
</script>

<template>
  <section aria-labelledby="calendars">
    <h2 id="calendars" class="mb-2 text-xl font-bold">Calendar</h2>
    <p class="mb-3">
      When your films go into the tank, when you print, when you are on duty. An address keeps a calendar program up to date; whoever has it
      reads the same.
    </p>
    <div class="mb-3 flex flex-wrap gap-3">
      <a href="/api/calendars/file?whose=mine" download="darkroom-mine.ics" class="button">My plan as a file</a>
      <a href="/api/calendars/file?whose=darkroom" download="darkroom.ics" class="button">The darkroom’s as a file</a>
      <button class="button" @click="making = true">A new address</button>
    </div>
    <ProblemLine v-if="!making" :problem="problem" />
    <div v-if="made" class="card mb-3" role="status">
      <p class="mb-1 text-lg">Give this to your calendar program now: it is shown this once.</p>
      <p class="font-mono break-all select-all">{{ made }}</p>
    </div>
    <p v-if="page.problem.value" class="text-quiet">{{ page.problem.value }}</p>
    <ul>
      <li v-for="key in rows" :key="key.id" class="flex flex-wrap items-center gap-4 border-b border-line py-2">
        <p class="flex-1 break-words">
          <b>{{ key.name }}</b><br /><span class="text-quiet">{{ words(key) }}, made {{ showMoment(key.at, zone) }}</span>
        </p>
        <button class="button" :disabled="busy" @click="revoke(key)">Revoke {{ key.name }}</button>
      </li>
    </ul>
    <FormPanel v-if="making" title="A new address" yes="Make it" :busy="busy" :problem="problem" @close="making = false" @submit="make">
      <TextField v-model="name" label="For which program" hint="such as: my phone" begin />
      <PressOne v-model="whose" label="What stands in it" :choices="choices" />
    </FormPanel>
  </section>
</template>
