import { z } from 'zod'
import type { FormulaUse } from '../../formula/use'
import type { Family } from '../../mark/mark'
import type { PaperBase } from '../emergence'

/** What stands in a tray of the line, in the order in which a print goes through them. */
export const trayRoles = ['develop', 'stop', 'fix', 'fix-2', 'rinse', 'wash-aid', 'wash'] as const
export type TrayRole = (typeof trayRoles)[number]

/** The family a tray is filled from; null for plain water. */
export const trayFamilies: Record<TrayRole, Family | null> = {
  develop: 'print-developer',
  stop: 'stop-bath',
  fix: 'fixer',
  'fix-2': 'fixer',
  rinse: null,
  'wash-aid': 'wash-aid',
  wash: null,
}

/**
 * What is poured away for good: developer whatever is left in it, and water.
 * @example
 * neverKept('develop') // → true
 */
export const neverKept = (role: TrayRole): boolean => role === 'develop' || trayFamilies[role] === null

/** moves of a pair where its formula says none. House default */
const usualMoves = 4

/**
 * How liquid is used in a tray for prints, whatever its formula says for film: a fixer to the limits of the paper, and as one of two baths where the line has two.
 * @example
 * useInTray(fixer.use, { role: 'fix', base: 'fibre', twoBaths: true }).school // → 'two-bath'
 */
export function useInTray(use: FormulaUse, of: { role: TrayRole; base: PaperBase; twoBaths: boolean }): FormulaUse {
  if (trayFamilies[of.role] !== 'fixer') return use
  const fixes = of.base === 'rc' ? 'rc-paper' : 'fibre-paper'
  if (!of.twoBaths) return { ...use, fixes }
  return { ...use, fixes, school: 'two-bath', twoBath: use.twoBath ?? { moves: usualMoves, days: null } }
}

const side = z.number('A tray is 10 to 200 cm.').min(10, 'A tray is 10 to 200 cm.').max(200, 'A tray is 10 to 200 cm.')
/** A tray of the house: its inside, cm. */
export const trayBody = z.strictObject({
  name: z.string().trim().min(1, 'Write a name.').max(60, 'A tray’s name is 60 characters at most.'),
  widthCm: side,
  heightCm: side,
})
export type TrayBody = z.output<typeof trayBody>

const id = z.uuidv7()
const ml = z.number().gt(0, 'A tray holds something.').max(60_000, 'A tray holds 60 litres at most.')
/** Where a tray’s liquid comes from: diluted out of stock, part of a bottle as it is, or the whole of a bottle, which comes back into it. */
const trayFrom = z.discriminatedUnion('way', [
  z.strictObject({ way: z.literal('water') }),
  z.strictObject({ way: z.literal('dilute'), bottleId: id, newId: id, parts: z.array(z.number().gt(0).max(1000)).min(2).max(5) }),
  z.strictObject({ way: z.literal('part'), bottleId: id, newId: id }),
  z.strictObject({ way: z.literal('whole'), bottleId: id }),
])
export type TrayFrom = z.output<typeof trayFrom>

/** A tray as it is filled. ml */
export const trayFilling = z.strictObject({
  id,
  trayId: id,
  role: z.enum(trayRoles),
  from: trayFrom,
  ml,
  overrule: z.string().trim().min(3, 'Give the reason in a few words.').max(500).optional(),
})
export type TrayFilling = z.output<typeof trayFilling>

/** How a tray is emptied: poured away, or back into its bottle. */
export const trayEnding = z.strictObject({ fillId: id, how: z.enum(['away', 'kept']) })
export type TrayEnding = z.output<typeof trayEnding>
