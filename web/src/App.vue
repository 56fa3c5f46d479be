<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, provide, useTemplateRef, watch } from 'vue'
import { clockDoubt } from './clock'
import { useRoute } from 'vue-router'
import BenchEdge from './room/BenchEdge.vue'
import { benchHidden } from './hand/bench'
import { helpKey, openModals } from './hand/modals'
import { presenceAsked, presenceKey } from './hand/present'
import { aidCall } from './help/ahead'
import { fetchAhead, leavePanel, safelightNotice } from './router'
import DimLayer from './room/DimLayer.vue'
import EndedPanel from './entry/EndedPanel.vue'
import { leavingFor } from './room/leaving'
import { anythingTyped } from './hand/typed'
import { useHeard } from './hand/useHeard'
import { useScroll } from './room/useScroll'
import RoomKeys from './room/RoomKeys.vue'
import ReleaseNotice from './room/ReleaseNotice.vue'
import RoomLine from './room/RoomLine.vue'
import { light } from './light/light'
import { ownChemical } from '@selvrin/core/contract'
import { ownChemicals } from './chemical/own'
import { useClocks } from './run/clocks'
import { useCues } from './run/useCues'
import { helpAsked, useDark } from './light/dark'
import { useChemicals } from './stores'
import { useSession } from './session/store'
import { part } from './part/part'

const session = useSession()
const route = useRoute()
// running clocks are on every station's room line
const clocks = useClocks()
useCues()
useDark()
// what this darkroom says of its chemicals counts everywhere
const chemicals = useChemicals()
watch(
  () => chemicals.rows,
  (rows) => void (ownChemicals.value = rows.map(ownChemical)),
)
watch(
  () => session.person?.id,
  (id) => {
    if (id === undefined) return
    clocks.begin()
    if (session.person) fetchAhead(session.person.role)
    if (!session.isTechnician) return
    void chemicals.load()
  },
  { immediate: true },
)
// a new page begins at its top; one that is come back to, or loaded again, where it was left
const main = useTemplateRef<HTMLElement>('main')
useScroll(main)
useHeard(main)
const SafelightNotice = part(safelightNotice)
const LeavePanel = part(leavePanel)
const AidCall = part(aidCall)
provide(helpKey, AidCall)
const PresencePanel = part(() => import('./training/PresencePanel.vue'))
provide(presenceKey, PresencePanel)
const ClockDoubt = part(() => import('./run/ClockDoubt.vue'))
// a reload or a closed tab asks in the browser's own words
useEventListener(window, 'beforeunload', (event) => {
  if (anythingTyped()) event.preventDefault()
})
const inside = computed(() => session.person !== null && route.meta.for !== 'anyone' && route.meta.for !== 'wall')
</script>

<template>
  <div class="grid h-full grid-rows-[auto_auto_minmax(0,1fr)_auto] bg-ground text-ink">
    <RoomLine v-if="inside" />
    <div v-else />
    <div>
      <SafelightNotice v-if="light === 'safelight' && route.meta.for !== 'wall'" />
      <ReleaseNotice />
    </div>
    <main ref="main" class="relative min-h-0 overflow-y-auto" tabindex="-1" :data-page="route.path">
      <!-- another bottle or run is another page: nothing of the one before may come late into it -->
      <!-- the Shelf is what one comes back to: it stays drawn -->
      <RouterView v-slot="{ Component }">
        <KeepAlive include="ShelfStation"><component :is="Component" :key="route.path" /></KeepAlive>
      </RouterView>
    </main>
    <BenchEdge v-if="inside && !benchHidden" />
    <EndedPanel v-if="inside" />
    <RoomKeys v-if="inside" />
    <ClockDoubt v-if="inside && clockDoubt" />
    <LeavePanel v-if="leavingFor !== null" />
    <PresencePanel v-if="presenceAsked && presenceAsked.under === null" />
    <AidCall v-if="helpAsked && openModals.length === 0" />
    <DimLayer />
  </div>
</template>
