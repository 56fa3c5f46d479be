<script setup lang="ts">
import { requireChangeable } from '@selvrin/core'
import { api, pictureBytes } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import FormPanel from '../fields/FormPanel.vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import TextField from '../fields/TextField.vue'
import { showMoney } from '../formula/missing'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useProcesses } from '../stores'
import OrderForm from './OrderForm.vue'
import { bathWords, changeWords, filmWords, stateWords, whenWords } from './orderWords'

/** One order: what is wanted, where it stands, its slip and photograph, and what happened to it. */
const session = useSession()
const id = String(useRoute().params.id)
const processes = useProcesses()
onMounted(() => void processes.load())
const page = usePage(
  (signal) => call(api.order.get, { params: { id }, signal }),
  (event) => event.subject === 'order' && event.id === id,
)
void page.load()
const order = computed(() => page.value.value)
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const names = computed(() => ({
  ...Object.fromEntries(processes.rows.map((row) => [row.id, row.body.name])),
  ...(order.value?.developer ? { [order.value.developer.formulaId]: order.value.developerName } : {}),
}))
const open = computed(() => {
  try {
    if (order.value) requireChangeable(order.value)
    return order.value !== null
  } catch {
    return false
  }
})
const changing = ref(false)
const withdrawing = ref(false)
const why = ref('')
const { busy, problem, act } = useAction()
const withdraw = () =>
  act(() => call(api.order.withdraw, { params: { id }, body: { wishVersion: order.value?.wishVersion ?? 1, why: why.value } })).then(
    async (good) => {
      if (!good) return
      withdrawing.value = false
      await page.load()
    },
  )
const photo = useAction({ keeps: false })
const sent = ref<number | null>(null)
const turn = ref(0)
async function send(file: File | undefined): Promise<void> {
  if (!file) return
  if (file.size > pictureBytes) return void (photo.problem.value = 'The photograph is too large to keep. Take it smaller.')
  await photo.act(() => call(api.order.putPhoto, { params: { id }, body: {}, file, sent: (share) => void (sent.value = share) }))
  sent.value = null
  turn.value++
  await page.load()
}
async function changed(): Promise<void> {
  changing.value = false
  await page.load()
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/rota" class="link inline-flex min-h-11 items-center">← {{ session.isTechnician ? 'Rota' : 'My orders' }}</RouterLink>
    <PageState
      v-if="!order"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="this order"
      back="To the orders"
      back-to="/rota"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-center gap-3">
        <h1 class="text-3xl font-bold">Order {{ order.number }}</h1>
        <p class="text-xl">{{ order.member }}</p>
        <div class="ml-auto flex flex-wrap gap-2">
          <a :href="`/api/print/orders/${id}?on=label`" target="_blank" class="button">Slip, label</a>
          <a :href="`/api/print/orders/${id}?on=a6`" target="_blank" class="button">Slip, A6</a>
        </div>
      </div>
      <section class="card mb-6 space-y-1" aria-label="What is wanted">
        <p class="text-2xl font-bold">{{ filmWords(order) }}</p>
        <p class="text-lg">{{ bathWords(order) }}</p>
        <p class="text-lg">
          <b>{{ stateWords(order) }}</b>{{ order.why ? `: ${order.why}` : '' }}
        </p>
        <p v-if="whenWords(order, zone)" class="text-lg" role="status">{{ whenWords(order, zone) }}</p>
        <p v-if="order.cost !== null">its chemicals cost about {{ showMoney(order.cost, session.darkroom?.currency ?? 'EUR') }}</p>
        <p v-if="order.wantedBy !== null">wanted by {{ showMoment(order.wantedBy, zone) }}</p>
        <p v-if="order.earliest !== null">not before {{ showMoment(order.earliest, zone) }}</p>
        <p v-if="order.present">Its owner waits for it.</p>
        <p v-if="order.critical" class="border-l-4 border-alarm pl-3 font-semibold">
          Somebody’s only negatives: alone, on chemistry that was tested the same day.
        </p>
        <p v-if="order.note" class="break-words">{{ order.note }}</p>
        <div v-if="open" class="flex flex-wrap gap-2 pt-3">
          <button class="button" @click="changing = true">Want something else</button>
          <button class="button" @click="withdrawing = true">Take it back undeveloped</button>
        </div>
      </section>
      <section class="mb-6" aria-labelledby="canister">
        <h2 id="canister" class="mb-2 text-2xl font-bold">The canister</h2>
        <p v-if="order.photo" class="photograph mb-2 inline-block border-2 border-ink">
          <img :src="`/api/orders/${id}/photo?turn=${turn}`" :alt="`Canister of order ${order.number}`" class="max-h-80 max-w-full" />
        </p>
        <ProblemLine :problem="photo.problem.value" />
        <ProgressBar v-if="sent !== null" :share="sent" words="Sending the photograph" :stoppable="false" />
        <label class="button cursor-pointer">
          {{ order.photo ? 'Another photograph' : 'Photograph it' }}
          <input
            type="file"
            accept="image/png,image/jpeg"
            capture="environment"
            class="sr-only"
            :disabled="photo.busy.value"
            @change="send(($event.target as HTMLInputElement).files?.[0])"
          />
        </label>
      </section>
      <section aria-labelledby="trace">
        <h2 id="trace" class="mb-2 text-2xl font-bold">What happened to it</h2>
        <ul>
          <li v-for="line in order.trace" :key="line.id" class="border-b border-line py-2">
            <span class="text-quiet">{{ showMoment(line.at, zone) }}, {{ line.by }}</span
            ><br />
            <template v-if="line.what === 'handed-in'">Handed in.</template>
            <template v-else-if="line.what === 'withdrawn'">Taken back undeveloped: {{ line.why }}</template>
            <template v-else>{{ line.changes.map((one) => changeWords(one, { zone, names })).join('; ') }}</template>
          </li>
        </ul>
      </section>
      <OrderForm v-if="changing" :order="order" @close="changing = false" @kept="changed" />
      <FormPanel
        :open="withdrawing"
        :title="`Take order ${order.number} back undeveloped`"
        yes="Take it back"
        :busy="busy"
        :problem="problem"
        @close="withdrawing = false"
        @submit="withdraw"
      >
        <TextField v-model="why" label="Why" hint="stays on the record" />
      </FormPanel>
    </template>
  </div>
</template>
