<script setup lang="ts">
import { type WallKey, wallApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import FormPanel from '../fields/FormPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'

/** Screens on the wall: each has a key, which opens its page and nothing else, until it is revoked. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const page = usePage((signal) => call(wallApi.keys, { signal }))
onMounted(() => void page.load())
const rows = computed(() => (page.value.value?.rows ?? []).filter((one) => one.revokedAt === null))
const making = ref(false)
const name = ref('')
const made = ref<string | null>(null)
const { busy, problem, act } = useAction()
const make = () =>
  act(async () => {
    const { token } = await call(wallApi.make, { body: { id: uuid(), name: name.value } })
    made.value = `${location.origin}/wall/${token}`
    making.value = false
    name.value = ''
    await page.load()
  })
const revoke = (key: WallKey) =>
  act(async () => {
    await call(wallApi.revoke, { params: { id: key.id } })
    await page.load()
  })
</script>

<template>
  <section aria-labelledby="walls">
    <div class="mb-2 flex flex-wrap items-center gap-4">
      <h2 id="walls" class="text-2xl font-bold">Screens on the wall</h2>
      <button class="button ml-auto" @click="making = true">A new screen</button>
    </div>
    <ProblemLine v-if="!making" :problem="problem" />
    <div v-if="made" class="card mb-3" role="status">
      <p class="mb-1 text-lg">
        Open this on the screen now: it is shown this once. Whoever has it sees what is on the wall, and nothing else.
      </p>
      <p class="mb-1 font-mono break-all select-all">{{ made }}</p>
      <p>
        <a :href="made" target="_blank" class="link inline-flex min-h-11 items-center">In white light</a>,
        <a :href="`${made}?light=safelight`" target="_blank" class="link inline-flex min-h-11 items-center">in safelight</a>
      </p>
    </div>
    <p v-if="page.value.value && rows.length === 0 && !made" class="text-lg">No screen has a key.</p>
    <ul>
      <li v-for="key in rows" :key="key.id" class="flex flex-wrap items-center gap-4 border-b border-line py-2">
        <p class="flex-1">
          <b>{{ key.name }}</b><br /><span class="text-quiet">{{ key.by }}, {{ showMoment(key.at, zone) }}</span>
        </p>
        <button class="button" :disabled="busy" @click="revoke(key)">Revoke the key of {{ key.name }}</button>
      </li>
    </ul>
    <FormPanel v-if="making" title="A new screen" yes="Make its key" :busy="busy" :problem="problem" @close="making = false" @submit="make">
      <TextField v-model="name" label="Where it hangs" hint="such as: by the sink" begin />
    </FormPanel>
  </section>
</template>
