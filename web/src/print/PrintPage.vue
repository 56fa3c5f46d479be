<script setup lang="ts">
import {
  columnMm,
  stripAround,
  timerSteps,
  type FilterPack,
  type Grade,
  type PrintExposure,
  type PrintFilter,
  type PrintTry,
} from '@selvrin/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import AnotherSetup from './AnotherSetup.vue'
import JudgePad from './JudgePad.vue'
import NextCard from './NextCard.vue'
import OutlineCard from './OutlineCard.vue'
import PrintCard from './PrintCard.vue'
import StripCard from './StripCard.vue'
import StripPanel from './StripPanel.vue'
import { firstPack } from './filters'
import { forTimer, usePrint } from './usePrint'
import { typedIsKept } from '../hand/typed'
import { light } from '../light/light'
import ColourFoot from '../colour/ColourFoot.vue'
import LineFoot from '../line/LineFoot.vue'
import { keepTimer } from '../printroom/keptTimer'
import { secondsWords } from '../printroom/words'

/** A print's own sheet: the chain of its tries from left to right, what was said of each, and the next. */
const view = usePrint(String(useRoute().params.id))
const { page, room, sheet, tries, last, enlarger, paper, next, busy, problem } = view
const show = useShow()
const session = useSession()
const stripping = ref(false)
const router = useRouter()
/** Goes to the timer with what is to be exposed. */
async function count(worked: PrintTry): Promise<void> {
  const plan = forTimer(worked)
  const { value: of } = enlarger
  if (!sheet.value || !of) return
  keepTimer(sheet.value.id, { plan, steps: timerSteps(plan, of.lagS), at: 0, onAt: null })
  // what was typed for a strip goes with it
  typedIsKept()
  await router.push(`/trays/timer/${sheet.value.id}`)
}
const box = computed(() => room.boxOf(sheet.value?.setup.boxId ?? ''))
const made = computed(() => {
  const { setup, negative } = sheet.value ?? {}
  if (!setup || !negative) return ''
  const size = `${show.number((negative.widthMm * setup.m) / 10, 1)} × ${show.number((negative.heightMm * setup.m) / 10, 1)} cm`
  const parts = [sheet.value?.member, negative.what, `${size} on ${paper.value?.name ?? 'paper that is gone'}`, enlarger.value?.name]
  const lens =
    setup.focalMm === undefined
      ? ''
      : `, ${show.plain(setup.focalMm)} mm, column ${show.number(columnMm({ focalMm: setup.focalMm, m: setup.m }) / 10, 1)} cm,`
  return `${parts.filter(Boolean).join(' · ')}${lens} at f/${show.plain(setup.lensN)}, ${setup.developer}`
})
const cost = computed(() => {
  const known = tries.value.map((one) => one.cost)
  const sheets = tries.value.reduce((sum, one) => sum + one.sheets, 0)
  const money = known.every((one) => one !== null)
    ? `, ${show.number(
        known.reduce((sum, one) => sum + (one ?? 0), 0),
        2,
      )} of paper`
    : ''
  return tries.value.length === 0 ? '' : `${show.plain(sheets)} sheets${money}`
})
const whole = computed(() => (last.value?.plan.kind === 'print' ? last.value.plan : null))
const isRight = computed(() => whole.value !== null && (last.value?.said.length ?? 0) === 0 && !view.isMoved.value)
const moving = ref(false)
/** the soft exposure a hard strip goes on top of */
const under = ref<PrintExposure | null>(null)
function strip(over: PrintExposure | null): void {
  under.value = over
  if (over) grade.value = '5'
  stripping.value = true
}
/** the first time of a strip, where nothing was printed */
const grade = ref<Grade>('2')
/** of colour paper */
const pack = ref<FilterPack>(firstPack)
/** a strip again is of the grade, or the colours, that were printed last */
watch(last, (now) => {
  const filter = now && (now.plan.kind === 'strip' ? now.plan.filter : now.plan.exposures.at(-1)?.filter)
  if (filter?.kind === 'pack') pack.value = { y: filter.y, m: filter.m, c: filter.c }
  else if (filter && filter.kind !== 'none' && filter.grade !== null) grade.value = filter.grade
})
const chain = useTemplateRef<HTMLElement>('chain')
watch([() => tries.value.length, chain], () => void nextTick(() => chain.value?.scrollTo({ left: chain.value.scrollWidth })))
const stripOf = (guessS: number, filter: PrintFilter): PrintTry => ({
  ...stripAround(guessS, filter),
  under: under.value ? [under.value] : [],
})
const lastS = computed(() => {
  const { print } = next.value
  return print?.print.exposures.at(-1)?.seconds ?? whole.value?.exposures.at(-1)?.seconds ?? 10
})
</script>

