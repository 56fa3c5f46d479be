<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useSession } from '../session/store'
import { useBottles, useMixes, useRuns } from '../stores'
import { showRollsLeft } from '../marks/words'
import ProblemLine from '../fields/ProblemLine.vue'
import BottleVessel from './BottleVessel.vue'
import { flagOf, pourFirst, shelfGroups } from './shelfOrder'
import { todoList } from './todo'

const session = useSession()
const bottles = useBottles()
const mixes = useMixes()
const runs = useRuns()
const withRetired = ref(false)
onMounted(() => {
  void bottles.load()
  if (session.isTechnician) void Promise.all([mixes.load(), runs.load()])
})

const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const inUse = computed(() => bottles.rows.filter((bottle) => bottle.retiredAt === null))
const groups = computed(() => shelfGroups(withRetired.value ? bottles.rows : inUse.value))
const first = computed(() => pourFirst(inUse.value))
const todo = computed(() => todoList(inUse.value, mixes.rows, runs.rows))
const summary = computed(() => {
  const left = (family: string) =>
    inUse.value.filter((bottle) => bottle.family === family).reduce((sum, bottle) => sum + (bottle.state.rollsLeft ?? 0), 0)
  return `${inUse.value.length} bottles · ${showRollsLeft(Math.floor(left('film-developer')))} left in film developer, ${Math.floor(left('fixer'))} in fixer`
})
</script>

<template>
  <div class="station grid grid-cols-[minmax(0,1fr)_300px] gap-8 max-lg:grid-cols-1">
    <section>
      <div class="mb-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 class="text-3xl font-bold">Shelf</h1>
        <p v-if="bottles.loaded" class="text-lg text-quiet">{{ summary }}</p>
        <button class="link ml-auto min-h-11" @click="withRetired = !withRetired">
          {{ withRetired ? 'Hide retired' : 'Show retired' }}
        </button>
      </div>
      <ProblemLine :problem="bottles.problem" />
      <p v-if="!bottles.loaded && !bottles.problem" class="text-quiet">Fetching the bottles …</p>
      <p v-else-if="bottles.loaded && inUse.length === 0" class="text-xl">
        The shelf is empty. Open the Formulary, pick a formula and mix it; its bottles will stand here.
      </p>
      <ul class="flex flex-wrap items-end">
        <template v-for="group in groups" :key="group.family">
          <li v-for="(bottle, i) in group.bottles" :key="bottle.id" class="plank flex flex-col items-start px-2.5 pt-1">
            <h2 v-if="i === 0" class="pt-1 text-sm font-semibold text-quiet">{{ group.name }}</h2>
            <BottleVessel :bottle="bottle" :zone="zone" :first="first.has(bottle.id)" :flag="flagOf(bottle)" />
          </li>
        </template>
        <li v-if="groups.length > 0" class="plank min-w-4 flex-1" aria-hidden="true" />
      </ul>
    </section>
    <aside v-if="session.isTechnician" class="card self-start max-lg:row-start-1">
      <h2 class="mb-3 text-xl font-bold">Before tonight</h2>
      <ol v-if="todo.length > 0" class="space-y-3">
        <li v-for="(task, i) in todo" :key="task.key" class="flex gap-3">
          <b class="font-mono">{{ i + 1 }}</b>
          <p>
            <RouterLink :to="task.to" class="text-lg font-bold underline-offset-4 hover:underline">{{ task.what }}</RouterLink>
            <span class="block text-quiet">{{ task.why }}</span>
          </p>
        </li>
      </ol>
      <p v-else>Nothing is due. Pour and go.</p>
      <RouterLink v-if="todo[0]" :to="todo[0].to" class="button button-main mt-4 w-full">Start with {{ todo[0].short }}</RouterLink>
      <RouterLink v-else to="/tanks/plan" class="button button-main mt-4 w-full">Plan a run</RouterLink>
    </aside>
  </div>
</template>

<style scoped>
.plank {
  border-bottom: 9px solid var(--plank);
}
</style>
