import type { Drum } from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { call } from '../api/call'

/** Pours what a run left into the drums that were chosen for it, family by family; the first washes go with the fixers. */
export async function pourAway(run: number, drumIds: Partial<Record<Drum, string | null>>): Promise<void> {
  const { pending, drums } = await call(sinkApi.get, {})
  const mine = pending.filter((row) => row.note.startsWith(`run ${run}:`))
  for (const family of new Set(mine.flatMap((row) => row.drum ?? []))) {
    const rows = mine.filter((row) => row.drum === family)
    const ml = rows.reduce((sum, row) => sum + row.ml, 0)
    // of a wash nobody was asked: it goes where the fixers go
    const own = drums.find(
      (one) => one.family === family && one.labelledAt !== null && one.state.standing === 'open' && one.state.roomMl >= ml,
    )
    const id = family in drumIds ? drumIds[family] : own?.id
    if (!id) continue
    const waste = rows.map((row) => ({ wasteId: row.id, entryId: uuid() }))
    await call(sinkApi.pour, { params: { id }, body: { waste, other: null, ph: null, funnelId: null } })
  }
}
