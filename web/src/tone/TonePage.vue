<script setup lang="ts">
import { aidOfFamily, neverWith, toneOf } from '@selvrin/core'
import { computed, ref } from 'vue'
import { standsBefore } from '../aid/before'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProtectionSigns from '../hazard/ProtectionSigns.vue'
import { useLine } from '../line/useLine'
import TapDrum from '../sink/TapDrum.vue'
import { catalogue } from '../chemical/chemistry'
import { useSession } from '../session/store'
import { keptByTab } from '../printroom/keptByTab'
import KeepStrip from './KeepStrip.vue'
import SwatchBook from './SwatchBook.vue'
import ToneDial from './ToneDial.vue'
import TonerOrder from './TonerOrder.vue'
import ToneSteps from './ToneSteps.vue'
import { useBook } from './useBook'
import { useToneSteps } from './useToneSteps'

/** Toning: the colour that is wanted, out of the darkroom's own strips; then bleach and tone, led by looking. */
const session = useSession()
const book = useBook()
const { page } = book
const steps = useToneSteps()
const standing = useLine()
/** kept by the tab, like what is being toned */
const tone = keptByTab('selvrin.tone', 0.5)
const keeping = ref(false)
/** a stop tray that still stands: acid beside sulfide or thiourea */
const acidStands = computed(
  () => standing.line.value?.fills.some((one) => one.role === 'stop' && one.bottle !== null && one.bottle.retiredAt === null) ?? false,
)
const thiourea = computed(() => catalogue()['thiourea'])
/** what toning leaves, and which drum is for it */
const away = [
  { title: 'Bleach', family: 'fer', source: 'tray' },
  { title: 'First wash after the bleach', family: 'fer', source: 'wash' },
  { title: 'Thiourea or sulfide toner', family: 'sul', source: 'tray' },
  { title: 'First wash after the toner', family: 'sul', source: 'wash' },
  { title: 'Selenium toner, and its first wash', family: 'sel', source: 'tray' },
  { title: 'Gold toner, and its first wash', family: 'nob', metal: 'gold', source: 'tray' },
] as const
standsBefore(() => away.map(({ title, family }) => ({ name: title, of: aidOfFamily(family) })))
const never = computed(() => (thiourea.value ? neverWith(thiourea.value) : []))
</script>

<template>
  <div class="station">
    <div class="mb-3 flex flex-wrap items-center gap-x-5">
      <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
      <h1 class="text-3xl font-bold">Toning</h1>
      <RouterLink v-if="session.isTechnician" to="/formulary/exchange?kind=swatches" class="button button-small">Files</RouterLink>
    </div>
    <p v-if="acidStands" class="mb-4 border-4 border-alarm p-3 text-xl font-semibold" role="alert">
      ▲ A stop tray stands in the line: acid beside thiourea or sulfide gives hydrogen sulfide. Empty it, and carry it away, before a toner
      comes into the room. <RouterLink to="/trays/line" class="link">To the tray line</RouterLink>
    </p>
    <PageState
      v-if="!page.value.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the swatch book"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <div class="mb-8 grid grid-cols-2 gap-x-10 gap-y-6 max-lg:grid-cols-1">
        <ToneDial v-model="tone" :book="book" @pick="(one) => one.body.ratio && (tone = toneOf(one.body.ratio))" />
        <ToneSteps :view="steps" :tone="tone" :may-keep="session.isTechnician" @keep="keeping = true" />
      </div>
      <section class="mb-8 border-l-4 border-alarm pl-4" aria-labelledby="care">
        <h2 id="care" class="text-xl font-bold">With care</h2>
        <ProtectionSigns v-if="thiourea" :chemical="thiourea" />
        <p class="max-w-4xl">
          Gloves, a hood or ten air changes an hour. Thiourea is suspected of causing cancer, and its dust fogs paper; hydroxide burns: into
          cold water. Acid, the stop bath first of all, is out of the room: with thiourea or sulfide it gives hydrogen sulfide. Bleach,
          toner and their first wash go into the <RouterLink to="/sink" class="link">drums</RouterLink>; local rules and the supplier’s
          safety sheet decide.
        </p>
        <p v-for="one in never" :key="one.what + one.danger">
          <b>Never beside {{ one.what }}:</b> {{ one.danger }}.
        </p>
      </section>
      <section v-if="session.isTechnician" class="mb-8 max-w-4xl" aria-labelledby="away">
        <h2 id="away" class="mb-1 text-2xl font-bold">Into the drums</h2>
        <p class="mb-1">What was used up, and the first wash after it. The rest of the washing goes as your local rules allow.</p>
        <TapDrum v-for="one in away" :key="one.title" v-bind="one" :ml="1000" note="toning" />
      </section>
      <SwatchBook class="mb-8" :book="book" @pick="tone = $event" />
      <TonerOrder />
      <KeepStrip
        v-if="keeping"
        :tone="steps.kept.value?.tone ?? tone"
        :bleaching="steps.kept.value?.bleaching ?? 'complete'"
        :bleach-s="steps.took('bleach')"
        :tone-s="steps.took('tone')"
        @close="((keeping = false), page.load())"
      />
    </template>
  </div>
</template>
