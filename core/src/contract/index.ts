export { api } from './api'
export { endpoints } from './endpoints'
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
export { importApi, importPortion, type ImportRow } from './import'
export { labelSheets, printApi, type LabelSheet } from './print'
export type { Mix, MixSummary } from './mix'
export { eveningApi, type Evening, type EveningAct, type EveningPage, type EveningSummary, type Room } from './evening'
export type { Fault } from './fault'
export type { FilmOrder, OrderLine } from './order'
export type { Permission } from './permission'
export { practiceApi, type PracticeRow } from './practice'
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
export { exposureApi, type ExposureNote } from './exposure'
export { yearApi, type YearReport } from './year'
export { trainingApi, type TrainingLine, type TrainingPage } from './training'
export { checkApi, type Fixture } from './check'
export { aidApi, type Incident } from './aid'
export { mailApi, type Letter, type MailWish } from './mail'
export { calendarApi, type CalendarKey } from './calendar'
export { printingApi, type PrintPlace, type PrintingDay, type PrintingPage } from './printing'
export {
  sinkApi,
  type DischargeRow,
  type DrainLine,
  type Drum as WasteDrum,
  type DrumPageLine,
  type Funnel,
  type Pickup,
  type Recovery,
  type SinkPage,
} from './sink'
export { traysApi, type BoxOfPaper, type CalibrationRow, type Enlarger, type Paper, type PrintSheet, type PrintTryRow } from './trays'
export { toneApi, type Swatch } from './tone'
export { coatApi, type BenchBottle, type CoatedSheet, type CoatPage, type UvLamp } from './coat'
export { trainerApi, type CastRoundRow } from './trainer'
export { lineApi, type Tray, type TrayFill, type TrayLine } from './line'
export { weeksApi, type WeeksPage } from './weeks'
export { wallApi, type Wall, type WallKey } from './wall'
