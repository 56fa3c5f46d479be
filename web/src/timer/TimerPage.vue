<script setup lang="ts">
import { timerSteps, type Metronome, type PrintTry } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { useEventListener } from '@vueuse/core'
import { computed, effectScope, onMounted, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import { silent } from '../cue/audio'
import PageState from '../fields/PageState.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { isDoneKey } from '../hand/keys'
import { light } from '../light/light'
import { stopsOf } from '../print/useOutline'
import { usePrint } from '../print/usePrint'
import OutlineView from '../printroom/OutlineView.vue'
import { filterWords } from '../printroom/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { keepMetronome, keepTimer, keptMetronome, keptTimer } from '../printroom/keptTimer'
import { useBlack } from './useBlack'
import { useTimer, type TimerView } from './useTimer'
import { askText, stopsReached } from './words'

/** The enlarger's timer: one exposure after another, each begun by a press of a hand, a key or a foot; the lamp by its relay, or by hand after the sounds. */
const sheetId = String(useRoute().params.id)
const router = useRouter()
const view = usePrint(sheetId)
const { sheet, enlarger, page, busy } = view
const session = useSession()
const show = useShow()
const metronome = ref<Metronome | null>(keptMetronome())
const metronomeNow = computed((): Metronome => metronome.value ?? 'seconds')
watch(metronomeNow, keepMetronome)
const timer = shallowRef<TimerView | null>(null)
/** it begins when the sheet has come, and ends with the page */
const scope = effectScope()
onScopeDispose(() => scope.stop())
const kept = keptTimer(sheetId)
/** what is counted out stays that, whatever is said of the last try meanwhile */
const counted = shallowRef<PrintTry | null>(kept?.plan ?? null)
const plan = computed(() => counted.value ?? view.next.value.print?.print ?? null)

// paper is open: nothing white from here on
onMounted(() => {
  if (light.value === 'white') light.value = 'safelight'
})
const black = useBlack(() => void timer.value?.tell())
const relay = computed(() => enlarger.value?.relayId !== undefined)
watch(
  [plan, enlarger],
  ([what, of]) => {
    if (timer.value || !what || !of) return
    const steps = kept?.steps ?? timerSteps(what, of.lagS)
    const lamp =
      of.relayId === undefined
        ? null
        : (seconds: number, inMs: number) => call(traysApi.light, { params: { id: of.id }, body: { seconds, inMs: Math.max(0, inMs) } })
    const started = scope.run(() =>
      useTimer(
        { steps, at: kept?.at ?? 0, onAt: kept?.onAt ?? null },
        {
          ...{ lamp, metronome: metronomeNow, spoken: () => session.person?.sounds !== false },
          keep: (now) => keepTimer(sheetId, { plan: what, ...now }),
        },
      ),
    )
    counted.value = what
    timer.value = started ?? null
  },
  { immediate: true },
)

/** the next press gives light, and colour paper may lie under it */
const blackFirst = computed(() => {
  const phase = timer.value?.phase.value
  return view.isColour.value && light.value !== 'dark' && (phase === 'wait' || phase === 'stopped')
})
// hands are wet or full: a pedal is a keyboard with one key
const keys = [' ', 'Enter', 'PageDown', 'ArrowRight']
useEventListener(window, 'keydown', (event) => {
  const { value: running } = timer
  if (!running || (event.target as HTMLElement | null)?.closest('button:not([data-press]), a, input')) return
  if (event.key === 'Escape') running.stop()
  // in the dark Enter belongs to what brings light back
  if (light.value === 'dark' ? !isDoneKey(event) : !keys.includes(event.key)) return
  event.preventDefault()
  if (!event.repeat) press()
})
function press(): void {
  const { value: running } = timer
  // colour paper bears no red light either: the screen is black before its box is opened
  if (blackFirst.value) return black()
  if (running?.phase.value === 'done') void written()
  else running?.press()
}
async function written(): Promise<void> {
  if (!plan.value || !(await view.expose(plan.value))) return
  keepTimer(sheetId, null)
  await router.push(`/trays/prints/${sheetId}`)
}
async function leave(): Promise<void> {
  timer.value?.stop()
  keepTimer(sheetId, null)
  await router.push(`/trays/prints/${sheetId}`)
}
/** what is dodged and burned, where its places are drawn */
const placed = computed(() => (plan.value?.kind === 'print' && plan.value.places.length > 0 ? plan.value : null))
const leftS = computed(() => {
  const { value: one } = timer
  const step = one?.step.value
  return one && step ? Math.max(0, step.seconds - one.lightS.value) : 0
})
const big = computed(() => {
  const { value: one } = timer
  if (!one) return ''
  if (one.phase.value === 'done') return 'done'
  return one.phase.value === 'lead' ? '…' : show.number(leftS.value, 1)
})
/** the lamp is on, or goes on: less of the screen glows then */
const lit = computed(() => timer.value?.phase.value === 'on' || timer.value?.phase.value === 'lead')
const share = computed(() => {
  const { value: one } = timer
  const step = one?.step.value
  return one && step ? one.lightS.value / step.seconds : 1
})
const pressText = computed(() => {
  const { value: one } = timer
  const step = one?.step.value
  if (!one) return ''
  if (blackFirst.value) return 'Screen black, then open the box'
  if (!step) return `Into the ${view.isColour.value ? 'drum' : 'developer'}: write it down`
  if (one.phase.value === 'stopped') return `The rest: ${show.number(leftS.value, 1)} s`
  if (one.phase.value === 'lead' || one.phase.value === 'on') return one.held.value ? `Hold back ${one.held.value.name}` : 'Light is on'
  return `Light, ${show.number(step.seconds, 1)} s`
})
</script>

<template>
  <div class="station" data-light-page>
    <PageState
      v-if="!sheet || !enlarger"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the print"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <div class="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1">
        <h1 class="text-2xl font-bold">{{ sheet.title }}</h1>
        <ol v-if="timer && timer.steps.value.length > 1" class="flex flex-wrap gap-x-3 font-mono text-lg" aria-label="Exposures, s">
          <li
            v-for="(one, i) in timer.steps.value"
            :key="i"
            :class="i === timer.at.value ? 'font-bold underline' : i < timer.at.value ? 'line-through' : ''"
            :aria-current="i === timer.at.value ? 'step' : undefined"
          >
            {{ show.number(one.seconds, 1) }}
          </li>
        </ol>
        <button type="button" class="button ml-auto" @click="leave">Leave it</button>
      </div>
      <p v-if="!plan" class="text-xl">Nothing is to be exposed here: choose a band, or say how the last print came out.</p>
      <template v-if="timer">
        <p class="text-3xl font-bold" role="status">{{ timer.step.value ? askText(timer.step.value) : 'All of it is given.' }}</p>
        <p class="text-2xl">{{ timer.step.value ? filterWords(timer.step.value.filter) : '\u00a0' }}</p>
        <div class="flex flex-wrap items-center justify-between gap-x-6">
          <p class="my-2 font-mono text-[clamp(6rem,24vh,15rem)] leading-none font-bold" data-left>{{ big }}</p>
          <OutlineView
            v-if="sheet.outline.length > 0 && placed"
            :style="{ width: `min(20rem, ${(24 * sheet.negative.widthMm) / sheet.negative.heightMm}vh)` }"
            :ratio="sheet.negative.widthMm / sheet.negative.heightMm"
            :outline="sheet.outline"
            :stops="stopsOf(placed)"
            :active="timer.held.value?.name ?? timer.step.value?.place"
          />
        </div>
        <div class="h-4 border-2 border-ink" aria-hidden="true"><div class="h-full bg-ink" :style="{ width: `${100 * share}%` }" /></div>
        <p class="mt-1 min-h-8 text-xl">
          <template v-if="timer.step.value"
            >{{ stopsReached(timer.lightS.value, timer.step.value.seconds)
            }}<template v-for="one in timer.step.value.holds" :key="one.name"
              >; <b :class="timer.held.value === one ? 'underline' : ''">hold back {{ one.name }}</b> {{ show.number(one.fromS, 1) }}–{{
                show.number(one.toS, 1)
              }}
              s</template
            ></template
          >
        </p>
        <ProblemLine :problem="timer.problem.value || view.problem.value" />
        <div class="my-3 flex gap-3">
          <button
            type="button"
            class="button min-h-28 flex-1 text-4xl"
            :class="lit ? '' : 'button-main'"
            data-press
            data-next
            :disabled="busy"
            @click="press"
          >
            {{ pressText }}
          </button>
          <button
            v-if="timer.phase.value === 'on' || timer.phase.value === 'lead'"
            type="button"
            class="button min-h-28 px-8 text-3xl"
            @click="timer.stop()"
          >
            Stop
          </button>
          <button
            v-else-if="timer.at.value > 0 || timer.phase.value === 'stopped'"
            type="button"
            class="button min-h-28 px-6 text-xl"
            @click="timer.anew(timerSteps(plan!, enlarger.lagS))"
          >
            A new sheet
          </button>
        </div>
        <div class="flex flex-wrap items-center gap-x-6 gap-y-2">
          <PressOne
            v-model="metronome"
            label="Counted in"
            :choices="[
              { value: 'seconds', name: 'ticks by seconds' },
              { value: 'stops', name: 'by thirds of a stop' },
              { value: 'none', name: 'no ticks' },
            ]"
          />
          <button type="button" class="button" @click="black">Screen black, it speaks</button>
          <p class="text-quiet">
            {{
              relay
                ? `The lamp by its relay${enlarger.lagS > 0 ? `, ${show.number(enlarger.lagS, 2)} s longer for its lag` : ''}.`
                : 'The lamp by hand: on at the first long tone, off at the last.'
            }}
            Space, Enter or a pedal gives the light, Escape ends it.<template v-if="silent"> Silent until the first press.</template>
          </p>
        </div>
      </template>
    </template>
  </div>
</template>
