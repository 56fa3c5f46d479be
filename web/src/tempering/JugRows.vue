<script setup lang="ts">
import type { Jug } from '@selvrin/core'
import QuantityField from '../fields/QuantityField.vue'

/** Jugs and bottles that stand in the bath: how much, and how warm they are now. */
const { roomC } = defineProps<{ roomC: number }>()
const jugs = defineModel<Jug[]>({ required: true })
const most = 6
const change = (i: number, part: Partial<Jug>): void =>
  void (jugs.value = jugs.value.map((one, k) => (k === i ? { ...one, ...part } : one)))
const without = (i: number): void => void (jugs.value = jugs.value.filter((_, k) => k !== i))
</script>

<template>
  <fieldset class="space-y-3">
    <legend class="font-semibold">In the bath</legend>
    <div v-for="(jug, i) in jugs" :key="i" class="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
      <QuantityField
        :model-value="jug.litres * 1000"
        kind="volume"
        :label="`Jug ${i + 1}`"
        @update:model-value="(ml: number | null) => ml !== null && ml > 0 && change(i, { litres: ml / 1000 })"
      />
      <QuantityField
        :model-value="jug.fromC"
        kind="temperature"
        label="has now"
        @update:model-value="(c: number | null) => c !== null && change(i, { fromC: c })"
      />
      <button type="button" class="button button-small min-h-12" :aria-label="`Take jug ${i + 1} out of it`" @click="without(i)">×</button>
    </div>
    <button v-if="jugs.length < most" type="button" class="link min-h-11" @click="jugs = [...jugs, { litres: 1, fromC: roomC }]">
      One more jug
    </button>
  </fieldset>
</template>
