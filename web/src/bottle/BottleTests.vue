<script setup lang="ts">
import { guideOf, testsFor } from '@selvrin/core'
import type { BottlePage } from '@selvrin/core/contract'
import { computed } from 'vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import VerdictMark from '../marks/VerdictMark.vue'
import { useShow } from '../session/useShow'

const show = useShow()
/** What the tests say of a bottle, what is due, and the way to the next one. */
const { bottle, zone } = defineProps<{ bottle: BottlePage; zone: string }>()
const session = useSession()
const open = computed(() => session.isTechnician && bottle.retiredAt === null)
const others = computed(() => testsFor(bottle.family).filter((guide) => !bottle.due.some((one) => one.kind === guide.kind)))
</script>

<template>
  <section aria-labelledby="tests">
    <h2 id="tests" class="mb-2 text-2xl font-bold">Tests</h2>
    <ul v-if="bottle.due.length > 0 && bottle.retiredAt === null" class="mb-3 space-y-2">
      <li v-for="one in bottle.due" :key="one.kind" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-alarm pl-3">
        <p class="min-w-0 flex-1">
          <b>Due: {{ one.name }}.</b> {{ show.said(one.says.charAt(0).toUpperCase() + one.says.slice(1)) }}.
        </p>
        <RouterLink v-if="open" :to="`/proofs/${one.kind}/${bottle.id}`" class="button button-small">Test it</RouterLink>
      </li>
    </ul>
    <ul v-if="bottle.state.tests.length > 0" class="space-y-2">
      <li v-for="one in bottle.state.tests" :key="one.kind" class="flex gap-3">
        <VerdictMark :verdict="one.failed ? 'failed' : one.newest.verdict" />
        <p>
          <b>{{ guideOf(one.kind).name }}</b>, {{ showDate(one.at, zone) }}.
          {{ show.said(one.failed && one.newest.verdict !== 'failed' ? one.failed.reason : one.newest.reason) }}
          <template v-if="one.newest.overruled"> Used all the same: {{ one.newest.overruled }}.</template>
        </p>
      </li>
    </ul>
    <p v-else-if="testsFor(bottle.family).length === 0">There is no test for it: its count and its age are all there is.</p>
    <p v-else class="text-quiet">Not tested yet.</p>
    <p v-if="open && others.length > 0" class="mt-2 flex flex-wrap gap-x-4">
      <RouterLink
        v-for="guide in others"
        :key="guide.kind"
        :to="`/proofs/${guide.kind}/${bottle.id}`"
        class="link inline-flex min-h-11 items-center"
        >{{ guide.name }}</RouterLink
      >
    </p>
  </section>
</template>
