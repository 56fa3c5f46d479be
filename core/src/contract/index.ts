import { bottleApi } from './bottle'
import { chartApi } from './chart'
import { chemicalApi } from './chemical'
import { darkroomApi } from './darkroom'
import { deviceApi } from './device'
import type { Endpoint } from './endpoint'
import { eveningApi } from './evening'
import { filmApi } from './film'
import { formulaApi } from './formula'
import { importApi } from './import'
import { jarApi } from './jar'
import { kitApi } from './kit'
import { mixApi } from './mix'
import { orderApi } from './order'
import { permissionApi } from './permission'
import { personApi } from './person'
import { practiceApi } from './practice'
import { printApi } from './print'
import { proofApi } from './proof'
import { processApi } from './process'
import { runApi } from './run'
import { sessionApi } from './session'
import { shelfApi } from './shelf'
import { wallApi } from './wall'

/** Every route, by subject. */
export const api = {
  session: sessionApi,
  person: personApi,
  darkroom: darkroomApi,
  formula: formulaApi,
  jar: jarApi,
  kit: kitApi,
  mix: mixApi,
  bottle: bottleApi,
  shelf: shelfApi,
  proof: proofApi,
  chart: chartApi,
  chemical: chemicalApi,
  process: processApi,
  run: runApi,
  film: filmApi,
  device: deviceApi,
  evening: eveningApi,
  order: orderApi,
  permission: permissionApi,
  practice: practiceApi,
  print: printApi,
  import: importApi,
  wall: wallApi,
}

/** Every route in one list, for what holds of them all. */
export const endpoints: Endpoint[] = Object.values(api).flatMap((subject) => Object.values(subject) as Endpoint[])

export type { Access, Endpoint, FileAnswer } from './endpoint'
export { problem, type Problem } from '../shape/common'
export { schemaSentence } from './sentences'
export { liveEvent, liveRows, memberSubjects, type LiveEvent, type LiveRows } from './live'
export type { Bottle, BottlePage, LedgerEntry, LedgerLine } from './bottle'
export type { ChartRow } from './chart'
export { chemicalBody, ownChemical, type ChemicalBody, type ChemicalRow } from './chemical'
export type { Darkroom } from './darkroom'
export { formulaBody, type FormulaBatch, type FormulaBody, type FormulaRow, type FormulaVersion } from './formula'
export { sheetBytes, sheetTypes, type Jar, type JarEntry, type JarPage } from './jar'
export { reading, type Device, type DeviceKind, type Reading } from './device'
export { importPortion, type ImportRow } from './import'
export { labelSheets, type LabelSheet } from './print'
export type { Mix, MixSummary } from './mix'
export type { Evening, EveningAct, EveningPage, EveningSummary, Fault, Room } from './evening'
export type { FilmOrder, OrderLine } from './order'
export type { Permission } from './permission'
export type { PracticeRow } from './practice'
export type { Me, Person } from './person'
export { runEvent } from '../run/runEvent'
export { planRequest, type PlanRequest } from '../process/request'
export { processBody, type ProcessBody } from '../process/processBody'
export type { ProcessRow, ProcessVersion } from './process'
export { kitBody, type KitBody } from '../kit/kitBody'
export type { Kit, KitSet } from './kit'
export type { Pair, TracedBath, TracedFilm } from './film'
export type { Roll, Run, RunSummary, Vessel } from './run'
export {
  pictureBytes,
  pictureMarks,
  pictureTypes,
  type DueRuleRow,
  type Instrument,
  type Notice,
  type PictureMarks,
  type Proof,
  type ProofContext,
  type Suspect,
} from './proof'
export type { ConsumptionRow, Shelf, SupplyRow, WasteRow } from './shelf'
export type { Session } from './session'
export type { Wall, WallKey } from './wall'
