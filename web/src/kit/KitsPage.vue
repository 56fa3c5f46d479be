<script setup lang="ts">
import { api, type Kit } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { useShow } from '../session/useShow'
import { useBottles, useFormulas, useKits, useProcesses } from '../stores'
import KitPanel from './KitPanel.vue'
import KitSetCard from './KitSetCard.vue'
import { capacityWords } from './kitWords'

/** Bought kits by their leaflets, and those that were mixed: bath by bath, with one count. */
const show = useShow()
const kits = useKits()
const formulas = useFormulas()
const processes = useProcesses()
const bottles = useBottles()
onMounted(() => void Promise.all([kits.load(), formulas.load(), processes.load(), bottles.load()]))
const { busy, problem, act } = useAction()
const writing = ref<Kit | 'new' | null>(null)
const begin = (kit: Kit) =>
  act(async () => {
    await call(api.kit.begin, { params: { id: kit.id }, body: { id: uuid() } })
    await kits.load(true)
  })
const processName = (id: string | null) => processes.rows.find((one) => one.id === id)?.body.name
/** those that are in use; one whose baths are all retired is behind */
const inUse = computed(
  () =>
    new Map(
      kits.rows.map((kit) => [
        kit.id,
        kit.sets.filter((set) => set.bottles.length === 0 || set.bottles.some((one) => one.retiredAt === null)),
      ]),
    ),
)
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">Kits</h1>
      <button class="button ml-auto" @click="writing = 'new'">Write down a kit</button>
    </div>
    <ProblemLine :problem="problem" class="mb-4" />
    <WaitFor :of="[kits, formulas]" what="the kits">
      <p v-if="kits.rows.length === 0" class="text-xl">
        No kit yet. Write its baths as formulas, each as its leaflet has it mixed, then the kit: its baths in order, and the rolls it is
        good for.
      </p>
      <section v-for="kit in kits.rows" :key="kit.id" class="card mb-6 space-y-3" :aria-label="kit.body.name">
        <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
          <h2 class="text-2xl font-bold">{{ kit.body.name }}</h2>
          <button class="button button-small ml-auto" :aria-label="`Change it: ${kit.body.name}`" @click="writing = kit">Change it</button>
          <button class="button button-small button-main" :disabled="busy" :aria-label="`Mix one: ${kit.body.name}`" @click="begin(kit)">
            Mix one
          </button>
        </div>
        <p>
          {{ kit.body.baths.map((bath) => `${bath.name} ${show.volume(bath.ml)}`).join(', ') }}. {{ capacityWords(kit.body.capacity)
          }}{{ kit.body.sealedDays === null ? '' : ` Sealed it keeps ${kit.body.sealedDays} days.` }}
        </p>
        <p v-if="kit.body.note" class="text-quiet">{{ kit.body.note }}</p>
        <p v-if="kit.body.processId">
          Its process:
          <RouterLink :to="`/tanks/processes/${kit.body.processId}`" class="link inline-flex min-h-11 items-center">{{
            processName(kit.body.processId) ?? '…'
          }}</RouterLink>
        </p>
        <KitSetCard v-for="set in inUse.get(kit.id) ?? []" :key="set.id" :set="set" />
        <p v-if="(inUse.get(kit.id) ?? []).length === 0" class="text-quiet">None is mixed.</p>
      </section>
    </WaitFor>
    <KitPanel v-if="writing !== null" :kit="writing === 'new' ? null : writing" @close="writing = null" @kept="kits.load(true)" />
  </div>
</template>
