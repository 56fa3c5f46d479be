import type { Permission } from '@selvrin/core/contract'

interface There {
  vessels: { id: string; name: string }[]
  bottles: { id: string; label: string }[]
  /** the bottles are known: one that is not among them has left the shelf */
  loaded: boolean
  /** it is read by whoever it is for */
  own?: boolean
}

/** What a permission is for, a line for each of its terms. */
export function termWords(
  { vesselIds, bottleIds, practice, others, loading }: Pick<Permission, 'vesselIds' | 'bottleIds' | 'practice' | 'others' | 'loading'>,
  { vessels, bottles, loaded, own = false }: There,
): string[] {
  const tanks = vesselIds.flatMap((id) => vessels.find((one) => one.id === id)?.name ?? [])
  const labels = bottleIds.flatMap((id) => bottles.find((one) => one.id === id)?.label ?? [])
  const gone = loaded ? bottleIds.length - labels.length : 0
  const left = gone === 0 ? '' : ` (${gone} of them ${gone === 1 ? 'has' : 'have'} left the shelf)`
  return [
    vesselIds.length === 0 ? 'In any tank that fits' : `In ${tanks.join(', ')}`,
    bottleIds.length === 0 ? 'From any bottle that may be used' : `From ${labels.join(', ') || 'no bottle'}${left}`,
    others ? `Films of others too${loading ? ', after a reel was loaded for practice' : ''}` : `${own ? 'Your' : 'Their'} own films`,
    ...(practice ? ['After a clean practice run'] : []),
  ]
}
