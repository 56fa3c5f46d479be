<script setup lang="ts">
import { api, type KitSet } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useBottles, useKits } from '../stores'

/** A kit that is mixed, bath by bath: what stands, what is at the scales, what is still to be mixed; and the count they share. */
const { set } = defineProps<{ set: KitSet }>()
const session = useSession()
const bottles = useBottles()
const kits = useKits()
const { busy, problem, act } = useAction()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const baths = computed(() =>
  set.body.baths.map((bath) => {
    const mine = set.bottles.filter((bottle) => bottle.formulaId === bath.formulaId)
    const standing = mine.filter((bottle) => bottle.retiredAt === null)
    return {
      ...bath,
      standing,
      gone: mine.length - standing.length,
      mix: set.mixes.find((mix) => mix.formulaId === bath.formulaId),
      loose: bottles.rows.filter((bottle) => bottle.formulaId === bath.formulaId && bottle.retiredAt === null && !bottle.kit),
    }
  }),
)
const whole = computed(() => baths.value.every((bath) => bath.standing.length > 0))
const labels = computed(() => `/api/print/labels?bottles=${baths.value.flatMap((bath) => bath.standing.map((one) => one.id)).join(',')}`)
const putIn = (bottleId: string) =>
  act(async () => {
    await call(api.kit.putIn, { params: { id: set.id }, body: { bottleId } })
    await Promise.all([kits.load(true), bottles.load(true)])
  })
const rolls = (count: number) => Number(count.toFixed(1))
</script>

<template>
  <div class="border-t-2 border-ink pt-3">
    <div class="flex flex-wrap items-baseline gap-x-5">
      <h3 class="text-xl font-bold">Kit {{ set.number }}</h3>
      <p>
        <b class="font-mono">{{ rolls(set.rolls) }}</b> {{ set.rolls === 1 ? 'roll' : 'rolls' }} through it,
        {{ Math.round(set.used * 100) }} % used: {{ rolls(set.rollsLeft) }} left
      </p>
      <p class="text-quiet">begun {{ showDate(set.begunAt, zone) }}, {{ set.begunBy }}</p>
      <a v-if="whole" class="link ml-auto inline-flex min-h-11 items-center" :href="labels" target="_blank" rel="noopener"
        >Print its labels</a
      >
    </div>
    <ProblemLine :problem="problem" />
    <ol>
      <li v-for="(bath, i) in baths" :key="bath.formulaId" class="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-line py-1">
        <span class="min-w-52">{{ i + 1 }}. {{ bath.name }}</span>
        <RouterLink
          v-for="bottle in bath.standing"
          :key="bottle.id"
          :to="`/shelf/${bottle.id}`"
          class="link inline-flex min-h-11 min-w-11 items-center font-bold"
          >{{ bottle.label }}</RouterLink
        >
        <span v-if="bath.gone > 0" class="text-quiet">{{ bath.gone }} retired</span>
        <RouterLink v-if="bath.mix" :to="`/scales/${bath.mix.id}`" class="link inline-flex min-h-11 items-center">at the scales</RouterLink>
        <template v-else-if="bath.standing.length === 0">
          <RouterLink
            :to="{ path: `/formulary/${bath.formulaId}`, query: { kit: set.id, ml: bath.ml } }"
            class="button button-small"
            :aria-label="`${bath.gone > 0 ? 'Mix it anew' : 'Mix it'}: ${bath.name} of kit ${set.number}`"
            >{{ bath.gone > 0 ? 'Mix it anew' : 'Mix it' }}</RouterLink
          >
          <button
            v-for="bottle in bath.loose.slice(0, 3)"
            :key="bottle.id"
            class="button button-small"
            :disabled="busy"
            :aria-label="`It is ${bottle.label}: ${bath.name} of kit ${set.number}`"
            @click="putIn(bottle.id)"
          >
            It is {{ bottle.label }}
          </button>
        </template>
      </li>
    </ol>
  </div>
</template>
