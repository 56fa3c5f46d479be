import type { Compensation, FormulaUse } from '../bottle/bottle'
import type { cellReader } from './reader'
import type { FormulaRecord } from './schemas'

const round = (value: number): number => Number(value.toFixed(4))
const step = /^\s*([\d.,]+)\s*[x×]\s*([\d.,]+)\s*$/i
const number = (text: string | undefined): number => Number((text ?? '').replace(',', '.'))

/** The columns of a file that say how a bath is used up beyond its count. */
export function useToRecord(use: FormulaUse): Partial<FormulaRecord> {
  const { compensation, replenishment, twoBath, keeping } = use
  return {
    ...(keeping.trayDays == null ? {} : { keeps_tray_days: keeping.trayDays }),
    ...(compensation && 'perRoll' in compensation ? { time_per_roll: round(compensation.perRoll * 100) } : {}),
    ...(compensation && 'table' in compensation
      ? { time_steps: compensation.table.map((one) => `${one.rollsPerL} x${one.factor}`).join(', ') }
      : {}),
    ...(replenishment ? { replenish_per_roll: `${round(replenishment.mlPerRoll)} ml`, replenish_turnovers: replenishment.turnovers } : {}),
    ...(twoBath ? { pair_moves: twoBath.moves, ...(twoBath.days === null ? {} : { pair_days: twoBath.days }) } : {}),
    ...(use.fixes ? { fixes: use.fixes } : {}),
    ...(use.longKeeping ? { long_keeping: true } : {}),
  }
}

/** What those columns say; what cannot be read is added to the problems. */
export function recordToUse(record: FormulaRecord, read: ReturnType<typeof cellReader>, problems: string[]): Partial<FormulaUse> {
  const perRoll = read.number('time_per_roll', record.time_per_roll)
  const rate = read.quantity('replenish_per_roll', record.replenish_per_roll, 'volume')
  const moves = read.number('pair_moves', record.pair_moves)
  const steps = read.text(record.time_steps)
  const compensation: Compensation | null = perRoll !== null ? { perRoll: perRoll / 100 } : steps === '' ? null : tableOf(steps, problems)
  const long = read.text(typeof record.long_keeping === 'boolean' ? String(record.long_keeping) : record.long_keeping)
  return {
    ...(compensation ? { compensation } : {}),
    ...(rate === null
      ? {}
      : { replenishment: { mlPerRoll: rate, turnovers: read.number('replenish_turnovers', record.replenish_turnovers) ?? 3 } }),
    ...(moves === null ? {} : { twoBath: { moves, days: read.number('pair_days', record.pair_days) } }),
    ...(record.fixes ? { fixes: record.fixes } : {}),
    ...(/^(true|yes|1)$/i.test(long) ? { longKeeping: true } : {}),
  }
}

function tableOf(text: string, problems: string[]): Compensation | null {
  const table = text.split(/[,;](?!\d)/).flatMap((part) => {
    const [, rolls, factor] = step.exec(part) ?? []
    if (rolls === undefined) problems.push(`time_steps: write steps such as “5 x1.2”, not “${part.trim()}”.`)
    return rolls === undefined ? [] : [{ rollsPerL: number(rolls), factor: number(factor) }]
  })
  return table.length > 0 ? { table } : null
}
