<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { computed } from 'vue'
import { usePaged } from '../api/usePaged'
import FilmPlace from './FilmPlace.vue'

/** The dryer: every film that hangs, by its place, with when it is dry; and how many wait for their owners. */
const hanging = usePaged(api.run.rolls, () => ({ only: 'hanging' }), {
  subject: 'roll',
  holds: (roll) => roll.hungAt !== null && roll.sleevedAt === null,
})
const waiting = usePaged(api.run.rolls, () => ({ only: 'waiting' }), {
  subject: 'roll',
  holds: (roll) => roll.sleevedAt !== null && roll.handedAt === null,
})
const rows = computed(() =>
  [...hanging.rows.value].sort((a, b) => (a.hanger ?? 999) - (b.hanger ?? 999) || (a.hungAt ?? 0) - (b.hungAt ?? 0)),
)
const toHand = computed(() => waiting.rows.value.length)
</script>

<template>
  <section v-if="rows.length > 0 || toHand > 0" aria-labelledby="hanging">
    <h2 id="hanging" class="mb-1 text-xl font-bold">Hanging</h2>
    <ul>
      <li v-for="roll in rows" :key="roll.id" class="border-b border-line py-1.5">
        <RouterLink :to="`/tanks/${roll.runId}`" class="link inline-flex min-h-11 items-center gap-x-2"
          ><b>{{ roll.film }}</b> {{ roll.member }}</RouterLink
        >
        <FilmPlace :roll="roll" @put="hanging.put" />
      </li>
    </ul>
    <p v-if="toHand > 0" class="pt-1">
      <RouterLink :to="{ path: '/films', query: { show: 'waiting' } }" class="link inline-flex min-h-11 items-center"
        >{{ toHand }} {{ toHand === 1 ? 'film waits' : 'films wait' }} for {{ toHand === 1 ? 'its owner' : 'their owners' }}</RouterLink
      >
    </p>
  </section>
</template>
