<script setup lang="ts">
import { faultNames, guides } from '@selvrin/core'
import { api, type TracedBath, type TracedFilm } from '@selvrin/core/contract'
import { computed, onMounted, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import BathMark from '../marks/BathMark.vue'
import VerdictMark from '../marks/VerdictMark.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { besideOf, failedWords, wrongWith } from './traceWords'

/** Films and the baths they went through, followed either way: from a film that failed to its baths, from a bath that failed to its films. */
const route = useRoute()
const session = useSession()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const asked = computed(() => {
  const { film, bottle } = route.query
  return typeof film === 'string' ? { film } : typeof bottle === 'string' ? { bottle } : {}
})
const page = usePage(
  (signal) => call(api.film.trace, { query: asked.value, signal }),
  (event) => event.subject === 'roll' || event.subject === 'proof',
)
onMounted(() => void page.load())
watch(asked, () => void page.load())
const found = computed(() => page.value.value)
const at = computed(() => asked.value as { film?: string; bottle?: string })
const film = computed(() => found.value?.films.find((one) => one.id === at.value.film))
const bath = computed(() => found.value?.baths.find((one) => one.id === at.value.bottle))
const title = computed(() =>
  film.value ? `${film.value.film}, ${film.value.member}` : bath.value ? `${bath.value.label} ${bath.value.name}` : 'Films and baths',
)
/** the one that is followed first, then those most of whose films failed */
const baths = computed(() =>
  [...(found.value?.baths ?? [])].sort((a, b) => Number(b.id === at.value.bottle) - Number(a.id === at.value.bottle) || rate(b) - rate(a)),
)
const films = computed(() =>
  [...(found.value?.films ?? [])].sort((a, b) => Number(b.id === at.value.film) - Number(a.id === at.value.film) || b.at - a.at),
)
const through = (one: TracedBath) => (found.value?.films ?? []).filter((each) => each.baths.some((its) => its.bottleId === one.id))
const rate = (one: TracedBath) => through(one).filter(wrongWith).length / Math.max(1, through(one).length)
const stepsIn = (one: TracedBath) => (film.value?.baths.find((its) => its.bottleId === one.id)?.steps ?? []).join(', ')
const seen = (one: TracedFilm) =>
  [one.result, one.contrast && `contrast ${one.contrast}`, ...one.faults.map((fault) => faultNames[fault])].filter(Boolean).join(', ')
const verdictWords = { keep: 'Kept', marginal: 'Marginal', failed: 'Failed' }
const testName = (kind: string) => guides.find((guide) => guide.kind === kind)?.name ?? kind
</script>

<template>
  <div class="station">
    <RouterLink to="/films" class="link inline-flex min-h-11 items-center">← All films</RouterLink>
    <PageState
      v-if="!found"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the films and baths"
      back="Back to the films"
      back-to="/films"
    />
    <template v-else>
      <h1 class="text-3xl font-bold">{{ title }}</h1>
      <p class="mb-5 text-lg text-quiet">
        <template v-if="film">Developed {{ showDate(film.at, zone) }} in run {{ film.runNumber }}. {{ seen(film) }}</template>
        <template v-else>Every film that went through it, and the other baths of those films.</template>
      </p>
      <div class="grid grid-cols-2 items-start gap-10 max-lg:grid-cols-1">
        <section aria-labelledby="baths">
          <h2 id="baths" class="mb-2 text-2xl font-bold">Baths</h2>
          <p v-if="baths.length === 0">No bottle’s ledger has a line of its run.</p>
          <ul>
            <li
              v-for="one in baths"
              :key="one.id"
              class="border-b border-line py-2"
              :class="one.id === at.bottle ? 'border-l-4 border-l-ink pl-3' : ''"
            >
              <p class="flex flex-wrap items-center gap-x-3">
                <BathMark :family="one.family" :size="26" />
                <RouterLink
                  :to="{ query: { bottle: one.id } }"
                  class="link inline-flex min-h-11 items-center font-bold"
                  :aria-label="`Follow ${one.label} ${one.name}`"
                  >{{ one.label }} {{ one.name }}</RouterLink
                >
                <RouterLink
                  :to="`/shelf/${one.id}`"
                  class="link ml-auto inline-flex min-h-11 items-center"
                  :aria-label="`${one.label}: its bottle`"
                  >Its bottle</RouterLink
                >
              </p>
              <p v-if="stepsIn(one)">{{ stepsIn(one) }}</p>
              <p class="text-quiet">
                mixed {{ showDate(one.madeAt, zone) }}{{ one.retiredAt === null ? '' : `, retired ${showDate(one.retiredAt, zone)}`
                }}<template v-if="one.from"
                  >, decanted from
                  <RouterLink :to="{ query: { bottle: one.from.id } }" class="link inline-flex min-h-11 min-w-11 items-center">{{
                    one.from.label
                  }}</RouterLink></template
                >
              </p>
              <p>{{ failedWords(through(one)) }}</p>
              <ul v-if="one.tests.length > 0" class="mt-1">
                <li v-for="test in besideOf(one.tests, film?.at ?? null)" :key="test.id">
                  <VerdictMark :verdict="test.verdict" class="mr-1 inline-block align-middle" /><b>{{ verdictWords[test.verdict] }}</b>
                  {{ testName(test.kind) }}, {{ showDate(test.at, zone)
                  }}<template v-if="film">{{ test.at < film.at ? ', before this film' : ', after it' }}</template>
                </li>
              </ul>
              <p v-else class="text-quiet">never tested</p>
            </li>
          </ul>
        </section>
        <section aria-labelledby="films">
          <h2 id="films" class="mb-2 text-2xl font-bold">Films</h2>
          <p v-if="films.length === 0">No film went through it yet.</p>
          <ul>
            <li
              v-for="one in films"
              :key="one.id"
              class="border-b border-line py-2"
              :class="one.id === at.film ? 'border-l-4 border-l-ink pl-3' : ''"
            >
              <p class="flex flex-wrap items-center gap-x-3">
                <RouterLink
                  :to="{ query: { film: one.id } }"
                  class="link inline-flex min-h-11 items-center font-bold"
                  :aria-label="`Follow ${one.film}, ${one.member}, run ${one.runNumber}`"
                  >{{ one.film }}</RouterLink
                >
                <span>EI {{ one.ei }}, {{ one.member }}</span>
                <RouterLink
                  :to="`/tanks/${one.runId}`"
                  class="link ml-auto inline-flex min-h-11 items-center"
                  :aria-label="`Run ${one.runNumber} of ${one.film}, ${one.member}`"
                  >run {{ one.runNumber }}</RouterLink
                >
              </p>
              <p class="text-quiet">{{ showDate(one.at, zone) }}, through {{ one.baths.map((its) => its.label).join(', ') || '—' }}</p>
              <p>
                <b v-if="wrongWith(one)">▲ {{ one.inDoubt ? 'in doubt, ' : '' }}</b
                >{{ seen(one) || 'not said yet how it came out' }}
              </p>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>
