<script setup lang="ts">
import { type Formula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import { computed } from 'vue'
import { chemicalOf, compareFormulas } from '../chemical/chemistry'
import { useShow } from '../session/useShow'

/** Someone else's version and one's own, side by side: what differs, per litre and in words. */
const { theirs, mine } = defineProps<{ theirs: FormulaBody; mine: FormulaBody }>()
const show = useShow()
const plain: [keyof FormulaBody, string][] = [
  ['name', 'Name'],
  ['purpose', 'For'],
  ['finalMl', 'Makes'],
  ['startMl', 'Water'],
  ['mixC', 'At'],
  ['note', 'Note'],
]
const differing = computed(() => [
  ...plain
    .filter(([key]) => theirs[key] !== mine[key])
    .map(([key, name]) => ({ name, theirs: String(theirs[key] || 'nothing'), mine: String(mine[key] || 'nothing') })),
  ...compareFormulas({ id: 'theirs', ...theirs } as Formula, { id: 'mine', ...mine } as Formula)
    .filter((line) => line.differs)
    .map((line) => ({
      name: chemicalOf(line.one?.chemical ?? line.other?.chemical ?? '').name,
      theirs: line.one ? show.mass(line.one.grams) : 'none',
      mine: line.other ? show.mass(line.other.grams) : 'none',
    })),
  ...(JSON.stringify(theirs.use) === JSON.stringify(mine.use) ? [] : [{ name: 'Use', theirs: 'another', mine: 'as written here' }]),
])
</script>

<template>
  <table class="w-full border-collapse text-left" aria-label="Both versions">
    <thead>
      <tr class="border-b-2 border-ink">
        <th class="py-1 pr-2" />
        <th class="pr-2">Theirs</th>
        <th>Yours</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in differing" :key="line.name" class="border-b border-line align-top">
        <th class="py-1 pr-2 font-normal">{{ line.name }}</th>
        <td class="pr-2">{{ line.theirs }}</td>
        <td class="font-bold">{{ line.mine }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="differing.length === 0">They say the same, in another order.</p>
</template>
