<script setup lang="ts">
import { catalogue, cautions, showMass } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useJars } from '../stores'

/** The jars of raw chemicals by place, and a new one onto the shelf. */
const session = useSession()
const jars = useJars()
onMounted(() => void jars.load())
const { busy, problem, act } = useAction()
const ids = ref({ id: uuid(), entryId: uuid() })
const draft = reactive({ chemical: null as string | null, grams: null as number | null, lot: '', place: '' })
const chemicals = Object.values(catalogue)
  .map((one) => ({ value: one.id, name: one.name }))
  .sort((a, b) => a.name.localeCompare(b.name))
const places = computed(() => {
  const byPlace = new Map<string, typeof jars.rows>()
  for (const jar of jars.rows) byPlace.set(jar.place || 'no place', [...(byPlace.get(jar.place || 'no place') ?? []), jar])
  return [...byPlace].sort((a, b) => a[0].localeCompare(b[0]))
})
const warnings = computed(() => (draft.chemical && catalogue[draft.chemical] ? cautions(catalogue[draft.chemical]!) : []))

async function receive(): Promise<void> {
  if (draft.chemical === null || draft.grams === null) {
    problem.value = 'Choose the chemical and write how much is in the jar.'
    return
  }
  const body = { ...ids.value, chemical: draft.chemical, grams: draft.grams, lot: draft.lot, place: draft.place }
  if (!(await act(() => call(api.jar.receive, { body })))) return
  ids.value = { id: uuid(), entryId: uuid() }
  Object.assign(draft, { chemical: null, grams: null, lot: '' })
  await jars.load(true)
}
</script>

<template>
  <div class="station grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
    <section>
      <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
      <h1 class="mb-3 text-3xl font-bold">Jars</h1>
      <ProblemLine :problem="jars.problem" />
      <p v-if="jars.loaded && jars.rows.length === 0" class="text-xl">
        No jar yet. Put the first on the shelf, and the scales will keep count of it.
      </p>
      <div class="columns-2 gap-8 max-md:columns-1">
        <section v-for="[place, list] in places" :key="place" class="mb-5 break-inside-avoid">
          <h2 class="border-b-2 border-ink pb-1 text-lg font-bold">{{ place }}</h2>
          <ul>
            <li v-for="jar in list" :key="jar.id" class="flex items-baseline gap-3 border-b border-line py-1.5">
              <span class="min-w-0 flex-1"
                ><b>{{ catalogue[jar.chemical]?.name ?? jar.chemical }}</b
                ><span class="ml-2 text-quiet"
                  >{{ jar.lot }} <span class="font-mono">{{ jar.code }}</span></span
                ></span
              >
              <b class="font-mono whitespace-nowrap">{{ showMass(jar.grams, session.units) }}</b>
            </li>
          </ul>
        </section>
      </div>
    </section>
    <form class="card space-y-3 self-start max-lg:order-first" @submit.prevent="receive">
      <h2 class="text-xl font-bold">A new jar</h2>
      <ChoiceField v-model="draft.chemical" label="Chemical" :choices="chemicals" />
      <p v-for="word in warnings" :key="word" class="font-semibold">{{ word }}.</p>
      <QuantityField v-model="draft.grams" kind="mass" label="Holds" />
      <TextField v-model="draft.lot" label="Lot" />
      <TextField v-model="draft.place" label="Place" />
      <ProblemLine :problem="problem" />
      <button class="button button-main w-full" :disabled="busy">Put it on the shelf</button>
    </form>
  </div>
</template>
