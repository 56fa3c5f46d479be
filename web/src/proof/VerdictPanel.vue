<script setup lang="ts">
import { type Judgement, type TestKind } from '@selvrin/core'
import { computed } from 'vue'
import { showReading } from './readings'
import VerdictMark from '../marks/VerdictMark.vue'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'

const show = useShow()
/** The verdict beside its reference: never a bare number. */
const { kind, judgement, reading } = defineProps<{ kind: TestKind; judgement: Judgement; reading: number | null }>()
const bars = computed(() => {
  if (reading === null || judgement.reference === null) return []
  const most = Math.max(reading, judgement.reference)
  return [
    { name: kind === 'silver-paper' ? 'Limit' : 'Fresh', value: judgement.reference },
    { name: 'Now', value: reading },
  ].map((bar) => ({ ...bar, share: most > 0 ? bar.value / most : 0 }))
})
</script>

<template>
  <div>
    <VerdictMark :verdict="judgement.verdict" large />
    <p class="mt-3 max-w-3xl text-2xl">{{ show.said(judgement.reason) }}</p>
    <dl v-if="bars.length > 0" class="my-4 grid max-w-3xl grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-4 gap-y-2 text-lg">
      <template v-for="bar in bars" :key="bar.name">
        <dt>{{ bar.name }}</dt>
        <dd class="h-7 border-2 border-ink"><div class="h-full bg-ink" :style="{ width: `${bar.share * 100}%` }" /></dd>
        <dd class="font-mono font-bold">{{ show.said(showReading(kind, bar.value)) }}</dd>
      </template>
    </dl>
    <p class="mt-2 text-lg">
      <template v-if="judgement.ratio !== null"
        >Ratio <b class="font-mono">{{ digits(judgement.ratio, 2) }}</b>. </template
      >It rests on {{ judgement.restsOn }}.
    </p>
  </div>
</template>
