<script setup lang="ts">
import { closuresOf, roomBody, type RoomBody } from '@selvrin/core'
import { type Room, eveningApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, watch } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { now } from '../clock'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useTyping } from '../hand/typed'
import { counted } from '../marks/words'
import WallKeys from '../wall/WallKeys.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import FaultList from './FaultList.vue'
import LitRooms from './LitRooms.vue'
import PrintingShares from './PrintingShares.vue'
import { readRoom, writeRoom, type RoomDraft } from './roomDraft'

/** What the room has, and when it is open: evenings are planned with it. And what is out of order in it. */
const session = useSession()
const show = useShow()
const unit = computed(() => show.temperatureUnit())
const page = usePage(
  (signal) => call(eveningApi.room, { signal }),
  (event) => event.subject === 'room',
)
onMounted(() => void page.load())
/** as it was when it was opened: what somebody else makes of it meanwhile is not written over unseen */
const seen = ref<Room | null>(null)
const draft = ref<RoomDraft | null>(null)
watch(page.value, (current) => {
  if (!current || draft.value) return
  seen.value = current
  draft.value = writeRoom(current, session.manner)
})
const typed = useTyping()
const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const { busy, problem, current, act } = useAction()
const wrong = ref('')
const said = ref('')
const others = computed(() => current.value !== null)
async function keep(): Promise<void> {
  if (!draft.value || !seen.value) return
  ;[wrong.value, said.value] = ['', '']
  let body: RoomBody
  try {
    body = roomBody.parse(readRoom(draft.value, session.manner))
  } catch (error) {
    const [issue] = (error as { issues?: { message: string }[] }).issues ?? []
    return void (wrong.value = issue?.message ?? (error as Error).message)
  }
  // who was told of the other's says theirs again
  const version = (current.value as Room | null)?.version ?? seen.value.version
  let released = 0
  const good = await act(async () => {
    const { released: lost, ...room } = await call(eveningApi.changeRoom, { body: { version, ...body } })
    ;[seen.value, released] = [room, lost]
  })
  if (!good || !seen.value) return
  draft.value = writeRoom(seen.value, session.manner)
  const told = released === 0 ? '' : ` ${counted(released, 'printing place')} could not stay; whose they were is told.`
  said.value = `Kept. Evenings are planned with it from now on.${told}`
}
function addBath(): void {
  draft.value?.baths.push({ id: uuid(), name: '', startC: '', heatCPerMin: '', coolCPerMin: '', places: '4' })
  typed()
}
const imported = ref('')
/** Closures of a calendar file come into the form; they count once it is kept. */
async function importCalendar(input: HTMLInputElement): Promise<void> {
  const [file] = input.files ?? []
  if (!file || !draft.value) return
  ;[imported.value, wrong.value] = ['', '']
  try {
    const there = new Set(draft.value.closures.map((one) => JSON.stringify(one)))
    const found = closuresOf(await file.text(), now(), session.session?.darkroom.zone ?? 'UTC')
    const fresh = found.filter((one) => !there.has(JSON.stringify(one)))
    draft.value.closures.push(...fresh)
    if (fresh.length > 0) typed()
    imported.value = `${fresh.length} of ${found.length} closures were new. Keep them below.`
  } catch (error) {
    wrong.value = sentence(error)
  }
  input.value = ''
}
function addClosure(): void {
  draft.value?.closures.push({ from: '', until: '', why: '' })
  typed()
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/rota" class="link inline-flex min-h-11 items-center">← Rota</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">The room</h1>
    <FaultList class="mb-8" />
    <PageState
      v-if="!draft"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the room"
      back="To the Rota"
      back-to="/rota"
    />
    <form v-else class="space-y-8" novalidate @submit.prevent="keep">
      <section aria-labelledby="hours">
        <h2 id="hours" class="mb-2 text-2xl font-bold">Opening hours</h2>
        <p class="mb-2 text-quiet">Leave both empty where it is closed that day.</p>
        <div v-for="(day, i) in days" :key="day" class="mb-1 grid grid-cols-[8rem_8rem_8rem] items-end gap-3 max-sm:grid-cols-2">
          <p class="self-center font-semibold max-sm:col-span-2">{{ day }}</p>
          <TextField v-model="draft.hours[i]!.opens" :label="`${day} from`" />
          <TextField v-model="draft.hours[i]!.closes" :label="`${day} to`" />
        </div>
      </section>
      <section aria-labelledby="closures">
        <h2 id="closures" class="mb-2 text-2xl font-bold">Closed</h2>
        <div
          v-for="(one, i) in draft.closures"
          :key="i"
          class="mb-2 grid grid-cols-[10rem_10rem_minmax(0,1fr)_auto] items-end gap-3 max-sm:grid-cols-2"
        >
          <TextField v-model="one.from" label="From" hint="2026-12-24" />
          <TextField v-model="one.until" label="to" hint="2027-01-02" />
          <TextField v-model="one.why" label="Why" />
          <button type="button" class="button" @click="draft.closures.splice(i, 1)">Take away</button>
        </div>
        <div class="flex flex-wrap gap-3">
          <button type="button" class="button" @click="addClosure">Another closure</button>
          <label class="button cursor-pointer"
            >From a calendar file
            <input type="file" accept=".ics,text/calendar" class="sr-only" @change="importCalendar($event.target as HTMLInputElement)" />
          </label>
        </div>
        <p v-if="imported" role="status" class="mt-2">{{ imported }}</p>
      </section>
      <section aria-labelledby="places">
        <h2 id="places" class="mb-2 text-2xl font-bold">Places</h2>
        <div class="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
          <TextField v-model="draft.closets" label="Loading in the dark" hint="loads at once" />
          <TextField v-model="draft.washPlaces" label="In the wash" hint="tanks at once" />
          <TextField v-model="draft.printPlaces" label="Enlargers" />
          <TextField v-model="draft.resetHand" label="Hand tank, rinsed to dry" hint="minutes" />
          <TextField v-model="draft.resetRotary" label="Drum, rinsed to dry" hint="minutes" />
          <TextField v-model="draft.hands" label="People at an ordinary opening" hint="whose hands may be counted on" />
          <TextField v-model="draft.cleanMinutes" label="Cleaning before closing" hint="minutes" />
        </div>
        <p class="mt-2 text-quiet">How many films the dryer holds is said in the settings; tanks and drums stand under Tanks.</p>
      </section>
      <PrintingShares v-model="draft.printing" />
      <LitRooms v-model="draft.rooms" />
      <section aria-labelledby="baths">
        <h2 id="baths" class="mb-2 text-2xl font-bold">Tempering baths</h2>
        <div
          v-for="(one, i) in draft.baths"
          :key="one.id"
          class="mb-3 grid grid-cols-3 items-end gap-3 border-b border-line pb-3 max-sm:grid-cols-1"
        >
          <TextField v-model="one.name" label="Name" />
          <TextField v-model="one.startC" label="Stands at" :hint="`${unit}, before it is switched on`" />
          <TextField v-model="one.places" label="Tanks at once" />
          <TextField v-model="one.heatCPerMin" label="Heats" :hint="`${unit} a minute`" />
          <TextField v-model="one.coolCPerMin" label="Cools" :hint="`${unit} a minute`" />
          <button type="button" class="button justify-self-start" @click="draft.baths.splice(i, 1)">Take away</button>
        </div>
        <button type="button" class="button" @click="addBath">Another bath</button>
      </section>
      <ProblemLine :problem="wrong || problem" />
      <p v-if="others" class="border-l-4 border-ink pl-3">Keep it again, and yours stands.</p>
      <p v-if="said" role="status" class="text-lg font-semibold">{{ said }}</p>
      <button class="button button-main" :disabled="busy">Keep it so</button>
    </form>
    <WallKeys class="mt-8" />
  </div>
</template>
