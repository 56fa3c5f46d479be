<script setup lang="ts">
import { costPerRoll, stockPerRoll, type Formula, type RollCost } from '@selvrin/core'
import type { LiveEvent, LiveRows } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, onMounted } from 'vue'
import { onChange } from '../api/live'
import { belowReorder, costOf, lackingFor, pricesFor } from '../chemical/chemistry'
import { now } from '../clock'
import { showMoney } from '../formula/missing'
import BathMark from '../marks/BathMark.vue'
import { daysBetween, showDate, showRollsLeft, showSpan } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBottles, useFormulas, useJars } from '../stores'
import { useSupply } from './supply'
import { digits } from '../session/manner'
import WaitFor from '../fields/WaitFor.vue'

/** How long each formula lasts and what to pour first; what to order for the mixes ahead; what a roll really costs. */
const session = useSession()
const show = useShow()
const supply = useSupply()
const [bottles, formulas, jars] = [useBottles(), useFormulas(), useJars()]
// what a roll cost is known of a bottle when it is finished
const finished = (event: LiveEvent) => event.subject === 'bottle' && (event.row as LiveRows['bottle'] | null)?.retiredAt != null
onBeforeUnmount(onChange((event) => void (event !== 'all' && finished(event) && supply.load(true))))
onMounted(() => void Promise.all([supply.load(true), bottles.load(), formulas.load(), jars.load()]))
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const soonDays = 14

const rows = computed(() =>
  [...supply.supplies].sort((a, b) => (a.runsOutAt ?? Infinity) - (b.runsOutAt ?? Infinity) || a.name.localeCompare(b.name)),
)
const label = (id: string) => bottles.rows.find((bottle) => bottle.id === id)?.label ?? ''
const bodyOf = (id: string): Formula | null => {
  const row = formulas.rows.find((one) => one.id === id)
  return row ? ({ id, ...row.body } as Formula) : null
}
const ahead = computed(() => {
  const soon = rows.value.filter((row) => row.runsOutAt !== null && daysBetween(now(), row.runsOutAt) < soonDays)
  return soon.flatMap((row) => bodyOf(row.formulaId) ?? []).filter((formula) => formula.additions.length > 0)
})
const shopping = computed(() => {
  const lacking = lackingFor(ahead.value, jars.rows)
  return [...lacking, ...belowReorder(jars.rows).filter((one) => !lacking.some((other) => other.chemical === one.chemical))]
})
const schools = {
  'one-shot': 'used once',
  counted: 'counted',
  compensated: 'compensated',
  replenished: 'replenished',
  'two-bath': 'two baths',
}
const costs = computed(() => {
  const ids = [...new Set(supply.consumption.map((one) => one.formulaId))]
  return ids.flatMap((id) => {
    const formula = bodyOf(id)
    if (!formula || !jars.loaded) return []
    const cost = formula.additions.length > 0 ? costOf(formula, pricesFor(formula, jars.rows)) : null
    const perLitre = cost && cost.unpriced.length === 0 ? cost.perLitre : null
    const list: RollCost[] = costPerRoll(
      supply.consumption.filter((one) => one.formulaId === id),
      perLitre,
    )
    return list.length > 0 ? [{ id, name: formula.name, list, otherwise: otherwise(id, perLitre) }] : []
  })
})
/** The same roll by the formula's own figures: what used once at the least, or reused to its capacity, would come to. */
function otherwise(id: string, perLitre: number | null): string {
  const use = formulas.rows.find((one) => one.id === id)?.body.use
  const perRoll = stockPerRoll(use)
  if (!use || !perRoll) return ''
  const words =
    perRoll.because === 'capacity'
      ? `reused to its ${use.capacityRollsPerL} rolls a litre, ${Math.round(perRoll.ml)} ml a roll`
      : `used once, at least ${perRoll.ml} ml a roll`
  return `By its formula, ${show.said(words)}${perLitre === null ? '' : `: ${money((perLitre * perRoll.ml) / 1000)}`}.`
}
const money = (amount: number) => showMoney(amount, session.darkroom?.currency ?? 'EUR')
</script>

