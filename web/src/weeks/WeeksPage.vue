<script setup lang="ts">
import type { OneWeek } from '@selvrin/core'
import { computed, ref } from 'vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import { counted, showMoment } from '../marks/words'
import { filmWords } from '../order/orderWords'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import DayCell from './DayCell.vue'
import DayOrders from './DayOrders.vue'
import ToMix from './ToMix.vue'
import { useWeeks } from './useWeeks'

/** The coming weeks: how full each day is, whom a day can be promised, who comes too late, and what has to be mixed for it. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const { page, weeks, result, rows, named, differing, busy, spread, promise, problem, sending } = useWeeks(() => zone.value)
const chosen = ref<string | null>(null)
const choose = (day: string): void => void (chosen.value = chosen.value === day ? null : day)
const openingIn = ({ days }: OneWeek) => days.find((one) => one.day === chosen.value)?.opening ?? null
const late = computed(() => result.value?.past ?? [])
const lateIn = (ids: string[]): number => ids.filter((id) => late.value.includes(id)).length
const summary = computed(() => {
  if (!result.value) return 'Nothing is spread over them yet.'
  const all = result.value.openings.flatMap((one) => one.orders).length
  const used = result.value.openings.filter((one) => one.orders.length > 0).length
  if (all === 0) return 'Nothing waits for a day.'
  const inTime = late.value.length === 0 ? 'all in time' : `${late.value.length} too late`
  return `${counted(all, 'order')} on ${counted(used, 'day')}, ${inTime}`
})
const share = computed(() => (weeks.value && weeks.value.of > 0 ? weeks.value.done / weeks.value.of : 0))
/** Orders that have no day, each with why. */
const withoutDay = computed(() => {
  const { without = [], left = [] } = result.value ?? {}
  return [
    ...named(without).map((order) => ({ order, why: 'No day of these weeks has room for it, or is there in time.' })),
    ...left.flatMap(({ order, message }) => named([order]).map((one) => ({ order: one, why: message }))),
  ]
})
</script>

<template>
  <div class="station">
    <RouterLink to="/rota" class="link inline-flex min-h-11 items-center">← Rota</RouterLink>
    <PageState
      v-if="!weeks"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the coming weeks"
      back="To the Rota"
      back-to="/rota"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 class="text-3xl font-bold">The coming weeks</h1>
        <p class="text-xl" role="status">{{ summary }}</p>
        <div class="ml-auto flex flex-wrap gap-2">
          <button v-if="differing > 0 && !busy" class="button" :disabled="sending" @click="promise()">
            Promise these days ({{ counted(differing, 'order') }})
          </button>
          <button class="button" :disabled="busy || sending" @click="spread()">Spread anew</button>
        </div>
      </div>
      <ProblemLine :problem="problem" />
      <ProgressBar v-if="busy" class="mb-4 max-w-2xl" :share="share" words="Spreading the orders" :stoppable="false" />
      <p v-if="weeks.state === 'failed'" class="mb-4 border-l-4 border-alarm pl-3 text-lg">
        The last spread came to nothing: {{ weeks.error }} What stands here is the one before.
      </p>
      <section v-if="withoutDay.length > 0" class="mb-5" aria-labelledby="without">
        <h2 id="without" class="mb-1 text-2xl font-bold">Without a day</h2>
        <ul>
          <li v-for="{ order, why } in withoutDay" :key="order.id" class="border-b border-line py-1">
            <RouterLink
              :to="`/rota/orders/${order.id}`"
              class="flex min-h-11 flex-wrap items-center gap-x-4 underline-offset-4 hover:underline"
              ><b class="min-w-12">{{ order.number }}</b
              ><span class="min-w-36">{{ order.member }}</span
              ><span class="break-words">{{ filmWords(order) }}</span></RouterLink
            >
            <p class="text-quiet">{{ show.said(why) }}</p>
          </li>
        </ul>
      </section>
      <section v-for="week in rows" :key="week.monday" class="mb-3" :aria-label="`Week from ${week.monday}`">
        <div class="grid grid-cols-[minmax(0,1fr)_20rem] gap-4 max-lg:grid-cols-1">
          <div class="grid grid-cols-[repeat(auto-fill,minmax(7rem,1fr))] content-start gap-2">
            <DayCell
              v-for="{ day, at, opening } in week.days"
              :key="day"
              :opening="opening"
              :at="at"
              :zone="zone"
              :late="lateIn(opening?.orders ?? [])"
              :printing="weeks.printing[day] ?? 0"
              :chosen="chosen === day"
              @choose="choose(day)"
            />
          </div>
          <ToMix :mixing="week.mixing" :wanted="week.days.some((one) => (one.opening?.films ?? 0) > 0)" :zone="zone" />
        </div>
        <DayOrders v-if="openingIn(week)" :opening="openingIn(week)!" :orders="named(openingIn(week)!.orders)" :late="late" :zone="zone" />
      </section>
      <p v-if="weeks.finishedAt !== null" class="text-quiet">
        Spread {{ showMoment(weeks.finishedAt, zone) }}. It is spread again by itself when something is handed in, changed or taken back.
      </p>
    </template>
  </div>
</template>
