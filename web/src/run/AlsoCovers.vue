<script setup lang="ts">
import { coversOf, loadKinds, type LoadKind } from '@selvrin/core'
import type { Vessel } from '@selvrin/core/contract'
import { computed } from 'vue'
import ReadField from '../fields/ReadField.vue'
import { readCovers, writeCovers } from './coverVolumes'

type Also = NonNullable<Vessel['also']>
/** What covers the other things a vessel takes: worked out from its height, unless somebody measured it. */
const { kind, format, coversMl } = defineProps<{ kind: Vessel['kind']; format: Vessel['format']; coversMl: number[]; problem?: string }>()
const model = defineModel<Also>({ required: true })
const labels: Record<LoadKind, string> = {
  '135': 'What covers films of 135',
  '120': 'What covers films of 120',
  sheets: 'What covers sheets of 4×5 in',
}
const others = computed(() => loadKinds.filter((one) => one !== format))
const worked = computed(() => coversOf({ kind, format, coversMl }))
const said = (one: LoadKind) => model.value.find((row) => row.format === one)?.coversMl ?? []
const put = (one: LoadKind, volumes: number[]) =>
  (model.value = [...model.value.filter((row) => row.format !== one), ...(volumes.length > 0 ? [{ format: one, coversMl: volumes }] : [])])
const hint = (one: LoadKind) => (worked.value[one].length > 0 ? `otherwise ${writeCovers(worked.value[one])}` : 'otherwise it takes none')
const read = (text: string) => (text.trim() === '' ? [] : readCovers(text))
</script>

<template>
  <div class="space-y-4">
    <ReadField
      v-for="one in others"
      :key="one"
      :model-value="said(one)"
      :label="labels[one]"
      :hint="hint(one)"
      :problem="problem ?? ''"
      :read="read"
      :write="writeCovers"
      @update:model-value="(volumes: number[] | null) => put(one, volumes ?? [])"
    />
  </div>
</template>
