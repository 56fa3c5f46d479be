import type { BottleState } from '../../bottle/bottle'
import { requireAmounts, requirePositive } from '../../error'
import type { Finding } from '../../finding'
import { fixedPerLitre, trayShare, type Fixing } from '../trayLife'
import { trayFamilies, type TrayRole } from './trayLine'

/** A tray as it stands: h open, ml in it, 8×10 in equivalents that went through since it was filled, and what the ledger of its liquid says. */
export interface TrayInUse {
  role: TrayRole
  openH: number
  ml: number
  rc: number
  fibre: number
  /** the line fixes in two baths, for long keeping */
  fixing: Fixing
  /** null for water */
  state: Pick<BottleState, 'used' | 'aged' | 'acidUsed' | 'findings'> | null
}

/** Share of a tray’s life that is gone, from which it is used up, and why; null where nothing counts it. */
export interface TrayStanding {
  share: number | null
  why: string
  findings: Finding[]
}

/** from here on it is said that a tray nears its end. House default */
const nearEnd = 0.8

function countedShare({ role, openH, ml, rc, fibre, fixing }: TrayInUse): { share: number; why: string } | null {
  const litres = ml / 1000
  if (role === 'develop')
    return {
      share: trayShare({ openH, equivalents: rc, ml, base: 'rc' }) + trayShare({ openH: 0, equivalents: fibre, ml, base: 'fibre' }),
      why: 'by its hours and prints',
    }
  if (role === 'fix')
    return {
      share: (rc / fixedPerLitre('rc', fixing) + fibre / fixedPerLitre('fibre', fixing)) / litres,
      why: 'by its silver',
    }
  return null
}

function byLedger({ role, state }: TrayInUse): { share: number; why: string } | null {
  if (state === null) return null
  if (role === 'stop' && state.acidUsed !== null) return { share: state.acidUsed, why: 'by its acid' }
  return { share: state.used + state.aged, why: state.used > state.aged ? 'by its ledger' : 'by its age' }
}

/**
 * What is left of a tray: a developer goes by the hours it stands open and the prints, a fixer by its silver, a stop by its acid; each by the ledger of its liquid as well, whichever
 * is stricter. Counted over what it came with.
 * @throws DomainError 'out-of-range'
 * @example
 * trayStanding({ role: 'develop', openH: 2, ml: 1000, rc: 0, fibre: 10, fixing: 'one', state: null }).share // → 0.75
 * trayStanding({ role: 'fix', openH: 2, ml: 1000, rc: 17, fibre: 0, fixing: 'one', state: null }).share // → 0.5
 */
export function trayStanding(tray: TrayInUse): TrayStanding {
  requireAmounts({ 'The hours': tray.openH, 'RC prints': tray.rc, 'Fibre prints': tray.fibre })
  requirePositive({ 'What is in the tray': tray.ml })
  if (trayFamilies[tray.role] === null) return { share: null, why: '', findings: [] }
  const [counted, ledger] = [countedShare(tray), byLedger(tray)]
  const governs = counted && (!ledger || counted.share >= ledger.share) ? counted : ledger
  const said = (tray.state?.findings ?? []).filter((one) => one.severity === 'error')
  if (!governs) return { share: null, why: '', findings: said }
  const { share, why } = governs
  const own: Finding[] =
    share >= 1
      ? [{ rule: 'tray-spent', severity: 'error', message: `Used up ${why}: replace it before the next print.` }]
      : share >= nearEnd
        ? [{ rule: 'tray-near-end', severity: 'warning', message: `Nearly used up ${why}.` }]
        : []
  return { share, why, findings: [...own, ...said] }
}
