<script setup lang="ts">
import type { Finding, Repair } from '@selvrin/core'
import { getCurrentInstance } from 'vue'
import { repairWords } from './repairWords'
import { useShow } from '../session/useShow'

const show = useShow()
/** Findings, worst first. Where someone listens for repairs, each that has one offers it. */
defineProps<{ findings: Finding[] }>()
defineEmits<{ repair: [repair: Repair] }>()
const mends = getCurrentInstance()?.vnode.props?.onRepair !== undefined
const words = { error: 'Error', warning: 'Warning', advice: 'Advice' }
</script>

<template>
  <ul v-if="findings.length > 0" class="space-y-2">
    <li v-for="(finding, i) in findings" :key="i" class="flex gap-3">
      <svg width="22" height="22" viewBox="0 0 22 22" class="mt-0.5 shrink-0" aria-hidden="true">
        <path v-if="finding.severity === 'error'" d="M6.5 1h9L21 6.500v9L15.5 21h-9L1 15.500v-9z" fill="var(--alarm)" />
        <path v-else-if="finding.severity === 'warning'" d="M11 1 21.5 20H.5z" fill="none" stroke="var(--alarm)" stroke-width="2" />
        <circle v-else cx="11" cy="11" r="9" fill="none" stroke="currentColor" stroke-width="2" />
        <path d="M11 6v6" :stroke="finding.severity === 'error' ? 'var(--mark-text)' : 'currentColor'" stroke-width="2.5" />
        <path d="M11 14.500v2.5" :stroke="finding.severity === 'error' ? 'var(--mark-text)' : 'currentColor'" stroke-width="2.5" />
      </svg>
      <p>
        <strong>{{ words[finding.severity] }}{{ finding.step === undefined ? '' : `, step ${finding.step + 1}` }}.</strong>
        {{ show.said(finding.message) }}
        <button v-if="mends && finding.repair" type="button" class="link block min-h-11 text-left" @click="$emit('repair', finding.repair)">
          {{ show.said(repairWords(finding.repair)) }}
        </button>
      </p>
    </li>
  </ul>
</template>
