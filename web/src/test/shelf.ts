import { bottleState, type BottleEntry } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'

const day = 86_400_000
export const today = 1_790_000_000_000

/** A bottle of the shelf for tests of what pages make of it; its state is core's own. */
export function shelfBottle(part: Partial<Bottle> & { daysAgo?: number; ml?: number; rolls?: number }): Bottle {
  const { daysAgo = 1, ml = 1000, rolls = 0, ...own } = part
  const madeAt = today - daysAgo * day
  const bottle = {
    id: own.label ?? 'b',
    version: 1,
    label: 'F1',
    code: 'ABC234',
    name: 'Neutral rapid fixer',
    family: 'fixer' as const,
    formulaId: 'fixer',
    formulaNumber: 1,
    sizeMl: 1000,
    parts: null,
    madeAt,
    madeBy: 'Ilse Varn',
    retiredAt: null,
    retiredWhy: null,
    batchId: null,
    ph: null,
    shelfId: null,
    ownUse: false,
    due: [],
    critical: [],
    use: {
      school: 'counted' as const,
      capacityRollsPerL: 20,
      keeping: { fullDays: 100, halfDays: 50, workingDays: 50 },
      dilutions: [[1]],
      minConcentrateMlPerRoll: 0,
    },
    rangeC: null,
    temperatureCoefficient: null,
    usualS: 240,
    ...own,
  }
  const line = (id: string, kind: BottleEntry['kind'], at: number, change: number, through: number): BottleEntry => ({
    id,
    kind,
    at,
    ml: change,
    rolls: through,
    paper: 0,
    waterInMl: 0,
    reverses: null,
  })
  const entries = [line('fill', 'fill', madeAt, ml, 0), line('use', 'use', madeAt + 1, 0, rolls)]
  const formula = {
    id: bottle.formulaId,
    name: bottle.name,
    family: bottle.family,
    finalMl: 1000,
    startMl: 750,
    mixC: 25,
    additions: [],
    use: bottle.use,
  }
  return { ...bottle, state: bottleState(formula, bottle, entries, today) }
}
