<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { mayBeUsed, showTime } from '@selvrin/core'
import { computed, watch } from 'vue'
import { connected } from '../api/live'
import { useClocks } from '../run/clocks'
import { useSupply } from '../bottle/supply'
import { todoList } from '../bottle/todo'
import { useBench } from '../device/readings'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBottles, useMixes, useRuns } from '../stores'
import { helpAsked } from '../light/dark'
import { light } from '../light/light'
import LightButton from './LightButton.vue'

const session = useSession()
const show = useShow()
const clocks = useClocks()
const probe = useBench('thermometer')
const pages = computed(() => [
  ...(session.isTechnician
    ? [
        { name: 'People', to: '/people' },
        { name: 'All films', to: '/films' },
      ]
    : []),
  { name: 'Settings', to: '/settings' },
])
const [bottles, mixes, runs, supply] = [useBottles(), useMixes(), useRuns(), useSupply()]
watch(
  () => session.isTechnician,
  (technician) => void (technician && Promise.all([bottles.load(), mixes.load(), runs.load(), supply.load()])),
  { immediate: true },
)
const due = computed(() => {
  if (!session.isTechnician || !bottles.loaded) return undefined
  const running = new Set(clocks.running.map((clock) => clock.id))
  return todoList(
    bottles.rows,
    mixes.rows,
    runs.rows.filter((run) => !running.has(run.id)),
    supply.supplies,
    session.darkroom?.zone,
  )[0]
})
/** Tests that are due, on bottles that can still serve. */
const testsDue = computed(() =>
  session.isTechnician ? bottles.rows.filter((bottle) => mayBeUsed(bottle) && bottle.due.length > 0).length : 0,
)
const temperature = (celsius: number | null) => show.temperature(celsius)
/** Both taps in one figure; one word where nobody measured either. */
const taps = ({ tapColdC, tapHotC }: { tapColdC: number | null; tapHotC: number | null }) =>
  tapColdC === null && tapHotC === null ? temperature(null) : `${temperature(tapColdC)} / ${temperature(tapHotC)}`
</script>

<template>
  <header
    class="grid min-h-11 grid-cols-[auto_minmax(0,1fr)_auto_auto] items-start gap-x-6 bg-bar px-6 text-on-bar max-sm:gap-x-3 max-sm:px-4"
    :class="light === 'safelight' ? 'border-b border-line' : ''"
  >
    <LightButton />
    <div class="flex max-h-[22dvh] min-h-11 min-w-0 flex-wrap items-center gap-x-6 overflow-y-auto">
      <span v-if="session.darkroom" class="whitespace-nowrap max-sm:hidden"
        >Room <b class="font-mono">{{ temperature(session.darkroom.roomC) }}</b></span
      >
      <span v-if="session.darkroom && session.isTechnician" class="whitespace-nowrap max-lg:hidden">
        Taps
        <b class="font-mono">{{ taps(session.darkroom) }}</b>
      </span>
      <span v-if="probe.reading.value?.value != null" class="whitespace-nowrap max-lg:hidden">
        {{ probe.device.value?.name }} <b class="font-mono">{{ temperature(Math.round(probe.reading.value.value * 10) / 10) }}</b>
      </span>
      <RouterLink
        v-for="clock in clocks.running"
        :key="clock.id"
        :to="`/tanks/${clock.id}`"
        class="inline-flex min-h-11 min-w-0 items-center gap-1.5 underline-offset-4 hover:underline focus-visible:outline-on-bar"
      >
        ▶ <b class="font-mono">{{ showTime(Math.max(Math.ceil(clock.remainingS), 0)) }}</b>
        <span class="shrink-0">{{ clock.step }}{{ clock.over ? ': time is up' : '' }},</span>
        <!-- a long name is whole on the run's page, where this leads -->
        <span class="max-w-52 truncate">{{ clock.vessel }}</span>
      </RouterLink>
      <RouterLink
        v-if="testsDue > 0"
        to="/proofs"
        class="ml-auto inline-flex min-h-11 items-center whitespace-nowrap underline-offset-4 hover:underline focus-visible:outline-on-bar max-lg:hidden"
        >{{ testsDue }} to test</RouterLink
      >
      <RouterLink
        v-if="due"
        :to="due.to"
        class="max-w-72 min-w-0 truncate py-2.5 underline-offset-4 hover:underline focus-visible:outline-on-bar max-lg:hidden"
        >Due: {{ due.what.charAt(0).toLowerCase() + due.what.slice(1) }}</RouterLink
      >
      <span v-if="!connected" class="font-semibold whitespace-nowrap" role="status">⚠ No connection</span>
    </div>
    <button
      type="button"
      class="min-h-11 min-w-11 cursor-pointer text-xl font-bold focus-visible:outline-on-bar"
      aria-label="Help: a spill, first aid"
      @click="helpAsked++"
    >
      !
    </button>
    <Menu as="div" class="relative">
      <MenuButton class="min-h-11 max-w-56 min-w-11 cursor-pointer truncate text-right max-sm:max-w-24 focus-visible:outline-on-bar"
        ><span class="max-sm:hidden">{{ session.isTechnician ? 'On duty: ' : '' }}</span
        >{{ session.person?.name.split(' ')[0]
        }}<span class="max-sm:hidden">{{ session.person?.name.slice(session.person.name.split(' ')[0]?.length) }}</span> ▾</MenuButton
      >
      <MenuItems class="absolute right-0 z-50 mt-1 min-w-48 rounded-sm border-2 border-ink bg-panel py-1 text-ink focus:outline-none">
        <p class="max-w-72 px-4 py-2 font-semibold break-words">{{ session.person?.name }}</p>
        <MenuItem v-for="page in pages" :key="page.to" v-slot="{ active }">
          <RouterLink :to="page.to" class="block px-4 py-3" :class="active ? 'bg-primary text-on-primary' : ''">{{ page.name }}</RouterLink>
        </MenuItem>
        <MenuItem v-slot="{ active }">
          <button
            class="block w-full cursor-pointer px-4 py-3 text-left"
            :class="active ? 'bg-primary text-on-primary' : ''"
            @click="session.signOut()"
          >
            Sign out
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  </header>
</template>
