import { onBatch, type BatchLabel } from '../colour/batch'
import { usualWeights, type FilterWeights } from '../colour/pack'
import { byGravity, type Finding } from '../../finding'
import { enlargedTime, stoppedTime, workedOutAdvice } from '../enlarging'
import { paperTime } from '../grade'
import type { PrintExposure, WholeTry } from './tries'

/** What a print was made with that its time depends on: enlargement, marked stop, the paper's speed number (null where nobody measured it), the share by which it darkens in drying, how its batch differs, where its box says so. */
export interface PrintSetup {
  m: number
  lensN: number
  paper: { name: string; speed: number | null; dryDown: number; label?: BatchLabel | null }
}

/** A factor of the time, and what it is for. */
export interface PrintFactor {
  name: string
  factor: number
}

export interface MovedPrint {
  print: WholeTry
  factors: PrintFactor[]
  findings: Finding[]
}

function relabelled({ filter }: PrintExposure, [old, next]: [BatchLabel, BatchLabel], weights: FilterWeights) {
  if (filter.kind !== 'pack') return { filter, factor: 1 }
  const { factor, ...pack } = onBatch(filter, old, next, weights)
  return { filter: { kind: 'pack' as const, ...pack }, factor }
}
function labelFactor(was: WholeTry, is: PrintExposure[], all: number): PrintFactor[] {
  const [before, after] = [was.exposures[0], is[0]]
  const factor = before && after ? after.seconds / (before.seconds * all) : 1
  return Math.abs(factor - 1) > 1e-9 ? [{ name: 'batch label', factor }] : []
}

/**
 * A print from its own record made again: at another size, stop, on another paper, and by what was matched since (another developer, box or lamp). Places are in stops and stay. What
 * was judged wet on paper that darkens otherwise in drying is taken to look the same dry.
 * @throws DomainError 'out-of-range'
 * @example
 * movedPrint(aPrint, { from: aSetup, to: { ...aSetup, m: 8 }, matched: [] }).factors // → [{ name: 'enlargement', factor: 3.24 }]
 */
export function movedPrint(
  print: WholeTry,
  { from, to, matched, weights = usualWeights }: { from: PrintSetup; to: PrintSetup; matched: PrintFactor[]; weights?: FilterWeights },
): MovedPrint {
  const other = from.paper.name !== to.paper.name
  const speeds = other && from.paper.speed !== null && to.paper.speed !== null ? [from.paper.speed, to.paper.speed] : null
  const factors: PrintFactor[] = [
    { name: 'enlargement', factor: enlargedTime({ seconds: 1, fromM: from.m, toM: to.m }) },
    { name: 'lens stop', factor: stoppedTime({ seconds: 1, fromN: from.lensN, toN: to.lensN }) },
    { name: 'paper', factor: speeds ? paperTime({ seconds: 1, fromSpeed: speeds[0] ?? 1, toSpeed: speeds[1] ?? 1 }) : 1 },
    { name: 'drying', factor: other ? (1 - to.paper.dryDown) / (1 - from.paper.dryDown) : 1 },
    ...matched,
  ].filter((one) => Math.abs(one.factor - 1) > 1e-9)
  const all = factors.reduce((product, one) => product * one.factor, 1)
  const unknown: Finding[] =
    other && !speeds
      ? [
          {
            ...{ rule: 'print-paper-speed', severity: 'warning' },
            message: `Nobody measured how fast ${from.paper.name} and ${to.paper.name} are: expose a strip on the new paper first.`,
          },
        ]
      : []
  const labels: [BatchLabel, BatchLabel] | null = !other && from.paper.label && to.paper.label ? [from.paper.label, to.paper.label] : null
  const exposures = print.exposures.map((one) => {
    const { filter, factor } = labels ? relabelled(one, labels, weights) : { filter: one.filter, factor: 1 }
    return { filter, seconds: one.seconds * all * factor }
  })
  const before = print.exposures.reduce((sum, one) => sum + one.seconds, 0)
  return {
    print: { ...print, exposures },
    factors: [...factors, ...labelFactor(print, exposures, all)],
    findings: [
      ...unknown,
      ...workedOutAdvice(
        before,
        exposures.reduce((sum, one) => sum + one.seconds, 0),
      ),
    ].sort(byGravity),
  }
}
