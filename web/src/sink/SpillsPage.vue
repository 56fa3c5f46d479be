<script setup lang="ts">
import { aidApi, type Incident } from '@selvrin/core/contract'
import { computed, shallowRef } from 'vue'
import { familyName } from '../aid/familyName'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePaged } from '../api/usePaged'
import ProblemLine from '../fields/ProblemLine.vue'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import WaitFor from '../fields/WaitFor.vue'
import { light } from '../light/light'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** What was spilled: whether the kit is full again comes first, then each spill, the newest first. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const list = usePaged(aidApi.incidents, () => ({}), { subject: 'sink', holds: () => true })
const known = computed(() => ({ loaded: list.loaded.value, problem: list.problem.value }))
const open = computed(() => list.rows.value.filter((one) => one.refilledAt === null && one.struckAt === null).length)
const striking = shallowRef<Incident | null>(null)
const { busy, problem, act } = useAction()
const refilled = ({ id, version }: Incident) =>
  act(async () => list.put(await call(aidApi.refilled, { params: { id }, body: { version } })))
async function strike(why: string): Promise<void> {
  const { value: one } = striking
  if (!one) return
  const good = await act(async () => list.put(await call(aidApi.strike, { params: { id: one.id }, body: { version: one.version, why } })))
  if (good) striking.value = null
}
const words = (one: Incident): string =>
  [
    one.body.ml === null ? 'nobody knows how much' : show.volume(one.body.ml),
    familyName(one.body.family),
    ...(one.present.length > 0 ? [`there: ${one.present.join(', ')}`] : []),
  ].join(' · ')
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <h1 class="mb-2 text-3xl font-bold">Spills</h1>
    <p class="mb-4 text-quiet">
      A spill is written down from its card: press <kbd class="font-mono font-bold">!</kbd> on any page. Nobody’s health stands here.
    </p>
    <ProblemLine :problem="problem" />
    <WaitFor :of="[known]" what="the spills">
      <p class="mb-4 text-2xl" role="status">
        {{
          open > 0
            ? '▲ The spill kit is not full: fill it before anything is mixed.'
            : list.rows.value.length > 0
              ? 'The spill kit is full.'
              : 'Nothing was spilled yet, or nobody wrote it down.'
        }}
      </p>
      <ul>
        <li v-for="one in list.rows.value" :key="one.id" class="border-b border-line py-3">
          <p class="text-xl font-semibold" :class="one.struckAt === null ? '' : 'line-through'">{{ one.body.what }}</p>
          <p>{{ words(one) }}</p>
          <p v-if="one.body.note">{{ one.body.note }}</p>
          <p class="text-quiet">{{ showMoment(one.body.at, zone) }}, written down by {{ one.by }}</p>
          <p v-if="one.struckAt !== null" class="font-semibold">Struck out: {{ one.struckWhy }}</p>
          <template v-else>
            <img
              v-if="one.photo && light === 'white'"
              :src="`/api/incidents/${one.id}/photo`"
              :alt="`What was spilled: ${one.body.what}`"
              class="mt-2 max-h-64 border border-line"
            />
            <div class="mt-2 flex flex-wrap items-center gap-3">
              <p v-if="one.refilledAt !== null">✓ Kit filled again {{ showMoment(one.refilledAt, zone) }}</p>
              <button v-else type="button" class="button button-main button-small" :disabled="busy" @click="refilled(one)">
                The kit is full again<span class="sr-only">: {{ one.body.what }}</span>
              </button>
              <button type="button" class="button button-small" @click="striking = one">
                Strike it out<span class="sr-only">: {{ one.body.what }}</span>
              </button>
            </div>
          </template>
        </li>
      </ul>
      <button v-if="list.hasMore.value" type="button" class="button mt-4" @click="list.more()">Older ones</button>
    </WaitFor>
    <TakeBackPanel
      v-if="striking"
      :what="striking.body.what"
      says="It stays on the list, struck out, with the reason."
      :busy="busy"
      :problem="problem"
      @close="striking = null"
      @take="strike"
    />
  </div>
</template>
