<script setup lang="ts">
import { ref } from 'vue'

/** One room in three lights, side by side: each in a frame of its own, since the light is the whole page's. */
const rooms = {
  fields: 'Fields',
  marks: 'Marks',
  vessels: 'Vessels',
  clock: 'Clock',
  charts: 'Charts',
  panels: 'Panels',
  waiting: 'Waiting and failing',
}
const lights = { white: 'White', safelight: 'Safelight', dimmed: 'Safelight, dimmed' }
const words = new URLSearchParams(location.search)
const room = ref(words.get('room') ?? 'fields')
</script>

<template>
  <div class="flex h-screen flex-col">
    <nav class="flex flex-wrap gap-2 p-2" aria-label="Rooms">
      <button v-for="(name, key) in rooms" :key="key" class="button button-small" :aria-pressed="room === key" @click="room = key">
        {{ name }}
      </button>
    </nav>
    <div class="grid min-h-0 flex-1 grid-cols-3">
      <div v-for="(name, key) in lights" :key="key" class="flex min-h-0 flex-col">
        <p class="px-2 font-semibold">{{ name }}</p>
        <iframe class="w-full flex-1 border-0" :title="name" :src="`?light=${key}&room=${room}`" />
      </div>
    </div>
  </div>
</template>
