<script setup lang="ts">
import {
  discardedOf,
  drumNames,
  drumOf,
  showTime,
  usesAtEnd,
  wipingNames,
  wipings,
  type Drum,
  type Dryer,
  type RunClock,
  type Wiping,
} from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { computed, onMounted, reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { now } from '../clock'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useClocks } from './clocks'
import { deviceName } from './device'
import { endings, saidHere, sendEnding } from './endings'
import IntoDrum from '../sink/IntoDrum.vue'
import { pourAway } from '../sink/pourAway'
import TakeOverPanel from './TakeOverPanel.vue'
import { useTyped } from '../hand/typed'
import { useKept } from '../hand/useKept'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** A bath that ran over by more than this asks why. s */
const tolerated = 15
const { run, clock } = defineProps<{ run: Run; clock: RunClock }>()
const clocks = useClocks()
const { busy, problem, act } = useAction()
useTyped()
const note = ref('')
const wiping = ref<Wiping | null>('none')
const dryer = ref<Dryer | null>('air')
useKept('dryer used', dryer)
const wipings_ = wipings.map((value) => ({ value, name: wipingNames[value] }))
const dryers_ = [
  { value: 'air' as const, name: 'In air' },
  { value: 'cabinet' as const, name: 'In the cabinet' },
]
const endAt = Math.round(now())
const show = useShow()
const session = useSession()
const drumIds = reactive<Partial<Record<Drum, string | null>>>({})
const reasons = reactive<Record<number, string>>({})
const over = computed(() => clock.times.filter((time) => clock.course[time.step]?.bottle && (time.held || time.overS > tolerated)))
const back = computed(() => usesAtEnd(run.plan).map((use) => clock.course.find((step) => step.bottle?.id === use.bottleId)?.bottle?.label))

/** Where what was made up for it goes: by what is in it, as the house knows; without an answer by what kind of bath it is. */
const goes = usePage((signal) => call(api.run.goes, { params: { id: run.id }, signal }))
onMounted(() => void goes.load())
const away = computed(() =>
  discardedOf(run.plan).map(({ ml, note: of, family, bottleId, drum: named }) => {
    const known = goes.value.value?.drums[bottleId]
    const drum = named ?? (known === undefined ? drumOf({ family, additions: [] }) : known)
    return { ml, note: of, drum, goes: drum ? `goes to the drum of ${drumNames[drum]}` : 'goes where your local rules say' }
  }),
)

async function finish(): Promise<void> {
  for (const time of over.value) {
    const text = reasons[time.step]?.trim()
    const known = (clocks.events.get(run.id) ?? []).some(
      (event) => event.kind === 'reason' && event.step === time.step && event.text === text,
    )
    if (text && !known) await clocks.note(run.id, { kind: 'reason', step: time.step, text })
  }
  const body = {
    ...{ version: run.version, at: endAt, note: note.value, device: deviceName() },
    hung: { wiping: wiping.value ?? 'none', dryer: dryer.value ?? 'air' },
    events: saidHere(clocks.events.get(run.id)),
  }
  await act(async () => {
    const done = await sendEnding(run.id, body)
    // the run stands whatever becomes of its drums: what none takes waits in the sink
    if (done && session.isTechnician) await pourAway(run.number, drumIds).catch(() => undefined)
    if (done) clocks.put(done)
    else void clocks.send()
  })
}
/** Written down here while the server is away: it is sent by itself. */
const waits = computed(() => endings.value.has(run.id))
const led = computed(() => clocks.ledBy(run.id) !== null)
const taking = ref(false)
</script>

<template>
  <div v-if="waits && !busy" class="station space-y-4" role="status">
    <h1 class="text-5xl font-bold">Run {{ run.number }} is written down on this device</h1>
    <p class="text-2xl">
      The server does not answer. It gets the run as soon as it is back, once; this page can be left, and this device switched off and on.
    </p>
    <p v-if="clocks.keepsNothing" class="font-bold">
      But this device keeps nothing: its storage is blocked or full. Leave this page open until the server has it.
    </p>
    <button class="button button-main" @click="clocks.send()">Try now</button>
  </div>
  <div v-else-if="led" class="station space-y-4">
    <h1 class="text-5xl font-bold">Run {{ run.number }} is out</h1>
    <p class="text-2xl">Another device leads it and writes it down. Here it can be done only after it was taken over.</p>
    <button class="button button-main" @click="taking = true">Take it over</button>
    <TakeOverPanel :run="run" :open="taking" @close="taking = false" />
  </div>
  <form v-else class="station space-y-6" @submit.prevent="finish">
    <h1 class="text-5xl font-bold">Run {{ run.number }} is out</h1>
    <p class="text-2xl">
      Hang {{ run.filmRows.length === 1 ? 'it' : 'them' }} up, weighted, out of dust and draught.
      {{ back.length > 0 ? `Pour back ${back.join(' and ')}.` : '' }}
    </p>
    <div v-for="one in away" :key="one.note">
      <p class="text-xl">{{ show.volume(one.ml) }} of {{ one.note }} {{ one.goes }}.</p>
      <IntoDrum
        v-if="session.isTechnician && one.drum"
        :model-value="drumIds[one.drum] ?? null"
        class="max-w-xl"
        :family="one.drum"
        :ml="one.ml"
        @update:model-value="drumIds[one.drum] = $event"
      />
    </div>
    <p v-if="session.isTechnician && away.length > 0" class="text-quiet">
      The first water after the fixer goes with it, where it carries too much silver.
    </p>
    <div class="flex flex-wrap gap-x-10 gap-y-4">
      <div>
        <p class="font-semibold">Before hanging</p>
        <PressOne v-model="wiping" label="Before hanging" :choices="wipings_" size="large" />
      </div>
      <div>
        <p class="font-semibold">Hung up</p>
        <PressOne v-model="dryer" label="Hung up" :choices="dryers_" size="large" />
      </div>
    </div>
    <div v-for="time in over" :key="time.step" class="max-w-xl">
      <TextField
        :model-value="reasons[time.step] ?? ''"
        :label="`${clock.course[time.step]?.name} ran ${showTime(time.overS)} over${time.held ? ', held' : ''}: why?`"
        @update:model-value="(text: string) => (reasons[time.step] = text)"
      />
    </div>
    <div class="max-w-xl"><TextField v-model="note" label="Note on the run, if any" multiline /></div>
    <ProblemLine :problem="problem" />
    <button class="button button-main min-h-16 px-8" :disabled="busy" data-next>Write it down: tallies and films</button>
  </form>
</template>