<template>
  <div class="station">
    <RouterLink v-if="!sheet" to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
    <PageState
      v-if="!sheet"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the print"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <div class="mb-3 flex flex-wrap items-center gap-x-5">
        <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
        <h1 class="text-3xl font-bold">{{ sheet.title }}</h1>
        <p class="text-quiet">{{ made }}</p>
        <RouterLink v-if="session.isTechnician && sheet.negative.rollId" :to="`/films/trace?film=${sheet.negative.rollId}`" class="link"
          >Its film</RouterLink
        >
      </div>
      <ProblemLine :problem="problem || next.problem" />
      <ol ref="chain" class="mb-4 flex items-stretch gap-2 overflow-x-auto pb-2" aria-label="Tries" data-scrolls tabindex="0">
        <li
          v-for="(one, i) in tries"
          :key="one.id"
          class="max-w-full shrink-0 border-2 border-line bg-panel p-4 max-sm:p-2"
          :class="one.plan.kind === 'strip' ? 'w-96' : 'w-72'"
        >
          <p class="text-quiet">{{ i + 1 }} · {{ one.plan.kind === 'strip' ? 'strip' : 'print' }}</p>
          <StripCard
            v-if="one.plan.kind === 'strip'"
            :plan="one.plan"
            :fixed="busy || i < tries.length - 1 || sheet.done"
            @choose="view.judge(one, { chosen: $event })"
          />
          <PrintCard v-else :plan="one.plan" :said="one.said" :right="sheet.done && i === tries.length - 1" />
        </li>
        <li v-if="!sheet.done && next.print && !isRight" class="min-w-80 flex-1 shrink-0 border-4 border-primary bg-panel p-4" data-cue>
          <p class="text-quiet">{{ tries.length + 1 }} · next</p>
          <NextCard :next="next.print" :before="whole" :lag-s="enlarger?.lagS ?? 0" />
        </li>
      </ol>
      <div class="flex flex-wrap items-start gap-x-10 gap-y-4">
        <JudgePad
          v-if="whole && !sheet.done && last"
          :plan="whole"
          :said="last.said"
          :material="paper?.material ?? 'black-and-white'"
          :busy="busy"
          @say="view.judge(last, { said: $event })"
        />
        <div class="flex flex-wrap items-center gap-3">
          <button v-if="tries.length > 0" type="button" class="button order-last" :disabled="busy" @click="moving = true">
            Another size or paper
          </button>
          <!-- a white page would fog what lies open -->
          <a v-if="tries.length > 0 && light === 'white'" :href="`/api/print/prints/${sheet.id}`" target="_blank" class="button order-last"
            >On paper, A5</a
          >
          <template v-if="sheet.done">
            <p class="text-xl font-semibold">Finished.</p>
            <button type="button" class="button" :disabled="busy" @click="view.finish(false)">Go on with it</button>
          </template>
          <template v-else>
            <button
              v-if="next.print && !isRight"
              type="button"
              class="button button-main min-h-16 px-6 text-2xl"
              data-next
              :disabled="busy"
              @click="view.expose(next.print.print)"
            >
              Exposed, {{ next.print.print.exposures.map((one) => secondsWords(one.seconds)).join(' + ') }}
            </button>
            <button
              v-if="next.print && !isRight"
              type="button"
              class="button min-h-16 px-6 text-2xl"
              :disabled="busy"
              @click="count(next.print.print)"
            >
              Count it out
            </button>
            <button
              v-if="isRight"
              type="button"
              class="button button-main min-h-16 px-6 text-2xl"
              :disabled="busy"
              @click="view.finish(true)"
            >
              It is as it should be
            </button>
            <button
              type="button"
              class="button"
              :class="tries.length === 0 ? 'button-main min-h-16 px-6 text-2xl' : ''"
              :disabled="busy"
              @click="strip(null)"
            >
              {{ tries.length === 0 ? 'A strip' : 'Strip again' }}
            </button>
            <button v-if="view.soft.value" type="button" class="button" :disabled="busy" @click="strip(view.soft.value)">
              A hard strip on top
            </button>
          </template>
        </div>
      </div>
      <OutlineCard v-if="whole || sheet.outline.length > 0" class="mt-6" :view="view" :plan="next.print?.print ?? whole" />
      <p class="mt-4 text-quiet">
        {{ cost }}<template v-if="box">{{ cost ? '; ' : '' }}{{ show.plain(Number(box.left.toFixed(2))) }} left in its box</template>.
        {{
          view.isColour.value
            ? 'In the dark throughout, red light too; gloves, the drum closed: colour developers sensitise.'
            : 'Tongs or gloves, one pair to a tray; nothing white while the box is open.'
        }}
        <RouterLink v-if="view.isColour.value && sheet.photo" :to="`/trays/ring/${sheet.id}`" class="link">Its ring-around</RouterLink>
      </p>
      <ColourFoot v-if="view.isColour.value && box" class="mt-4" :box="box" />
      <LineFoot v-else class="mt-4" />
      <StripPanel
        v-if="stripping"
        v-model:grade="grade"
        v-model:pack="pack"
        :view="view"
        :guess-s="lastS"
        :under="under"
        @close="stripping = false"
        @count="(guessS, filter) => count(stripOf(guessS, filter))"
        @expose="(guessS, filter) => (view.expose(stripOf(guessS, filter)), (stripping = false))"
      />
      <AnotherSetup v-if="moving" :view="view" @close="moving = false" />
    </template>
  </div>
</template>
