<script setup lang="ts">
import { dayMs, loadsFor } from '@selvrin/core'
import type { FilmOrder } from '@selvrin/core/contract'
import { watchDebounced } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import TickBox from '../fields/TickBox.vue'
import { counted, showMoment } from '../marks/words'
import { dayWords, filmWords } from '../order/orderWords'
import type { EveningView } from './useEvening'
import { useFound } from './useFound'

/** Orders of the rack that come into this evening: which, and what they make together. */
const { view, waiting, waits } = defineProps<{ view: EveningView; waiting: FilmOrder[]; /** in all */ waits: number }>()
const emit = defineEmits<{ close: [] }>()
const { evening, house, busy, problem, send } = view
const zone = computed(() => house.value?.zone ?? 'UTC')
/** orders that are chosen without anybody's doing: as many as an evening may hold */
const mostChosen = 40
const words = ref('')
const { kept: found, ask, problem: notFound } = useFound(view)
watchDebounced(words, (now) => void ask(now), { debounce: 250 })
/** As they were told: whose owner waits, then what is wanted soonest; while one looks for words, what has them. */
const offered = computed(() => (words.value.trim() === '' ? waiting : waiting.filter((order) => found.value.has(order.id))))
/** What was promised for that day, or before it; and of what has no day yet whose time comes before the evening is over, and who waits. */
const belongs = ({ promisedFor, present, wantedBy }: FilmOrder): boolean =>
  promisedFor !== null
    ? promisedFor <= (evening.value?.day ?? '')
    : present || wantedBy === null || wantedBy < (evening.value?.body.closesAt ?? 0) + 2 * dayMs
/** They are in it unless somebody says otherwise. */
const chosen = ref(
  new Set(
    waiting
      .filter(belongs)
      .slice(0, mostChosen)
      .map((one) => one.id),
  ),
)
function toggle(id: string): void {
  const next = new Set(chosen.value)
  if (!next.delete(id)) next.add(id)
  chosen.value = next
}
const made = computed(() => {
  if (!evening.value || !house.value) return null
  return loadsFor(
    waiting.filter((order) => chosen.value.has(order.id)),
    evening.value.body,
    house.value,
    uuid,
  )
})
const leftOf = (id: string): string | undefined => made.value?.left.find((one) => one.order === id)?.message
async function putIn(): Promise<void> {
  if (!evening.value || !made.value) return
  const good = await send('put-in', { ...evening.value.body, loads: [...evening.value.body.loads, ...made.value.loads] })
  if (good) emit('close')
}
</script>

<template>
  <ModalPanel open wide title="Put orders in" @close="$emit('close')">
    <p v-if="waiting.length === 0" class="text-lg">Nothing waits in the rack.</p>
    <TextField v-if="waits > 12" v-model="words" class="mb-3" label="Find an order" hint="its number, member or film" />
    <p v-if="words.trim() === '' && waits > waiting.length" class="mb-2 text-quiet">
      {{ waiting.length }} of {{ waits }} that wait, the most pressing first. The others are found by their words.
    </p>
    <ul class="max-h-[26rem] overflow-y-auto">
      <li v-for="order in offered" :key="order.id" class="border-b border-line">
        <TickBox class="w-full" :checked="chosen.has(order.id)" @change="toggle(order.id)">
          <span class="flex min-w-0 flex-1 flex-wrap items-center gap-x-3">
            <b class="w-10">{{ order.number }}</b>
            <span class="w-32">{{ order.member }}</span>
            <span class="min-w-48 flex-1">{{ filmWords(order) }}{{ order.critical ? ' ◆' : '' }}</span>
            <span class="text-quiet"
              >{{ order.promisedFor === null ? '' : `promised for ${dayWords(order.promisedFor)}, `
              }}{{ order.wantedBy === null ? 'no hurry' : `by ${showMoment(order.wantedBy, zone)}` }}</span
            >
          </span>
        </TickBox>
        <p v-if="leftOf(order.id)" class="mb-2 border-l-4 border-alarm pl-3">{{ leftOf(order.id) }}</p>
      </li>
    </ul>
    <p v-if="words.trim() !== '' && offered.length === 0" role="status">No order that waits has these words.</p>
    <p v-if="made" class="mt-3 text-lg" role="status">
      {{ counted(chosen.size, 'order') }} chosen.
      {{ made.loads.length === 0 ? 'No load comes of it.' : `They make ${counted(made.loads.length, 'load')}.` }}
    </p>
    <ProblemLine :problem="problem || notFound" />
    <div class="mt-4 flex flex-wrap gap-3">
      <button class="button button-main" :disabled="busy || !made || made.loads.length === 0" @click="putIn">Put them in</button>
      <button class="button" @click="$emit('close')">Not now</button>
    </div>
  </ModalPanel>
</template>
