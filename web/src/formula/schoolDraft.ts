import { parseQuantity, readSteps, showSteps, type Fixable, type FormulaUse, type School } from '@selvrin/core'

/** How a bath is used up, as it is being typed. */
export interface SchoolDraft {
  school: School | null
  capacity: string
  perRoll: string
  /** '4 %' a roll and litre, or steps such as '5 x1.2, 10 x1.4' */
  growth: string
  rate: string
  turnovers: string
  /** formula it is replenished from; null its own */
  replenisher: string | null
  moves: string
  pairDays: string
  fixes: Fixable | null
  longKeeping: boolean
}

const number = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(Math.round(value * 1e4) / 1e4)

export const emptySchool = (): SchoolDraft => ({
  school: 'one-shot',
  capacity: '',
  perRoll: '',
  growth: '4 %',
  rate: '25 ml',
  turnovers: '3',
  replenisher: null,
  moves: '4',
  pairDays: '60',
  fixes: 'film',
  longKeeping: false,
})

export function schoolDraftOf(use: FormulaUse): SchoolDraft {
  const { compensation, replenishment, twoBath } = use
  const usual = emptySchool()
  return {
    school: use.school,
    capacity: number(use.capacityRollsPerL),
    perRoll: use.minConcentrateMlPerRoll === 0 ? '' : `${number(use.minConcentrateMlPerRoll)} ml`,
    growth: !compensation
      ? usual.growth
      : 'perRoll' in compensation
        ? `${number(compensation.perRoll * 100)} %`
        : showSteps(compensation.table),
    rate: replenishment ? `${number(replenishment.mlPerRoll)} ml` : usual.rate,
    turnovers: replenishment ? number(replenishment.turnovers) : usual.turnovers,
    replenisher: replenishment?.formulaId ?? null,
    moves: twoBath ? number(twoBath.moves) : usual.moves,
    pairDays: twoBath ? number(twoBath.days) : usual.pairDays,
    fixes: use.fixes ?? 'film',
    longKeeping: use.longKeeping ?? false,
  }
}

type Read = <T>(field: string, work: () => T, instead: T) => T
type Said = Pick<
  FormulaUse,
  'school' | 'capacityRollsPerL' | 'minConcentrateMlPerRoll' | 'compensation' | 'replenishment' | 'twoBath' | 'fixes' | 'longKeeping'
>

const plain = (text: string): number => parseQuantity(text, 'volume')
const orNull = (text: string): number | null => (text.trim() === '' ? null : plain(text))

/** What a draft says; problems go to `read` under their field. Only what the school needs is kept. */
export function readSchool(draft: SchoolDraft, fixer: boolean, read: Read, problem: (field: string, says: string) => void): Said {
  const school = draft.school ?? 'one-shot'
  const capacity = read('capacity', () => orNull(draft.capacity), null)
  if ((school === 'counted' || school === 'two-bath') && capacity === null) problem('capacity', 'A counted bath needs its rolls per litre.')
  return {
    school,
    capacityRollsPerL: school === 'one-shot' || school === 'replenished' ? null : capacity,
    minConcentrateMlPerRoll: read('perRoll', () => orNull(draft.perRoll) ?? 0, 0),
    ...(school === 'compensated' ? { compensation: read('growth', () => growthOf(draft.growth), { perRoll: 0.04 }) } : {}),
    ...(school === 'replenished'
      ? {
          replenishment: {
            mlPerRoll: read('rate', () => plain(draft.rate), 1),
            turnovers: read('turnovers', () => plain(draft.turnovers), 1),
            ...(draft.replenisher === null ? {} : { formulaId: draft.replenisher }),
          },
        }
      : {}),
    ...(school === 'two-bath'
      ? {
          twoBath: {
            moves: Math.round(read('moves', () => plain(draft.moves), 0)),
            days: read('pairDays', () => orNull(draft.pairDays), null),
          },
        }
      : {}),
    ...(fixer && draft.fixes !== null && draft.fixes !== 'film' ? { fixes: draft.fixes } : {}),
    ...(fixer && draft.longKeeping ? { longKeeping: true } : {}),
  }
}

const growthOf = (text: string): NonNullable<FormulaUse['compensation']> =>
  /[x×]/i.test(text) ? { table: readSteps(text) } : { perRoll: plain(text.replace('%', '')) / 100 }
