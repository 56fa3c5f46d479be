<script setup lang="ts">
import type { WouldHold } from '@selvrin/core'
import { useShow } from '../session/useShow'
import { entryWords } from './entryWords'

/** Bottles with what would be written into their ledgers, or taken `back` out of them, and what they hold before and after. */
const { back } = defineProps<{ would: WouldHold[]; back?: boolean }>()
const show = useShow()
const volume = (ml: number) => show.volume(Math.max(0, ml))
const words = ({ lines }: WouldHold) => {
  const said = [...new Set(lines.map(entryWords)), ...(back ? ['taken back'] : [])].join(', ')
  return said.charAt(0).toLowerCase() + said.slice(1)
}
const changes = ({ beforeMl, afterMl }: WouldHold) => Math.abs(afterMl - beforeMl) > 0.05
</script>

<template>
  <ul class="border-l-4 border-line pl-4" aria-label="What will be written">
    <li v-for="one in would" :key="one.bottleId">
      <b>{{ one.label }}</b> {{ words(one)
      }}<template v-if="changes(one)"
        >: {{ volume(one.beforeMl) }} → <b class="font-mono">{{ volume(one.afterMl) }}</b></template
      >
    </li>
    <slot />
  </ul>
</template>
