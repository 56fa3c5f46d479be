<script setup lang="ts">
import { DomainError, type Formula } from '@selvrin/core'
import type { FormulaBatch } from '@selvrin/core/contract'
import { computed } from 'vue'
import { estimatePh, perLitre } from '../chemical/chemistry'
import { showDate } from '../marks/words'
import { useShow } from '../session/useShow'
import { causeWords } from './causeWords'
import { digits, figure } from '../session/manner'

/** The pH a formula should have, beside what its batches had; a reading that is out is explained. */
const { formula, batches, zone } = defineProps<{ formula: Formula; batches: FormulaBatch[]; zone: string }>()
const show = useShow()
const amounts = computed(() => perLitre(formula))
const predicted = computed(() => {
  try {
    return { ...estimatePh(amounts.value), problem: '' }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { ph: null, uncertainty: 0, problem: error.message }
  }
})
const measured = computed(() => batches.filter((batch) => batch.ph !== null).slice(0, 4))
</script>

<template>
  <section aria-labelledby="ph-head">
    <h2 id="ph-head" class="mb-1 text-xl font-bold">pH</h2>
    <p v-if="predicted.ph === null" class="text-quiet">{{ predicted.problem }}</p>
    <template v-else>
      <p class="text-3xl font-bold">
        <span class="font-mono">{{ digits(predicted.ph, 2) }}</span>
        <span class="ml-2 text-xl font-normal">± {{ figure(predicted.uncertainty) }}</span>
      </p>
      <p class="text-quiet">{{ show.said('Estimated at 25 °C') }} from the amounts; the meter decides.</p>
    </template>
    <ul v-if="measured.length > 0" class="mt-2 space-y-1">
      <li v-for="batch in measured" :key="batch.id">
        <b class="font-mono">{{ digits(batch.ph ?? 0, 2) }}</b>{{
          batch.phCelsius === null ? '' : ` at ${show.temperature(batch.phCelsius)}`
        }}
        measured {{ showDate(batch.madeAt, zone) }}, {{ batch.madeBy }}, version {{ batch.number }}
        <template v-if="batch.explained?.outside">
          <b class="block text-alarm">{{ digits(Math.abs((batch.ph ?? 0) - batch.explained.predicted), 2) }} off, more than it may be.</b>
          <span class="block"
            >{{ digits(batch.explained.predicted, 2) }} was expected of what was weighed.
            <template v-if="batch.explained.causes.length > 0"
              >Would explain it:
              {{
                batch.explained.causes
                  .slice(0, 3)
                  .map((cause) => `${causeWords(cause)} (${digits(cause.ph, 2)})`)
                  .join('; ')
              }}.</template
            ><template v-else>No single slip explains it:</template> an old jar, or a meter out of calibration.</span
          >
          <span v-if="batch.phWhy" class="block">Taken all the same: {{ batch.phWhy }}</span>
        </template>
      </li>
    </ul>
  </section>
</template>
