<script setup lang="ts">
import { hazardLabel } from '@selvrin/core'
import type { Jar } from '@selvrin/core/contract'
import { computed } from 'vue'
import { catalogue } from '../chemical/chemistry'
import HazardSign from '../hazard/HazardSign.vue'
import { useShow } from '../session/useShow'
import { nameOf } from './reorder'

/** A jar as it stands on the shelf: its level of what was ever received, its paper label, its pictograms. */
const { jar, mostG, low } = defineProps<{ jar: Jar; mostG: number; low: boolean }>()
const show = useShow()
const level = computed(() => Math.min(1, mostG > 0 ? jar.grams / mostG : 0))
const signs = computed(() => (catalogue()[jar.chemical] ? hazardLabel(catalogue()[jar.chemical]!).pictograms : []))
</script>

<template>
  <RouterLink :to="`/formulary/jars/${jar.id}`" class="jar">
    <svg viewBox="0 0 60 76" width="44" height="56" aria-hidden="true" class="shrink-0">
      <rect x="8" y="2" width="44" height="10" rx="2" fill="var(--quiet)" />
      <path d="M6 14h48v54a6 6 0 0 1-6 6H12a6 6 0 0 1-6-6z" fill="var(--glass)" stroke="var(--ink)" stroke-width="2.5" />
      <rect x="9" :y="71 - 54 * level" width="42" :height="54 * level" fill="var(--plank)" />
    </svg>
    <span class="min-w-0 flex-1">
      <b class="block leading-tight">{{ nameOf(jar) }}</b>
      <span class="block text-sm text-quiet"
        >{{ jar.lot ? `lot ${jar.lot} · ` : '' }}<span class="font-mono">{{ jar.code }}</span></span
      >
      <span class="block"
        ><b class="font-mono whitespace-nowrap">{{ show.mass(jar.grams) }}</b
        ><b v-if="low" class="ml-2 text-alarm">▲ order</b></span
      >
    </span>
    <span class="flex w-16 shrink-0 flex-wrap justify-end gap-0.5"
      ><HazardSign v-for="sign in signs" :key="sign" :sign="sign" :size="26"
    /></span>
  </RouterLink>
</template>

<style scoped>
.jar {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  padding: 0.4rem 0.25rem;
  border-bottom: 1px solid var(--line);
}
.jar:hover b:first-child {
  text-decoration: underline;
  text-underline-offset: 4px;
}
</style>
