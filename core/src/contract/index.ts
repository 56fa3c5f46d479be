import { bottleApi } from './bottle'
import { chartApi } from './chart'
import { darkroomApi } from './darkroom'
import type { Endpoint } from './endpoint'
import { formulaApi } from './formula'
import { jarApi } from './jar'
import { mixApi } from './mix'
import { personApi } from './person'
import { runApi } from './run'
import { sessionApi } from './session'

/** Every route, by subject. */
export const api = {
  session: sessionApi,
  person: personApi,
  darkroom: darkroomApi,
  formula: formulaApi,
  jar: jarApi,
  mix: mixApi,
  bottle: bottleApi,
  chart: chartApi,
  run: runApi,
}

/** Every route in one list, for what holds of them all. */
export const endpoints: Endpoint[] = Object.values(api).flatMap((subject) => Object.values(subject) as Endpoint[])

export type { Access, Endpoint } from './endpoint'
export { problem, type Problem } from './common'
export { liveEvent, type LiveEvent } from './live'
export type { Bottle, BottlePage, LedgerEntry } from './bottle'
export type { ChartRow } from './chart'
export type { Darkroom } from './darkroom'
export { formulaBody, type FormulaBody, type FormulaRow, type FormulaVersion } from './formula'
export type { Jar } from './jar'
export type { Mix, MixSummary } from './mix'
export type { Me, Person } from './person'
export { planRequest, runEvent, type PlanRequest, type Roll, type Run, type RunSummary, type Vessel } from './run'
export type { Session } from './session'
