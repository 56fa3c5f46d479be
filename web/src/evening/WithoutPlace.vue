<script setup lang="ts">
import { useShow } from '../session/useShow'
import type { Board } from './board'

/** Loads that have no place in the evening, with why. */
const show = useShow()
const { loads } = defineProps<{ loads: Board['without'] }>()
defineEmits<{ takeOut: [load: string]; rebottle: [load: string] }>()
</script>

<template>
  <section aria-labelledby="without">
    <h2 id="without" class="mb-1 text-2xl font-bold">Without a place</h2>
    <ul>
      <li v-for="one in loads" :key="one.load" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
        <p class="min-w-64 flex-1">
          <b>{{ one.owners }}</b>, {{ one.what }}<br /><span class="text-quiet">{{
            one.why.length > 0 ? show.said(one.why.join(' ')) : 'Arrange the evening, and it is looked for.'
          }}</span>
        </p>
        <button v-if="one.against" class="button" @click="$emit('rebottle', one.load)">Other bottles</button>
        <button class="button" @click="$emit('takeOut', one.load)">Take it out</button>
      </li>
    </ul>
  </section>
</template>
