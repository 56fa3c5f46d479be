<script setup lang="ts">
import { drumNames, familyNames, type Drum, type Family } from '@selvrin/core'
import { computed, onMounted } from 'vue'
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
  const drums = [...new Set(waste.rows.map((row) => row.drum))]
  return drums.map((drum) => {
    const mine = waste.rows.filter((row) => row.drum === drum)
    return { drum, ml: mine.reduce((sum, row) => sum + row.ml, 0), silverG: mine.reduce((sum, row) => sum + row.silverG, 0) }
  })
})
const drumName = (drum: Drum | null) => (drum === null ? 'no drum of its own: by your local rules' : drumNames[drum])
const nameOf = (family: string) => familyNames[family as Family] ?? family
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Poured away</h1>
    <WaitFor :of="[waste]" what="the waste">
      <p v-if="waste.rows.length === 0" class="text-xl">
        Nothing was poured away yet. What a run uses once, and bottles that are retired into the sink, stand here.
      </p>
      <ul class="mb-6 flex flex-wrap gap-x-10 gap-y-4">
        <li v-for="sum in sums" :key="sum.drum ?? 'none'">
          <p>
            <b class="font-mono text-3xl">{{ show.volume(sum.ml) }}</b><br />{{ drumName(sum.drum)
            }}<template v-if="sum.silverG > 0">, {{ show.mass(sum.silverG) }} silver</template>
          </p>
        </li>
      </ul>
      <p class="mb-4 text-quiet">
        A drum for each, by what is in it, and never one into another; your local rules and a licensed disposal decide.
      </p>
      <ul>
        <li v-for="row in waste.rows" :key="row.id" class="border-b border-line py-2">
          <span class="font-mono font-bold">{{ show.volume(row.ml) }}</span> from
          <RouterLink v-if="row.bottleId" :to="`/shelf/${row.bottleId}`" class="link">{{ row.label }}</RouterLink><template v-else>{{
            row.label
          }}</template
          >, {{ inSentence(nameOf(row.family)) }}: {{ drumName(row.drum)
          }}<template v-if="row.silverG > 0.005">, {{ show.mass(row.silverG) }} silver</template>
          <span class="block text-quiet">{{ showMoment(row.at, zone) }}, {{ row.by }}{{ row.note ? `: ${row.note}` : '' }}</span>
        </li>
      </ul>
    </WaitFor>
  </div>
</template>
