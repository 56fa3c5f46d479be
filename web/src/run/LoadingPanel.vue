<script setup lang="ts">
import type { Run } from '@selvrin/core/contract'
import { computed } from 'vue'
import { useFullscreen } from '@vueuse/core'
import { wake, silent } from '../cue/audio'
import { isDoneKey, useKeys } from '../hand/keys'
import { useLoading } from './useLoading'

/** What has to lie at hand before the lights go out; then the screen is dark by itself until the tank is closed, and says each step when it is asked. */
const { run } = defineProps<{ run: Run }>()
const { loading, ticked, ready, closed, inTheDark, at, toggle, tickNext, lightsOut, startAgain } = useLoading(run.id, run.plan)
const { isFullscreen, enter, isSupported } = useFullscreen()
const fill = () => void enter().catch(() => undefined)
const next = computed(() => loading.before.find((one) => !ticked.value.includes(one.key)))
useKeys((event) => {
  if (!isDoneKey(event) || closed.value || (event.target as HTMLElement).closest('button, summary, a, label')) return false
  void wake()
  if (event.repeat) return true
  if (ready.value) lightsOut()
  else tickNext()
  return true
})
</script>

<template>
  <section class="card" aria-labelledby="loading">
    <div class="flex flex-wrap items-baseline gap-x-5">
      <h2 id="loading" class="text-2xl font-bold">{{ closed ? 'Loaded, tank closed' : 'Before the dark' }}</h2>
      <p v-if="!closed" class="text-quiet">Space ticks the next one.</p>
      <button v-if="ticked.length > 0" class="link ml-auto min-h-11" @click="startAgain">Begin again</button>
    </div>
    <p v-if="inTheDark" class="font-bold" role="alert">
      ▲ Light was on at “{{ loading.dark[at]?.text }}”, before the tank was closed: what was open then is fogged.
    </p>
    <template v-if="!closed">
      <ul class="my-2 grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
        <li v-for="one in loading.before" :key="one.key" :class="one.key === next?.key ? 'font-bold' : ''">
          <button
            type="button"
            role="checkbox"
            :aria-checked="ticked.includes(one.key)"
            class="flex min-h-12 w-full cursor-pointer items-center gap-3 text-left text-lg"
            @click="toggle(one.key)"
          >
            <span class="grid h-7 w-7 shrink-0 place-items-center border-2 border-ink text-xl font-bold" aria-hidden="true">{{
              ticked.includes(one.key) ? '✓' : ''
            }}</span>
            <span>{{ one.key === next?.key ? '▸ ' : '' }}{{ one.text }}</span>
          </button>
        </li>
      </ul>
      <div class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-8 gap-y-3 max-md:grid-cols-1">
        <div>
          <p>In the dark, one after another, said as Space asks for the next; any other key says it again, and then what helps:</p>
          <ol class="list-decimal pl-6 text-quiet">
            <li v-for="one in loading.dark.slice(0, -1)" :key="one.key">{{ one.text }}</li>
          </ol>
          <p v-for="one in loading.trouble" :key="one.key">{{ one.text }}</p>
        </div>
        <div class="space-y-2">
          <button class="button button-main min-h-16 w-full px-8 text-xl" :disabled="!ready" @click="lightsOut">
            {{ inTheDark ? 'Dark again' : 'Lights out, screen black' }}
          </button>
          <p class="max-w-72">The screen stays black. Light again: L and Enter held for one second, or two fingers for two.</p>
          <p v-if="isSupported && !isFullscreen" class="max-w-72">
            <b>Not full screen, the frame glows:</b> <button class="link min-h-11" @click="fill">fill it</button>
          </p>
          <p v-if="silent" class="max-w-72">This browser is silent until it is touched; the steps are heard then.</p>
        </div>
      </div>
    </template>
  </section>
</template>
