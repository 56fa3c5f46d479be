<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useSession } from '../session/store'
import { memberStations, stations } from './stations'

const session = useSession()
const route = useRoute()
const shown = computed(() => (session.isTechnician ? stations : memberStations))
const isHere = (path: string) => route.path === path || route.path.startsWith(`${path}/`)
</script>

<template>
  <nav aria-label="Stations" class="grid auto-cols-fr grid-flow-col border-t-[3px] border-ink bg-panel">
    <RouterLink
      v-for="station in shown"
      :key="station.key"
      :to="station.path"
      class="flex min-h-16 flex-col items-center justify-center border-r border-line text-lg font-semibold last:border-r-0 focus-visible:-outline-offset-4 max-sm:text-[15px]"
      :class="isHere(station.path) ? 'here bg-primary text-on-primary' : 'text-ink'"
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
