<script setup lang="ts">
import { showParts } from '@selvrin/core'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import ModalPanel from '../fields/ModalPanel.vue'
import { nameOf } from '../jar/reorder'
import { useSession } from '../session/store'
import { useBottles, useFormulas, useJars, useRolls, useRuns } from '../stores'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const session = useSession()
const bottles = useBottles()
const formulas = useFormulas()
const jars = useJars()
const runs = useRuns()
const rolls = useRolls()
const words = ref('')
const lists = session.isTechnician ? [bottles, rolls, formulas, jars, runs] : [bottles, rolls]
/** what has not been looked through yet */
const waiting = computed(() => {
  const away = lists.filter((list) => !list.loaded)
  return away.length === 0 ? '' : `Still fetching what is to be looked through. ${away.find((list) => list.problem)?.problem ?? ''}`
})
const chosen = ref(0)

onMounted(() => {
  void bottles.load()
  void rolls.load()
  if (session.isTechnician) void Promise.all([formulas.load(), jars.load(), runs.load()])
})

interface Hit {
  key: string
  what: string
  name: string
  to: string
  text: string
}
const everything = computed((): Hit[] => [
  ...bottles.rows.map((row) => ({
    key: row.id,
    what: 'Bottle',
    name: `${row.label} ${row.name}, ${showParts(row.parts)}`,
    to: `/shelf/${row.id}`,
    text: row.code,
  })),
  ...formulas.rows.map((row) => ({
    key: row.id,
    what: 'Formula',
    name: row.body.name,
    to: `/formulary/${row.id}`,
    text: row.body.purpose,
  })),
  ...jars.rows.map((row) => ({
    key: row.id,
    what: 'Jar',
    name: `${nameOf(row)}, ${[row.lot && `lot ${row.lot}`, row.place].filter(Boolean).join(', ')}`,
    to: `/formulary/jars/${row.id}`,
    text: row.code,
  })),
  ...runs.rows.map((row) => ({
    key: row.id,
    what: 'Run',
    name: `Run ${row.number}, ${row.films.join(', ')}`,
    to: `/tanks/${row.id}`,
    text: row.vessel,
  })),
  ...rolls.rows.map((row) => ({
    key: row.id,
    what: 'Film',
    name: `${row.film}, ${row.member}`,
    to: session.isTechnician && row.runId ? `/tanks/${row.runId}` : '/films',
    text: row.developer,
  })),
])
/** A scanner types a label's address, a person its six characters: either is what it names. */
const scanned = computed(() => /(?:\/b\/|^\s*)([2-9A-HJKMNP-Za-hjkmnp-z]{6})\s*$/.exec(words.value)?.[1]?.toUpperCase())
const hits = computed(() => {
  const exact = everything.value.filter((hit) => scanned.value !== undefined && hit.text === scanned.value)
  if (exact.length > 0) return exact
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  if (asked.length === 0) return []
  return everything.value
    .filter((hit) => asked.every((word) => `${hit.what} ${hit.name} ${hit.text}`.toLowerCase().includes(word)))
    .slice(0, 8)
})
function go(hit: Hit | undefined): void {
  if (!hit) return
  emit('close')
  void router.push(hit.to)
}
</script>

<template>
  <ModalPanel open title="Find" @close="$emit('close')">
    <input
      v-model="words"
      class="input"
      aria-label="Name, label or code"
      autocomplete="off"
      placeholder="Name, label or code"
      @input="chosen = 0"
      @keydown.enter.prevent="go(hits[chosen])"
      @keydown.down.prevent="chosen = Math.min(chosen + 1, hits.length - 1)"
      @keydown.up.prevent="chosen = Math.max(chosen - 1, 0)"
    />
    <ul class="mt-3">
      <li v-for="(hit, i) in hits" :key="hit.key">
        <button
          class="flex min-h-11 w-full cursor-pointer items-center gap-4 rounded-sm px-2 text-left"
          :class="i === chosen ? 'bg-primary text-on-primary' : ''"
          @click="go(hit)"
        >
          <span class="w-16 shrink-0">{{ hit.what }}</span><span class="font-semibold">{{ hit.name }}</span>
        </button>
      </li>
    </ul>
    <p v-if="words && hits.length === 0" class="mt-3 text-quiet" role="status">{{ waiting || 'Nothing here is called that.' }}</p>
  </ModalPanel>
</template>
