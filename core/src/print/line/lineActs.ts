import { decideDecanting } from '../../bottle/acts/decant'
import { decideDilution } from '../../bottle/acts/dilute'
import { decidePour } from '../../bottle/acts/pour'
import { asOne, decideRetiring } from '../../bottle/acts/retire'
import type { Acted, Decided } from '../../bottle/acts/act'
import { requireInUse, requireUsable } from '../../bottle/acts/requiring'
import { carryOutMl } from '../../dilution/rollEquivalents'
import { conflict, impossible } from '../../error'
import type { PaperBase } from '../emergence'
import { neverKept, trayFamilies, type TrayFilling, type TrayRole } from './trayLine'

/** Trays by what they are called in sentences. */
export const trayRoleWords: Record<TrayRole, string> = {
  develop: 'Developer',
  stop: 'Stop',
  fix: 'Fixer',
  'fix-2': 'Fixer 2',
  rinse: 'Rinse',
  'wash-aid': 'Wash aid',
  wash: 'Wash',
}

/**
 * What is written when a tray is filled from a bottle: dilution, part of it, or the whole bottle, which stands open from then on. Nothing for water.
 * @throws Refused 'wrong-family', 'not-enough', 'already-diluted', 'retired', or the rule that speaks against the bottle
 * @example
 * decideFilling(acted, { id: 'f', trayId: 't', role: 'fix', from: { way: 'whole', bottleId: 'f1' }, ml: 900 }).lines.map((one) => one.container) // → ['tray']
 */
export function decideFilling(from: Acted | null, filling: TrayFilling): Decided {
  const { role, ml, overrule } = filling
  const family = trayFamilies[role]
  if (filling.from.way === 'water' || from === null) {
    if (family === null) return { lines: [] }
    throw impossible('wrong-family', `${trayRoleWords[role]} is not plain water: say which bottle it comes from.`, { field: 'fills' })
  }
  if (from.family !== family)
    throw impossible('wrong-family', `${from.label} ${from.name} is no ${trayRoleWords[role].toLowerCase()}.`, { field: 'fills' })
  if (filling.from.way === 'dilute') {
    const { newId, parts } = filling.from
    return decideDilution(from, { newId, parts, totalMl: ml, sizeMl: ml, overrule })
  }
  if (filling.from.way === 'part') return decideDecanting(from, { into: [{ id: filling.from.newId, sizeMl: ml, ml }], overrule })
  const note = requireUsable(from, overrule)
  requireInUse(from)
  if (from.state.volumeMl <= 0) throw conflict('not-enough', `${from.label} is empty.`, { field: 'fills' })
  return { lines: [{ bottleId: from.id, kind: 'move', ml: 0, container: 'tray', note: note || 'into its tray' }] }
}

/**
 * What is written when prints (8×10 in equivalents) went through the trays: a use of each liquid, with what they carry out of it. What has happened is written whatever speaks against the bath, and says so.
 * @example
 * decidePassing([acted], { equivalents: 2, base: 'rc', note: 'print 5', entryIds: ['e'] }).lines[0].throughput // → [{ kind: 'print', equivalents: 2 }]
 */
export function decidePassing(
  bottles: Acted[],
  { equivalents, base, note, entryIds }: { equivalents: number; base: PaperBase; note: string; entryIds: string[] },
): Decided {
  const carriedMl = carryOutMl({ format: base === 'rc' ? 'paper-8x10in' : 'fibre-8x10in', count: equivalents })
  return asOne(
    ...bottles.map((bottle, i) =>
      decidePour(
        { bottle },
        {
          ...{
            entryId: entryIds[i] ?? '',
            kind: 'use',
            ml: Math.min(carriedMl, bottle.state.volumeMl),
            rolls: 0,
            colourRolls: 0,
            paper: equivalents,
            waterInMl: 0,
            note,
          },
          ...{ paperKind: base === 'rc' ? 'rc-paper' : 'fibre-paper', overrule: 'it had gone through when it was written down' },
        },
      ),
    ),
  )
}

/**
 * What is written when a tray is emptied: poured away for its drum, or back into its bottle, closed.
 * @throws Refused 'thrown-away' for developer that is to be kept
 * @example
 * decideEmptying(acted, { role: 'fix', how: 'kept', why: 'closed' }).lines.map((one) => one.container) // → ['bottle']
 */
export function decideEmptying(bottle: Acted, { role, how, why }: { role: TrayRole; how: 'away' | 'kept'; why: string }): Decided {
  if (how === 'away') return decideRetiring(bottle, { why, discard: true })
  if (neverKept(role))
    throw impossible('thrown-away', 'Developer that stood open in a tray is thrown away at the day’s end, whatever is left in it.', {
      field: 'ends',
    })
  return { lines: [{ bottleId: bottle.id, kind: 'move', ml: 0, container: 'bottle', note: `back into its bottle: ${why}` }] }
}
