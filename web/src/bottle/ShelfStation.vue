<script setup lang="ts">
import { familyNames, isReused, mayBeUsed, takesPrints, type Family } from '@selvrin/core'
import { api, type Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, nextTick, onDeactivated, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePaged } from '../api/usePaged'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { counted, percent, showRollsLeft } from '../marks/words'
import NoticeList from '../notice/NoticeList.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBottles, useMixes, useRuns, useShelves } from '../stores'
import BottleVessel from './BottleVessel.vue'
import { flagOf, planksOf, pourFirst, withCode } from './shelfOrder'
import { useSupply } from './supply'
import { todoList } from './todo'
import { useQuickUse } from './useQuickUse'
import { usualLoad } from './usualLoad'
import { sink, useShelfDrag } from './useShelfDrag'
import WaitFor from '../fields/WaitFor.vue'
import { part } from '../part/part'

/** only a house that is beginning has them */
const FirstSteps = part(() => import('./FirstSteps.vue'))

// fetched ahead: what was just written is taken back while the server is away too
const UndoNotice = part(() => import('../fields/UndoNotice.vue'))
const RetirePanel = part(() => import('./RetirePanel.vue'))
const ShelvesPanel = part(() => import('./ShelvesPanel.vue'))
const session = useSession()
const show = useShow()
const router = useRouter()
const bottles = useBottles()
const mixes = useMixes()
const runs = useRuns()
const shelves = useShelves()
const supply = useSupply()
const withRetired = ref(false)
const arranging = ref(false)
const family = ref<string | null>('all')
const code = ref('')
onMounted(() => {
  void Promise.all([bottles.load(), shelves.load()])
  if (session.isTechnician) void Promise.all([mixes.load(), runs.load(), supply.load()])
})

const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const inUse = computed(() => bottles.rows)
/** Retired bottles are looked for where they are kept: when they are to be shown, by a label nobody has any more, or to know whether there ever was one. */
const retired = usePaged(
  api.bottle.retired,
  () =>
    code.value.trim() !== '' ? { find: code.value.trim() } : withRetired.value || (bottles.loaded && bottles.rows.length === 0) ? {} : null,
  { subject: 'bottle', holds: (bottle) => bottle.retiredAt !== null },
)
const begun = computed(() => inUse.value.length > 0 || !retired.loaded.value || retired.rows.value.length > 0)
const families = computed(() => [
  { value: 'all', name: 'All families' },
  ...[...new Set(inUse.value.map((bottle) => bottle.family))].map((value) => ({
    value: value as string,
    name: familyNames[value as Family],
  })),
])
const ofFamily = (bottle: Bottle) => family.value === 'all' || bottle.family === family.value
const shown = computed(() => withCode(inUse.value, code.value).filter(ofFamily))
const retiredShown = computed(() =>
  withRetired.value || code.value.trim() !== '' ? withCode(retired.rows.value, code.value).filter(ofFamily) : [],
)
const planks = computed(() => planksOf(shown.value, shelves.rows))
const first = computed(() => pourFirst(inUse.value))
const todo = computed(() => todoList(inUse.value, mixes.rows, runs.rows, supply.supplies, zone.value))
const summary = computed(() => {
  const left = (wanted: string) =>
    inUse.value.filter((bottle) => bottle.family === wanted).reduce((sum, bottle) => sum + (bottle.state.rollsLeft ?? 0), 0)
  return `${counted(inUse.value.length, 'bottle')} · ${showRollsLeft(left('film-developer'))} left in film developer, ${showRollsLeft(left('fixer'))} in fixer`
})
function openCode(): void {
  const [only, ...others] = [...shown.value, ...retiredShown.value]
  if (code.value.trim() !== '' && others.length === 0 && only) void router.push(`/shelf/${only.id}`)
}

const quick = useQuickUse()
// what was just written can be undone while one looks at it
onDeactivated(() => {
  quick.written.value = pouredAway.value = null
  arranging.value = false
})
const canTap = (bottle: Bottle) => session.isTechnician && isReused(bottle) && mayBeUsed(bottle)

