<script setup lang="ts">
import { recordOf, showTime, type StepRecord } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { computed } from 'vue'
import { useShow } from '../session/useShow'

/** A run step by step: what was planned, what happened, what was measured, and why where it was otherwise. */
const { run } = defineProps<{ run: Run }>()
const show = useShow()
const steps = computed(() => recordOf(run.plan, run.events))
/** Who led it when, where it changed hands. */
const turns = computed(() => {
  const began = run.events.find((event) => event.kind === 'start')?.at
  return run.events
    .filter((event) => !event.late && (event.kind === 'take-over' || event.kind === 'give-back'))
    .map((event) => {
      const when = began === undefined || event.at < began ? 'before the start' : `at ${showTime((event.at - began) / 1000)}`
      if (event.kind === 'give-back') return `It was given back ${when}.`
      return `${event.text || 'Another device'} took it over ${when}${event.duty && run.byMember ? ', on duty' : ''}.`
    })
})
const late = computed(() => run.events.filter((event) => event.late).length)
const tenth = (celsius: number) => show.temperature(Math.round(celsius * 10) / 10)
const measured = ({ measured }: StepRecord) => measured.map((one) => `${tenth(one.celsius)} at ${showTime(one.afterS)}`).join(', ')
function why({ overS, held, movedByS, reason, tookS, because, leftOut }: StepRecord): string {
  const moved =
    Math.abs(movedByS) >= 1 ? `the bath moved its end by ${showTime(Math.abs(movedByS))} ${movedByS < 0 ? 'earlier' : 'later'}` : ''
  const over = tookS !== null && overS > 1 ? `${showTime(overS)} over${held ? ', held' : ''}` : ''
  const put = because === null ? '' : `put in: ${because}`
  const out = leftOut === null ? '' : `left out: ${leftOut}`
  return [put, out, moved, over, reason].filter(Boolean).join('; ')
}
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th scope="col" class="py-1 pr-4">Step</th>
          <th scope="col" class="pr-4">Bath</th>
          <th scope="col" class="pr-4 text-right">Planned</th>
          <th scope="col" class="pr-4 text-right">Took</th>
          <th scope="col" class="pr-4 text-right">Planned at</th>
          <th scope="col" class="pr-4">Measured</th>
          <th scope="col">Otherwise because</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="step in steps" :key="step.step" class="border-b border-line">
          <th scope="row" class="py-1.5 pr-4 font-semibold">{{ step.name }}</th>
          <td class="pr-4">
            <RouterLink
              v-if="step.bottle"
              :to="`/shelf/${step.bottle.id}`"
              class="link inline-flex min-h-11 min-w-11 items-center"
              :aria-label="`${step.bottle.label} ${step.bottle.name}`"
              >{{ step.bottle.label }}</RouterLink
            >
          </td>
          <td class="pr-4 text-right font-mono">{{ showTime(step.plannedS) }}</td>
          <td class="pr-4 text-right font-mono font-bold">{{ step.tookS === null ? '—' : showTime(step.tookS) }}</td>
          <td class="pr-4 text-right whitespace-nowrap">{{ tenth(step.plannedC) }}</td>
          <td class="pr-4">{{ measured(step) || '—' }}</td>
          <td>{{ why(step) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="turn in turns" :key="turn" class="pt-2">{{ turn }}</p>
    <p v-if="late > 0" class="pt-2 text-quiet">
      {{ late === 1 ? 'One line came' : `${late} lines came` }} late, from a device this run had been taken over from: kept, not counted.
    </p>
  </div>
</template>
