<script setup lang="ts">
import { families, type Family } from '@selvrin/core'
import { computed, onMounted } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useFormulas, useMixes } from '../stores'
import WaitFor from '../fields/WaitFor.vue'

const session = useSession()
const show = useShow()
const mixes = useMixes()
const formulas = useFormulas()
onMounted(() => void Promise.all([mixes.load(), formulas.load()]))
/** What is mixed here, by family and name. */
const mixable = computed(() => {
  const rank = (family: Family) => families.indexOf(family)
  return formulas.rows
    .filter((one) => one.body.additions.length > 0)
    .sort((a, b) => rank(a.body.family) - rank(b.body.family) || a.body.name.localeCompare(b.body.name))
})
const zone = () => session.session?.darkroom.zone ?? 'UTC'
</script>

<template>
  <div class="station">
    <h1 class="text-3xl font-bold">Scales</h1>
    <WaitFor :of="[mixes, formulas]" what="what is being mixed">
      <section v-if="mixes.rows.length > 0" class="mt-4">
        <h2 class="mb-2 text-xl font-bold">On the bench now</h2>
        <ul class="space-y-3">
          <li v-for="mix in mixes.rows" :key="mix.id">
            <RouterLink :to="`/scales/${mix.id}`" class="card flex flex-wrap items-center gap-5 border-2 border-ink">
              <BathMark :family="mix.family" :size="40" />
              <span class="text-2xl font-bold">{{ show.volume(mix.finalMl) }} {{ mix.formulaName }}</span>
              <span class="text-quiet">begun {{ showMoment(mix.startedAt, zone()) }} by {{ mix.by }}</span>
              <span class="button button-main ml-auto">Go on mixing</span>
            </RouterLink>
          </li>
        </ul>
      </section>
      <p v-else class="mt-4 text-xl">Nothing is being mixed. What shall it be?</p>
      <section class="mt-8">
        <h2 class="mb-2 text-xl font-bold">Begin with</h2>
        <ul class="grid grid-cols-3 gap-x-8 max-lg:grid-cols-2 max-sm:grid-cols-1">
          <li v-for="row in mixable" :key="row.id" class="border-b border-line">
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
