<script setup lang="ts">
import { api, type Permission } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate } from '../marks/words'
import PracticeList from '../practice/PracticeList.vue'
import { useSession } from '../session/store'
import { useBottles, usePeople, useVessels } from '../stores'
import PermissionPanel from '../permission/PermissionPanel.vue'
import { termWords } from '../permission/words'

/** What one member may develop without a technician, and what they have practised for it. */
const route = useRoute()
const session = useSession()
const personId = String(route.params.id)
const [people, bottles, vessels] = [usePeople(), useBottles(), useVessels()]
onMounted(() => void Promise.all([people.load(), bottles.load(), vessels.load()]))
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const person = computed(() => people.rows.find((one) => one.id === personId))
const page = usePage(
  async (signal) => (await call(api.permission.list, { query: { personId, limit: 200 }, signal })).rows,
  (event) => event.subject === 'permission' || event.subject === 'process',
)
void page.load()
const rows = computed(() => page.value.value ?? [])
const terms = (one: Permission) => termWords(one, { vessels: vessels.rows, bottles: bottles.rows, loaded: bottles.loaded })
const adding = ref(false)
const changed = ref<Permission | null>(null)
const close = () => void ((adding.value = false), (changed.value = null))
async function kept(): Promise<void> {
  close()
  await page.load()
}
const { busy, problem, act } = useAction()
const end = (one: Permission) =>
  act(() => call(api.permission.end, { params: { id: one.id }, body: { version: one.version } })).then(() => page.load())
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/people" class="link inline-flex min-h-11 items-center">← People</RouterLink>
    <PageState
      v-if="!page.value.value || !person"
      :missing="page.missing.value || (people.loaded && !person ? 'There is no such person any more.' : '')"
      :problem="page.problem.value || people.problem"
      what="what they may develop"
      back=""
      back-to=""
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-center gap-5">
        <h1 class="text-3xl font-bold">{{ person.name }}: developing alone</h1>
        <button v-if="person.role === 'member'" class="button button-main ml-auto" @click="adding = true">Allow a process</button>
      </div>
      <ProblemLine :problem="problem" />
      <p v-if="person.role === 'technician'" class="text-lg">{{ person.name }} is a technician, and may develop everything.</p>
      <p v-else-if="rows.length === 0" class="text-lg">
        {{ person.name }} develops nothing alone. What is allowed here they plan, lead and write down by themselves; you see it on the
        tanks, and can step in at any time.
      </p>
      <ul class="mb-10 space-y-3">
        <li v-for="one in rows" :key="one.id" class="card flex flex-wrap items-center gap-x-6 gap-y-2">
          <div class="min-w-56 flex-1">
            <p class="text-xl font-bold">{{ one.processName }}</p>
            <p v-for="line in terms(one)" :key="line">{{ line }}</p>
            <p class="text-quiet">
              {{ one.by }}, {{ showDate(one.at, zone) }}{{ one.until === null ? '' : `, until ${showDate(one.until, zone)}` }}
            </p>
            <p v-if="one.before" class="mt-2 border-l-4 border-alarm pl-3 font-semibold">
              It does not count yet. They read: “{{ one.before }}”
            </p>
          </div>
          <div class="flex gap-2">
            <button class="button" :aria-label="`Change ${one.processName}`" @click="changed = one">Change</button>
            <button class="button" :disabled="busy" :aria-label="`End ${one.processName}`" @click="end(one)">End</button>
          </div>
        </li>
      </ul>
      <PracticeList :of="personId" />
      <PermissionPanel
        v-if="adding || changed"
        :key="changed?.id ?? 'new'"
        :person-id="personId"
        :permission="changed"
        :taken="rows.map((one) => one.processId)"
        @close="close"
        @kept="kept"
      />
    </template>
  </div>
</template>
