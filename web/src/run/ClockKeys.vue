<script setup lang="ts">
import { darker } from '../light/light'

/** What can be done at the clock, large enough for a wet hand, with its keys. */
defineProps<{ before: boolean; inside: boolean; holding: boolean; follows: boolean }>()
defineEmits<{ done: []; measure: []; hold: []; otherwise: []; giveUp: [] }>()
</script>

<template>
  <nav
    aria-label="Run"
    class="grid grid-cols-[minmax(0,2fr)_repeat(5,minmax(0,1fr))] border-t-[3px] border-ink bg-panel text-lg font-semibold max-sm:grid-cols-2"
  >
    <button class="act text-2xl max-sm:col-span-2" data-next @click="$emit('done')">
      {{ follows ? 'Take it over' : before ? 'Pouring, start' : 'Done, next' }}<kbd>Space or pedal</kbd>
    </button>
    <button class="act" :disabled="follows" @click="$emit('measure')">Temperature<kbd>T</kbd></button>
    <button class="act" :disabled="!inside || follows" @click="$emit('hold')">
      {{ holding ? 'Do not hold' : 'Hold at end of step' }}<kbd>H H</kbd>
    </button>
    <button class="act" :disabled="!inside || follows" @click="$emit('otherwise')">Otherwise<kbd>…</kbd></button>
    <button class="act" @click="darker">Darker<kbd>L</kbd></button>
    <button class="act" :disabled="follows" @click="$emit('giveUp')">Give up<kbd>…</kbd></button>
  </nav>
</template>

<style scoped>
.act {
  display: flex;
  min-height: 4.5rem;
  cursor: pointer;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  border-right: 1px solid var(--line);
}
.act:focus-visible {
  outline-offset: -5px;
}
.act kbd {
  font-family: var(--font-mono);
  font-size: 0.875rem;
  font-weight: 400;
}
</style>
