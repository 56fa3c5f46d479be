<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useQuickUse } from '../bottle/useQuickUse'
import { useBench } from '../device/readings'
import ModalPanel from '../fields/ModalPanel.vue'
import { notTyped } from '../hand/typed'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { api } from '@selvrin/core/contract'
import { usePaged } from '../api/usePaged'
import { useBottles, useChart, useFormulas, useJars, usePeople, useRuns } from '../stores'
import { everything, hitsFor, type Hit } from './finder'

/** Finds anything by any of its names, and does the commonest things on the spot. */
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const session = useSession()
const show = useShow()
notTyped()
const [bottles, formulas, jars, runs, people, chart] = [useBottles(), useFormulas(), useJars(), useRuns(), usePeople(), useChart()]
const probe = useBench('thermometer')
const quick = useQuickUse()
const words = ref('')
const chosen = ref(0)
const atOnce = 8
const lists = session.isTechnician ? [bottles, formulas, jars, runs, people, chart] : [bottles]
onMounted(() => void Promise.all(lists.map((list) => list.load())))

/** what is over is looked through where it is kept */
const sought = (technicians = false) =>
  words.value.trim() === '' || (technicians && !session.isTechnician) ? null : { find: words.value.trim() }
const retired = usePaged(api.bottle.retired, () => sought(), {
  subject: 'bottle',
  holds: (bottle) => bottle.retiredAt !== null,
  atOnce: 20,
})
const past = usePaged(
  api.run.list,
  () => {
    const asked = sought(true)
    return asked && { ...asked, which: 'over' }
  },
  { subject: 'run', holds: (run) => run.endedAt !== null, atOnce: 20 },
)
const films = usePaged(api.run.rolls, () => sought(), { subject: 'roll', holds: () => false, atOnce: 20 })
const kept = session.isTechnician ? [retired, past, films] : [retired, films]

/** What the probe at the bench says, else the shelf the developer stands on, else what is usual. */
function temperatureOf(formulaId: string): { celsius: number; from: string } {
  const read = probe.reading.value
  if (read?.value != null && read.stable) return { celsius: read.value, from: probe.device.value?.name ?? 'the probe' }
  const bottle = bottles.rows.find((one) => one.formulaId === formulaId && one.retiredAt === null && one.state.volumeMl > 0)
  return bottle ? { celsius: bottle.state.celsius, from: `where ${bottle.label} stands` } : { celsius: 20, from: 'none on the shelf' }
}
const all = computed(() =>
  everything({
    technician: session.isTechnician,
    bottles: [...bottles.rows, ...retired.rows.value],
    formulas: formulas.rows,
    jars: jars.rows,
    people: people.rows,
    runs: [...runs.rows, ...past.rows.value],
    rolls: films.rows.value,
    chart: chart.rows,
    temperatureOf,
    temperature: show.temperature,
  }),
)
/** A scanner types a label's address, a person its six characters: either is what it names. */
const scanned = computed(() => /(?:\/b\/|^\s*)([2-9A-HJKMNP-Za-hjkmnp-z]{6})\s*$/.exec(words.value)?.[1]?.toUpperCase())
const found = computed(() => hitsFor(all.value, words.value, scanned.value))
const hits = computed(() => found.value.slice(0, Math.max(atOnce, Math.ceil((chosen.value + 1) / atOnce) * atOnce)))
/** what has not been looked through yet */
const waiting = computed(() => {
  const problems = [
    ...lists.filter((list) => !list.loaded).map((list) => list.problem),
    ...kept.filter((list) => !list.loaded.value).map((list) => list.problem.value),
  ]
  return problems.length === 0 ? '' : `Still fetching what is to be looked through. ${problems.find((one) => one !== '') ?? ''}`
})
const state = computed(() => {
  if (words.value.trim() === '') return ''
  if (found.value.length === 0) return waiting.value || 'Nothing here is called that.'
  const more = found.value.length - hits.value.length
  return more > 0
    ? `${hits.value.length} of ${found.value.length}: more further down, or write more of it.`
    : `${found.value.length} found. ${waiting.value}`
})
function choose(at: number): void {
  chosen.value = Math.min(Math.max(at, 0), found.value.length - 1)
  void nextTick(() => document.getElementById(`hit-${chosen.value}`)?.scrollIntoView({ block: 'nearest' }))
}
async function go(hit: Hit | undefined): Promise<void> {
  if (!hit) return
  if (hit.act === 'tally' && hit.bottle) {
    await quick.pourBack(hit.bottle)
    return
  }
  emit('close')
  if (hit.to) await router.push(hit.to)
}
</script>

<template>
  <ModalPanel open wide title="Find, or do" @close="$emit('close')">
    <input
      v-model="words"
      class="input"
      role="combobox"
      aria-expanded="true"
      aria-controls="hits"
      :aria-activedescendant="hits.length > 0 ? `hit-${chosen}` : undefined"
      aria-label="Name, label, code, or what to do"
      autocomplete="off"
      placeholder="D4 · dilute D4 · time for a film · washing soda · 7757-83-7"
      @input="chosen = 0"
      @keydown.enter.prevent="go(hits[chosen])"
      @keydown.down.prevent="choose(chosen + 1)"
      @keydown.up.prevent="choose(chosen - 1)"
    />
    <p class="mt-2 min-h-6 text-quiet" role="status">{{ state }}</p>
    <p v-if="quick.written.value" class="my-2 flex flex-wrap items-center gap-4 text-lg font-semibold" role="status">
      {{ quick.written.value.says }} <button class="button button-small" @click="quick.undo()">Undo</button>
    </p>
    <p v-if="quick.problem.value" class="my-2 font-semibold text-alarm" role="alert">{{ quick.problem.value }}</p>
    <ul id="hits" role="listbox" aria-label="Found" class="max-h-[60vh] overflow-y-auto">
      <li
        v-for="(hit, i) in hits"
        :id="`hit-${i}`"
        :key="hit.key"
        role="option"
        :aria-selected="i === chosen"
        class="flex min-h-12 cursor-pointer items-center gap-4 rounded-sm px-2 py-1"
        :class="i === chosen ? 'bg-primary text-on-primary outline-2 outline-ink' : ''"
        @click="go(hit)"
      >
        <span class="w-20 shrink-0">{{ hit.what }}</span>
        <span class="min-w-0 flex-1"
          ><b class="block break-words">{{ hit.name }}</b
          ><span v-if="hit.says && hit.what !== 'Time'">{{ hit.says }}</span></span
        >
        <b v-if="hit.says && hit.what === 'Time'" class="text-right font-mono text-lg">{{ hit.says }}</b>
      </li>
    </ul>
  </ModalPanel>
</template>
