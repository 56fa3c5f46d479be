<script setup lang="ts">
import { assumedShelfC, showParts } from '@selvrin/core'
import type { BottlePage } from '@selvrin/core/contract'
import { computed, onMounted } from 'vue'
import FindingList from '../marks/FindingList.vue'
import TallyMarks from '../marks/TallyMarks.vue'
import { percent, showDate, showMoment, showRolls, showSpan } from '../marks/words'
import { useShow } from '../session/useShow'
import { useShelves } from '../stores'
import LifeBar from './LifeBar.vue'
import { digits } from '../session/manner'
import { goodForWords, leftWords } from './lifeWords'

/** What a bottle is and has left, the governing reason first. */
const { bottle, zone } = defineProps<{ bottle: BottlePage; zone: string }>()
const show = useShow()
const state = computed(() => bottle.state)
const volume = (ml: number) => show.volume(ml)
const age = computed(() => {
  const keeps = state.value.keepsDays
  return `${showSpan(state.value.ageDays)} old${keeps === null ? '' : ` of ${showSpan(keeps)}`}`
})
const reasons = {
  use: 'use',
  age: 'age',
  volume: 'what is in it',
  silver: 'its silver',
  test: 'its tests',
  moves: 'its moves',
  throughput: 'its throughput',
}
const weeks = (days: number) => (days >= 14 ? `${Math.round(days / 7)} weeks` : showSpan(days))
const containers = { bottle: '', airless: ', the air pressed out', tray: ', in an open tray' }
const decant = computed(() => {
  const advice = bottle.decant
  if (!advice) return ''
  const sizes = [...advice.into].sort((a, b) => b - a).map(volume)
  const [first = '', ...others] = sizes
  const same = others.every((size) => size === first)
  const count = ['', 'a bottle', 'two bottles', 'three bottles', 'four bottles'][sizes.length] ?? 'bottles'
  const into = same ? `${count} of ${first}` : `bottles of ${sizes.slice(0, -1).join(', ')} and ${sizes.at(-1) ?? ''}`
  return `Decant it into ${into}: the rest keeps ${weeks(advice.daysLonger)} longer.`
})
const clearingC = computed(() => state.value.clearingRead.at(-1)?.celsius ?? null)
const closed = computed(() =>
  state.value.closedFor.map((one) => ({ film: 'film', 'rc-paper': 'RC paper', 'fibre-paper': 'fibre paper' })[one]),
)
const place = computed(() => {
  const { twoBath } = state.value
  if (!twoBath) return bottle.use.school === 'two-bath' ? 'It has no partner yet: pair it with a second bath.' : ''
  const which = twoBath.position === 1 ? 'First bath' : 'Second bath'
  return `${which} of a pair since ${showDate(twoBath.since, zone)}, after ${twoBath.moves} of ${bottle.use.twoBath?.moves ?? 0} moves.`
})
/** nobody measured where it stands */
const shelves = useShelves()
onMounted(() => void shelves.load())
const assumed = computed(
  () => state.value.celsius === assumedShelfC && (shelves.rows.find((one) => one.id === bottle.shelfId)?.celsius ?? null) === null,
)
</script>

