<script setup lang="ts">
import { drumNames, drums, type Drum } from '@selvrin/core'
import { sinkApi, type DischargeRow } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import BathMark from '../marks/BathMark.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import AllowPanel from './AllowPanel.vue'
import DrainLedger from './DrainLedger.vue'
import { drumMarks } from './drumWords'
import { useSink } from './useSink'

/** What may go down the drain: nothing, but what a paper allows until it ends. */
const { page, sink } = useSink()
const show = useShow()
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const allowing = ref<{ family: Drum; rule: DischargeRow | null } | null>(null)
const ruleOf = (family: Drum): DischargeRow | null => sink.value?.rules.find((one) => one.family === family) ?? null
const septic = computed(() => sink.value?.facts.septic === true)
const { busy, problem, act } = useAction({ keeps: false })
const forbid = (rule: DischargeRow) =>
  act(async () => {
    await call(sinkApi.forbid, { params: { family: rule.family }, body: { version: rule.version } })
    await page.load()
  })
const words = (rule: DischargeRow): string =>
  `${show.volume(rule.mlADay)} a day, 1+${rule.dilution} with water, ${rule.minutes} min of running water; ${rule.paper}, until ${showDate(Date.parse(`${rule.ends}T12:00:00Z`), 'UTC')}`
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <h1 class="mb-2 text-3xl font-bold">Down the drain</h1>
    <p class="mb-4 text-lg">
      Nothing but washes after the silver limit, water used as a stop bath, and pre-wets of black-and-white film. More only by a paper of
      the local authority, until it ends.
    </p>
    <p v-if="septic" class="mb-4 border-l-4 border-alarm pl-3 font-semibold">
      On a septic tank or open ground: nothing, whatever a paper says.
    </p>
    <PageState
      v-if="!sink"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the rules"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <ProblemLine :problem="problem" />
      <ul>
        <li v-for="family in drums" :key="family" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2">
          <BathMark :family="drumMarks[family]" :size="28" />
          <b class="min-w-56">{{ drumNames[family] }}</b>
          <span class="min-w-64 flex-1">
            <template v-if="!ruleOf(family)">not allowed</template>
            <template v-else-if="ruleOf(family)!.ended || septic"
              ><b class="text-alarm">▲ not allowed{{ ruleOf(family)!.ended ? ': its paper has ended' : '' }}</b
              ><span class="block text-quiet">{{ words(ruleOf(family)!) }}</span></template
            >
            <template v-else
              ><b>allowed</b>, {{ show.volume(ruleOf(family)!.todayMl) }} went down today<span class="block text-quiet">{{
                words(ruleOf(family)!)
              }}</span></template
            >
          </span>
          <button type="button" class="button button-small" @click="allowing = { family, rule: ruleOf(family) }">
            {{ ruleOf(family) ? 'Another paper' : 'A paper allows some' }}<span class="sr-only">: {{ drumNames[family] }}</span>
          </button>
          <button v-if="ruleOf(family)" type="button" class="button button-small" :disabled="busy" @click="forbid(ruleOf(family)!)">
            Allow nothing<span class="sr-only">: {{ drumNames[family] }}</span>
          </button>
        </li>
      </ul>
      <DrainLedger :zone="zone" @changed="page.load()" />
      <AllowPanel v-if="allowing" :family="allowing.family" :rule="allowing.rule" @close="((allowing = null), page.load())" />
    </template>
  </div>
</template>
