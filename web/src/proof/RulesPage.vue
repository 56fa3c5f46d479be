<script setup lang="ts">
import { families, familyNames, guideOf } from '@selvrin/core'
import type { DueRuleRow } from '@selvrin/core/contract'
import { computed, onMounted, shallowRef } from 'vue'
import WaitFor from '../fields/WaitFor.vue'
import BathMark from '../marks/BathMark.vue'
import { inSentence } from '../marks/words'
import { useDueRules } from '../stores'
import RulePanel from './RulePanel.vue'

/** When each test falls due, as rules a technician can change. */
const rules = useDueRules()
onMounted(() => void rules.load())
const sorted = computed(() =>
  [...rules.rows].sort((a, b) => families.indexOf(a.family) - families.indexOf(b.family) || a.kind.localeCompare(b.kind)),
)
const when = (rule: DueRuleRow) =>
  [
    ...(rule.atMixing ? ['when fresh, as the reference'] : []),
    ...(rule.everyDays === null ? [] : [`after ${rule.everyDays} days`]),
    ...(rule.everyShare === null ? [] : [`after each ${Math.round(rule.everyShare * 100)} % of the capacity`]),
    ...(rule.beforeCritical ? ['the same day before critical films, and after two odd results'] : []),
  ].join('; ') || 'never by itself'

const open = shallowRef<DueRuleRow | 'new' | null>(null)
const title = computed(() =>
  open.value === 'new' || open.value === null
    ? 'Another test'
    : `${familyNames[open.value.family]}: ${inSentence(guideOf(open.value.kind).name)}`,
)
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">When tests fall due</h1>
      <button class="button button-small ml-auto" @click="open = 'new'">Another test</button>
    </div>
    <WaitFor :of="[rules]" what="the rules">
      <ul>
        <li v-for="rule in sorted" :key="rule.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
          <BathMark :family="rule.family" :size="28" />
          <p class="min-w-0 flex-1">
            <b class="text-lg">{{ familyNames[rule.family] }}: {{ inSentence(guideOf(rule.kind).name) }}</b
            ><br />{{ rule.active ? when(rule).charAt(0).toUpperCase() + when(rule).slice(1) : 'Switched off' }}.
          </p>
          <button
            class="button button-small"
            :aria-label="`Change: ${familyNames[rule.family]}, ${guideOf(rule.kind).name}`"
            @click="open = rule"
          >
            Change
          </button>
        </li>
      </ul>
    </WaitFor>
    <RulePanel v-if="open !== null" :rule="open === 'new' ? null : open" :title="title" @close="open = null" />
  </div>
</template>
