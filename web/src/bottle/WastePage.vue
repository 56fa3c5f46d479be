<script setup lang="ts">
import { familyNames, type Family } from '@selvrin/core'
import { computed, onMounted } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { showMoment, inSentence } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useWaste } from '../stores'
import WaitFor from '../fields/WaitFor.vue'

/** What was poured away: by family with its silver, and line by line. */
const session = useSession()
const show = useShow()
const waste = useWaste()
onMounted(() => void waste.load())
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const sums = computed(() => {
  const families = [...new Set(waste.rows.map((row) => row.family))]
  return families.map((family) => {
    const mine = waste.rows.filter((row) => row.family === family)
    return { family, ml: mine.reduce((sum, row) => sum + row.ml, 0), silverG: mine.reduce((sum, row) => sum + row.silverG, 0) }
  })
})
const nameOf = (family: string) => familyNames[family as Family] ?? family
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/shelf" class="link inline-flex min-h-11 items-center">← Shelf</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Waste</h1>
    <WaitFor :of="[waste]" what="the waste">
      <p v-if="waste.rows.length === 0" class="text-xl">Nothing was poured away yet. Bottles that are retired into the sink stand here.</p>
      <ul class="mb-6 flex flex-wrap gap-x-10 gap-y-4">
        <li v-for="sum in sums" :key="sum.family" class="flex items-center gap-3">
          <BathMark :family="sum.family" :size="40" />
          <p>
            <b class="font-mono text-3xl">{{ show.volume(sum.ml) }}</b><br />{{ nameOf(sum.family)
            }}<template v-if="sum.silverG > 0">, {{ show.mass(sum.silverG) }} silver</template>
          </p>
        </li>
      </ul>
      <p class="mb-4 text-quiet">Fixers to the silver drum, developers and acids apart; your local rules and a licensed disposal decide.</p>
      <ul>
        <li v-for="row in waste.rows" :key="row.id" class="border-b border-line py-2">
          <span class="font-mono font-bold">{{ show.volume(row.ml) }}</span> from
          <RouterLink :to="`/shelf/${row.bottleId}`" class="link">{{ row.label }}</RouterLink>, {{ inSentence(nameOf(row.family))
          }}<template v-if="row.silverG > 0.005">, {{ show.mass(row.silverG) }} silver</template>
          <span class="block text-quiet">{{ showMoment(row.at, zone) }}, {{ row.by }}{{ row.note ? `: ${row.note}` : '' }}</span>
        </li>
      </ul>
    </WaitFor>
  </div>
</template>
