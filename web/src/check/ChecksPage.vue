<script setup lang="ts">
import { checksOf, type CheckResult } from '@selvrin/core'
import { checkApi, type Fixture } from '@selvrin/core/contract'
import { computed, shallowRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate, showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import CheckPanel from './CheckPanel.vue'
import FixturePanel from './FixturePanel.vue'
import { askWords, kindWords, standingWords } from './checkWords'
import { useChecks } from './useChecks'

/** Eyewash, ventilation, mains and gloves: what may not be done now because of them, then what is due, each with its check beside it. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const view = useChecks()
const { page, fixtures, blocks } = view
const looking = shallowRef<{ fixture: Fixture; kind: CheckResult['kind'] } | null>(null)
const changing = shallowRef<{ fixture: Fixture | null } | null>(null)
const { busy, problem, act } = useAction()
const remove = ({ id, version }: Fixture) => act(() => call(checkApi.remove, { params: { id }, body: { version } })).then(() => page.load())
function done(): void {
  looking.value = changing.value = null
  void page.load()
}
const worst = computed(() => fixtures.value.filter((one) => ['failed', 'overdue', 'never'].includes(one.standing.standing)).length)
const dueWords = ({ standing: { standing, dueAt } }: Fixture): string =>
  dueAt === null ? '' : standing === 'overdue' ? `since ${showDate(dueAt, zone.value)}` : `until ${showDate(dueAt, zone.value)}`
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Checks</h1>
      <p v-if="page.value.value" class="text-lg text-quiet" role="status">
        {{ worst === 0 ? 'everything is in order' : `${worst} of ${fixtures.length} need somebody` }}
      </p>
      <button type="button" class="button ml-auto" @click="changing = { fixture: null }">Something new</button>
    </div>
    <PageState
      v-if="!page.value.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the checks"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <ProblemLine :problem="problem || page.problem.value" />
      <ul v-if="blocks.length > 0" class="mb-4 space-y-2">
        <li v-for="one in blocks" :key="one" class="border-4 border-alarm p-3 text-xl font-semibold" role="alert">✕ Blocked. {{ one }}</li>
      </ul>
      <ul>
        <li v-for="one in fixtures" :key="one.id" class="flex flex-wrap gap-x-6 gap-y-2 border-b border-line py-4">
          <div class="min-w-0 flex-1 basis-80">
            <h2 class="text-2xl font-bold">
              {{ one.body.name }} <span class="text-lg font-normal text-quiet">{{ kindWords[one.body.kind] }}</span>
            </h2>
            <p class="text-xl" :class="['failed', 'overdue', 'never'].includes(one.standing.standing) ? 'font-bold text-alarm' : ''">
              {{ standingWords[one.standing.standing] }} {{ dueWords(one) }}
            </p>
            <p v-for="said in one.standing.says" :key="said">{{ show.said(said) }}</p>
            <p v-if="one.checks[0]" class="text-quiet">
              Last looked at {{ showMoment(one.checks[0].at, zone) }}, {{ one.checks[0].by
              }}{{ one.checks[0].result.note ? `: ${one.checks[0].result.note}` : '' }}
            </p>
          </div>
          <div class="flex flex-wrap content-start items-start gap-2">
            <button
              v-for="kind in checksOf(one.body)"
              :key="kind"
              type="button"
              class="button"
              :class="one.standing.standing === 'good' ? '' : 'button-main'"
              @click="looking = { fixture: one, kind }"
            >
              {{ askWords[kind] }}<span class="sr-only">: {{ one.body.name }}</span>
            </button>
            <button type="button" class="button button-small" @click="changing = { fixture: one }">
              Change<span class="sr-only"> {{ one.body.name }}</span>
            </button>
            <button type="button" class="button button-small" :disabled="busy" @click="remove(one)">
              Not there any more<span class="sr-only">: {{ one.body.name }}</span>
            </button>
          </div>
        </li>
      </ul>
      <p v-if="fixtures.length === 0" class="text-xl">
        Nothing is written down yet. Begin with the eyewash: without one in order, concentrated acid, hydroxide and silver nitrate are
        blocked.
      </p>
      <p class="mt-4 max-w-3xl text-quiet">
        An eyewash is reached within 10 seconds and runs 15 minutes. Gloves are changed after any splash and each hour; concentrated acid
        and hydroxide want thick ones with a long cuff. Local codes and the suppliers’ sheets decide.
      </p>
      <CheckPanel v-if="looking" v-bind="looking" @close="looking = null" @done="done" />
      <FixturePanel v-if="changing" :fixture="changing.fixture" @close="changing = null" @done="done" />
    </template>
  </div>
</template>
