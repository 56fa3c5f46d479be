import {
  freshJudgement,
  testMarkOf,
  bottleState,
  judge,
  type BottleEntry,
  type FormulaUse,
  type Judgement,
  type Plan,
  type Reading,
  type Reference,
  type TestKind,
} from '@selvrin/core'
import type { PlanRequest } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { usedFormula } from '../formula/used'
import { demoFormulas } from './formulas'
import type { demoShelves } from './seasonFacts'

export interface DemoEntry extends BottleEntry {
  step?: number | null
  runId: string | null
  note: string
  proofId: string | null
}
export interface DemoBottle {
  id: string
  letter: string
  number: number
  formula: string
  fromId: string | null
  sizeMl: number
  parts: number[] | null
  madeAt: number
  retiredAt: number | null
  retiredWhy: string | null
  ph: number | null
  batchId: string | null
  ownUse: FormulaUse | null
  shelf: keyof typeof demoShelves
  entries: DemoEntry[]
}
interface DemoProof {
  id: string
  bottle: DemoBottle
  kind: TestKind
  at: number
  fresh: boolean
  reading: Reading
  judgement: Judgement
  rollsPerL: number
}
interface DemoRun {
  id: string
  number: number
  at: number
  plan: Plan
  request: PlanRequest
  developer: string
}
export interface Season {
  bottles: DemoBottle[]
  runs: DemoRun[]
  proofs: DemoProof[]
}

/** What a season writes down: bottles with their ledgers, runs, and tests judged by core. */
export function seasonBook() {
  const bottles: DemoBottle[] = []
  const runs: DemoRun[] = []
  const proofs: DemoProof[] = []

  const stateOf = (bottle: DemoBottle, at: number) => {
    const body = demoFormulas[bottle.formula] as (typeof demoFormulas)[string]
    return bottleState(usedFormula('', body, bottle.ownUse), bottle, bottle.entries, at)
  }
  const entry = (bottle: DemoBottle, part: Pick<BottleEntry, 'kind' | 'at' | 'ml'> & Partial<DemoEntry>) =>
    bottle.entries.push({
      id: uuid({ msecs: part.at }),
      rolls: 0,
      paper: 0,
      waterInMl: 0,
      reverses: null,
      runId: null,
      note: '',
      proofId: null,
      ...part,
    })

  /** A test as it would have been written: judged by core against the bottle's own fresh reading. */
  function prove(bottle: DemoBottle, at: number, kind: TestKind, reading: Reading, fresh: boolean): void {
    const own = proofs.find((one) => one.bottle === bottle && one.kind === kind && one.fresh)
    const reference: Reference | null =
      own?.reading.value === undefined
        ? null
        : { value: own.reading.value, celsius: own.reading.celsius ?? null, slowClearing: own.reading.slowClearing ?? null, from: 'batch' }
    const judgement = fresh ? freshJudgement(kind, reading) : judge(kind, reading, { reference })
    const id = uuid({ msecs: at })
    proofs.push({ id, bottle, kind, at, fresh, reading, judgement, rollsPerL: stateOf(bottle, at).rollsPerL })
    entry(bottle, {
      kind: 'test',
      at,
      ml: 0,
      note: judgement.reason,
      proofId: id,
      // nobody asks for what was due in the past again
      test: { ...testMarkOf(kind, reading, judgement, fresh ? null : (reference?.from ?? null), { at, zone: 'UTC' }), againAt: null },
    })
  }

  return { bottles, runs, proofs, stateOf, entry, prove }
}
