<script setup lang="ts">
import { catalogue, families, familyNames, type Pictogram } from '@selvrin/core'
import HazardSign from '../src/hazard/HazardSign.vue'
import ProtectionSigns from '../src/hazard/ProtectionSigns.vue'
import BathMark from '../src/marks/BathMark.vue'
import FindingList from '../src/marks/FindingList.vue'
import TallyMarks from '../src/marks/TallyMarks.vue'
import VerdictMark from '../src/marks/VerdictMark.vue'
import { findings } from './samples'

/** Marks: of baths, verdicts, findings, dangers, and what was counted. */
const signs: Pictogram[] = ['flame', 'flame-over-circle', 'corrosion', 'skull', 'health', 'exclamation', 'environment']
const hydroquinone = catalogue.hydroquinone
</script>

<template>
  <ul class="grid grid-cols-2 gap-2">
    <li v-for="family in families" :key="family" class="flex items-center gap-2">
      <BathMark :family="family" :size="32" /> {{ familyNames[family] }}
    </li>
  </ul>
  <p v-for="verdict in ['keep', 'marginal', 'failed'] as const" :key="verdict" class="flex gap-4">
    <VerdictMark :verdict="verdict" /><VerdictMark :verdict="verdict" large />
  </p>
  <p v-for="count in [0, 1, 5, 12, 40]" :key="count"><TallyMarks :count="count" /></p>
  <FindingList :findings="findings" />
  <p class="flex flex-wrap gap-2"><HazardSign v-for="sign in signs" :key="sign" :sign="sign" /></p>
  <ProtectionSigns v-if="hydroquinone" :chemical="hydroquinone" full />
</template>
