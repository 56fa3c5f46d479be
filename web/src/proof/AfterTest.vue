<script setup lang="ts">
import { guideOf, inDays } from '@selvrin/core'
import { api, type BottlePage, type Proof, type Suspect } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showDate } from '../marks/words'

/** What follows from a test: carried out where it can be, offered where a hand is needed. */
const { proof, suspects, bottle, zone } = defineProps<{ proof: Proof; suspects: Suspect[]; bottle: BottlePage; zone: string }>()
const emit = defineEmits<{ retire: []; again: []; changed: [] }>()
const { busy, problem, act } = useAction()
const judgement = computed(() => proof.judgement)
const against = computed(() => bottle.state.tests.find((one) => one.kind === proof.kind)?.failed ?? null)
const helps = {
  refix: 'They can be refixed in fresh fixer and washed again.',
  rewash: 'They can be washed again.',
  nothing: 'Nothing helps them any more: look at them before you rely on them.',
}
const reason = ref('')
const entryId = uuid()
async function overrule(): Promise<void> {
  const good = await act(() => call(api.proof.overrule, { body: { entryId, bottleId: bottle.id, kind: proof.kind, reason: reason.value } }))
  if (good) emit('changed')
}
</script>

<template>
  <div class="space-y-4">
    <ul class="space-y-1 text-lg">
      <li v-if="judgement.fixS !== null">
        <b>Fix {{ Math.round(judgement.fixS) }} s</b> at the temperature and with the film it was read with: each run takes it for its own.
      </li>
      <li v-if="judgement.againDays === 0"><b>Test it again before the next run.</b></li>
      <li v-else-if="judgement.againDays !== null">
        <b>To be tested again from {{ showDate(inDays(proof.at, judgement.againDays, zone), zone) }}.</b>
      </li>
      <li v-if="proof.fresh"><b>Kept as the reference of its batch.</b></li>
      <li v-if="bottle.retiredAt !== null">
        <b>{{ bottle.label }} is retired.</b>
      </li>
    </ul>
    <section v-if="judgement.verdict === 'failed'" aria-labelledby="suspects">
      <h2 id="suspects" class="text-xl font-bold">
        {{
          suspects.length > 0 ? 'Films that went through it since its last good test' : 'No film went through it since its last good test'
        }}
      </h2>
      <template v-if="suspects.length > 0">
        <ul class="mt-1">
          <li v-for="run in suspects" :key="run.runId" class="border-b border-line py-2">
            <RouterLink :to="`/tanks/${run.runId}`" class="link">Run {{ run.runNumber }}</RouterLink
            >, {{ showDate(run.at, zone) }}: {{ run.films.map((film) => `${film.film} of ${film.member}`).join(', ') }}
          </li>
        </ul>
        <p class="mt-2">{{ helps[guideOf(proof.kind).helps] }} Their records are marked, their owners are told.</p>
      </template>
    </section>
    <div class="flex flex-wrap gap-3">
      <button v-if="judgement.verdict === 'failed' && bottle.retiredAt === null" class="button button-main" @click="emit('retire')">
        Retire {{ bottle.label }}
      </button>
      <button class="button" @click="emit('again')">Test it again</button>
      <RouterLink to="/proofs" class="button">To what is due</RouterLink>
    </div>
    <form v-if="against && bottle.retiredAt === null" class="space-y-3 border-l-4 border-alarm pl-4" @submit.prevent="overrule">
      <p>Until two passes in a row {{ bottle.label }} cannot be used; a technician may overrule that.</p>
      <TextField v-model="reason" label="Why it may be used all the same" hint="stays on the record, with your name" />
      <ProblemLine :problem="problem" />
      <button class="button button-small" :disabled="busy">Overrule</button>
    </form>
  </div>
</template>
