import { impossible } from '../../error'
import type { Finding } from '../../finding'

/** A formula as it would be begun: what it is, and what the rules of mixing say of it at its volume. */
export interface Begun {
  name: string
  /** poured together from the bottles of its parts */
  ofParts: boolean
  /** nothing is weighed for it */
  bought: boolean
  findings: Finding[]
}

/**
 * Grave findings want a reason; answers it, null where there is nothing to overrule. `what`: how it is done all the same, as 'mixed'.
 * @example
 * requireReason(['Metol comes out.'], 'it was filtered', 'mixed') // → 'it was filtered'
 */
export function requireReason(grave: string[], reason: string | undefined, what: string): string | null {
  if (grave.length === 0) return null
  if (reason === undefined)
    throw impossible('unwise', `${grave[0]} Change it, or write why it is ${what} all the same.`, { field: 'overrule' })
  return reason
}

/**
 * Whether a formula may be begun at the scales; answers why in spite of what speaks against it, null where nothing does. What never meets is no matter of reasons.
 * @throws Refused 'of-parts', 'bought', 'never-meets', 'part-of-pack', 'unwise'
 * @example
 * decideBegin({ name: 'F', ofParts: false, bought: false, findings: [] }, { note: '' }) // → null
 */
export function decideBegin(
  { name, ofParts, bought, findings }: Begun,
  { note, overrule }: { note: string; overrule?: string | undefined },
): string | null {
  if (ofParts) throw impossible('of-parts', `${name} is poured together from its parts: do it on its own page in the Formulary.`)
  if (bought) throw impossible('bought', `${name} is bought ready made: bring its bottle onto the shelf instead.`)
  const grave = findings.filter((finding) => finding.severity === 'error')
  const block = grave.find((finding) => finding.rule.startsWith('never-'))
  if (block) throw impossible('never-meets', `This is not mixed here: ${block.message} Change the formula.`)
  if (findings.some((finding) => finding.rule === 'mix-13' && finding.severity === 'warning') && note === '')
    throw impossible(
      'part-of-pack',
      'A part of a pack is no fair sample of it. Mix the whole pack, or say why a part is taken: it is noted on the batch.',
      { field: 'note' },
    )
  return requireReason(
    grave.map((finding) => finding.message),
    overrule,
    'mixed',
  )
}
