<script setup lang="ts">
import { mailApi, type Letter } from '@selvrin/core/contract'
import { computed, onMounted } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { now } from '../clock'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'

/** What was written to people, the newest first, and what could not be sent. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const page = usePage(
  (signal) => call(mailApi.letters, { query: { limit: 100 }, signal }),
  (event) => event.subject === 'notice',
)
onMounted(() => void page.load())
const rows = computed(() => page.value.value?.rows ?? [])
const failing = computed(() => rows.value.filter((one) => one.sentAt === null && one.tries > 0))
const { busy, problem, act } = useAction({ keeps: false })
const again = (letter: Letter) =>
  act(async () => {
    await call(mailApi.again, { params: { id: letter.id } })
    await page.load()
  })
const stateOf = ({ sentAt, nextAt, tries, error }: Letter): string => {
  if (sentAt !== null) return `sent ${showMoment(sentAt, zone.value)}`
  if (nextAt === null) return error ?? 'not sent'
  if (tries > 0) return `tried ${tries} ${tries === 1 ? 'time' : 'times'}: ${error ?? ''}`
  return nextAt > now() + 60_000 ? `waits until ${showMoment(nextAt, zone.value)}` : 'about to be sent'
}
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/people" class="link inline-flex min-h-11 items-center">← People</RouterLink>
    <PageState
      v-if="!page.value.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="what was written"
      back="To the people"
      back-to="/people"
    />
    <template v-else>
      <h1 class="mb-1 text-3xl font-bold">Letters</h1>
      <p class="mb-4 text-lg text-quiet">
        {{
          !page.value.value.sends
            ? 'No mail server is set up: nothing is sent. What is written waits.'
            : failing.length === 0
              ? 'All that could be sent was.'
              : `${failing.length} could not be sent yet.`
        }}
      </p>
      <ProblemLine :problem="problem" />
      <p v-if="rows.length === 0" class="text-lg">Nothing was written yet. Who gives an address in their settings is written to.</p>
      <ul>
        <li v-for="letter in rows" :key="letter.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
          <b class="min-w-36 break-words">{{ letter.to }}</b>
          <span class="min-w-64 flex-1 break-words">{{ letter.text }}</span>
          <span class="min-w-56 break-words" :class="letter.sentAt === null && letter.tries > 0 ? 'font-semibold' : 'text-quiet'">{{
            stateOf(letter)
          }}</span>
          <button v-if="letter.sentAt === null && letter.tries > 0" class="button button-small" :disabled="busy" @click="again(letter)">
            Try again<span class="sr-only">: {{ letter.to }}</span>
          </button>
        </li>
      </ul>
    </template>
  </div>
</template>
