<script setup lang="ts">
import { guideOf, type TestKind } from '@selvrin/core'
import type { Proof } from '@selvrin/core/contract'
import { computed } from 'vue'
import { showDate } from '../marks/words'
import TakeTestBack from './TakeTestBack.vue'
import { showReading } from './readings'
import type { Trend } from './trend'
import { useShow } from '../session/useShow'
import { part } from '../part/part'

const show = useShow()
/** The last tests of that kind of this bottle, and where they lead. */
const { kind, proofs } = defineProps<{ kind: TestKind; proofs: Proof[]; trend: Trend | null; zone: string }>()
defineEmits<{ changed: [] }>()
const TrendChart = part(() => import('./TrendChart.vue'))
const shownAtMost = 6
const before = computed(() => proofs.filter((proof) => proof.kind === kind).slice(0, shownAtMost))
</script>

<template>
  <section v-if="before.length > 0" class="mt-8" aria-labelledby="before">
    <h2 id="before" class="mb-2 text-xl font-bold">Before</h2>
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
      <ul>
        <li v-for="one in before" :key="one.id" class="border-b border-line py-1.5" :class="one.takenBack ? 'text-quiet' : ''">
          <b>{{ showDate(one.at, zone) }}</b>
          <template v-if="one.reading.value !== undefined">, {{ show.said(showReading(kind, one.reading.value)) }}</template>
          <template v-if="one.fresh">, fresh</template><template v-if="one.takenBack">, taken back</template>.
          <span class="text-quiet">{{ one.by }}</span>
          <TakeTestBack
            v-if="!one.takenBack"
            :id="one.id"
            class="ml-2"
            :what="`${guideOf(kind).name}, ${showDate(one.at, zone)}`"
            @done="$emit('changed')"
          />
        </li>
      </ul>
      <TrendChart v-if="trend" :trend="trend" />
    </div>
  </section>
</template>
