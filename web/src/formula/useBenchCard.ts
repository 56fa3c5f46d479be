import { heatFindings, houseDefault, scaleFormula, type Finding, type Formula } from '@selvrin/core'
import { api, type FormulaBatch, type FormulaVersion } from '@selvrin/core/contract'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import {
  asOnShelf,
  asTaken,
  cautionsOf,
  checkFormula,
  checkWeighing,
  chemicalOf,
  costOf,
  linesOf,
  mixState,
  pricesFor,
  shelfFindings,
} from '../chemical/chemistry'
import { useSession } from '../session/store'
import { useBottles, useFormulas, useJars } from '../stores'
import { missingFor, stockFor } from './missing'

/** A formula at the bench: its version looked at, scaled to what is wanted, held against the shelf, its dangers and its price. */
export function useBenchCard() {
  const route = useRoute()
  const session = useSession()
  const [formulas, jars, bottles] = [useFormulas(), useJars(), useBottles()]
  const versions = shallowRef<FormulaVersion[]>([])
  const batches = shallowRef<FormulaBatch[]>([])
  const id = computed(() => String(route.params.id))
  const row = computed(() => formulas.rows.find((one) => one.id === id.value))
  const wantedMl = ref<number | null>(null)

  onMounted(() => void Promise.all([formulas.load(), jars.load(), bottles.load()]))
  const whole = usePage(
    (signal) => call(api.formula.get, { params: { id: id.value }, signal }),
    // a batch of it may be bottled somewhere else while this is open
    (event) => event.subject === 'mix',
  )
  watch(whole.value, (answer) => {
    versions.value = answer?.versions ?? []
    batches.value = answer?.batches ?? []
  })
  watch(
    row,
    (value) => {
      if (!value) return
      wantedMl.value ??= value.body.finalMl
      void whole.load()
    },
    { immediate: true },
  )

  /** an earlier version, where one is looked at */
  const seen = computed(
    () => versions.value.find((one) => String(one.number) === route.query.version && one.number !== row.value?.number) ?? null,
  )
  const body = computed(() => seen.value?.body ?? row.value?.body)
  /** out of the starter set, and never mixed */
  const untried = computed(
    () => body.value?.note.startsWith(houseDefault) === true && versions.value.length > 0 && batches.value.length === 0,
  )
  const formula = computed((): Formula | null => (body.value ? ({ id: id.value, ...body.value } as Formula) : null))
  const scaled = computed(() => (formula.value && wantedMl.value ? scaleFormula(formula.value, wantedMl.value) : formula.value))
  const lines = computed(() => (scaled.value ? linesOf(scaled.value) : []))
  const takings = computed(() => (scaled.value && jars.loaded ? asOnShelf(scaled.value, jars.rows) : []))
  const blocked = computed(() =>
    takings.value.flatMap(({ step, chemical, blocked: why }): Finding[] =>
      why === undefined
        ? []
        : [
            {
              rule: 'shelf-2',
              severity: 'error',
              step,
              message: `The shelf has only ${chemicalOf(chemical).name} for this line. ${why}`,
            },
          ],
    ),
  )
  const findings = computed((): Finding[] =>
    scaled.value
      ? [
          ...checkFormula(scaled.value),
          ...blocked.value,
          ...heatFindings(mixState(scaled.value, scaled.value.finalMl, [])),
          ...checkWeighing(scaled.value, session.darkroom?.scaleReadabilityG ?? 0.1),
        ]
      : [],
  )
  /** Stock solutions a line is drawn from, where no bottle holds enough. */
  const noStock = computed(() =>
    bottles.loaded
      ? lines.value
          .filter(
            (line) => line.dissolved && !stockFor(line, formulas.rows, bottles.rows).some((one) => one.state.volumeMl >= line.liquidMl),
          )
          .map((line) => `${line.chemical.name} ${line.addition.percent} %`)
      : [],
  )
  /** A litre costs the same at every volume: it is reckoned once, and the batch from it. */
  const cost = computed(() => {
    if (!formula.value || !body.value) return null
    const one = costOf({ ...formula.value, use: body.value.use }, pricesFor(formula.value, jars.rows))
    const known = one.unpriced.length < new Set(lines.value.map((line) => line.chemical.id)).size
    const unpriced = lines.value.filter((line) => one.unpriced.includes(line.chemical.id)).map((line) => line.chemical.name)
    return { ...one, known, unpriced, batch: (one.perLitre * (wantedMl.value ?? body.value.finalMl)) / 1000 }
  })
  return {
    ...{ id, row, seen, body, untried, versions, batches, formula, scaled, lines, takings, wantedMl },
    ...{ findings, noStock, cost, formulas },
    /** what stops the mixing short of a reason; what never meets stops it altogether */
    grave: computed(() =>
      findings.value.some((one) => one.severity === 'error' && one.rule !== 'shelf-2' && !one.rule.startsWith('never-')),
    ),
    partOfPack: computed(() => findings.value.some((one) => one.rule === 'mix-13' && one.severity === 'warning')),
    missing: computed(() => (scaled.value && jars.loaded ? missingFor(scaled.value, jars.rows) : [])),
    instead: computed(() => (scaled.value && jars.loaded ? shelfFindings(scaled.value, jars.rows).filter((one) => one.repair) : [])),
    /** of what the shelf really gives */
    hazards: computed(() => (scaled.value ? cautionsOf(asTaken(scaled.value, takings.value)) : [])),
    /** what the page still waits for before it can say what is on the shelf, or null */
    waits: computed(() => (jars.loaded && bottles.loaded ? null : jars.problem || bottles.problem)),
    priced: computed(() => jars.loaded),
  }
}
export type BenchFormula = ReturnType<typeof useBenchCard>
