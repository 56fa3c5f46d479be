<script setup lang="ts">
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { showMoney } from './missing'
import type { BenchFormula } from './useBenchCard'

/** Whether the jars and bottles have what a formula wants, and what it comes to. */
const { of } = defineProps<{ of: BenchFormula }>()
const { missing, noStock, instead, waits, cost, priced } = of
const session = useSession()
const show = useShow()
const mass = (grams: number) => show.mass(grams)
const money = (amount: number) => showMoney(amount, session.darkroom?.currency ?? 'EUR')
</script>

<template>
  <section>
    <h2 class="mb-1 text-xl font-bold">On the shelf</h2>
    <p v-for="one in noStock" :key="one">
      <b>{{ one }}</b>: no bottle of it on the shelf. Mix it first.
    </p>
    <p v-if="waits !== null" role="status">Looking at the jars … {{ waits }}</p>
    <p v-else-if="missing.length === 0 && noStock.length === 0">Enough of everything in the jars.</p>
    <ul v-else-if="missing.length > 0" class="space-y-1">
      <li v-for="one in missing" :key="one.name">
        <b>{{ one.name }}</b>: {{ mass(one.neededG) }} needed, {{ mass(one.onShelfG) }} there.
      </li>
    </ul>
    <p v-for="finding in instead" :key="finding.message" class="mt-1">{{ show.said(finding.message) }}</p>
  </section>
  <section v-if="cost && priced">
    <h2 class="mb-1 text-xl font-bold">Cost</h2>
    <p v-if="!cost.known">Not known: no jar of it has a price.</p>
    <p v-else>
      <b class="font-mono">{{ money(cost.batch) }}</b> this batch · <b class="font-mono">{{ money(show.each(cost.perLitre)) }}</b> a
      {{ show.big()
      }}<template v-if="cost.perRoll !== null">
        · <b class="font-mono">{{ money(cost.perRoll) }}</b> a roll</template
      >
    </p>
    <p v-if="cost.known && cost.unpriced.length > 0" class="text-quiet">
      Without
      {{ cost.unpriced.join(', ') }}: no price on its jar.
    </p>
  </section>
</template>
