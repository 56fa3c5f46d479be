import type { Model, ModelStatic, Sequelize } from 'sequelize'
import { bottleTable } from '../bottle/Bottle'
import { bottleCheckpointTable } from '../bottle/BottleCheckpoint'
import { bottleEntryTable } from '../bottle/BottleEntry'
import { chartRowTable } from '../chart/ChartRow'
import { chemicalTable } from '../chemical/Chemical'
import { oneTimeCodeTable } from '../credential/OneTimeCode'
import { signInAttemptTable } from '../credential/SignInAttempt'
import { darkroomTable } from '../darkroom/Darkroom'
import { bathReadingTable } from '../device/BathReading'
import { deviceTable } from '../device/Device'
import { eveningTable } from '../evening/Evening'
import { eveningBathTable } from '../evening/EveningBath'
import { eveningChangeTable } from '../evening/EveningChange'
import { eveningTickTable } from '../evening/EveningTick'
import { faultTable } from '../evening/Fault'
import { roomTable } from '../evening/Room'
import { printPlaceTable } from '../printing/PrintPlace'
import { noticeTable } from '../film/Notice'
import { rollTable } from '../film/Roll'
import { rollMarkTable } from '../film/RollMark'
import { formulaTable } from '../formula/Formula'
import { formulaVersionTable } from '../formula/FormulaVersion'
import { idempotencyTable } from '../http/Idempotency'
import { importTable } from '../import/Import'
import { importRowTable } from '../import/ImportRow'
import { jarTable } from '../jar/Jar'
import { jarEntryTable } from '../jar/JarEntry'
import { jarSheetTable } from '../jar/JarSheet'
import { kitTable } from '../kit/Kit'
import { kitSetTable } from '../kit/KitSet'
import { labelCodeTable } from '../label/LabelCode'
import { batchTable } from '../mix/Batch'
import { mixTable } from '../mix/Mix'
import { mixEventTable } from '../mix/MixEvent'
import { filmOrderTable } from '../order/FilmOrder'
import { orderChangeTable } from '../order/OrderChange'
import { orderPhotoTable } from '../order/OrderPhoto'
import { permissionTable } from '../permission/Permission'
import { personTable } from '../person/Person'
import { dueRuleTable } from '../proof/DueRule'
import { instrumentTable } from '../proof/Instrument'
import { practiceTable } from '../practice/Practice'
import { castRoundTable } from '../trainer/CastRound'
import { proofTable } from '../proof/Proof'
import { proofPictureTable } from '../proof/ProofPicture'
import { proofTakenBackTable } from '../proof/ProofTakenBack'
import { runTable } from '../run/Run'
import { processTable } from '../process/Process'
import { processVersionTable } from '../process/ProcessVersion'
import { runBathTable } from '../run/RunBath'
import { runEventTable } from '../run/RunEvent'
import { vesselTable } from '../run/Vessel'
import { letterTable } from '../mail/Letter'
import { mailWishTable } from '../mail/MailWish'
import { emergenceTable } from '../line/Emergence'
import { linePassTable } from '../line/LinePass'
import { trayTable } from '../line/Tray'
import { trayFillTable } from '../line/TrayFill'
import { trayLineTable } from '../line/TrayLine'
import { calibrationTable } from '../print/Calibration'
import { enlargerTable } from '../print/Enlarger'
import { paperTable } from '../print/Paper'
import { paperBoxTable } from '../print/PaperBox'
import { paperEntryTable } from '../print/PaperEntry'
import { printTryTable } from '../print/PrintTry'
import { sheetTable } from '../print/Sheet'
import { sheetPhotoTable } from '../print/SheetPhoto'
import { coatedTable } from '../coat/Coated'
import { coatedActTable } from '../coat/CoatedAct'
import { uvLampTable } from '../coat/UvLamp'
import { incidentTable } from '../aid/Incident'
import { incidentPhotoTable } from '../aid/IncidentPhoto'
import { fixtureTable } from '../check/Fixture'
import { fixtureCheckTable } from '../check/FixtureCheck'
import { exposureNoteTable } from '../exposure/ExposureNote'
import { exposureReaderTable } from '../exposure/ExposureReader'
import { trainingTable } from '../training/Training'
import { trainingPresenceTable } from '../training/TrainingPresence'
import { swatchTable } from '../tone/Swatch'
import { swatchPhotoTable } from '../tone/SwatchPhoto'
import { dischargeTable } from '../sink/Discharge'
import { drumTable } from '../drum/Drum'
import { drainEntryTable } from '../drum/DrainEntry'
import { drumEntryTable } from '../drum/DrumEntry'
import { funnelTable } from '../drum/Funnel'
import { pickupTable } from '../sink/Pickup'
import { pickupReceiptTable } from '../sink/PickupReceipt'
import { recoveryTable } from '../sink/Recovery'
import { sinkTable } from '../drum/Sink'
import { calendarKeyTable } from '../calendar/CalendarKey'
import { wallKeyTable } from '../wall/WallKey'
import { weeksTable } from '../weeks/Weeks'
import { sessionTable } from '../session/Session'
import { shelfTable } from '../shelf/Shelf'
import { wasteEntryTable } from '../shelf/WasteEntry'
import type { Tables } from '../table/database'

