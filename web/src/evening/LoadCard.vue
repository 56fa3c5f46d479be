<script setup lang="ts">
import { showTime, type EveningLoad, type Finding, type Plan, type TestBefore } from '@selvrin/core'
import type { FilmOrder } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import BathMark from '../marks/BathMark.vue'
import FindingList from '../marks/FindingList.vue'
import { showClock } from '../marks/words'
import { filmWords } from '../order/orderWords'
import type { Block } from './board'

/** One load: whose it is, its steps with their times, what has to be tested before it, and what can be done with it. */
const { load, block, plan, orders, zone, movable } = defineProps<{
  load: EveningLoad
  block: Block
  plan: Plan | null
  tests: TestBefore[]
  against: Finding[]
  orders: FilmOrder[]
  leader: string
  clock: (s: number) => string
  zone: string
  busy: boolean
  movable: boolean
  /** what stands in the way a second earlier; null where nobody asked */
  why: string[] | null
}>()
defineEmits<{ why: []; fix: []; takeOut: []; begin: []; split: [order: string]; merge: []; send: []; rebottle: [] }>()
/** its steps are shown as well */
const wide = ref(false)
const steps = computed(() => block.segments.filter((one) => one.toS > one.fromS))
const changed = computed(() =>
  orders.filter((order) =>
    load.request.films.some(
      (film, i) => load.orders[i] === order.id && (film.film !== order.film || film.ei !== order.ei || film.format !== order.format),
    ),
  ),
)
</script>

<template>
  <section class="card" :aria-label="`Load of ${block.owners}`">
    <div class="flex flex-wrap items-start gap-x-6 gap-y-3">
      <div class="min-w-64 flex-1">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <h2 class="text-2xl font-bold">{{ block.owners }}</h2>
          <p class="text-lg">
            <b class="font-mono">{{ clock(block.startS) }}</b> to <b class="font-mono">{{ clock(block.endS) }}</b>{{
              block.lateS > 0 ? `, ${showTime(block.lateS)} past ${showClock(load.dueAt, zone)}` : ''
            }}
          </p>
          <p class="text-lg">{{ block.how }}, {{ plan?.vessel.name }}, led by {{ leader }}</p>
        </div>
        <ul class="flex flex-wrap gap-x-6">
          <li v-for="order in orders" :key="order.id" class="flex flex-wrap items-center gap-x-3">
            <RouterLink :to="`/rota/orders/${order.id}`" class="link inline-flex min-h-11 items-center"
              >{{ order.number }} {{ order.member }}: {{ filmWords(order) }}</RouterLink
            >
            <button v-if="movable && orders.length > 1" class="button" @click="$emit('split', order.id)">Part {{ order.member }}’s</button>
          </li>
        </ul>
        <p v-if="changed.length > 0" class="border-l-4 border-alarm pl-3 font-semibold">
          {{ changed.map((order) => `Order ${order.number}`).join(', ') }} changed since. Take it out, and put it in again.
        </p>
      </div>
      <ol
        v-if="wide"
        class="grid min-w-64 flex-[2] grid-flow-col grid-rows-[repeat(5,auto)] gap-x-6 max-lg:grid-flow-row max-lg:grid-rows-none"
        aria-label="Steps"
      >
        <li v-for="(one, i) in steps" :key="i" class="flex items-center gap-2">
          <span class="w-24 shrink-0 font-mono">{{ clock(one.fromS) }}</span>
          <BathMark v-if="one.family !== 'loading' && one.family !== 'dry'" :family="one.family" :size="18" /><span
            v-else
            class="w-[18px]"
          />
          {{ one.name }}<span class="font-mono text-quiet">{{ showTime(one.toS - one.fromS) }}</span>
        </li>
      </ol>
    </div>
    <FindingList v-if="against.length > 0" class="mt-3" :findings="against" />
    <p v-if="tests.length > 0" class="border-l-4 border-ink pl-3">
      Before it:
      <template v-for="(test, i) in tests" :key="`${test.bottleId} ${test.kind}`"
        >{{ i > 0 ? '; ' : ''
        }}<RouterLink :to="`/proofs/${test.kind}/${test.bottleId}`" class="link inline-flex min-h-11 items-center"
          >{{ test.label }}, {{ test.name.toLowerCase() }}</RouterLink
        ></template
      >
    </p>
    <div v-if="why !== null" class="mt-3 border-l-4 border-ink pl-3 text-lg" role="status">
      <template v-if="why.length > 0"
        ><b>Not a second earlier:</b> <span v-for="(one, i) in why" :key="i" class="block">{{ one }}</span></template
      >
      <template v-else>It could begin earlier: nothing is in its way. Drag it, or arrange anew.</template>
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <RouterLink v-if="block.runId" :to="`/tanks/${block.runId}`" class="button button-main">To run {{ block.run }}</RouterLink>
      <button v-else class="button button-main" :disabled="busy" @click="$emit('begin')">To the tank</button>
      <button class="button" :aria-pressed="wide" @click="wide = !wide">Its steps</button>
      <button class="button" :aria-pressed="why !== null" @click="$emit('why')">Why not earlier?<kbd class="ml-2 font-mono">W</kbd></button>
      <template v-if="movable">
        <button class="button" :disabled="busy" :aria-pressed="load.fixed" @click="$emit('fix')">
          {{ load.fixed ? 'Let it move' : 'Fix it there' }}<kbd class="ml-2 font-mono">F</kbd>
        </button>
        <button v-if="against.length > 0" class="button" :disabled="busy" @click="$emit('rebottle')">Other bottles</button>
        <button class="button" :disabled="busy" @click="$emit('merge')">Put together with …</button>
        <button class="button" :disabled="busy" @click="$emit('send')">Another evening</button>
        <button class="button" :disabled="busy" @click="$emit('takeOut')">Take it out</button>
      </template>
    </div>
  </section>
</template>
