import {
  gallonMl,
  parseNumber,
  readKept,
  readSteps,
  showSteps,
  usualManner,
  withSign,
  writeExactly,
  type Fixable,
  type FormulaUse,
  type Manner,
  type School,
} from '@selvrin/core'

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

const number = (value: number | null | undefined, manner: Manner): string =>
  value === null || value === undefined ? '' : withSign(String(Math.round(value * 1e4) / 1e4), manner)
/** litres in the measure rolls are counted by: a litre or a gallon */
const bigL = (manner: Manner): number => (manner.units === 'us' ? gallonMl / 1000 : 1)

export const emptySchool = (manner = usualManner): SchoolDraft => ({
  school: 'one-shot',
  capacity: '',
  perRoll: '',
  growth: '4 %',
  rate: writeExactly(25, 'volume', manner),
  turnovers: '3',
  replenisher: null,
  moves: '4',
  pairDays: '60',
  fixes: 'film',
  longKeeping: false,
})

export function schoolDraftOf(use: FormulaUse, manner = usualManner): SchoolDraft {
  const { compensation, replenishment, twoBath } = use
  const usual = emptySchool(manner)
  return {
    school: use.school,
    capacity: number(use.capacityRollsPerL === null ? null : use.capacityRollsPerL * bigL(manner), manner),
    perRoll: use.minConcentrateMlPerRoll === 0 ? '' : writeExactly(use.minConcentrateMlPerRoll, 'volume', manner),
    growth: !compensation
      ? usual.growth
      : 'perRoll' in compensation
        ? `${number(compensation.perRoll * 100, manner)} %`
        : showSteps(compensation.table),
    rate: replenishment ? writeExactly(replenishment.mlPerRoll, 'volume', manner) : usual.rate,
    turnovers: replenishment ? number(replenishment.turnovers, manner) : usual.turnovers,
    replenisher: replenishment?.formulaId ?? null,
    moves: twoBath ? number(twoBath.moves, manner) : usual.moves,
    pairDays: twoBath ? number(twoBath.days, manner) : usual.pairDays,
    fixes: use.fixes ?? 'film',
    longKeeping: use.longKeeping ?? false,
  }
}

type Read = <T>(field: string, work: () => T, instead: T) => T
type Said = Pick<
  FormulaUse,
  'school' | 'capacityRollsPerL' | 'minConcentrateMlPerRoll' | 'compensation' | 'replenishment' | 'twoBath' | 'fixes' | 'longKeeping'
>

/** What a draft says; problems go to `read` under their field. Only what the school needs is kept. */
export function readSchool(
  draft: SchoolDraft,
  fixer: boolean,
  read: Read,
  problem: (field: string, says: string) => void,
  manner = usualManner,
): Said {
  const plain = (text: string): number => parseNumber(text, manner)
  const orNull = <T>(text: string, how: (text: string) => T): T | null => (text.trim() === '' ? null : how(text))
  const school = draft.school ?? 'one-shot'
  const rollsPerL = (text: string) => Number((plain(text) / bigL(manner)).toFixed(4))
  const capacity = read('capacity', () => orNull(draft.capacity, rollsPerL), null)
  if ((school === 'counted' || school === 'two-bath') && capacity === null)
    problem('capacity', `A counted bath needs its rolls per ${manner.units === 'us' ? 'gallon' : 'litre'}.`)
  return {
    school,
    capacityRollsPerL: school === 'one-shot' || school === 'replenished' ? null : capacity,
    minConcentrateMlPerRoll: read('perRoll', () => orNull(draft.perRoll, (text) => readKept(text, 'volume', manner)) ?? 0, 0),
    ...(school === 'compensated' ? { compensation: read('growth', () => growthOf(draft.growth, manner), { perRoll: 0.04 }) } : {}),
    ...(school === 'replenished'
      ? {
          replenishment: {
            mlPerRoll: read('rate', () => readKept(draft.rate, 'volume', manner), 1),
            turnovers: read('turnovers', () => plain(draft.turnovers), 1),
            ...(draft.replenisher === null ? {} : { formulaId: draft.replenisher }),
          },
        }
      : {}),
    ...(school === 'two-bath'
      ? {
          twoBath: {
            moves: Math.round(read('moves', () => plain(draft.moves), 0)),
            days: read('pairDays', () => orNull(draft.pairDays, plain), null),
          },
        }
      : {}),
    ...(fixer && draft.fixes !== null && draft.fixes !== 'film' ? { fixes: draft.fixes } : {}),
    ...(fixer && draft.longKeeping ? { longKeeping: true } : {}),
  }
}

const growthOf = (text: string, manner: Manner): NonNullable<FormulaUse['compensation']> =>
  /[x×]/i.test(text) ? { table: readSteps(text) } : { perRoll: parseNumber(text.replace('%', ''), manner) / 100 }
