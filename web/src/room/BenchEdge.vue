<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useSession } from '../session/store'
import { memberStations, stations } from './stations'

const session = useSession()
const route = useRoute()
const shown = computed(() => (session.isTechnician ? stations : memberStations))
/** as many names as a phone is wide */
const rowOnPhone = 5
const isHere = (path: string) => route.path === path || route.path.startsWith(`${path}/`)
</script>

<template>
  <!-- more than a phone is wide stand in two rows, or their names would run into one another -->
  <nav
    aria-label="Stations"
    class="grid auto-cols-fr grid-flow-col border-t-[3px] border-ink bg-panel"
    :class="shown.length > rowOnPhone ? 'max-sm:grid-flow-row max-sm:grid-cols-4' : ''"
  >
    <RouterLink
      v-for="station in shown"
      :key="station.key"
      :to="station.path"
      class="flex min-h-16 flex-col items-center justify-center border-r border-line text-lg font-semibold last:border-r-0 focus-visible:-outline-offset-4 max-sm:text-[15px]"
      :class="[isHere(station.path) ? 'here bg-primary text-on-primary' : 'text-ink', shown.length > rowOnPhone ? 'max-sm:min-h-14' : '']"
      :aria-current="isHere(station.path) ? 'page' : undefined"
    >
      {{ station.name }}
      <kbd class="font-mono text-sm font-normal max-sm:hidden">{{ station.key }}</kbd>
    </RouterLink>
  </nav>
</template>

<style scoped>
.here:focus-visible {
  outline-color: var(--on-primary);
}
</style>
