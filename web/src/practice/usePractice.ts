import {
  agitations,
  asksFor,
  awayS,
  cuesOf,
  draftOf,
  practisedC,
  practisedEndS,
  standingOrder,
  troublesOf,
  type Plan,
  type Practised,
  type PractisedStep,
  type TroubleKind,
} from '@selvrin/core'
import type { ProcessRow } from '@selvrin/core/contract'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { now } from '../clock'
import { useKept } from '../hand/useKept'

const tickMs = 100
/** up to this speed hands can follow, and are asked for */
const fastestByHand = 4
/** how a practised tank is agitated, where its process does not say */
export const practisedAgitation = '30-5-30'

/** What is practised: a process, how fast, and what may go wrong. */
export interface PracticeAsked {
  /** it is written down by, once, however often it is sent */
  id: string
  process: ProcessRow
  options: Record<string, boolean>
  speed: number
  troubles: TroubleKind[]
  seed: number
}

/** A run done dry: beakers are poured one after another on a clock of its own, which nobody but this page knows of. */
export function usePractice() {
  const asked = shallowRef<PracticeAsked | null>(null)
  const plan = shallowRef<Plan | null>(null)
  const done = ref<PractisedStep[]>([])
  /** what is in the tank */
  const current = ref<PractisedStep | null>(null)
  const answers = ref<Record<string, string>>({})
  const over = ref(false)
  /** s of the practice */
  const time = ref(0)
  const awayUntil = ref(0)
  const measured = ref<{ s: number; c: number } | null>(null)
  /** ms at which the first beaker was poured; 0 before */
  const beganAt = ref(0)

  useIntervalFn(() => {
    if (asked.value && beganAt.value > 0 && !over.value) time.value = ((now() - beganAt.value) / 1000) * asked.value.speed
  }, tickMs)

  const troubles = computed(() =>
    plan.value && asked.value ? troublesOf(plan.value, { seed: asked.value.seed, kinds: asked.value.troubles }) : [],
  )
  const step = computed(() => (current.value && plan.value ? (plan.value.steps[current.value.step] ?? null) : null))
  const elapsedS = computed(() => (current.value ? time.value - current.value.fromS : 0))
  const bathC = computed(() => {
    const drift = troubles.value.find((one) => one.kind === 'drift' && one.step === current.value?.step)
    return step.value ? practisedC(step.value, drift, elapsedS.value) : null
  })
  const readings = ref<{ s: number; c: number }[]>([])
  const plannedS = computed(() => {
    if (!plan.value || !step.value) return 0
    const longer =
      answers.value['fixer-failed'] === 'longer' &&
      troubles.value.some((one) => one.kind === 'fixer-failed' && one.step === current.value?.step)
    return practisedEndS(plan.value, step.value, readings.value) * (longer ? 2 : 1)
  })
  const cue = computed(() =>
    step.value ? (cuesOf({ ...step.value, seconds: plannedS.value }).find((one) => elapsedS.value < one.untilS) ?? null) : null,
  )
  const byHand = computed(() => (asked.value?.speed ?? 1) <= fastestByHand && plan.value?.vessel.kind === 'hand')
  const away = computed(() => time.value < awayUntil.value)
  /** beakers as they stand, those that were poured among them */
  const standing = computed(() =>
    plan.value
      ? standingOrder(plan.value.steps.length, troubles.value).flatMap((i) =>
          plan.value?.steps[i] ? [{ i, step: plan.value.steps[i] }] : [],
        )
      : [],
  )
  const poured = computed(() => [...done.value.map((one) => one.step), ...(current.value ? [current.value.step] : [])])
  const left = computed(() => standing.value.filter(({ i }) => !poured.value.includes(i)))
  /** what goes wrong now and waits for an answer */
  const asking = computed(() =>
    troubles.value.find(
      ({ kind, step: at, atS }) =>
        asksFor(kind) && at === current.value?.step && elapsedS.value >= atS && answers.value[kind] === undefined,
    ),
  )

  const planned = (what: PracticeAsked) => draftOf(what.process.body, what.options, agitations[practisedAgitation])
  function begin(what: PracticeAsked): string {
    const { plan: made, findings } = planned(what)
    if (!made) return findings[0]?.message ?? 'This process cannot be practised.'
    asked.value = what
    plan.value = made
    done.value = []
    current.value = measured.value = null
    answers.value = {}
    over.value = false
    time.value = awayUntil.value = beganAt.value = 0
    return ''
  }
  function endStep(): void {
    if (current.value) done.value = [...done.value, { ...current.value, untilS: time.value }]
    current.value = measured.value = null
    readings.value = []
  }
  /** A beaker goes in; what was in the tank is poured out before. */
  function pour(i: number): void {
    if (away.value || over.value || poured.value.includes(i)) return
    if (beganAt.value === 0) beganAt.value = now()
    time.value = ((now() - beganAt.value) / 1000) * (asked.value?.speed ?? 1)
    endStep()
    current.value = { step: i, fromS: time.value, untilS: time.value, beatsS: byHand.value ? [] : null, measuredS: [] }
  }
  /** The first beaker as they stand, or the end where none is left. */
  function next(): void {
    if (away.value) return
    const [first] = left.value
    if (first) pour(first.i)
    else finish()
  }
  function finish(): void {
    if (away.value || !current.value) return
    endStep()
    over.value = true
  }
  function agitate(): void {
    if (current.value?.beatsS && !away.value) current.value = { ...current.value, beatsS: [...current.value.beatsS, time.value] }
  }
  function measure(): void {
    if (!current.value || bathC.value === null || away.value) return
    measured.value = { s: elapsedS.value, c: Math.round(bathC.value * 10) / 10 }
    readings.value = [...readings.value, measured.value]
    current.value = { ...current.value, measuredS: [...current.value.measuredS, time.value] }
  }
  function answer(kind: TroubleKind, key: string): void {
    answers.value = { ...answers.value, [kind]: key }
    if (kind === 'doorbell' && key === 'open') awayUntil.value = time.value + awayS
  }
  function stop(): void {
    asked.value = plan.value = null
    over.value = false
  }
  // a reload in the middle brings it back: its clock went on
  const kept = ref<{ asked: PracticeAsked | null; held: object } | null>(null)
  useKept('a practice', kept)
  const held = { done, current, answers, over, awayUntil, readings, beganAt }
  if (kept.value?.asked) {
    asked.value = kept.value.asked
    plan.value = planned(kept.value.asked).plan
    for (const [name, value] of Object.entries(kept.value.held)) held[name as keyof typeof held].value = value as never
    if (beganAt.value > 0) time.value = ((now() - beganAt.value) / 1000) * kept.value.asked.speed
  }
  watch(
    [asked, ...Object.values(held)],
    () => (kept.value = { asked: asked.value, held: Object.fromEntries(Object.entries(held).map(([name, one]) => [name, one.value])) }),
    { deep: true },
  )
  const practised = (): Practised => ({
    ...{ seed: asked.value?.seed ?? 0, speed: asked.value?.speed ?? 1, troubles: asked.value?.troubles ?? [] },
    ...{ answers: answers.value, steps: done.value },
  })
  return {
    ...{ asked, plan, done, current, step, elapsedS, plannedS, cue, byHand, away, standing, poured, left, asking, measured, over, time },
    ...{ begin, pour, next, finish, agitate, measure, answer, stop, practised },
  }
}
export type Practice = ReturnType<typeof usePractice>