<template>
  <div class="station">
    <RouterLink to="/shelf" class="link inline-flex min-h-11 items-center">← Shelf</RouterLink>
    <h1 class="mb-1 text-3xl font-bold">What lasts how long</h1>
    <p class="mb-4 text-lg text-quiet">At the rate of the last four weeks, and with what is planned.</p>
    <WaitFor :of="[supply, bottles, formulas, jars]" what="how long it lasts">
      <p v-if="rows.length === 0" class="text-xl">No bottle with a count stands on the shelf yet.</p>
      <div class="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-10 max-lg:grid-cols-1">
        <ol>
          <li v-for="row in rows" :key="row.formulaId" class="flex flex-wrap items-start gap-x-4 border-b border-line py-3">
            <BathMark :family="row.family" :size="32" />
            <div class="min-w-40 flex-1">
              <RouterLink :to="`/formulary/${row.formulaId}`" class="go text-xl">{{ row.name }}</RouterLink>
              <p>
                {{ showRollsLeft(row.rollsLeft) }} left<template v-if="row.rollsPerDay > 0"
                  >, {{ digits(row.rollsPerDay * 7, 1) }} a week</template
                ><template v-if="row.plannedRolls > 0">, {{ row.plannedRolls }} planned</template>.
                <template v-if="row.order.length > 0">
                  Pour
                  <template v-for="(id, i) in row.order" :key="id"
                    >{{ i === 0 ? '' : ', then ' }}<RouterLink :to="`/shelf/${id}`" class="link">{{ label(id) }}</RouterLink></template
                  >.
                </template>
              </p>
            </div>
            <p class="ml-auto text-right text-xl whitespace-nowrap">
              <template v-if="row.runsOutAt === null"
                ><span class="text-quiet">{{ row.rollsLeft > 0.05 ? 'beyond 4 months' : 'none that can serve' }}</span></template
              >
              <template v-else-if="daysBetween(now(), row.runsOutAt) < 1"><b>Mix it today</b></template>
              <template v-else
                ><b>Mix before {{ showDate(row.runsOutAt, zone) }}</b
                ><br /><span class="text-base text-quiet"
                  >in {{ showSpan(Math.round(daysBetween(now(), row.runsOutAt))) }}, {{ row.because === 'age' ? 'by age' : 'by use' }}</span
                ></template
              >
            </p>
          </li>
        </ol>
        <div class="space-y-8">
          <section aria-labelledby="shopping">
            <h2 id="shopping" class="mb-2 text-2xl font-bold">Shopping list</h2>
            <p v-if="jars.loaded && shopping.length === 0">The jars are enough for what is to be mixed in the next two weeks.</p>
            <ul>
              <li v-for="one in shopping" :key="one.chemical" class="border-b border-line py-2">
                <b>{{ one.name }}</b> <span class="font-mono">{{ show.mass(one.wantedG) }}</span> wanted,
                <span class="font-mono">{{ show.mass(one.heldG) }}</span> here<span class="block text-quiet">{{ one.why }}</span>
              </li>
            </ul>
          </section>
          <section aria-labelledby="costs">
            <h2 id="costs" class="mb-2 text-2xl font-bold">What a roll costs</h2>
            <p v-if="costs.length === 0" class="text-quiet">No finished bottle yet to reckon from.</p>
            <ul>
              <li v-for="one in costs" :key="one.id" class="border-b border-line py-2">
                <b>{{ one.name }}</b>
                <span v-for="cost in one.list" :key="cost.school" class="block">
                  {{ schools[cost.school] }}: <b v-if="cost.perRoll !== null" class="font-mono">{{ money(cost.perRoll) }}</b><span
                    v-else
                    class="text-quiet"
                    >no price</span
                  >, {{ show.volume(cost.mlPerRoll) }} a roll over {{ Math.round(cost.rolls) }} rolls
                </span>
                <span class="block text-quiet">{{ one.otherwise }}</span>
              </li>
            </ul>
            <p class="mt-2 text-quiet">From what finished bottles and runs really used up, at the jars’ purchase prices.</p>
          </section>
        </div>
      </div>
    </WaitFor>
  </div>
</template>
