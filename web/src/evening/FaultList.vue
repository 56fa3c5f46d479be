<script setup lang="ts">
import { api, type Fault } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useFaults } from '../stores'
import ReportFault from './ReportFault.vue'

/** What is in doubt or out of order, and how it comes back. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const faults = useFaults()
onMounted(() => void faults.load())
const reporting = ref(false)
const closing = ref<Fault | null>(null)
const check = ref('')
const { busy, problem, act } = useAction({ keeps: false })
const judge = (fault: Fault, state: 'doubt' | 'out') =>
  act(async () => faults.put(await call(api.fault.judge, { params: { id: fault.id }, body: { version: fault.version, state } })))
const close = () =>
  act(async () => {
    const { value: fault } = closing
    if (!fault) return
    faults.put(await call(api.fault.close, { params: { id: fault.id }, body: { version: fault.version, check: check.value } }))
    closing.value = null
    check.value = ''
  })
</script>

<template>
  <section aria-labelledby="faults">
    <div class="mb-2 flex flex-wrap items-center gap-4">
      <h2 id="faults" class="text-2xl font-bold">In doubt, or out of order</h2>
      <button class="button ml-auto" @click="reporting = true">Something is wrong</button>
    </div>
    <ProblemLine v-if="!closing" :problem="problem" />
    <p v-if="faults.loaded && faults.rows.length === 0" class="text-lg">Nothing is known to be wrong.</p>
    <ul>
      <li v-for="fault in faults.rows" :key="fault.id" class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line py-2">
        <p class="min-w-64 flex-1">
          <b class="text-lg">{{ fault.state === 'out' ? '■' : '?' }} {{ fault.name }}</b>
          {{ fault.state === 'out' ? 'is out of order' : 'is in doubt' }}: {{ fault.what }}<br /><span class="text-quiet"
            >{{ fault.by }}, {{ showMoment(fault.at, zone) }}</span
          >
        </p>
        <template v-if="session.isTechnician">
          <button class="button" :disabled="busy" @click="judge(fault, fault.state === 'out' ? 'doubt' : 'out')">
            {{ fault.state === 'out' ? 'Only in doubt' : 'Out of order' }}
          </button>
          <button class="button" :disabled="busy" @click="closing = fault">It is right again</button>
        </template>
      </li>
    </ul>
    <ReportFault v-if="reporting" @close="reporting = false" />
    <FormPanel
      v-if="closing"
      :title="`${closing.name} is right again`"
      yes="It is right again"
      :busy="busy"
      :problem="problem"
      @close="closing = null"
      @submit="close"
    >
      <TextField v-model="check" label="How it was checked" hint="such as: filled and turned over for a minute, no drop" begin />
    </FormPanel>
  </section>
</template>