/** Every table of the house under the name of its model. */
const tables = {
  Batch: batchTable,
  Bottle: bottleTable,
  BottleCheckpoint: bottleCheckpointTable,
  BottleEntry: bottleEntryTable,
  ChartRow: chartRowTable,
  Chemical: chemicalTable,
  Darkroom: darkroomTable,
  BathReading: bathReadingTable,
  Device: deviceTable,
  DueRule: dueRuleTable,
  Evening: eveningTable,
  EveningBath: eveningBathTable,
  EveningChange: eveningChangeTable,
  EveningTick: eveningTickTable,
  Fault: faultTable,
  Formula: formulaTable,
  FormulaVersion: formulaVersionTable,
  Idempotency: idempotencyTable,
  Import: importTable,
  ImportRow: importRowTable,
  Instrument: instrumentTable,
  Jar: jarTable,
  JarEntry: jarEntryTable,
  JarSheet: jarSheetTable,
  Kit: kitTable,
  KitSet: kitSetTable,
  LabelCode: labelCodeTable,
  Mix: mixTable,
  Practice: practiceTable,
  CastRound: castRoundTable,
  MixEvent: mixEventTable,
  Notice: noticeTable,
  OneTimeCode: oneTimeCodeTable,
  FilmOrder: filmOrderTable,
  OrderChange: orderChangeTable,
  OrderPhoto: orderPhotoTable,
  Permission: permissionTable,
  Person: personTable,
  Process: processTable,
  ProcessVersion: processVersionTable,
  Proof: proofTable,
  ProofPicture: proofPictureTable,
  ProofTakenBack: proofTakenBackTable,
  Roll: rollTable,
  RollMark: rollMarkTable,
  Room: roomTable,
  Run: runTable,
  RunBath: runBathTable,
  RunEvent: runEventTable,
  Session: sessionTable,
  Shelf: shelfTable,
  SignInAttempt: signInAttemptTable,
  Vessel: vesselTable,
  WallKey: wallKeyTable,
  CalendarKey: calendarKeyTable,
  PrintPlace: printPlaceTable,
  Sink: sinkTable,
  Drum: drumTable,
  DrainEntry: drainEntryTable,
  DrumEntry: drumEntryTable,
  Funnel: funnelTable,
  Pickup: pickupTable,
  PickupReceipt: pickupReceiptTable,
  Recovery: recoveryTable,
  Discharge: dischargeTable,
  Paper: paperTable,
  PaperBox: paperBoxTable,
  PaperEntry: paperEntryTable,
  Enlarger: enlargerTable,
  Sheet: sheetTable,
  SheetPhoto: sheetPhotoTable,
  Coated: coatedTable,
  CoatedAct: coatedActTable,
  UvLamp: uvLampTable,
  ExposureNote: exposureNoteTable,
  ExposureReader: exposureReaderTable,
  Training: trainingTable,
  TrainingPresence: trainingPresenceTable,
  Fixture: fixtureTable,
  FixtureCheck: fixtureCheckTable,
  Incident: incidentTable,
  IncidentPhoto: incidentPhotoTable,
  Swatch: swatchTable,
  SwatchPhoto: swatchPhotoTable,
  PrintTry: printTryTable,
  Calibration: calibrationTable,
  Tray: trayTable,
  TrayLine: trayLineTable,
  TrayFill: trayFillTable,
  LinePass: linePassTable,
  Emergence: emergenceTable,
  MailWish: mailWishTable,
  Letter: letterTable,
  Weeks: weeksTable,
  WasteEntry: wasteEntryTable,
} satisfies Record<keyof Tables, unknown>

