<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { anythingTyped } from '../hand/typed'
import { useClocks } from '../run/clocks'
import { followReleases, newer } from './release'

/** Says that a newer release is there. It is never loaded over a run, over what waits for the server, or over what is being typed. */
const clocks = useClocks()
const inTheWay = computed(() =>
  clocks.running.length > 0 ? 'when the run is over' : clocks.waiting > 0 ? 'when the log is with the server' : '',
)
followReleases(useRouter(), () => inTheWay.value === '' && !anythingTyped())
const load = () => location.reload()
</script>

<template>
  <aside
    v-if="newer"
    class="flex flex-wrap items-center gap-x-5 border-b border-line px-6 text-[15px] max-sm:px-4"
    aria-label="Newer release"
  >
    <p role="status" class="min-h-11 content-center">A newer Selvrin is here{{ inTheWay ? `: it comes ${inTheWay}.` : '.' }}</p>
    <button v-if="!inTheWay" class="link min-h-11" @click="load">Load it now</button>
  </aside>
</template>
