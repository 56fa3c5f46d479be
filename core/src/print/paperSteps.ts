import { DomainError, requirePositive, requireTemperatures } from '../error'
import type { PaperBase } from './emergence'

/** The fixer of a print: ammonium at film strength, at half of it, or plain thiosulfate. */
export const paperFixers = ['ammonium-film', 'ammonium-paper', 'plain'] as const
export type PaperFixer = (typeof paperFixers)[number]

/** A step a print goes through in open trays: s it is in it, and between what that may be. */
export interface PaperStep {
  kind: 'develop' | 'stop' | 'fix' | 'rinse' | 'wash-aid' | 'wash'
  name: string
  s: number
  minS: number
  maxS: number
}

const minute = 60
const step = (kind: PaperStep['kind'], name: string, s: number, minS = s, maxS = s): PaperStep => ({ kind, name, s, minS, maxS })

/** At 20 °C, rounded literature values. */
const developing: Record<PaperBase, PaperStep> = {
  rc: step('develop', 'Developer', 75, 60, 90),
  fibre: step('develop', 'Developer', 150, 90, 300),
}
const stopping: Record<PaperBase, PaperStep> = { rc: step('stop', 'Stop', 10, 10, 20), fibre: step('stop', 'Stop', 30, 30, 45) }

const oneBath: Record<PaperFixer, Record<PaperBase, PaperStep | null>> = {
  'ammonium-film': { rc: step('fix', 'Fixer', 30, 30, 60), fibre: step('fix', 'Fixer', 60, 60, 90) },
  'ammonium-paper': { rc: step('fix', 'Fixer', 60, 60, 2 * minute), fibre: step('fix', 'Fixer', 3 * minute, 3 * minute, 5 * minute) },
  plain: { rc: null, fibre: step('fix', 'Fixer', 8 * minute, 8 * minute, 10 * minute) },
}
const ofTwoS: Record<PaperFixer, number> = { 'ammonium-film': 30, 'ammonium-paper': 90, plain: 4 * minute }

function fixing(fixer: PaperFixer, base: PaperBase, twoBaths: boolean): PaperStep[] {
  const one = oneBath[fixer][base]
  if (!one)
    throw new DomainError(
      'no-time',
      'Resin-coated paper is fixed in ammonium fixer: plain thiosulfate takes so long that its edges take it up.',
    )
  if (!twoBaths || base === 'rc') return [one]
  const s = ofTwoS[fixer]
  return [1, 2].map((n) => step('fix', `Fixer ${n}`, s, s, 2 * s))
}

/** °C under which washing takes half as long again, and under which it is not to be trusted */
const [slowBelowC, coldestC, slower] = [15, 10, 1.5]

function washing(base: PaperBase, aid: boolean, waterC: number): PaperStep[] {
  requireTemperatures({ 'The wash water': waterC })
  if (waterC < coldestC)
    throw new DomainError(
      'outside-range',
      `Water of ${waterC} °C does not wash: bring it to ${coldestC} °C at least, better to ${slowBelowC}.`,
    )
  const times = waterC < slowBelowC ? slower : 1
  if (base === 'rc') return [step('wash', 'Wash', 3 * minute * times, 2 * minute * times, 4 * minute * times)]
  const rinse = step('rinse', 'Rinse', 5 * minute * times)
  return aid
    ? [rinse, step('wash-aid', 'Wash aid', 10 * minute), step('wash', 'Wash', 20 * minute * times)]
    : [rinse, step('wash', 'Wash', 60 * minute * times)]
}

/** s a print drains over its tray before it goes into the next */
export const drainS: Record<PaperBase, number> = { rc: 5, fibre: 20 }

/**
 * What a print goes through in open trays, one step after another, in s at 20 °C; fibre goes through two baths unless said otherwise. `waterC` of the wash.
 * @throws DomainError 'no-time' for resin-coated paper in plain thiosulfate; 'outside-range' in wash water below 10 °C
 * @example
 * paperSteps({ base: 'rc', fixer: 'ammonium-paper', twoBaths: false, aid: false, waterC: 18 }).map((one) => one.s) // → [75, 10, 60, 180]
 */
export function paperSteps(of: { base: PaperBase; fixer: PaperFixer; twoBaths: boolean; aid: boolean; waterC: number }): PaperStep[] {
  const { base, fixer, twoBaths, aid, waterC } = of
  return [developing[base], stopping[base], ...fixing(fixer, base, twoBaths), ...washing(base, aid && base === 'fibre', waterC)]
}

/**
 * s until all prints of a wash are washed: a print that is added begins it anew for all of them. Times in ms.
 * @throws DomainError 'out-of-range'
 * @example
 * washedAt([0, 600_000], 1200) // → 1800000
 */
export function washedAt(addedAt: number[], washS: number): number {
  requirePositive({ 'The wash': washS, 'The number of prints': addedAt.length })
  return Math.max(...addedAt) + 1000 * washS
}
