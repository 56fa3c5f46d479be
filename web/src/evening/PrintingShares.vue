<script setup lang="ts">
import TextField from '../fields/TextField.vue'
import type { RoomDraft } from './roomDraft'

/** How places at the enlargers are given out. */
const shares = defineModel<RoomDraft['printing']>({ required: true })
const change = (more: Partial<RoomDraft['printing']>): void => void (shares.value = { ...shares.value, ...more })
</script>

<template>
  <section aria-labelledby="printing-shares">
    <h2 id="printing-shares" class="mb-2 text-2xl font-bold">Printing, everybody’s share</h2>
    <p class="mb-2 text-quiet">Members book within these; a technician may give more, and says why. 0: no limit.</p>
    <div class="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
      <TextField
        :model-value="shares.spanMinutes"
        label="Places begin every"
        hint="minutes"
        @update:model-value="change({ spanMinutes: $event })"
      />
      <TextField
        :model-value="shares.atOnceHours"
        label="At once, at most"
        hint="hours"
        @update:model-value="change({ atOnceHours: $event })"
      />
      <TextField
        :model-value="shares.weekHours"
        label="A member’s week, at most"
        hint="hours"
        @update:model-value="change({ weekHours: $event })"
      />
      <TextField :model-value="shares.aheadDays" label="Given out ahead" hint="days" @update:model-value="change({ aheadDays: $event })" />
      <TextField
        :model-value="shares.freeHours"
        label="Counts for nobody’s week"
        hint="hours before it begins, if it is still free"
        @update:model-value="change({ freeHours: $event })"
      />
    </div>
  </section>
</template>
