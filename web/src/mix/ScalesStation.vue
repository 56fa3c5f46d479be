<script setup lang="ts">
import { families, type Family, type Formula } from '@selvrin/core'
import { computed, onMounted, ref } from 'vue'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import BathMark from '../marks/BathMark.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { mixTasks } from '../bottle/todo'
import { useSupply } from '../bottle/supply'
import { lackingFor } from '../chemical/chemistry'
import { useBottles, useFormulas, useJars, useMixes } from '../stores'
import WaitFor from '../fields/WaitFor.vue'

const session = useSession()
const show = useShow()
const mixes = useMixes()
const formulas = useFormulas()
const supply = useSupply()
const [bottles, jars] = [useBottles(), useJars()]
onMounted(() => void Promise.all([mixes.load(), formulas.load(), supply.load(), bottles.load(), jars.load()]))
/** What one comes to the scales for is looked for so far ahead. */
const aheadDays = 14
/** What is to be mixed in the days ahead, and what its jars lack for one batch. What is bought ready made is on the shopping list instead. */
const due = computed(() =>
  mixTasks(
    bottles.rows.filter((bottle) => bottle.retiredAt === null),
    supply.supplies,
    zone(),
    aheadDays,
  ).flatMap((task) => {
    const row = mixable.value.find((one) => task.to === `/formulary/${one.id}`)
    if (!row || mixes.rows.some((mix) => mix.formulaId === row.id)) return []
    return [{ ...task, row, lacking: lackingFor([{ id: row.id, ...row.body } as Formula], jars.rows) }]
  }),
)
/** What is mixed here, by family and name. */
const mixable = computed(() => {
  const rank = (family: Family) => families.indexOf(family)
  return formulas.rows
    .filter((one) => one.body.additions.length > 0)
    .sort((a, b) => rank(a.body.family) - rank(b.body.family) || a.body.name.localeCompare(b.body.name))
})
/** From so many on a list is searched. */
const many = 20
const find = ref('')
const found = computed(() => mixable.value.filter((row) => matches(row.body.name, find.value)))
const zone = () => session.session?.darkroom.zone ?? 'UTC'
</script>

<template>
  <div class="station">
    <h1 class="text-3xl font-bold">Scales</h1>
    <WaitFor :of="[mixes, formulas, supply, bottles, jars]" what="what is being mixed">
      <section v-if="mixes.rows.length > 0" class="mt-4">
        <h2 class="mb-2 text-xl font-bold">On the bench now</h2>
        <ul class="space-y-3">
          <li v-for="mix in mixes.rows" :key="mix.id">
            <RouterLink :to="`/scales/${mix.id}`" class="card flex flex-wrap items-center gap-5 border-2 border-ink">
              <BathMark :family="mix.family" :size="40" />
              <span class="text-2xl font-bold">{{ show.volume(mix.finalMl) }} {{ mix.formulaName }}</span>
              <span class="text-quiet"
                >begun {{ showMoment(mix.startedAt, zone()) }} by {{ mix.by }}{{ mix.hand ? `, ${mix.hand.name} weighs` : '' }}</span
              >
              <span class="button button-main ml-auto">Go on mixing</span>
            </RouterLink>
          </li>
        </ul>
      </section>
      <section v-if="due.length > 0" class="mt-6" aria-labelledby="to-mix">
        <h2 id="to-mix" class="mb-2 text-xl font-bold">To be mixed</h2>
        <ol>
          <li v-for="one in due" :key="one.key" class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line py-3">
            <BathMark :family="one.row.body.family" :size="40" />
            <div class="min-w-0 flex-1">
              <p class="text-2xl font-bold">{{ one.what.replace(/^Mix /, '') }}</p>
              <p class="text-quiet">{{ show.said(one.why) }}</p>
              <p v-if="one.lacking.length > 0" class="font-semibold">
                ▲ The jars lack
                {{ one.lacking.map((lack) => `${show.mass(lack.wantedG - lack.heldG)} of ${lack.name}`).join(', ') }}
                for {{ show.volume(one.row.body.finalMl) }}.
              </p>
            </div>
            <RouterLink :to="one.to" class="button button-main"
              >Mix it<span class="sr-only">: {{ one.row.body.name }}</span></RouterLink
            >
          </li>
        </ol>
      </section>
      <p v-if="mixes.rows.length === 0 && due.length === 0" class="mt-4 text-xl">
        {{ mixable.length === 0 ? 'There is no formula to mix yet.' : 'Nothing is being mixed, and nothing has to be. What shall it be?' }}
        <RouterLink v-if="mixable.length === 0" to="/formulary" class="link inline-flex min-h-11 items-center">Formulary</RouterLink>
      </p>
      <section v-if="mixable.length > 0" class="mt-8">
        <h2 class="mb-2 text-xl font-bold">{{ due.length > 0 ? 'Anything else' : 'Begin with' }}</h2>
        <FindField
          v-if="mixable.length > many"
          v-model="find"
          class="mb-3 max-w-sm"
          label="Find a formula"
          kept="scales"
          :count="found.length"
          :of="mixable.length"
          what="formulas"
        />
        <ul class="grid grid-cols-3 gap-x-8 max-lg:grid-cols-2 max-sm:grid-cols-1">
          <li v-for="row in found" :key="row.id" class="border-b border-line">
            <RouterLink
              :to="`/formulary/${row.id}`"
              class="flex min-h-14 items-center gap-3 text-lg font-semibold underline-offset-4 hover:underline"
              ><BathMark :family="row.body.family" /> {{ row.body.name }}</RouterLink
            >
          </li>
        </ul>
      </section>
    </WaitFor>
  </div>
</template>
