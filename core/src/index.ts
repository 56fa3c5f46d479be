export { conflict, DomainError, impossible, Refused } from './error'
export { byGravity, type Finding, type Severity } from './finding'
export { parseQuantity } from './quantity/parseQuantity'
export { parseRatio } from './quantity/parseRatio'
export type { QuantityKind } from './quantity/units'
export { showConcentration, showDegrees, showMass, showParts, showTemperature, showTime, showVolume } from './quantity/format'
export { readKept, writeExactly } from './quantity/writeExactly'
export { inManner } from './quantity/inManner'
export { bareUnit, gallonMl, ounceG, usualManner, withSign, type Manner, type Units } from './quantity/manner'
export { parseNumber, type DecimalSign } from './quantity/number'
export { catalogue } from './chemical/catalogue'
export { withOwn } from './chemical/withOwn'
export { lookAlikesOf, namesOf, searchText } from './chemical/names'
export { natures, type Nature } from './chemical/chemical'
export type { Catalogue, Chemical, ChemicalId, Dissolved } from './chemical/chemical'
export { chemicalOf, equivalentMass, substitutesFor } from './chemical/equivalentMass'
export { cautions } from './chemical/hazards'
export { mixtureStatements, statementsAt } from './chemical/concentration'
export { hazardLabel, protection, type HazardLabel, type Pictogram } from './chemical/hazardStatements'
export { labelHazards } from './chemical/labelHazards'
export { neverWith } from './meeting/neverWith'
export { whatNeverMeets, type Meeting, type Met } from './meeting/whatNeverMeets'
export { clashesOf, type Clash } from './meeting/shelf'
export { comesOutBelow, saturatedGramsPerLitre, solubilityAt } from './chemical/solubility'
export type { Addition, AdditionRole, Formula } from './formula/formula'
export { checkFormula } from './formula/checkFormula'
export { additionGrams, additionMl, linesOf, type Line } from './formula/lines'
export { minimumWeighable, weighingTolerance } from './formula/minimumWeighable'
export { scaleFormula } from './formula/scaleFormula'
export { checkWeighing } from './formula/weighing'
export { whatToWatch } from './formula/watch'
export { applyRepair, type Repair } from './formula/repair'
export { perLitre } from './formula/perLitre'
export { substitutes, type Substitute } from './formula/substitutes'
export { asTaken, blocksOf } from './formula/asTaken'
export { withContents } from './formula/assumedContents'
export { whatGoesIn } from './mix/whatGoesIn'
export { pouredTogether } from './formula/poured'
export { cautionsOf, containerAdvice, safetyFirst } from './formula/safetyFirst'
export { shelfFindings } from './jar/shelfFindings'
export { isStockFor, stockSolutionOf } from './formula/stockSolution'
export { costOf, type Cost } from './formula/cost'
export { stockPerRoll, type StockPerRoll } from './formula/stockPerRoll'
export { compareFormulas, type ComparedLine } from './formula/compareFormulas'
export { estimatePh, type PhEstimate } from './ph/estimatePh'
export { explainReading, type Cause, type Explanation, type Slip } from './ph/explainReading'
export { airOxidation, type OxidisedPoint } from './ph/oxidation'
export { partsOfBaths } from './formula/partsOfBaths'
export { betweenSources } from './development/betweenSources'
export { beakerWater } from './process/beakerWater'
export { blendWater } from './water/blendWater'
export {
  bathCourse,
  bathHeating,
  bathHolds,
  jugTau,
  pouredTemperature,
  usualUaWPerK,
  type BathPoint,
  type Jug,
  type WaterBath,
} from './water/waterBath'
export { fitBath, type BathReading, type FittedBath } from './water/fitBath'
export { bathFindings, bathForRun, isBathOf } from './water/bathFindings'
export { raisedBath, switchOnBefore, tankCourse, type StandingTank } from './water/tempering'
export { temperatureAfterDissolving, temperatureCourse } from './formula/temperatureAfterDissolving'
export { fitTimeConstant, timeToTemperature } from './water/timeToTemperature'
export { dilute } from './dilution/dilute'
export { shareOf } from './dilution/shareOf'
export { minimumWorkingVolume } from './dilution/minimumWorkingVolume'
export { percentSolutionVolume } from './dilution/percentSolutionVolume'
export { carryOutMl, formats, rollEquivalents } from './dilution/rollEquivalents'
export { developingTime, type DevelopingTime, type TimeFactor, type TimePoint } from './development/developingTime'
export { checkChart } from './development/checkChart'
export { loadFactors } from './development/factors'
export {
  containers,
  entryKinds,
  type BathPlace,
  type BottleEntry,
  type BottleFacts,
  type BottleState,
  type Brought,
  type Container,
  type EntryKind,
  type Governs,
} from './bottle/bottle'
export {
  fixables,
  schools,
  type Compensation,
  type Fixable,
  type FormulaUse,
  type Keeping,
  type School,
  type UsedFormula,
} from './formula/use'
export { readSteps, showSteps } from './bottle/compensationSteps'
export { assumedShelfC, keepingDays, standsFull } from './bottle/ageing'
export { bottleState, carryOf, standing, stateFrom } from './bottle/bottleState'
export { emptyCarry, type Carry } from './bottle/carry'
export { bottlesToFill, decantAdvice, sulfiteLostPerOpening, sulfitePerLitre, type DecantAdvice } from './bottle/headspace'
export { lifeCurve, type LifeCurve, type LifePoint } from './bottle/lifeCurve'
export { pauseMs } from './pauseMs'
export { dayMs } from './calendar/span'
export { calendarDays, daysAfter, inDays, sameDay, startOfDay, timeOnDay } from './calendar/days'
export {
  together,
  volumesAfter,
  wouldHold,
  type Acted,
  type Decided,
  type NewFilling,
  type NewLine,
  type WouldHold,
} from './bottle/acts/act'
export { decideCombining, volumesOfParts, type AskedCombining, type Combining } from './bottle/acts/combine'
export { decideDecanting, type AskedDecanting } from './bottle/acts/decant'
export { decideDilution, type AskedDilution } from './bottle/acts/dilute'
export { type Meets } from './bottle/acts/join'
export { requireBrought } from './bottle/acts/bring'
export { decideMeasure } from './bottle/acts/measure'
export { decideMoving } from './bottle/acts/move'
export { decideMovingUp, decidePairing } from './bottle/acts/pair'
export { decidePour, type AskedPour } from './bottle/acts/pour'
export { decideReplenish, type AskedReplenish } from './bottle/acts/replenish'
export { decideRetiring } from './bottle/acts/retire'
export { decideReversing, requireReversible, type Reversed } from './bottle/acts/reverse'
export { decideUsingOtherwise } from './bottle/acts/useOtherwise'
export { decideWrongBottle } from './bottle/acts/wrong'
export { decidePlanning } from './run/plan'
export { decideFinish, decideGivingUp, type OpenRun } from './run/end'
export { changesOf, decideStart, type Away, type PlannedRun } from './run/start'
export { linesOfUses } from './run/uses'
export { gravest, mayBeTested, mayBeUsed, reasonAgainst, type Usable } from './bottle/mayBeUsed'
export { goodUntil } from './bottle/goodUntil'
export { isLast } from './bottle/isLast'
export { orderOfUse, pouredFirst, type Opened } from './bottle/orderOfUse'
export { isReused, rollsOfFull, takesPrints, usualFormat, type Bath } from './bottle/throughWhat'
export { supplyOf, type Supply, type SupplyBottle } from './bottle/supply'
export { consumptionOf, costPerRoll, type Consumption, type RollCost, type UsedUp } from './bottle/costPerRoll'
export { silverG, silverPerRollG, takesSilver } from './bottle/silver'
export { stopAfter, stopCapacity } from './bottle/stopBath'
export { countsOf, throughputFrom, throughputKinds, throughputRolls, type Throughput, type ThroughputKind } from './bottle/throughput'
export { testKinds, type ClearingRead, type TestKind, type TestMark, type Verdict } from './proof/proof'
export { governing, type Standing } from './proof/judgement'
export { forecastClearing, forecastReading, isTrend, type Forecast } from './proof/forecast'
export { limitOf, type Limit } from './proof/limits'
export { decideFilmTest, decideOverruling, decideTest, freshJudgement, testMarkOf, type TestedBath } from './proof/act'
export { leastSquares } from './proof/leastSquares'
export { controlChart, type ControlFlag } from './proof/controlChart'
export {
  judgeStrips,
  measureOf,
  requireLimits,
  requireStrip,
  stripMeans,
  stripMeasureNames,
  stripMeasures,
  usualStripLimits,
  type StripJudgement,
  type StripLimits,
  type StripMeasure,
  type StripReading,
} from './proof/controlStrip'
export { areaLight, densityFromLuminance, linearLight, type Area } from './proof/density'
export { pictureDensities, type Marks, type PictureReading } from './proof/pictureDensities'
export { stripDensities } from './proof/stripDensities'
export { correctedTemperature, decideComparison, requirePoint, vouchesFor, type ThermometerPoint } from './proof/thermometer'
export { shortages, type Shortage } from './jar/shortages'
export { asOnShelf, assayOf, jarFactor, jarsFor, takingFrom, type ShelfJar, type Taking } from './jar/asOnShelf'
export { belowReorder, lackingFor, type ToOrder } from './jar/shopping'
export { pricesFor } from './jar/prices'
export { batchesLeft } from './jar/batches'
export { storageGroup, storageGroups, storageWords, type StorageGroup } from './jar/storage'
export { families, familyNames, markOf, type Family, type Mark } from './mark/mark'
export { heatFindings, mixCourse, type MixCoursePoint } from './mix/mixCourse'
export { levelSpoons, onPan, type OnPan } from './mix/onPan'
export { spread, spreadOver } from './mix/spread'
export { askAbout } from './mix/askAbout'
export { isTakenBackable, whatCounts } from './mix/whatCounts'
export { decideBegin, requireReason } from './mix/acts/begin'
export { bottleLinesOf, jarLinesOf, requireBottling, takenBy, type Taken } from './mix/acts/bottle'
export { requireHarmless, requireStock } from './mix/acts/harmless'
export { decideCheck } from './mix/acts/check'
export { decideStep, requireLikelyWeight, type OpenMix, type SentEvent } from './mix/acts/step'
export { decideCount, decideJarLine, decideJarReversal, type ActedJar, type JarKind, type JarLine, type NewJarLine } from './jar/acts'
export { mixState, mostStretch, productGrams, volumeFor, type MixLine, type MixState } from './mix/mixState'
export { agitationNamed, agitations } from './process/agitations'
export { calibratedPh, calibrationBuffers, calibrationOf, type Calibration } from './device/calibration'
export { plainPattern, readDeviceLine, type DeviceLine, type LinePattern } from './device/readDeviceLine'
export { houseProcesses } from './process/families'
export { houseFirstVersion, houseIds } from './process/families/ids'
export { readRequest } from './process/request'
export { checkPlan } from './process/checkPlan'
export type { MixEvent } from './mix/mixEvent'
export {
  freePlace,
  openStates,
  orderStates,
  orderWish,
  requireChangeable,
  requireWish,
  wishChanges,
  type OrderState,
  type OrderWish,
  type WishChange,
} from './order/order'
export { arrange, arrangeEvening } from './rota/arrange'
export { checkEvening } from './rota/checkEvening'
export { arrangeDarkroom } from './rota/darkroom/arrangeDarkroom'
export { arrangeUntil, type ArrangeProgress, type Patience } from './rota/darkroom/arrangeUntil'
export { decideLoads, type Decision, type Waiting } from './rota/darkroom/decideLoads'
export type { RotaBottle, RotaHouse } from './rota/darkroom/proposed'
export type { DarkroomEvening, DarkroomPlan, DecidedLoad, EveningBottle, TestBefore } from './rota/darkroom/evening'
export { whatHelps, type Comes, type Help } from './rota/darkroom/helps'
export { asPlaced, type PlacedEvening } from './rota/darkroom/asPlaced'
export { bathLine, type BathAsked, type BathCorner } from './rota/bathLine'
export { timesOf, type Timed } from './rota/timed'
export { meets, whyNotEarlier, type InTheWay } from './rota/meets'
export { eveningBody, eveningLoad, loadPlace, type EveningBody, type EveningLoad, type EveningPerson, type LoadPlace } from './evening/body'
export { faultThings, type FaultThing } from './evening/fault'
export {
  printingLight,
  printingLimits,
  roomBody,
  roomFor,
  roomLights,
  roomUses,
  usualRoom,
  type PrintingLimits,
  type RoomBath,
  type RoomBody,
  type RoomLight,
  type RoomUse,
} from './evening/room'
export { dayOf, openOn, type OpenOn } from './evening/openOn'
export type { EveningHouse, LoadRun } from './evening/house'
export { darkroomOf, runOf } from './evening/darkroomOf'
export { movedIn, ordersMoved, withPlaces, type MovedLoad } from './evening/taken'
export { inEvening, loadsFor, mergedLoads, rebottled, splitLoad, type WaitingOrder } from './evening/loads'
export { orderCosts } from './evening/cost'
export { closingOf, type ClosingLine } from './evening/closing'
export { closuresOf } from './evening/closures'
export { prepOf, type JugToFill, type PrepTask } from './evening/prep'
export { withOtherBottles } from './evening/otherBottles'
export { freePrinting, fullAt, printsIn, requirePrinting, type Printing } from './evening/printing'
export { rearranged, stillStanding } from './evening/rearranged'
export { clockAt, firstNames, meetingWords, unplacedWords, type EveningNames } from './evening/words'
export { eveningAsIs, isMovable, namesInEvening, requireEvening, requireOrders, type EveningOrder } from './evening/require'
export { asPlacedTimes, type OrderTimes } from './evening/times'
export { bookingAgainst, type Against, type BookingKnown, type OtherLight } from './printing/booking'
export { printingCells, type PrintingCell } from './printing/cells'
export { otherLightIn } from './printing/otherLight'
export { countsFor, weekOf, type Booked } from './printing/week'
export { spanWords } from './printing/words'
export { openingsFrom, type Opening } from './weeks/openings'
export { weeksOf, type PlannedEvening, type ToPromise, type WeeksAsked } from './weeks/weeks'
export { firstAid, hurtNames, hurts, type Hurt } from './aid/firstAid'
export { incidentBody, requireIncident, type IncidentBody } from './aid/incident'
export { spillCard, type SpillCard } from './aid/spill'
export { aidOf, aidOfFamily, unknownSubstance, type AidSubstance } from './aid/substance'
export { aidWords, saidForAid, type AidWord } from './aid/voice'
export { wasteNames, wasteYear, type YearLine, type YearRow } from './waste/year'
export { yearCsv, type YearBeside } from './exchange/yearCsv'
export { tasksOfBath, tasksOfChemical, tasksOfMix, tasksOfRun } from './training/asked'
export { countsAs, requireTraining, type Countable } from './training/giving'
export { mayAlone, presenceMs, requireTrained, taskStanding, type Lacking, type TaskStanding, type TrainingTold } from './training/standing'
export {
  isLoading,
  loadingStages,
  loadingTask,
  noticeDays,
  taskNames,
  taskShows,
  trainingBody,
  trainingEnds,
  trainingTasks,
  type LoadingStage,
  type TrainingBody,
  type TrainingTask,
} from './training/task'
export { formulasWithout, repeatedAgents, type Repeated } from './exposure/again'
export { exposureBody, exposureWays, maySeeNotes, requireExposure, type ExposureBody, type ExposureWay } from './exposure/note'
export { openingChecks, type OpeningCheck } from './check/opening'
export { safetyBlocks, handlingBlock, heatingBlock, type Blocks } from './check/blocks'
export { airChanges, clearedMinutes, glovesLeast } from './check/figures'
export { checkResult, checksOf, fixtureBody, type CheckResult, type FixtureBody, type FixtureKind } from './check/fixture'
export { fixtureStanding, requireCheck, type CheckTold, type FixtureStanding } from './check/standing'
export { darkroomAgenda, ownAgenda, type AgendaEvening, type AgendaEvent } from './agenda/agenda'
export type { AgendaOrder } from './agenda/words'
export { afterQuiet, type QuietTimes } from './mail/quiet'
export { byWeek, type OneWeek } from './weeks/byWeek'
export type { HouseFormula } from './weeks/plentiful'
export type { MixForecast, WeekOpening, Weeks } from './weeks/result'
export type { SpreadProgress } from './weeks/spread'
export { groupOrders } from './rota/groupOrders'
export { loadOf } from './rota/loadOf'
export { simpleOrder, simpleOrders, type SimpleOrder } from './rota/simple'
export {
  unplacedReasons,
  type Order,
  type OrderGroup,
  type PlacedLoad,
  type RotaLoad,
  type RotaPin,
  type RotaPlan,
  type RotaProblem,
  type UnplacedReason,
} from './rota/problem'
export { historyCsv, type HistoryLine } from './exchange/historyCsv'
export { readProcessCsv, writeProcessCsv } from './exchange/processCsv'
export { processFile, readProcessFile, writeProcessFile } from './exchange/processFile'
export { dryers, filmDryAt, freePlaces, reelsDryAt, type Dryer } from './film/drying'
export { contrasts, densities, type CameOut } from './film/cameOut'
export { filmAdvice } from './film/advice'
export { densityAdvice, type FilmDensities } from './film/calibration'
export { faultNames, wipingNames } from './film/faultNames'
export { faults, wipings, type Fault, type Wiping } from './film/faults'
export { proposeTime, shareOfTime, type OutcomeOfTime, type TimeProposal } from './film/proposal'
export { kitCount, kitFindings, type KitCount, type KitFilm } from './kit/kitCount'
export { recordOf, type StepRecord } from './run/record'
export { washFigures, type WashFigures } from './process/washFigures'
export { requirePermitted, stillToDo, type Learned } from './permission/permission'
export { permissionTerms, type PermissionTerms } from './permission/terms'
export { coversOf, loadKindOf, loadKinds, reelPlace, vesselCover, type LoadKind } from './process/vesselCover'
export { signFrame, signs, type SignLayer } from './chemical/signs'
export { drums, wasteFamilies, type Drum, type WasteFamily } from './waste/drumIds'
export { meeting, reactions, type Reaction } from './waste/meeting'
export { freedMoles, gasPpm, type Held } from './waste/gas'
export { silverFrom } from './waste/silverFrom'
export { sinkFacts, usualSink, type SinkFacts } from './waste/sinkFacts'
export { silverInBath, washAway } from './waste/washAway'
export { metalOf } from './waste/metalOf'
export { firstWashes, washLimitMgPerL, type WashFill } from './waste/firstWash'
export { drumCheck } from './waste/drumCheck'
export { blockWords, neverMeets, type Block, type Liquid } from './waste/never'
export {
  drumLimitMl,
  drumSources,
  drumState,
  usualGPerMl,
  type DrumFacts,
  type DrumLine,
  type DrumSource,
  type DrumStanding,
  type DrumState,
} from './waste/drum'
export { proposedDrum } from './waste/proposed'
export { dilutedMl, requireDrain, type Drained, type DrainKnown } from './waste/drain'
export { requireReading, requireTare } from './waste/weights'
export { requirePour, type DrumKnown, type PouredLiquid } from './waste/pourInto'
export { drumFindings, type DrumTray } from './waste/drumFindings'
export { drumLabel, swallowedAte, type DrumLabel } from './waste/drumLabel'
export { dischargeOf, dischargeRule, type DischargeRule } from './waste/discharge'
export {
  electrolysisEfficiency,
  electrolysisG,
  exchangeG,
  flakeAssay,
  recoveryAdvice,
  recoveryBalance,
  recoveryBody,
  type Recovered,
  type RecoveryBody,
} from './waste/recovery'
export { drumNames } from './waste/drumNames'
export { drumOf } from './waste/drums'
export { discardedOf, type Discarded } from './waste/discarded'
export { compareProcesses, timeWords, type ProcessDifference } from './process/edit/compare'
export { outcomeOf, practisedC, practisedEndS, type PracticeOutcome } from './practice/outcome'
export { troubleKinds, type Practised, type PractisedLoading, type PractisedStep, type TroubleKind } from './practice/practised'
export { asksFor, awayS, standingOrder, troubleAnswers, troublesOf, type Trouble } from './practice/trouble'
export {
  calibrationBody,
  contactSeconds,
  matchedSince,
  swaps,
  weightsFor,
  type CalibrationBody,
  type ContactBody,
  type FiltersBody,
  type Swap,
  type SwapBody,
  type WedgesBody,
} from './print/calibration'
export { batchLabel, noLabel, onBatch, type BatchLabel } from './print/colour/batch'
export {
  castAmounts,
  casts,
  castTurns,
  colourMaterials,
  filterChange,
  oppositeOf,
  turned,
  type Cast,
  type ColourMaterial,
} from './print/colour/casts'
export { cardPicture, type CardPicture } from './print/colour/cardPicture'
export { colourOfArea, type ColourOfArea } from './print/colour/areaColour'
export {
  filterPack,
  filterWeight,
  neutralRemoved,
  packFactor,
  sheetsFactor,
  sheetsOf,
  usualWeights,
  type FilterPack,
  type FilterWeights,
} from './print/colour/pack'
export { castNamed, castOfGrey, paperGamma, type PackTurn, type RgbLight } from './print/colour/photoCast'
export { readCast } from './print/colour/readCast'
export { coded, recast, rendered } from './print/colour/render'
export { layersOf, ringAround, ringLayers, ringUnits, shifted, type LayerShift, type RingPlace } from './print/colour/ringAround'
export { madeUpPicture, pixelOf, sceneNames, type MadeUpPicture } from './print/colour/scene'
export { colourPrintSeconds, colourPrintSteps, drumPrintMl, rollerMlPerM2, type ColourPrintStep } from './print/colour/steps'
export {
  hiddenCast,
  levelAfter,
  trainerLevels,
  trainerScore,
  trainerState,
  type TrainerLevel,
  type TrainerRound,
  type TrainerState,
} from './print/colour/trainer'
export { recoloured, type ColourWay } from './print/sheet/recoloured'
export { contactTime, sheetLooks, sheetSays, type SheetLooks } from './print/contact'
export { dodgeBurn, placeTimes, type PlacePlan, type PlaceTime } from './print/dodgeBurn'
export { dryTime, usualDryDown } from './print/dryDown'
export {
  developedBy,
  emergenceAgainst,
  emergenceFactor,
  emergenceLimit,
  emergenceRatio,
  emergenceSays,
  type PaperBase,
} from './print/emergence'
export { columnMm, enlargedTime, enlargementAt, lensStop, meteredTime, stoppedTime, workedOutAdvice } from './print/enlarging'
export {
  exposedBy,
  exposureAdvice,
  logPerStop,
  measuresOf,
  percentOf,
  printableS,
  stopsBetween,
  stopsOfPercent,
  type Measures,
} from './print/exposure'
export {
  dialMaxima,
  dialsFor,
  filterKinds,
  setFactor,
  settingFor,
  settingGives,
  type Dials,
  type FilterKind,
  type KeyTone,
  type Wedge,
} from './print/filters'
export { gradeBy, gradeFor, gradeNear, grades, gradeValue, paperTime, rangeOfGrade, rangeWanted, type Grade } from './print/grade'
export { filterWayFor, requireWedges } from './print/head'
export { filterByWedges, wedgeOf, wedgeReading, type WedgeReading } from './print/wedge'
export { drainS, paperFixers, paperSteps, washedAt, type PaperFixer, type PaperStep } from './print/paperSteps'
export { paperCost, stripShare, type PaperBox } from './print/sheet/cost'
export { nextTry, printOfStrip, stripAround, type FilterWay, type NextTry, type PrintChange } from './print/sheet/judged'
export { drawnInto, printOutline, type PrintArea, type PrintOutline } from './print/sheet/outline'
export { filterSays, gradeName, halvesSay, percentSays, saidSays, secondsSay, stopsSay, turnSays } from './print/sheet/words'
export { requireTry } from './print/sheet/requireTry'
export {
  enlargerBody,
  filterWayOf,
  negativeBody,
  paperBody,
  paperBoxBody,
  paperMaterials,
  trySetup,
  type EnlargerBody,
  type NegativeBody,
  type PaperBody,
  type PaperBoxBody,
  type TrySetup,
} from './print/sheet/room'
export { movedPrint, type MovedPrint, type PrintSetup, type PrintFactor } from './print/sheet/moved'
export {
  printPlan,
  printSaid,
  type PrintExposure,
  type PrintFilter,
  type PrintSaid,
  type PrintTry,
  type StripTry,
  type WholeTry,
} from './print/sheet/tries'
export { exposuresOf, lampLag, lampTimes, stripIncrements, stripReading, stripTotals, type StripSteps, type StripWay } from './print/strip'
export { matchedFactor, matchedWithin, type MatchedStrips } from './print/swapped'
export { metronomes, timerCues, timerSteps, type Metronome, type TimerCue, type TimerHold, type TimerStep } from './print/timer'
export { decideEmptying, decideFilling, decidePassing, trayRoleWords } from './print/line/lineActs'
export { fillOf, trayAmounts, type TrayAmounts, type TrayTaps } from './print/line/trayAmounts'
export {
  neverKept,
  trayBody,
  trayEnding,
  trayFamilies,
  trayFilling,
  trayRoles,
  useInTray,
  type TrayBody,
  type TrayEnding,
  type TrayFilling,
  type TrayFrom,
  type TrayRole,
} from './print/line/trayLine'
export { trayStanding, type TrayInUse, type TrayStanding } from './print/line/trayStanding'
export { fixedPerLitre, fixings, printEquivalents, trayMl, trayShare, type Fixing } from './print/trayLife'
export { seeded } from './chance/seeded'
export { bleachings, toningSteps, type Bleaching, type ToningStep } from './tone/steps'
export { ratioAt, toneName, toneOf, tonerColours, tonerMix, type TonerMix } from './tone/ratio'
export { nearestSwatches, requireSwatch, swatchBody, type SwatchBody } from './tone/swatch'
export { tonedPerLitre, tonerKinds, tonerOrder, type TonerKind } from './tone/order'
export {
  coatedWith,
  coatingVolume,
  coatPer1000Cm2,
  dropMl,
  dropsOf,
  measuredMl,
  platinumContrasts,
  platinumDrops,
  sensitizerCost,
  type CoatedWith,
  type CostedPart,
  type PlatinumContrast,
} from './coat/coating'
export { metalGiven, silverCoated } from './coat/metal'
export { coatAct, type CoatAct } from './coat/acts'
export { benchPartOf, coatCautions, coatPartNames, coatParts, mixedInto, uvCaution, type BenchPart, type CoatPart } from './coat/bench'
export {
  lampGives,
  lightOf,
  uvKindNames,
  uvKinds,
  uvLampBody,
  uvLight,
  uvMoved,
  type UvKind,
  type UvLampBody,
  type UvLight,
} from './coat/light'
export { coatedBody, coatMix, coatMixed, requireCoated, scaleOfSheet, type CoatedBody, type PouredPart } from './coat/sheet'
export { coatFindings, coatStanding, requireCoatAct, type CoatStanding, type CoatStrip, type CoatTold } from './coat/standing'
export { coatedProcesses, contrastFor, exposureScale, negativeFits, palladiumScale, type CoatedProcess } from './coat/negative'
export { brushMixes, coatedKeepsH, coatedSteps, type CoatedStep } from './coat/steps'
export { lampOutput, throughFog, uvAgeing, uvAtDistance, uvTime, type UvShape } from './coat/uv'
export { draftOf, type Draft, type DraftFinding, type Mending } from './process/edit/draft'
export { changeStep, copySteps, moveStep, pourFrom, removeStep, scaleTime, setOption } from './process/edit/edit'
export { planFor } from './process/planFor'
export type { ChartTime, PlanShelf, RunRequest, ShelfBottle, Tank } from './process/shelf'
export { compilePlan } from './process/compilePlan'
export { optionGroups } from './process/optionGroups'
export { bathsOf, developersFor, secondBathsOf, type BathAt, type Offered } from './process/propose/baths'
export { optionsOn, secondOf, servedOptions } from './process/propose/options'
export { filmsIn, vesselFor, vesselsFor } from './process/propose/vessel'
export { loadRolls } from './process/loaded'
export { washResidual } from './process/washResidual'
export { usesAtEnd, usesAtStart, wantsOf } from './process/uses'
export type { BottleUse, Load, Plan, PlanBottle, PlanFilm, PlanStep, RoleBottle } from './process/load'
export { chosenOptions, requireWhole, rolesOf, stepsOf, type Process, type ProcessBody } from './process/process'
export { developsFirst, roleOf } from './process/stepFacts'
export { type Agitation, type Fate, type Light, type ProcessStep, type StepKind } from './process/step'
export { planFormat, readPlan } from './process/plan'
export { driftEnd, driftProgress, type DriftReading } from './run/drift'
export { cuesOf, type Cue, type CueKind } from './run/cues'
export { cuesAhead, type Call } from './run/ahead'
export { inOrder, runClock, type RunClock, type StepTime } from './run/clock'
export { addedS, courseOf, isInspected, planOfCourse, type CourseChange, type CourseStep } from './run/course'
export { decideCourse } from './run/otherwise'
export { markLate, requireLead } from './run/late'
export { leaderOf, takerOf } from './run/lead'
export { readingOfProbe, type KeptReading } from './run/probe'
export { loadingOf, saidInTheDark, type Loading, type LoadingStep } from './run/loading'
export { besideOf, collisionsOf, freeStartS, handsOnOf, type Beside, type Collision, type HandsOn } from './run/together'
export type { RunEvent } from './run/runEvent'
export { exchangeFiles, exchangeKinds, type ExchangeKind } from './exchange/schemas'
export { readFile, understander } from './exchange/understand'
export type { Present, Understood } from './exchange/understood'
export { writeFile } from './exchange/write'
export { jsonSchemas } from './exchange/jsonSchemas'
export { guideOf, guides, testsFor, type Guide, type GuideStep, type Look } from './proof/guide'
export { fixerClassOf, judge, type FixerClass, type Judgement, type Reading, type Reference } from './proof/judge'
export { clearingAt, comparedReading } from './proof/clearing'
export { fixingTime, type FixerSalt } from './proof/fixingTime'
export { dueFactsOf, type AsksForTests } from './proof/dueFacts'
export { dueTests, freshDays, usualDueRules, type Due, type DueFacts, type DueRule } from './proof/due'
export { capacityFromTests, enoughBottles, type CapacityEstimate, type TestedLife } from './proof/capacityFromTests'
export { coinMinutes, safeMinutes } from './proof/safelight'
export { replenishSteps, type ReplenishSteps } from './bottle/replenish'
export { testPicture, type TestPicture } from './proof/testPicture'
export { houseDefault } from './starter/houseDefault'
export { asWritten, starterParts, understandStarter, type StarterKind, type StarterPart } from './starter/starter'