/** Which row is whose: from, to, as, by which column. */
// prettier-ignore
const belongings: [from: keyof Tables, to: keyof Tables, as: string, column: string][] = [
  ['ChartRow', 'Person', 'by', 'byPerson'],
  ['ChartRow', 'Person', 'tester', 'triedBy'],
  ['Chemical', 'Person', 'by', 'changedBy'],
  ['FormulaVersion', 'Person', 'by', 'changedBy'],
  ['JarEntry', 'Person', 'by', 'byPerson'],
  ['KitSet', 'Person', 'by', 'begunBy'],
  ['KitSet', 'Kit', 'kit', 'kitId'],
  ['Mix', 'Person', 'by', 'startedBy'],
  ['Mix', 'Person', 'hand', 'handPerson'],
  ['Mix', 'FormulaVersion', 'madeOf', 'formulaVersionId'],
  ['MixEvent', 'Person', 'by', 'byPerson'],
  ['Batch', 'Person', 'by', 'madeBy'],
  ['Batch', 'FormulaVersion', 'madeOf', 'formulaVersionId'],
  ['Bottle', 'Person', 'by', 'madeBy'],
  ['Bottle', 'FormulaVersion', 'madeOf', 'formulaVersionId'],
  ['Bottle', 'Batch', 'batch', 'batchId'],
  ['BottleEntry', 'Person', 'by', 'byPerson'],
  ['BottleCheckpoint', 'Bottle', 'bottle', 'bottleId'],
  ['WasteEntry', 'Person', 'by', 'byPerson'],
  ['Session', 'Person', 'person', 'personId'],
  ['Run', 'Person', 'by', 'plannedBy'],
  ['ProcessVersion', 'Person', 'by', 'changedBy'],
  ['ProcessVersion', 'Process', 'process', 'processId'],
  ['RunBath', 'Run', 'run', 'runId'],
  ['RunBath', 'Bottle', 'bottle', 'bottleId'],
  ['Roll', 'Run', 'run', 'runId'],
  ['Roll', 'Person', 'member', 'memberId'],
  ['RollMark', 'Roll', 'roll', 'rollId'],
  ['Proof', 'Person', 'by', 'byPerson'],
  ['FilmOrder', 'Person', 'member', 'memberId'],
  ['FilmOrder', 'Person', 'by', 'handedBy'],
  ['OrderChange', 'Person', 'by', 'byPerson'],
  ['WallKey', 'Person', 'by', 'byPerson'],
  ['CalendarKey', 'Person', 'person', 'personId'],
  ['PrintPlace', 'Person', 'person', 'personId'],
  ['DrainEntry', 'Person', 'by', 'byPerson'],
  ['DrumEntry', 'Person', 'by', 'byPerson'],
  ['Recovery', 'Person', 'by', 'byPerson'],
  ['Sheet', 'Person', 'member', 'memberId'],
  ['PrintTry', 'Person', 'by', 'byPerson'],
  ['Calibration', 'Person', 'by', 'byPerson'],
  ['Incident', 'Person', 'by', 'byPerson'],
  ['FixtureCheck', 'Person', 'by', 'byPerson'],
  ['ExposureNote', 'Person', 'by', 'byPerson'],
  ['ExposureNote', 'Person', 'person', 'personId'],
  ['ExposureReader', 'Person', 'person', 'personId'],
  ['ExposureReader', 'Person', 'namer', 'namedBy'],
  ['Training', 'Person', 'by', 'byPerson'],
  ['TrainingPresence', 'Person', 'by', 'byPerson'],
  ['Swatch', 'Person', 'by', 'byPerson'],
  ['Coated', 'Person', 'member', 'memberId'],
  ['CoatedAct', 'Person', 'by', 'byPerson'],
  ['TrayLine', 'Person', 'opener', 'openedBy'],
  ['LinePass', 'Person', 'by', 'byPerson'],
  ['Recovery', 'Drum', 'drum', 'drumId'],
  ['Letter', 'Person', 'person', 'personId'],
  ['Weeks', 'Person', 'asker', 'askedBy'],
  ['EveningChange', 'Person', 'by', 'byPerson'],
  ['Fault', 'Person', 'by', 'byPerson'],
  ['Fault', 'Person', 'closer', 'closedBy'],
  ['Permission', 'Person', 'person', 'personId'],
  ['Permission', 'Person', 'giver', 'givenBy'],
  ['Practice', 'Person', 'person', 'personId'],
  ['CastRound', 'Person', 'person', 'personId'],
  ['Practice', 'ProcessVersion', 'process', 'processVersionId'],
]

function associate(m: Tables): void {
  for (const [from, to, as, foreignKey] of belongings)
    (m[from] as ModelStatic<Model>).belongsTo(m[to] as ModelStatic<Model>, { as, foreignKey, constraints: false })
  m.Mix.hasOne(m.Batch, { as: 'batch', foreignKey: 'mixId', constraints: false })
  m.Sheet.hasOne(m.SheetPhoto, { as: 'photo', foreignKey: 'sheetId', constraints: false })
  m.Coated.hasMany(m.CoatedAct, { as: 'acts', foreignKey: 'coatedId', constraints: false })
  m.Fixture.hasMany(m.FixtureCheck, { as: 'checks', foreignKey: 'fixtureId', constraints: false })
  m.Incident.hasOne(m.IncidentPhoto, { as: 'photo', foreignKey: 'incidentId', constraints: false })
  m.Swatch.hasOne(m.SwatchPhoto, { as: 'photo', foreignKey: 'swatchId', constraints: false })
  m.FilmOrder.hasOne(m.OrderPhoto, { as: 'photo', foreignKey: 'orderId', constraints: false })
  m.Run.hasMany(m.Roll, { as: 'rolls', foreignKey: 'runId', constraints: false })
  m.Roll.hasMany(m.RollMark, { as: 'marks', foreignKey: 'rollId', constraints: false })
  m.BottleEntry.hasOne(m.BottleEntry, { as: 'reversal', foreignKey: 'reverses', constraints: false })
  m.Device.hasOne(m.Instrument, { as: 'instrument', foreignKey: 'deviceId', constraints: false })
}

/** The models of a connection. */
export function modelsOf(sequelize: Sequelize): Tables {
  const models = Object.fromEntries(Object.entries(tables).map(([name, one]) => [name, one.bind(sequelize)])) as unknown as Tables
  associate(models)
  return models
}
