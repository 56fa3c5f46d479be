<script setup lang="ts">
import { families, familyNames, showParts } from '@selvrin/core'
import type { FormulaRow } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { useBottles, useFormulas, useJars } from '../stores'
import { missingFor } from './missing'
import WaitFor from '../fields/WaitFor.vue'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'

const formulas = useFormulas()
const jars = useJars()
const bottles = useBottles()
onMounted(() => void Promise.all([formulas.load(), jars.load(), bottles.load()]))

const find = ref('')
const found = computed(() =>
  formulas.rows.filter((row) =>
    matches([row.body.name, ...row.earlierNames, row.body.purpose, familyNames[row.body.family]].join(' '), find.value),
  ),
)
const groups = computed(() =>
  families
    .map((family) => ({
      family,
      name: familyNames[family],
      rows: found.value.filter((row) => row.body.family === family).sort((a, b) => a.body.name.localeCompare(b.body.name)),
    }))
    .filter((group) => group.rows.length > 0),
)
const onShelf = (row: FormulaRow) =>
  bottles.rows.filter((bottle) => bottle.formulaId === row.id && bottle.retiredAt === null).map((bottle) => bottle.label)
function state(row: FormulaRow): string {
  if (row.body.combine) return 'poured together from its parts'
  if (row.body.additions.length === 0) return 'bought ready made'
  const missing = missingFor({ id: row.id, ...row.body }, jars.rows)
  if (!jars.loaded) return 'looking at the jars …'
  return missing.length === 0 ? 'all in the jars' : `short of ${missing.map((one) => one.name).join(', ')}`
}
</script>

<template>
  <div class="station">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Formulary</h1>
      <p class="text-lg text-quiet">What shall be mixed?</p>
      <RouterLink to="/formulary/jars" class="button button-small ml-auto">Jars</RouterLink>
      <RouterLink to="/formulary/kits" class="button button-small">Kits</RouterLink>
      <RouterLink to="/formulary/compare" class="button button-small">Compare two</RouterLink>
      <RouterLink to="/formulary/exchange" class="button button-small">Files</RouterLink>
      <RouterLink to="/formulary/new" class="button button-small">Write a new formula</RouterLink>
    </div>
    <WaitFor :of="[formulas]" what="the formulas">
      <FindField
        v-if="formulas.rows.length > 0"
        v-model="find"
        class="mb-4 max-w-sm"
        label="Find a formula"
        kept="formulas"
        :count="found.length"
        :of="formulas.rows.length"
        what="formulas"
      />
      <p v-if="formulas.rows.length > 0 && groups.length === 0" class="text-xl">No formula is called that.</p>
      <p v-else-if="groups.length === 0" class="text-xl">
        No formula yet. Write the first one: its chemicals in the order in which they go in. Or begin with a
        <RouterLink to="/starter" class="link inline-flex min-h-11 items-center">starter set</RouterLink> of generic ones.
      </p>
      <div class="columns-3 gap-8 max-xl:columns-2 max-md:columns-1">
        <section v-for="group in groups" :key="group.family" class="mb-6 break-inside-avoid">
          <h2 class="mb-1 flex items-center gap-3 border-b-2 border-ink pb-1 text-xl font-bold">
            <BathMark :family="group.family" :size="26" /> {{ group.name }}
          </h2>
          <ul>
            <li v-for="row in group.rows" :key="row.id" class="border-b border-line">
              <RouterLink :to="`/formulary/${row.id}`" class="block py-2.5 underline-offset-4 hover:underline">
                <b class="text-lg">{{ row.body.name }}</b>
                <span class="block text-quiet">{{ row.body.purpose }}</span>
                <span class="block text-sm">
                  {{ row.body.use.dilutions.map((parts) => showParts(parts)).join(', ') }} · {{ state(row)
                  }}{{ onShelf(row).length > 0 ? ` · on the shelf: ${onShelf(row).join(', ')}` : '' }}
                </span>
              </RouterLink>
            </li>
          </ul>
        </section>
      </div>
    </WaitFor>
  </div>
</template>
