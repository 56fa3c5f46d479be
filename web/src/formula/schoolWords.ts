import type { FormulaBody } from '@selvrin/core/contract'

const number = (value: number): string => String(Math.round(value * 100) / 100)

/** How a bath is used, after its dilutions: '; counted, 24 rolls a litre'. */
export function schoolWords(use: FormulaBody['use']): string {
  const rolls = use.capacityRollsPerL === null ? '' : `, ${number(use.capacityRollsPerL)} rolls a litre`
  switch (use.school) {
    case 'one-shot':
      return '; used once'
    case 'counted':
      return `; counted${rolls}`
    case 'compensated': {
      const growth =
        use.compensation && 'perRoll' in use.compensation
          ? `${number(use.compensation.perRoll * 100)} % more time a roll and litre`
          : 'more time by a table'
      return `; compensated: ${growth}${rolls}`
    }
    case 'replenished':
      return `; replenished with ${number(use.replenishment?.mlPerRoll ?? 0)} ml a roll, over after ${number(use.replenishment?.turnovers ?? 0)} times its volume`
    case 'two-bath':
      return `; two baths${rolls}, ${use.twoBath?.moves ?? 0} moves${use.twoBath?.days == null ? '' : `, at most ${number(use.twoBath.days)} days`}`
  }
}
