<script setup lang="ts">
import { formulasWithout, repeatedAgents } from '@selvrin/core'
import { exposureApi, type ExposureNote } from '@selvrin/core/contract'
import { computed, ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { catalogue } from '../chemical/chemistry'
import AskCard from '../fields/AskCard.vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useFormulas } from '../stores'
import ExposurePanel from './ExposurePanel.vue'
import ExposureReaders from './ExposureReaders.vue'
import { wayWords } from './exposureWords'

/** One's own notes of exposure, with what a second reaction asks for; those of others where one is named to read them. */
const session = useSession()
const formulas = useFormulas()
if (session.isTechnician) void formulas.load()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const page = usePage((signal) => call(exposureApi.page, { signal }))
void page.load()
const there = computed(() => page.value.value)
const groups = computed(() => {
  const all = there.value?.notes ?? []
  const others = new Map<string, ExposureNote[]>()
  for (const one of all.filter((note) => !note.mine)) others.set(one.person, [...(others.get(one.person) ?? []), one])
  const mine = all.filter((note) => note.mine)
  return [...(mine.length > 0 ? [{ who: '', notes: mine }] : []), ...[...others].map(([who, notes]) => ({ who, notes }))].map((group) => ({
    ...group,
    again: repeatedAgents(group.notes.map((one) => one.body)).map((one) => ({ ...one, without: withoutIt(one.chemical) })),
  }))
})
function withoutIt(chemical: string | null): string[] {
  if (chemical === null) return []
  const all = formulas.rows.map((one) => ({ name: one.body.name, family: one.body.family, additions: one.body.additions }))
  return formulasWithout(chemical, all, catalogue())
    .map((one) => one.name)
    .slice(0, 6)
}
const names = computed(() => (there.value?.readers ?? []).map((one) => one.name))
const open = shallowRef<{ note: ExposureNote | null } | null>(null)
const erasing = ref('')
const { problem, act } = useAction()
const erase = ({ id, version }: ExposureNote) =>
  act(() => call(exposureApi.erase, { params: { id }, body: { version } })).then(() => page.load())
function done(): void {
  open.value = null
  void page.load()
}
const facts = ({ body }: ExposureNote): string =>
  [wayWords[body.way], body.minutes === null ? '' : `${body.minutes} min`, body.gloves ? 'gloves on' : 'without gloves', body.task]
    .filter(Boolean)
    .join(' · ')
</script>

<template>
  <div class="station max-w-4xl">
    <div class="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Exposure notes</h1>
      <button type="button" class="button ml-auto" @click="open = { note: null }">Write a note</button>
    </div>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the notes"
      back="To the Shelf"
      back-to="/shelf"
    />
    <template v-else>
      <p class="mb-4 text-quiet">
        Seen by whom they are about<template v-if="names.length > 0"> and by {{ names.join(', ') }}</template
        >; in no file and no letter, on no wall. A backup of the database holds them.
      </p>
      <ProblemLine :problem="problem || page.problem.value" />
      <p v-if="groups.length === 0" class="text-xl">No note. A rash, a cough, a splash: what it was, for how long, and how it went on.</p>
      <section v-for="group in groups" :key="group.who" class="mb-6" :aria-label="group.who || 'Yours'">
        <h2 v-if="group.who" class="mb-1 text-2xl font-bold">{{ group.who }}</h2>
        <div v-for="one in group.again" :key="one.agent" class="mb-3 border-4 border-alarm p-3" role="note">
          <p class="text-xl font-semibold">▲ {{ one.says }}</p>
          <p v-if="one.without.length > 0" class="mt-1">Without it: {{ one.without.join(', ') }}.</p>
        </div>
        <ul>
          <li v-for="one in group.notes" :key="one.id" class="border-b border-line py-3">
            <p class="text-xl font-semibold">{{ one.body.agent }}</p>
            <p>{{ facts(one) }}</p>
            <p v-if="one.body.course">{{ one.body.course }}</p>
            <p class="text-quiet">{{ showMoment(one.body.at, zone) }}</p>
            <div class="mt-1 flex flex-wrap gap-3">
              <button type="button" class="button button-small" @click="open = { note: one }">
                How it went on<span class="sr-only">: {{ one.body.agent }}</span>
              </button>
              <button v-if="one.mine && erasing !== one.id" type="button" class="button button-small" @click="erasing = one.id">
                Erase the note<span class="sr-only">: {{ one.body.agent }}</span>
              </button>
            </div>
            <AskCard
              v-if="erasing === one.id"
              class="mt-2"
              :question="`The note about ${one.body.agent} is gone for good, for everybody.`"
              back="Keep it"
              on="Erase it"
              @back="erasing = ''"
              @on="erase(one)"
            />
          </li>
        </ul>
      </section>
      <p class="max-w-2xl text-quiet">
        What may harm fertility or the unborn child is said on its label, to everybody; nobody is asked. A doctor decides what a reaction
        means.
      </p>
      <ExposureReaders v-if="session.isTechnician && (there.reads || names.length === 0)" :readers="there.readers" @done="page.load()" />
      <ExposurePanel v-if="open" :note="open.note" @close="open = null" @done="done" />
    </template>
  </div>
</template>
