<script setup lang="ts">
import { showTime, troubleAnswers, type Plan, type Practised, type PractisedStep, type TroubleKind } from '@selvrin/core'
import type { PracticeRow } from '@selvrin/core/contract'
import FindingList from '../marks/FindingList.vue'
import { troubleNames } from './words'

/** What a practice would have done to the film, and what was done when. */
defineProps<{ row: PracticeRow; plan: Plan; practised: Practised; /** it was just done */ now?: boolean }>()
defineEmits<{ again: [] }>()
/** A trouble, and what was answered to it. */
function trouble(kind: TroubleKind, answers: Practised['answers']): string {
  const choices: readonly { key: string; says: string }[] =
    kind in troubleAnswers ? troubleAnswers[kind as keyof typeof troubleAnswers] : []
  const said = choices.find((one) => one.key === answers[kind])?.says
  return said ? `${troubleNames[kind]}: “${said}”` : troubleNames[kind]
}
function agitated(plan: Plan, { step, beatsS }: PractisedStep): string {
  const liquid = plan.steps[step]?.liquid
  if (liquid === 'air' || liquid === 'light') return '—'
  return beatsS === null ? 'taken as done' : `${beatsS.length} times`
}
</script>

<template>
  <section class="space-y-5" aria-label="What it would have done">
    <p class="text-3xl font-bold" role="status">{{ row.clean ? 'The film would be right.' : 'The film would not be right.' }}</p>
    <p class="font-mono text-8xl leading-none font-bold max-sm:text-6xl">{{ row.score }}<span class="text-2xl"> of 100</span></p>
    <FindingList :findings="row.findings" />
    <div class="overflow-x-auto">
      <table class="w-full max-w-2xl text-left">
        <thead>
          <tr class="border-b-2 border-ink">
            <th scope="col" class="py-1 pr-4">Poured</th>
            <th scope="col" class="pr-4 text-right max-sm:hidden">At</th>
            <th scope="col" class="pr-4 text-right">Planned</th>
            <th scope="col" class="pr-4 text-right">Took</th>
            <th scope="col" class="text-right">Agitated</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in practised.steps" :key="one.fromS" class="border-b border-line">
            <th scope="row" class="py-1.5 pr-4 font-semibold">{{ plan.steps[one.step]?.name }}</th>
            <td class="pr-4 text-right font-mono max-sm:hidden">{{ showTime(one.fromS) }}</td>
            <td class="pr-4 text-right font-mono">{{ showTime(plan.steps[one.step]?.seconds ?? 0) }}</td>
            <td class="pr-4 text-right font-mono font-bold">{{ showTime(one.untilS - one.fromS) }}</td>
            <td class="text-right">{{ agitated(plan, one) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="kind in practised.troubles" :key="kind">{{ trouble(kind, practised.answers) }}</p>
    <button v-if="now" type="button" class="button button-main min-h-14 px-8 text-lg" @click="$emit('again')">Once more</button>
  </section>
</template>
