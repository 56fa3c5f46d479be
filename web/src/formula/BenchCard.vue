<script setup lang="ts">
import { aidOf, showParts, showTime } from '@selvrin/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { standsBefore } from '../aid/before'
import { catalogue } from '../chemical/chemistry'
import PageState from '../fields/PageState.vue'
import BathMark from '../marks/BathMark.vue'
import FindingList from '../marks/FindingList.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import FormulaLadder from './FormulaLadder.vue'
import MixIt from './MixIt.vue'
import OnTheShelf from './OnTheShelf.vue'
import { schoolWords } from './schoolWords'
import { useBenchCard } from './useBenchCard'
import { part } from '../part/part'

const PhCurves = part(() => import('../ph/PhCurves.vue'))
const PhPanel = part(() => import('../ph/PhPanel.vue'))
const CombinePanel = part(() => import('./CombinePanel.vue'))
const OwnCapacity = part(() => import('./OwnCapacity.vue'))
const VersionList = part(() => import('./VersionList.vue'))
const router = useRouter()
const session = useSession()
const show = useShow()
const of = useBenchCard()
const { id, row, seen, body, untried, versions, batches, formula, scaled, lines, takings, wantedMl, findings, hazards, formulas } = of
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const keeping = computed(() => {
  const keeps = body.value?.use.keeping
  if (!keeps) return ''
  const say = (days: number | null, where: string) =>
    days === null ? [] : [`${where} ${days < 2 ? `${Math.round(days * 24)} h` : `${Math.round(days)} days`}`]
  return [...say(keeps.fullDays, 'full bottle'), ...say(keeps.halfDays, 'half full'), ...say(keeps.workingDays, 'working strength')].join(
    ' · ',
  )
})

standsBefore(() => (scaled.value && body.value ? [{ name: body.value.name, of: aidOf(scaled.value, catalogue()) }] : []))

async function backTo(): Promise<void> {
  await formulas.load(true)
  await router.push(`/formulary/${id.value}`)
}
</script>

<template>
  <div class="station">
    <div v-if="body && row && formula && scaled" class="grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
      <section>
        <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
        <h1 class="flex items-center gap-4 text-4xl font-bold"><BathMark :family="body.family" :size="40" /> {{ body.name }}</h1>
        <p class="mt-1 text-lg text-quiet">{{ body.purpose }}</p>
        <VersionList v-if="seen" :row="row" :versions="versions" :seen="seen" @back="backTo" />
        <CombinePanel v-if="body.combine" :row="row" />
        <FormulaLadder v-else-if="lines.length > 0" :formula="scaled" :takings="takings" />
        <p v-else class="card mt-5 text-lg">
          Bought ready made: nothing to weigh. Bring the bottle onto the shelf with what it holds, then make working strength from it there.
        </p>
        <p v-if="body.note" class="mt-4 text-lg">
          {{ body.note }} <b v-if="untried">Not yet tried here: run a test film, or a strip, before it counts.</b>
        </p>
        <PhCurves v-if="lines.length > 0" :formula="formula" class="mt-8" />
      </section>

      <aside class="space-y-5">
        <MixIt v-if="!body.combine && !seen" :of="of" />
        <PhPanel v-if="lines.length > 0" :formula="formula" :batches="batches" :zone="zone" />
        <section v-if="findings.length > 0">
          <h2 class="mb-2 text-xl font-bold">To watch</h2>
          <FindingList :findings="findings" />
        </section>
        <OnTheShelf v-if="lines.length > 0" :of="of" />
        <section v-if="hazards.length > 0">
          <h2 class="mb-1 text-xl font-bold">Gloves, eyes, air</h2>
          <ul class="space-y-1">
            <li v-for="hazard in hazards" :key="hazard.words">
              {{ hazard.words }} <span class="text-quiet">({{ hazard.names.join(', ') }})</span>
            </li>
          </ul>
          <p class="mt-1 text-quiet">The supplier’s safety sheet decides.</p>
        </section>
        <section>
          <h2 class="mb-1 text-xl font-bold">Use</h2>
          <p>
            {{ body.use.dilutions.map((parts) => showParts(parts)).join(', ') }}{{ show.said(schoolWords(body.use))
            }}{{ body.usualS ? `; usually ${showTime(body.usualS)}` : '' }}
          </p>
          <p>Keeps: {{ keeping || 'not known' }}.</p>
          <OwnCapacity :row="row" @changed="formulas.load(true)" />
          <p class="text-quiet">Version {{ row.number }}, {{ showDate(row.changedAt, zone) }}, {{ row.changedBy }}.</p>
          <p v-if="row.overruled" class="text-quiet">Kept in spite of its findings: {{ row.overruled }}</p>
          <VersionList v-if="!seen" :row="row" :versions="versions" :seen="null" />
        </section>
        <div class="flex flex-wrap gap-3">
          <RouterLink :to="`/formulary/${row.id}/edit`" class="button button-small">Edit</RouterLink>
          <RouterLink :to="`/formulary/new?from=${row.id}`" class="button button-small">Duplicate</RouterLink>
          <RouterLink v-if="lines.length > 0" :to="`/formulary/compare?one=${row.id}`" class="button button-small">Compare</RouterLink>
          <a
            v-if="lines.length > 0"
            :href="`/api/print/formulas/${row.id}?ml=${wantedMl ?? body.finalMl}`"
            target="_blank"
            rel="noopener"
            class="button button-small"
            >Print the card</a
          >
        </div>
      </aside>
    </div>
    <p v-else-if="formulas.loaded" class="text-xl">
      There is no such formula. <RouterLink to="/formulary" class="link">Back to the Formulary</RouterLink>
    </p>
    <PageState v-else missing="" :problem="formulas.problem" what="the formula" back="" back-to="/formulary" />
  </div>
</template>
