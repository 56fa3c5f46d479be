<script setup lang="ts">
import {
  clockAt,
  isMovable,
  meetingWords,
  meets,
  rebottled,
  splitLoad,
  whyNotEarlier,
  withPlaces,
  type EveningBody,
  type EveningLoad,
} from '@selvrin/core'
import { eveningApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useKeys } from '../hand/keys'
import { counted, showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ArrangePanel from './ArrangePanel.vue'
import BoardLanes from './BoardLanes.vue'
import EveningPeople from './EveningPeople.vue'
import HelpsPanel from './HelpsPanel.vue'
import LoadCard from './LoadCard.vue'
import MergePanel from './MergePanel.vue'
import MovingSays from './MovingSays.vue'
import PrintingPanel from './PrintingPanel.vue'
import PutInPanel from './PutInPanel.vue'
import SendPanel from './SendPanel.vue'
import { useEvening } from './useEvening'
import { useFree } from './useFree'
import { useMoving } from './useMoving'
import WithoutPlace from './WithoutPlace.vue'

/** The evening of a day: what is developed when, in what, by whom. */
const session = useSession()
const show = useShow()
const router = useRouter()
const view = useEvening(String(useRoute().params.id))
const { page, evening, house, runs, orders, asIs, names, board, time, busy, problem, send, undo } = view
const zone = computed(() => house.value?.zone ?? session.session?.darkroom.zone ?? 'UTC')
const lanes = useTemplateRef<InstanceType<typeof BoardLanes>>('lanes')

const selected = ref<string | null>(null)
const load = computed(() => evening.value?.body.loads.find((one) => one.id === selected.value) ?? null)
const block = computed(() => board.value?.blocks.find((one) => one.load === selected.value) ?? null)
const ground = () =>
  asIs.value && names.value ? { problem: asIs.value.problem, placed: asIs.value.rota.placed, names: names.value } : null
const mover = useMoving(ground)
const standing = computed(ground)
const free = useFree(
  () => standing.value,
  () => selected.value,
)
const clock = (s: number): string => (names.value ? clockAt(names.value, s) : '')
const nowS = computed(() => (names.value ? Math.floor((time.value - names.value.midnight) / 1000) : 0))

/** What is put down where it meets something goes back. */
async function drop(): Promise<void> {
  const { value: moved } = mover.moving
  if (!moved || !evening.value) return
  if (moved.meets.length === 0) {
    const placed = { rota: { placed: [moved.place], unplaced: [] }, left: [] }
    await send('moved', withPlaces(evening.value.body, placed, zone.value))
  } else problem.value = `It went back. ${mover.says.value[0] ?? ''}`
  mover.leave()
}
const withLoad = (change: (one: EveningLoad) => EveningLoad): EveningBody | null =>
  evening.value && { ...evening.value.body, loads: evening.value.body.loads.map((one) => (one.id === selected.value ? change(one) : one)) }
async function fix(): Promise<void> {
  const body = withLoad((one) => ({ ...one, fixed: !one.fixed }))
  if (body) await send('fixed', body)
}
async function takeOut(id: string): Promise<void> {
  const { value: now } = evening
  if (!now) return
  await send('taken-out', { ...now.body, loads: now.body.loads.filter((one) => one.id !== id) })
  if (selected.value === id) selected.value = null
}
async function split(order: string): Promise<void> {
  const { value: now } = evening
  if (!now || !load.value) return
  const [rest, apart] = splitLoad(load.value, order, uuid())
  await send('split', { ...now.body, loads: now.body.loads.flatMap((one) => (one.id === rest.id ? [rest, apart] : [one])) })
}
/** Bottles that have enough for it, where others have not. */
async function rebottle(id: string): Promise<void> {
  const [{ value: now }, { value: stands }] = [evening, house]
  const old = now?.body.loads.find((one) => one.id === id)
  if (!now || !stands || !old) return
  const made = rebottled(old, now.body, stands, orders.value)
  if (!made) return void (problem.value = `No other bottles have enough for ${names.value?.load(id)}: mix one, or part the load.`)
  await send('rebottled', { ...now.body, loads: now.body.loads.map((one) => (one.id === id ? made : one)) })
}
async function begin(): Promise<void> {
  const [{ value: now }, id] = [evening, selected.value]
  if (!now || !id) return
  const good = await view.act(() => call(eveningApi.begin, { params: { id: now.id, loadId: id }, body: { version: now.version } }))
  if (good) await router.push(`/tanks/${id}`)
}
const why = computed((): string[] => {
  const at = ground()
  if (!at || !selected.value) return []
  const stepsOf = (id: string): number => at.problem.loads.find((one) => one.id === id)?.steps.length ?? 0
  return whyNotEarlier(at.problem, at.placed, selected.value).map((meeting) => meetingWords(meeting, at.names, stepsOf))
})
const asking = ref<'why' | null>(null)
const panel = ref<'arrange' | 'helps' | 'people' | 'put-in' | 'merge' | 'send' | 'printing' | null>(null)
const waiting = computed(() => {
  const inIt = new Set(evening.value?.body.loads.flatMap((one) => one.orders) ?? [])
  const closesAt = evening.value?.body.closesAt ?? 0
  // what is found by its words may come only later
  const inTime = ({ earliest }: (typeof orders.value)[number]): boolean => earliest === null || earliest < closesAt
  return orders.value.filter((order) => order.state === 'waiting' && inTime(order) && !inIt.has(order.id))
})
const waits = computed(() => page.value.value?.waiting ?? 0)
const late = computed(() => board.value?.blocks.filter((one) => one.lateS > 0) ?? [])
/** What is wrong with the evening as it stands, load by load. */
const troubles = computed((): string[] => {
  const at = standing.value
  const now = asIs.value
  if (!at || !now) return []
  const begun = new Set((now.evening.begun ?? []).map((one) => one.load.id))
  const stepsOf = (id: string): number => at.problem.loads.find((one) => one.id === id)?.steps.length ?? 0
  return at.placed.flatMap((one) => {
    if (begun.has(one.load)) return []
    const own = meets(at.problem, at.placed, one).map((meeting) =>
      meeting.kind === 'ready' && meeting.atS === nowS.value ? 'It should have begun.' : meetingWords(meeting, at.names, stepsOf),
    )
    const bottles = (now.against[one.load] ?? []).map((finding) => finding.message)
    return [...bottles, ...own].slice(0, 1).map((words) => `${at.names.load(one.load)}: ${words}`)
  })
})
const summary = computed(() => {
  const { value: now } = board
  if (!now) return ''
  const rolls = `${counted(now.rolls, 'film')} in ${counted(now.blocks.length + now.without.length, 'load')}`
  const hangs =
    now.blocks.length > 0 ? ` · last film hangs ${clock(60 * Math.ceil(Math.max(...now.blocks.map((one) => one.endS)) / 60))}` : ''
  return `${rolls}${hangs} · ${late.value.length === 0 ? 'nobody late' : `late: ${late.value.map((one) => one.owners).join(', ')}`}`
})
/** Loads in the order in which they begin, for those who go through them by keys. */
const inOrder = computed(() => [...(board.value?.blocks ?? [])].sort((a, b) => a.startS - b.startS))
function step(by: number): boolean {
  const at = inOrder.value.findIndex((one) => one.load === selected.value)
  const next = inOrder.value[at + by] ?? inOrder.value[by > 0 ? 0 : inOrder.value.length - 1]
  if (!next) return false
  selected.value = next.load
  requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-load="${next.load}"]`)?.focus({ preventScroll: true }))
  return true
}
const keys: Record<string, () => unknown> = {
  a: () => (panel.value = 'arrange'),
  w: () => (asking.value = asking.value === 'why' ? null : 'why'),
  u: () => undo(),
  f: () => (load.value && block.value?.run === null ? fix() : undefined),
  i: () => (panel.value = 'put-in'),
  j: () => step(1),
  k: () => step(-1),
  '+': () => lanes.value?.nearer(),
  '-': () => lanes.value?.farther(),
  '0': () => lanes.value?.whole(),
}
useKeys((event) => {
  if (session.person?.letterKeys === false) return false
  const act = keys[event.key.toLowerCase()]
  if (act) void act()
  return act !== undefined
})
const movable = computed(() => load.value !== null && isMovable(load.value, runs.value))
</script>

<template>
  <div class="station">
    <RouterLink v-if="!board" to="/rota" class="link inline-flex min-h-11 items-center">← Rota</RouterLink>
    <PageState
      v-if="!evening || !board || !names"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="this evening"
      back="To the Rota"
      back-to="/rota"
    />
    <template v-else>
      <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <RouterLink to="/rota" class="link inline-flex min-h-11 items-center">← Rota</RouterLink>
        <h1 class="text-3xl font-bold">{{ showDate(evening.body.opensAt, zone) }}</h1>
        <p class="text-lg text-quiet" role="status">{{ summary }}</p>
        <div class="ml-auto flex flex-wrap gap-2">
          <button class="button" :disabled="busy || evening.last === null" @click="undo()">Undo<kbd class="ml-2 font-mono">U</kbd></button>
          <RouterLink class="button" :to="`/rota/evenings/${evening.id}/prep`">Before the doors</RouterLink>
          <button class="button" @click="panel = 'people'">People, hours</button>
          <button class="button" @click="panel = 'printing'">Who prints</button>
          <button v-if="waits > 0" class="button" @click="panel = 'put-in'">
            Put in, {{ waits }} wait<kbd class="ml-2 font-mono">I</kbd>
          </button>
          <button class="button" @click="panel = 'helps'">What would help?</button>
          <button class="button button-main" data-next @click="panel = 'arrange'">Arrange<kbd class="ml-2 font-mono">A</kbd></button>
        </div>
      </div>
      <ProblemLine :problem="problem" />
      <div v-if="troubles.length > 0" class="mb-2 border-l-4 border-alarm pl-3" role="status">
        <p class="font-semibold">It does not hold as it stands. Arrange it anew, or move what is in the way.</p>
        <p v-for="one in troubles.slice(0, 3)" :key="one">{{ show.said(one) }}</p>
        <p v-if="troubles.length > 3">And {{ troubles.length - 3 }} more.</p>
      </div>
      <p v-if="evening.body.people.length === 0" class="mb-2 border-l-4 border-alarm pl-3 font-semibold">
        Nobody is on duty: say who is, under People, hours.
      </p>
      <div class="relative">
        <MovingSays :mover="mover" :names="names" :clock="clock" />
        <BoardLanes
          ref="lanes"
          :board="board"
          :mover="mover"
          :selected="selected"
          :free="free"
          :now-s="nowS"
          :clock="clock"
          @select="selected = $event"
          @drop="drop"
        />
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-2">
        <button class="button" aria-label="Nearer" @click="lanes?.nearer()">Nearer +</button>
        <button class="button" aria-label="Farther" @click="lanes?.farther()">Farther −</button>
        <button class="button" @click="lanes?.whole()">The whole evening</button>
        <p class="text-quiet max-lg:hidden">J, K go through the loads; the arrow keys move one, Shift by a second; Enter puts it there.</p>
      </div>
      <LoadCard
        v-if="load && block"
        class="sticky bottom-0 z-20 mt-4 max-h-[44vh] overflow-y-auto border-2 border-ink"
        :load="load"
        :block="block"
        :plan="asIs?.plans[load.id] ?? null"
        :tests="asIs?.tests.filter((one) => one.load === load?.id) ?? []"
        :against="asIs?.against[load.id] ?? []"
        :orders="orders.filter((order) => load?.orders.includes(order.id))"
        :leader="names.person(block.person)"
        :clock="clock"
        :zone="zone"
        :busy="busy"
        :movable="movable"
        :why="asking === 'why' ? why : null"
        @why="asking = asking === 'why' ? null : 'why'"
        @fix="fix"
        @take-out="takeOut(load.id)"
        @split="split"
        @rebottle="rebottle(load.id)"
        @merge="panel = 'merge'"
        @send="panel = 'send'"
        @begin="begin"
      />
      <WithoutPlace v-if="board.without.length > 0" class="mt-4" :loads="board.without" @take-out="takeOut" @rebottle="rebottle" />
      <ArrangePanel v-if="panel === 'arrange'" :view="view" @close="panel = null" />
      <HelpsPanel v-if="panel === 'helps'" :view="view" @close="panel = null" />
      <PutInPanel v-if="panel === 'put-in'" :view="view" :waiting="waiting" :waits="waits" @close="panel = null" />
      <SendPanel
        v-if="panel === 'send' && load"
        :view="view"
        :load="load"
        @close="panel = null"
        @sent="
          () => {
            panel = null
            selected = null
          }
        "
      />
      <MergePanel v-if="panel === 'merge' && load" :view="view" :load="load" @close="panel = null" />
      <PrintingPanel v-if="panel === 'printing'" :view="view" @close="panel = null" />
      <EveningPeople v-if="panel === 'people'" :view="view" @close="panel = null" />
    </template>
  </div>
</template>
