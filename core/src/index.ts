export { DomainError } from './error'
export { byGravity, type Finding, type Severity } from './finding'
export { parseQuantity } from './quantity/parseQuantity'
export { parseRatio } from './quantity/parseRatio'
export type { QuantityKind } from './quantity/units'
export { showMass, showParts, showTemperature, showTime, showVolume, type Units } from './quantity/format'
export { catalogue } from './chemical/catalogue'
export type { Catalogue, Chemical, ChemicalId, Dissolved, Hazard } from './chemical/chemical'
export { chemicalOf, equivalentMass, substitutesFor } from './chemical/equivalentMass'
export { cautions, hazardWords } from './chemical/hazards'
export { hazardLabel, protection, type HazardLabel, type Pictogram } from './chemical/hazardStatements'
export { whatNeverMeets, type Meeting } from './chemical/meetings'
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
export { stockSolutionOf } from './formula/stockSolution'
export { costOf, type Cost } from './formula/cost'
export { compareFormulas, type ComparedLine } from './formula/compareFormulas'
export { estimatePh, type PhEstimate } from './ph/estimatePh'
export { explainReading, type Cause, type Explanation, type Slip } from './ph/explainReading'
export { airOxidation, type OxidisedPoint } from './ph/oxidation'
export { blendWater } from './water/blendWater'
export { temperatureAfterDissolving, temperatureCourse } from './water/temperatureAfterDissolving'
export { fitTimeConstant, timeToTemperature } from './water/timeToTemperature'
export { dilute } from './dilution/dilute'
export { minimumWorkingVolume } from './dilution/minimumWorkingVolume'
export { percentSolutionVolume } from './dilution/percentSolutionVolume'
export { carryOutMl, formats, rollEquivalents } from './dilution/rollEquivalents'
export { developingTime, type DevelopingTime, type TimeFactor, type TimePoint } from './development/developingTime'
export { loadFactors } from './development/factors'
export type { BottleEntry, BottleFacts, BottleState, EntryKind, FormulaUse, Keeping, School, UsedFormula } from './bottle/bottle'
export { bottleState, standing } from './bottle/bottleState'
export { shortages, type Shortage } from './jar/shortages'
export { asOnShelf, assayOf, jarFactor, jarsFor, takingFrom, type ShelfJar, type Taking } from './jar/asOnShelf'
export { batchesLeft } from './jar/batches'
export { clashesOf, storageGroup, storageGroups, storageWords, type Clash, type StorageGroup } from './jar/storage'
export { families, familyNames, markOf, type Family, type Mark } from './mark/mark'
export { heatFindings, mixCourse, type MixCoursePoint } from './mix/mixCourse'
export { mixState, volumeFor, type MixEvent, type MixLine, type MixState } from './mix/mixState'
export { agitations } from './process/agitations'
export { bwNegative } from './process/bwNegative'
export { checkPlan } from './process/checkPlan'
export { planFor, type PlanShelf } from './process/planFor'
export { compilePlan, loadRolls, usesAtEnd, usesAtStart } from './process/compilePlan'
export type {
  Agitation,
  BottleUse,
  Fate,
  Light,
  Load,
  Plan,
  PlanBottle,
  PlanFilm,
  PlanStep,
  Process,
  ProcessStep,
  StepKind,
} from './process/process'
export { cuesOf, type Cue, type CueKind } from './run/cues'
export { cuesAhead, inOrder, runClock, type RunClock, type RunEvent, type StepTime } from './run/clock'
