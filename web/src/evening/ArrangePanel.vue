<script setup lang="ts">
import { darkroomOf, movedIn, ordersMoved, withOtherBottles, withPlaces, type EveningBody } from '@selvrin/core'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import { counted, showClock } from '../marks/words'
import { inArranging } from '../rota/arranging'
import { eveningSeed, searchMs, searchRounds } from './patience'
import type { EveningView } from './useEvening'

/** An evening arranged: what would move is shown, and taken or left as a whole. As little as does the job, or all of it as well as can be. */
const { view } = defineProps<{ view: EveningView }>()
const emit = defineEmits<{ close: [] }>()
const { evening, house, runs, orders, names, busy, problem, send } = view
const zone = computed(() => house.value?.zone ?? 'UTC')

const how = ref<'least' | 'best'>('least')
/** share of the time it may take that is over */
const share = ref<number | null>(null)
const found = shallowRef<EveningBody | null>(null)
const failed = ref('')
let cancel: () => void = () => undefined
onBeforeUnmount(() => cancel())

async function look(): Promise<void> {
  const [{ value: current }, { value: stands }] = [evening, house]
  if (!current || !stands) return
  cancel()
  found.value = null
  failed.value = ''
  share.value = 0
  const began = performance.now()
  const told = (): void => void (share.value = Math.min(1, (performance.now() - began) / searchMs))
  try {
    // what its bottles do not bear is looked for in others first
    const body = withOtherBottles(current.body, stands, runs.value, { orders: orders.value, now: now() })
    if (how.value === 'least') {
      const going = inArranging(
        'rearrange',
        { body, house: stands, runs: runs.value, now: now() },
        { seed: eveningSeed, rounds: searchRounds.least, ms: searchMs },
        told,
      )
      cancel = going.cancel
      found.value = (await going.answer)?.body ?? null
    } else {
      const asked = darkroomOf(body, stands, runs.value, { now: now() })
      const going = inArranging('arrange', asked, { seed: eveningSeed, rounds: searchRounds.best, ms: searchMs }, told)
      cancel = going.cancel
      const plan = await going.answer
      found.value = plan && withPlaces(body, plan, zone.value)
    }
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error)
  }
  share.value = null
}
onMounted(() => void look())
function choose(other: 'least' | 'best'): void {
  how.value = other
  void look()
}
const moved = computed(() => (evening.value && found.value ? movedIn(evening.value.body, found.value) : []))
/** Loads that would go through other bottles, with what stands on their tapes. */
const rebottledLoads = computed(() =>
  (found.value?.loads ?? []).flatMap((load) => {
    const old = evening.value?.body.loads.find((one) => one.id === load.id)
    const fresh = load.request.baths.filter(
      (bath) => !old?.request.baths.some((one) => one.role === bath.role && one.bottleId === bath.bottleId),
    )
    const labels = fresh.map((bath) => house.value?.bottles.find((one) => one.shelf.id === bath.bottleId)?.shelf.label ?? '')
    return old && labels.length > 0 ? [`${names.value?.load(load.id)}: ${labels.join(', ')}`] : []
  }),
)
const changes = computed(() => moved.value.length + rebottledLoads.value.length)
const told = computed(() => (evening.value && found.value ? ordersMoved(evening.value.body, found.value) : []))
const people = computed(() => [...new Set(told.value.map((id) => orders.value.find((one) => one.id === id)?.member ?? ''))])
const without = computed(() => found.value?.loads.filter((load) => load.place === null) ?? [])
const when = (at: number | null): string => (at === null ? 'no place' : showClock(at, zone.value))
const vesselOf = (id: string): string => {
  const place = found.value?.loads.find((one) => one.id === id)?.place
  return place ? (names.value?.vessel(place.vesselId) ?? '') : ''
}
async function take(): Promise<void> {
  if (found.value && (await send('arranged', found.value))) emit('close')
}
const blocked = computed(() => evening.value?.body.people.length === 0)
const nothing = computed(() => (evening.value?.body.loads.length ?? 0) === 0)
</script>

<template>
  <ModalPanel open wide title="Arrange the evening" @close="$emit('close')">
    <p v-if="nothing" class="text-lg">There is nothing in this evening yet. Put orders in first.</p>
    <p v-else-if="blocked" class="text-lg">Nobody is on duty: say who is, under People, hours.</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap gap-2" role="group" aria-label="How">
        <button class="button" :aria-pressed="how === 'least'" @click="choose('least')">As little as does the job</button>
        <button class="button" :aria-pressed="how === 'best'" @click="choose('best')">All of it as well as can be</button>
      </div>
      <ProgressBar v-if="share !== null" :share="share" words="Looking for a plan" :stoppable="false" />
      <ProblemLine :problem="failed || problem" />
      <div v-if="found" role="status">
        <p class="mb-2 text-xl">
          <b v-if="moved.length === 0">Nothing would move.</b>
          <template v-else
            ><b>{{ counted(moved.length, 'load') }}</b> would have another place;
            {{ people.length === 0 ? 'nobody has to be told.' : `to be told: ${people.join(', ')}.` }}</template
          >
        </p>
        <ul class="mb-3 max-h-80 overflow-y-auto" tabindex="0" aria-label="What would move">
          <li
            v-for="one in moved"
            :key="one.load"
            class="grid grid-cols-[minmax(0,1fr)_6rem_6rem_8rem] gap-3 border-b border-line py-1 max-sm:grid-cols-2"
          >
            <b>{{ names?.load(one.load) }}</b>
            <span class="font-mono text-quiet">{{ one.before === null ? 'new' : when(one.before) }}</span>
            <span class="font-mono font-bold">{{ one.sameTime ? 'same time' : when(one.after) }}</span>
            <span>{{ vesselOf(one.load) }}</span>
          </li>
        </ul>
        <p v-if="rebottledLoads.length > 0" class="mb-3"><b>Other bottles</b> for {{ rebottledLoads.join('; ') }}.</p>
        <p v-if="without.length > 0" class="mb-3 border-l-4 border-alarm pl-3 font-semibold">
          Without a place: {{ without.map((load) => names?.load(load.id) ?? '').join(', ') }}.
        </p>
      </div>
    </template>
    <div class="mt-4 flex flex-wrap gap-3">
      <button v-if="found && changes > 0" class="button button-main" :disabled="busy" @click="take">Take it</button>
      <button class="button" @click="$emit('close')">Leave it as it is</button>
    </div>
  </ModalPanel>
</template>
