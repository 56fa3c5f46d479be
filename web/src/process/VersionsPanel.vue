<script setup lang="ts">
import { compareProcesses, type ProcessBody } from '@selvrin/core'
import type { ProcessVersion } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'

/** The versions of a process, and what is otherwise between two of them, or between one and what is being written. */
const { versions, draft } = defineProps<{ versions: ProcessVersion[]; draft: ProcessBody }>()
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const choices = computed(() =>
  versions.map((one) => ({
    value: one.versionId,
    name: `Version ${one.number}`,
    detail: `${one.changedBy}, ${showMoment(one.changedAt, zone.value)}`,
  })),
)
const one = ref<string | null>(null)
const other = ref<string | null>('draft')
const others = computed(() => [{ value: 'draft', name: 'What is written here' }, ...choices.value])
const bodyOf = (id: string | null) => versions.find((version) => version.versionId === id)?.body
const before = computed(() => bodyOf(one.value ?? versions[0]?.versionId ?? null))
const after = computed(() => (other.value === 'draft' ? draft : bodyOf(other.value)))
const differences = computed(() => (before.value && after.value ? compareProcesses(before.value, after.value) : []))
</script>

<template>
  <section class="space-y-3" aria-labelledby="versions">
    <h2 id="versions" class="text-2xl font-bold">What changed</h2>
    <div class="grid max-w-2xl grid-cols-2 gap-4">
      <ChoiceField
        :model-value="one ?? versions[0]?.versionId ?? null"
        label="From"
        :choices="choices"
        @update:model-value="(id) => (one = id)"
      />
      <ChoiceField v-model="other" label="To" :choices="others" />
    </div>
    <p v-if="differences.length === 0" class="text-quiet">Nothing is otherwise.</p>
    <table v-else class="w-full text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-1 pr-4">Step</th>
          <th class="pr-4">What</th>
          <th class="pr-4">Before</th>
          <th>After</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in differences" :key="i" class="border-b border-line align-top">
          <th class="py-1.5 pr-4 font-semibold">{{ line.step || 'Process' }}</th>
          <td class="pr-4">{{ line.what }}</td>
          <td class="pr-4">{{ line.was || '—' }}</td>
          <td>{{ line.is || '—' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
