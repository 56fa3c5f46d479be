import type { FixtureBody } from './fixture'
import type { CheckTold, FixtureStanding } from './standing'

/** A thing that is looked at before the doors open. */
export interface OpeningCheck {
  id: string
  says: string
  done: boolean
}

/** ms before an opening from which a look counts for it. House default. */
const freshMs = 12 * 3_600_000

/**
 * What of a darkroom's safety is looked at before it opens: every ventilation with a tissue, and whatever is overdue, failed or falls due.
 * @param opensAt ms
 * @example
 * openingChecks([{ id: 'v', body: { kind: 'ventilation', name: 'Slot over the trays', areaM2: 0.09 }, standing: { standing: 'good' }, checks: [] }], 0)[0].says // → 'Slot over the trays: hold a tissue to it.'
 */
export function openingChecks(
  fixtures: { id: string; body: FixtureBody; standing: Pick<FixtureStanding, 'standing'>; checks: CheckTold[] }[],
  opensAt: number,
): OpeningCheck[] {
  return fixtures.flatMap(({ id, body, standing: { standing }, checks }): OpeningCheck[] => {
    const looked = checks.some((one) => one.result.kind === 'tissue' && one.at >= opensAt - freshMs)
    if (body.kind === 'ventilation' && standing !== 'failed') return [{ id, says: `${body.name}: hold a tissue to it.`, done: looked }]
    if (standing === 'good') return []
    const says = {
      failed: 'it failed its check.',
      overdue: 'its check is overdue.',
      due: 'its check falls due.',
      never: 'nobody has looked at it yet.',
    }
    return [{ id, says: `${body.name}: ${says[standing]}`, done: false }]
  })
}