<template>
  <p class="mt-5 text-5xl font-bold">{{ leftWords(bottle) }}</p>
  <p v-if="bottle.retiredWhy" class="text-xl">{{ show.said(bottle.retiredWhy) }}</p>
  <p v-else class="text-xl">
    {{ goodForWords(bottle) === '' ? '' : `good for ${goodForWords(bottle)} · ` }}<b class="font-mono">{{ volume(state.volumeMl) }}</b> of
    {{ volume(bottle.sizeMl) }} · {{ age }}
  </p>
  <LifeBar class="mt-4" :used="state.used" :aged="state.aged" />
  <p v-if="bottle.retiredAt === null" class="mb-4 text-quiet">Its life is set by {{ reasons[state.governs] }}.</p>
  <FindingList :findings="state.findings" class="mb-4" />
  <p class="text-xl">
    <template v-if="state.nextTimeFactor !== 1"
      ><b>Next roll ×{{ digits(state.nextTimeFactor, 2) }}.</b> </template
    >{{ show.said(state.nextTimeWhy) }}
    <template v-if="state.fixS">
      <b>Fix {{ Math.round(state.fixS) }} s</b>, by its clearing test<template v-if="clearingC !== null">
        at {{ show.temperature(clearingC) }}</template
      >; a run at another temperature takes its own.</template
    >
  </p>
  <p v-if="place" class="mt-2">{{ place }}</p>
  <p v-if="state.replenishDueMl > 0.5" class="mt-2">
    <b class="font-mono">{{ volume(state.replenishDueMl) }}</b> of replenisher are due.
  </p>
  <p v-if="decant" class="mt-2">
    <b>{{ decant }}</b>
    <template v-if="bottle.lostPerOpening !== null && bottle.lostPerOpening > 0.005">
      The air in it takes {{ percent(bottle.lostPerOpening) }} of its sulfite each time it is opened.</template
    >
  </p>
  <p v-else-if="bottle.lostPerOpening !== null && bottle.lostPerOpening > 0.02" class="mt-2">
    The air in it takes {{ percent(bottle.lostPerOpening) }} of its sulfite each time it is opened.
  </p>
  <p v-if="state.rolls + state.paper > 0" class="mt-2 flex flex-wrap items-center gap-3">
    <TallyMarks :count="state.rolls + state.paper" /> {{ state.rolls > 0 ? showRolls(state.rolls) : ''
    }}{{ state.rolls > 0 && state.paper > 0 ? ' and ' : '' }}{{ state.paper > 0 ? `${Math.round(state.paper)} prints` : '' }} so far
  </p>
  <p v-if="state.silverGPerL" class="mt-2">
    About <b class="font-mono">{{ show.concentration(state.silverGPerL) }}</b> silver by count, of
    {{ show.concentration(state.silverLimitGPerL ?? 0) }} it may hold.
    <b v-if="closed.length > 0">Closed for {{ closed.join(' and ') }}.</b>
  </p>
  <p v-if="bottle.evening" class="mt-2">
    The evening of {{ bottle.evening.day }} wants
    {{
      [
        bottle.evening.ml > 0 ? volume(bottle.evening.ml) : '',
        bottle.evening.rolls > 0 ? `${showRolls(bottle.evening.rolls)} through it` : '',
      ]
        .filter(Boolean)
        .join(', ')
    }}.
  </p>
  <p v-if="bottle.reserved && bottle.reserved.runs.length > 0" class="mt-2">
    Reserved for run {{ bottle.reserved.runs.join(', ') }}:
    {{
      [bottle.reserved.ml > 0 ? volume(bottle.reserved.ml) : '', bottle.reserved.rolls > 0 ? showRolls(bottle.reserved.rolls) : '']
        .filter(Boolean)
        .join(' and ')
    }}.
  </p>
  <p v-if="state.acidUsed" class="mt-2">
    {{ percent(state.acidUsed) }} of its acid is used, pH about
    <b class="font-mono">{{ state.ph === null ? '' : digits(state.ph, 1) }}</b> by count.
  </p>
  <p v-if="state.strength < 0.999" class="mt-2">Thinned to {{ percent(state.strength) }} of its strength by water.</p>
  <p class="mt-2 text-quiet">
    Mixed {{ showMoment(bottle.madeAt, zone) }} by {{ bottle.madeBy }}, formula version {{ bottle.formulaNumber
    }}{{ bottle.ph === null ? '' : `, pH ${digits(bottle.ph, 1)}` }}. At {{ show.temperature(state.celsius)
    }}{{ assumed ? ', taken as that while nobody measured it' : '' }}{{ containers[state.container] }}. Code
    <b class="font-mono">{{ bottle.code }}</b>{{ bottle.parts ? `, ${showParts(bottle.parts)}` : ''
    }}{{ bottle.ownUse ? '. Used otherwise than its formula says' : '' }}.
    <RouterLink v-if="bottle.kit" to="/formulary/kits" class="link"
      >Kit {{ bottle.kit.number }}, {{ bottle.kit.name }}: {{ Number(bottle.kit.rolls.toFixed(1)) }} rolls through all of it,
      {{ Number(bottle.kit.rollsLeft.toFixed(1)) }} left</RouterLink
    >
  </p>
  <p v-if="bottle.batchNote" class="mt-1">{{ bottle.batchNote }}</p>
</template>
