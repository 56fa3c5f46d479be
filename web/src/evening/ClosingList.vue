<script setup lang="ts">
import { closingOf, type EveningBody, type EveningHouse, type LoadRun } from '@selvrin/core'
import { computed, onMounted } from 'vue'
import { belowReorder } from '../chemical/chemistry'
import { counted, showRolls, showRollsLeft } from '../marks/words'
import { useShow } from '../session/useShow'
import { useJars } from '../stores'

/** When the doors are closed: what was used, what is left, what has to be mixed or ordered. */
const { body, house, runs } = defineProps<{ body: EveningBody; house: EveningHouse; runs: LoadRun[] }>()
const show = useShow()
const jars = useJars()
onMounted(() => void jars.load())
const closing = computed(() => closingOf(body, { house, runs }))
const order = computed(() => (jars.loaded ? belowReorder(jars.rows) : []))
</script>

<template>
  <section v-if="closing.developed > 0" aria-labelledby="closing">
    <h2 id="closing" class="mb-1 text-2xl font-bold">Afterwards</h2>
    <p class="mb-2 text-lg">
      {{ counted(closing.developed, 'film') }} developed{{ closing.undeveloped > 0 ? `, ${closing.undeveloped} not` : '' }}.
    </p>
    <ul>
      <li v-for="line in closing.lines" :key="line.bottleId" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
        <RouterLink :to="`/shelf/${line.bottleId}`" class="link inline-flex min-h-11 min-w-48 items-center"
          >{{ line.label }} {{ line.name }}</RouterLink
        >
        <span class="min-w-40">
          used
          {{
            [line.usedMl > 0.5 ? show.volume(line.usedMl) : '', line.usedRolls > 0 ? showRolls(line.usedRolls) : '']
              .filter(Boolean)
              .join(', ')
          }}
        </span>
        <span class="min-w-40 flex-1 text-quiet">
          {{ line.leftMl === null ? 'not in use any more' : `left ${show.volume(line.leftMl)}`
          }}{{ line.leftRolls === null ? '' : `, ${showRollsLeft(line.leftRolls)}` }}
        </span>
        <RouterLink v-if="line.mix && line.formulaId" :to="`/formulary/${line.formulaId}`" class="link font-semibold"
          >mix before the next evening</RouterLink
        >
      </li>
    </ul>
    <template v-if="order.length > 0">
      <h3 class="mt-4 mb-1 text-xl font-bold">To order</h3>
      <p>{{ order.map((one) => one.name).join(', ') }}</p>
    </template>
  </section>
</template>
