<script setup lang="ts">
import type { TrayFill } from '@selvrin/core/contract'
import TrayCard from './TrayCard.vue'
import type { LineView } from './useLine'

/** The trays in a row, in the order a print goes through them. */
defineProps<{ view: LineView; fills: TrayFill[] }>()
</script>

<template>
  <ol class="flex gap-2 overflow-x-auto pb-2" aria-label="Tray line" data-scrolls tabindex="0">
    <li v-for="fill in fills" :key="fill.id" class="w-56 max-w-full flex-1 shrink-0 border-2 border-line bg-panel p-3">
      <TrayCard :fill="fill" :view="view" />
      <slot :fill="fill" />
    </li>
  </ol>
</template>
