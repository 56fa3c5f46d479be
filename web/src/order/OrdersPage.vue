<script setup lang="ts">
import { api, type FilmOrder } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { usePaged } from '../api/usePaged'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import WaitFor from '../fields/WaitFor.vue'
import { useKeys } from '../hand/keys'
import { counted, showMoment } from '../marks/words'
import NoticeList from '../notice/NoticeList.vue'
import { useSession } from '../session/store'
import { useOrders } from '../stores'
import OrderForm from './OrderForm.vue'
import { bathWords, byWish, countWords, filmWords, stateWords, whenWords } from './orderWords'

/** Rolls that were handed in and wait: a technician everyone's, a member their own. */
const session = useSession()
const router = useRouter()
const orders = useOrders()
onMounted(() => void orders.load())
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
/** From so many on a list is searched. */
const many = 8
const find = ref('')
const text = (order: FilmOrder) => `${order.number} ${order.member} ${filmWords(order)} ${bathWords(order)} ${order.note}`
const open = computed(() => [...orders.rows].sort(byWish))
const found = computed(() => open.value.filter((order) => matches(text(order), find.value)))
const over = usePaged(api.order.list, () => ({ which: 'over' }), {
  subject: 'order',
  holds: (order) => order.state === 'done' || order.state === 'withdrawn',
})
const known = computed(() => ({ loaded: over.loaded.value, problem: over.problem.value }))
const handing = ref(false)
useKeys((event) => {
  if (event.key.toLowerCase() !== 'n' || session.person?.letterKeys === false) return false
  handing.value = true
  return true
})
/** Its slip is printed, or the next one is handed in. */
function kept(order: FilmOrder): void {
  handing.value = false
  orders.put(order)
  void router.push(`/rota/orders/${order.id}`)
}
</script>

<template>
  <div class="station max-w-5xl">
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">{{ session.isTechnician ? 'Rota' : 'My orders' }}</h1>
      <p v-if="orders.loaded" class="text-lg text-quiet">
        {{ open.length === 0 ? 'Nothing waits' : `${counted(open.length, 'order')} to be developed: ${countWords(open)}` }}
      </p>
      <button class="button button-main ml-auto" data-next @click="handing = true">
        Hand in rolls<kbd v-if="session.isTechnician" class="ml-2 font-mono">N</kbd>
      </button>
    </div>
    <NoticeList class="mb-4" />
    <slot />
    <WaitFor :of="[orders, known]" what="the orders">
      <p v-if="open.length === 0" class="mb-6 text-xl">
        {{
          session.isTechnician
            ? 'The drop-off rack is empty.'
            : 'You have nothing here to be developed. Hand in rolls, and they stand here with their place.'
        }}
      </p>
      <FindField
        v-if="open.length >= many"
        v-model="find"
        class="mb-4"
        label="Find an order"
        kept="orders"
        :count="found.length"
        :of="open.length"
        what="orders"
      />
      <ul class="mb-10">
        <li v-for="order in found" :id="`order-${order.id}`" :key="order.id" class="border-b border-line">
          <RouterLink
            :to="`/rota/orders/${order.id}`"
            class="grid min-h-16 grid-cols-[4.5rem_11rem_minmax(0,1fr)_14rem] items-center gap-x-4 py-2 underline-offset-4 hover:underline max-md:grid-cols-[4.5rem_minmax(0,1fr)]"
          >
            <b class="text-xl">{{ order.number }}</b>
            <span class="break-words">{{ session.isTechnician ? order.member : '' }}</span>
            <span class="break-words max-md:col-span-2"
              ><b>{{ filmWords(order) }}</b
              ><br /><span class="text-quiet">{{ bathWords(order) }}</span></span
            >
            <span class="max-md:col-span-2"
              ><b v-if="order.critical" class="block">◆ only negatives</b
              >{{ order.wantedBy === null ? 'no hurry' : `by ${showMoment(order.wantedBy, zone)}` }}<br /><span class="text-quiet">{{
                stateWords(order)
              }}</span
              ><span v-if="whenWords(order, zone)" class="block text-quiet">{{ whenWords(order, zone) }}</span></span
            >
          </RouterLink>
        </li>
      </ul>
      <section v-if="over.rows.value.length > 0" aria-labelledby="over">
        <h2 id="over" class="mb-2 text-2xl font-bold">Before</h2>
        <ul>
          <li v-for="order in over.rows.value" :key="order.id" class="border-b border-line">
            <RouterLink
              :to="`/rota/orders/${order.id}`"
              class="flex min-h-12 flex-wrap items-center gap-x-4 underline-offset-4 hover:underline"
            >
              <b>{{ order.number }}</b>
              <span>{{ order.member }}</span>
              <span class="break-words">{{ filmWords(order) }}</span>
              <span class="text-quiet">{{ stateWords(order) }}</span>
            </RouterLink>
          </li>
        </ul>
        <button v-if="over.hasMore.value" class="button mt-4" :disabled="over.busy.value" @click="over.more()">Show more</button>
      </section>
    </WaitFor>
    <OrderForm v-if="handing" :order="null" @close="handing = false" @kept="kept" />
  </div>
</template>
