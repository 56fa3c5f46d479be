<script setup lang="ts">
import { catalogue as builtIn, searchText, type Chemical } from '@selvrin/core'
import { computed, onMounted, ref } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useChemicals } from '../stores'
import { catalogue } from './chemistry'
import ChemicalPanel from './ChemicalPanel.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import { alsoCalled, notTheSame } from './names'

const session = useSession()
const show = useShow()
/** The catalogue of chemicals with the source of its figures; each can be given the darkroom's own. */
const own = useChemicals()
onMounted(() => void own.load())
const words = ref('')
const open = ref<Chemical | 'new' | null>(null)
const shown = computed(() =>
  Object.values(catalogue())
    .filter((one) => matches(searchText(one.id, catalogue()), words.value))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const standing = (id: string) => (!own.rows.some((row) => row.id === id) ? '' : Object.hasOwn(builtIn, id) ? 'own figures' : 'own chemical')
const soluble = (chemical: Chemical) => {
  const at20 = chemical.solubility.find((point) => point.celsius === 20) ?? chemical.solubility[0]
  if (chemical.densityGPerMl !== undefined) return `liquid, density ${show.plain(chemical.densityGPerMl)}`
  return at20
    ? session.units === 'us'
      ? `${show.mass(at20.gPer100Ml * 9.46353)} in a quart at ${show.temperature(at20.celsius)}`
      : `${show.plain(at20.gPer100Ml)} g in 100 ml at ${show.temperature(at20.celsius)}`
    : 'solubility not known'
}
</script>

<template>
  <div class="station">
    <RouterLink to="/formulary/jars" class="link inline-flex min-h-11 items-center">← Jars</RouterLink>
    <div class="mb-4 flex flex-wrap items-end gap-5">
      <h1 class="text-3xl font-bold">Chemicals</h1>
      <FindField
        v-model="words"
        class="w-72"
        label="Find"
        kept="chemicals"
        :count="shown.length"
        :of="Object.keys(catalogue()).length"
        what="chemicals"
      />
      <button class="button button-small button-main ml-auto" @click="open = 'new'">One of our own</button>
    </div>
    <ProblemLine :problem="own.problem" />
    <ul class="columns-2 gap-10 max-lg:columns-1">
      <li v-for="chemical in shown" :key="chemical.id" class="flex break-inside-avoid items-center gap-4 border-b border-line py-2">
        <div class="min-w-0 flex-1">
          <b class="text-lg">{{ chemical.name }}</b><b v-if="standing(chemical.id)" class="ml-2 text-primary">{{
            standing(chemical.id)
          }}</b>
          <p v-if="alsoCalled(chemical.id)">{{ alsoCalled(chemical.id) }}</p>
          <p v-if="notTheSame(chemical.id)" class="font-semibold">{{ notTheSame(chemical.id) }}</p>
          <p class="text-quiet">
            {{ chemical.molarMass === null ? 'by mass only' : `${show.plain(chemical.molarMass)} g/mol` }} · {{ soluble(chemical)
            }}{{ chemical.note ? ` · ${show.said(chemical.note)}` : '' }} · {{ chemical.source }}
          </p>
        </div>
        <button class="button button-small" :aria-label="`Edit ${chemical.name}`" @click="open = chemical">Edit</button>
      </li>
    </ul>
    <p v-if="shown.length === 0" class="text-lg">Nothing is called that.</p>
    <ChemicalPanel v-if="open" :chemical="open === 'new' ? null : open" @close="open = null" />
  </div>
</template>
