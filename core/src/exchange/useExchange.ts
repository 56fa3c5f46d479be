import type { Compensation, FormulaUse } from '../formula/use'
import { showSteps } from '../bottle/compensationSteps'
import type { cellReader } from './reader'
import type { UseRecord } from './schemas'
import { amount, dilution, given, round } from './written'

/** The columns of a file that say how a bath is used up. `nameOf` gives the name of the replenisher’s formula. */
export function useToRecord(use: FormulaUse, nameOf: (formulaId: string) => string): UseRecord {
  const { compensation, replenishment, twoBath, keeping } = use
  return {
    school: use.school,
    ...given('rolls_per_litre', use.capacityRollsPerL),
    dilutions: use.dilutions.map(dilution).join(', '),
    ...given('least_stock_per_roll', use.minConcentrateMlPerRoll === 0 ? null : amount(use.minConcentrateMlPerRoll, 'ml')),
    ...given('keeps_full_days', keeping.fullDays),
    ...given('keeps_half_days', keeping.halfDays),
    ...given('keeps_working_days', keeping.workingDays),
    ...given('keeps_tray_days', keeping.trayDays),
    ...(compensation && 'perRoll' in compensation ? { time_per_roll: round(compensation.perRoll * 100) } : {}),
    ...(compensation && 'table' in compensation ? { time_steps: showSteps(compensation.table) } : {}),
    ...(replenishment ? { replenish_per_roll: amount(replenishment.mlPerRoll, 'ml'), replenish_turnovers: replenishment.turnovers } : {}),
    ...given('replenish_from', replenishment?.formulaId == null ? null : nameOf(replenishment.formulaId)),
    ...(twoBath ? { pair_moves: twoBath.moves, ...given('pair_days', twoBath.days) } : {}),
    ...given('fixes', use.fixes),
    ...(use.longKeeping ? { long_keeping: true } : {}),
  }
}

/** What those columns say; what cannot be read is added to the problems. `idOf` finds the replenisher’s formula. */
export function recordToUse(
  record: UseRecord,
  read: ReturnType<typeof cellReader>,
  problems: string[],
  idOf: (name: string) => string | undefined,
): FormulaUse {
  const perRoll = read.number('time_per_roll', record.time_per_roll)
  const rate = read.quantity('replenish_per_roll', record.replenish_per_roll, 'volume')
  const moves = read.number('pair_moves', record.pair_moves)
  const table = read.steps('time_steps', record.time_steps)
  const compensation: Compensation | null = perRoll !== null ? { perRoll: perRoll / 100 } : table && { table }
  const replenisher = read.text(record.replenish_from)
  const formulaId = replenisher === '' ? undefined : idOf(replenisher)
  if (replenisher !== '' && formulaId === undefined)
    problems.push(`replenish_from: there is no formula “${replenisher}” here yet. Import that one first.`)
  const trayDays = read.number('keeps_tray_days', record.keeps_tray_days)
  return {
    school: record.school,
    capacityRollsPerL: read.number('rolls_per_litre', record.rolls_per_litre),
    keeping: {
      fullDays: read.number('keeps_full_days', record.keeps_full_days),
      halfDays: read.number('keeps_half_days', record.keeps_half_days),
      workingDays: read.number('keeps_working_days', record.keeps_working_days),
      ...(trayDays === null ? {} : { trayDays }),
    },
    dilutions: read
      .text(record.dilutions)
      .split(/[,;]/)
      .map((text) => read.parts('dilutions', text)),
    minConcentrateMlPerRoll: read.quantity('least_stock_per_roll', record.least_stock_per_roll, 'volume') ?? 0,
    ...(compensation ? { compensation } : {}),
    ...(rate === null
      ? {}
      : {
          replenishment: {
            mlPerRoll: rate,
            turnovers: read.number('replenish_turnovers', record.replenish_turnovers) ?? 3,
            ...(formulaId === undefined ? {} : { formulaId }),
          },
        }),
    ...(moves === null ? {} : { twoBath: { moves, days: read.number('pair_days', record.pair_days) } }),
    ...(record.fixes ? { fixes: record.fixes } : {}),
    ...(read.yes(record.long_keeping) ? { longKeeping: true } : {}),
  }
}