const { problem, act } = useAction()
const pouredAway = shallowRef<Bottle | null>(null)
const root = useTemplateRef<HTMLElement>('root')
const drag = useShelfDrag(root, (bottleId, target) => {
  const bottle = bottles.rows.find((one) => one.id === bottleId)
  if (!bottle || bottle.retiredAt !== null) return
  if (target === sink) pouredAway.value = bottle
  else if (target !== '' && target !== bottle.shelfId)
    void act(async () => {
      bottles.put(await call(api.bottle.move, { params: { id: bottleId }, body: { entryId: uuid(), shelfId: target } }))
    })
})
watch(
  [() => planks.value.map((plank) => plank.id).join(), () => session.isTechnician, () => bottles.loaded],
  () => void (session.isTechnician && nextTick(drag.arm)),
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <div
    ref="root"
    class="station grid gap-8 max-lg:grid-cols-1"
    :class="session.isTechnician ? 'grid-cols-[minmax(0,1fr)_300px]' : 'grid-cols-1'"
  >
    <section>
      <div class="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 class="text-3xl font-bold">Shelf</h1>
        <p v-if="bottles.loaded && inUse.length > 0" class="text-lg text-quiet">{{ summary }}</p>
        <button v-if="session.isTechnician && bottles.loaded && inUse.length === 0" class="link ml-auto min-h-11" @click="arranging = true">
          Shelves
        </button>
        <button
          class="link min-h-11"
          :class="inUse.length === 0 && session.isTechnician ? '' : 'ml-auto'"
          @click="withRetired = !withRetired"
        >
          {{ withRetired ? 'Hide retired' : 'Show retired' }}
        </button>
      </div>
      <div v-if="bottles.loaded && inUse.length > 0" class="mb-3 flex flex-wrap items-end gap-4">
        <div class="w-56"><ChoiceField v-model="family" label="Family" :choices="families" /></div>
        <form class="w-44" @submit.prevent="openCode">
          <label class="mb-1 block font-semibold" for="by-code">Label or code</label>
          <input id="by-code" v-model="code" class="input font-mono uppercase" autocomplete="off" autocapitalize="characters" />
        </form>
        <button v-if="session.isTechnician" class="link min-h-12" @click="arranging = true">Shelves</button>
        <RouterLink v-if="session.isTechnician" to="/shelf/supply" class="link inline-flex min-h-12 items-center"
          >What lasts how long</RouterLink
        >
        <RouterLink v-if="session.isTechnician" to="/sink" class="link inline-flex min-h-12 items-center">Waste</RouterLink>
      </div>
      <NoticeList v-if="!session.isTechnician" class="mb-4" />
      <ProblemLine :problem="problem || quick.problem.value" />
      <WaitFor :of="[bottles, shelves]" what="the bottles">
        <FirstSteps v-if="session.isTechnician && (!begun || session.session?.darkroom.kind === 'house')" :begun="begun" />
        <p v-if="inUse.length === 0" class="text-xl">The shelf is empty: bottles that are mixed or brought will stand here.</p>
        <p v-else-if="shown.length + retiredShown.length === 0 && !retired.busy.value" class="text-xl">No bottle like that stands here.</p>
        <section v-for="plank in planks" :key="plank.id" :aria-label="plank.name">
          <h2 class="flex items-baseline gap-3 pt-2 text-lg font-bold">
            {{ plank.name }}
            <span v-if="plank.id !== ''" class="font-normal whitespace-nowrap text-quiet">{{ show.temperature(plank.celsius) }}</span>
          </h2>
          <ul class="flex min-h-14 flex-wrap items-end" :data-shelf="plank.id">
            <template v-for="group in plank.groups" :key="group.family">
              <li v-for="(bottle, i) in group.bottles" :key="bottle.id" class="grow" :data-bottle="bottle.id">
                <div class="plank flex flex-col items-start px-2.5 pt-1">
                  <h3 v-if="i === 0" class="pt-1 text-sm font-semibold text-quiet">{{ group.name }}</h3>
                  <BottleVessel :bottle="bottle" :zone="zone" :first="first.has(bottle.id)" :flag="flagOf(bottle)" />
                </div>
                <div v-if="session.isTechnician" class="min-h-13 max-w-48 px-2.5 pt-1">
                  <button
                    v-if="canTap(bottle)"
                    class="min-h-11 w-full cursor-pointer rounded-sm border border-quiet bg-panel px-1 text-[15px] font-semibold disabled:text-quiet"
                    :disabled="quick.busy.value !== ''"
                    :aria-label="`${bottle.label}: poured back, ${usualLoad} ${takesPrints(bottle) ? 'prints' : 'rolls'}`"
                    @click="quick.pourBack(bottle)"
                  >
                    <span aria-hidden="true">↩</span> back, {{ usualLoad }} {{ takesPrints(bottle) ? 'prints' : 'rolls' }}
                  </button>
                </div>
              </li>
            </template>
            <li class="min-w-4 grow-[1000]" aria-hidden="true">
              <div class="plank" />
              <div v-if="session.isTechnician" class="min-h-13" />
            </li>
          </ul>
        </section>
        <section v-if="retiredShown.length > 0" aria-labelledby="retired">
          <h2 id="retired" class="pt-2 text-lg font-bold">Retired</h2>
          <ul class="flex flex-wrap items-end">
            <li v-for="bottle in retiredShown" :key="bottle.id" class="grow">
              <div class="plank px-2.5 pt-1"><BottleVessel :bottle="bottle" :zone="zone" :first="false" flag="" /></div>
            </li>
            <li class="min-w-4 grow-[1000]" aria-hidden="true"><div class="plank" /></li>
          </ul>
          <button v-if="retired.hasMore.value" class="button mt-4" :disabled="retired.busy.value" @click="retired.more()">Show more</button>
        </section>
        <div
          v-if="session.isTechnician && inUse.length > 0"
          class="mt-4 flex min-h-16 items-center rounded-sm border-2 border-dashed border-quiet px-4 text-quiet"
          :data-shelf="sink"
        >
          Sink: drag a bottle here to pour it away. On its page: Retire.
        </div>
      </WaitFor>
    </section>
    <aside v-if="session.isTechnician" class="card self-start max-lg:row-start-1">
      <h2 class="mb-3 text-xl font-bold">Before tonight</h2>
      <WaitFor :of="[bottles, mixes, runs, supply]" what="what is due">
        <ol v-if="todo.length > 0" class="space-y-3">
          <li v-for="(task, i) in todo" :key="task.key" class="flex gap-3">
            <b class="font-mono">{{ i + 1 }}</b>
            <p>
              <RouterLink :to="task.to" class="go text-lg">{{ task.what }}</RouterLink>
              <span class="block text-quiet">{{ show.said(task.why) }}</span>
            </p>
          </li>
        </ol>
        <p v-else-if="inUse.length === 0">No bottle is here that anything could be due of.</p>
        <p v-else>Nothing is due. Pour and go.</p>
        <RouterLink v-if="todo[0]" :to="todo[0].to" class="button button-main mt-4 w-full">Start with {{ todo[0].short }}</RouterLink>
        <RouterLink v-else-if="inUse.length > 0" to="/tanks/plan" class="button button-main mt-4 w-full">Plan a run</RouterLink>
      </WaitFor>
    </aside>
    <UndoNotice
      v-if="quick.written.value"
      :says="`${show.said(quick.written.value.says)} ${percent(bottles.rows.find((one) => one.id === quick.written.value?.bottle.id)?.state.remaining ?? 0)} left.`"
      :busy="quick.undoing.value"
      @undo="quick.undo()"
      @close="quick.written.value = null"
    />
    <RetirePanel v-if="pouredAway" :bottle="pouredAway" sink @close="pouredAway = null" @done="pouredAway = null" />
    <ShelvesPanel v-if="arranging" @close="arranging = false" />
  </div>
</template>

<style scoped>
.plank {
  border-bottom: 9px solid var(--plank);
}
</style>
