import { readKept, usualManner, writeExactly, type Manner } from '@selvrin/core'
import type { Vessel } from '@selvrin/core/contract'
import { sentence } from '../api/call'

/** A tank or drum as it is typed. */
export interface VesselDraft {
  name: string
  kind: Vessel['kind'] | null
  format: Vessel['format'] | null
  /** one volume a reel */
  covers: string
  /** blank: as usual for the format */
  carry: string
}
export interface VesselProblem {
  of: 'covers' | 'carry'
  problem: string
}
export type VesselBody = Omit<Vessel, 'id' | 'version' | 'reels'>

const written = (volumes: number[], manner: Manner): string => volumes.map((ml) => writeExactly(ml, 'volume', manner)).join('; ')
export const emptyVessel = (manner = usualManner): VesselDraft => ({
  name: '',
  kind: 'hand',
  format: '135',
  covers: written([300, 600], manner),
  carry: '',
})
export const draftOf = (vessel: Vessel, manner = usualManner): VesselDraft => ({
  name: vessel.name,
  kind: vessel.kind,
  format: vessel.format,
  covers: written(vessel.coversMl, manner),
  carry: vessel.carryMl === null ? '' : writeExactly(vessel.carryMl, 'volume', manner),
})

/** What was typed, as the house keeps it; or what cannot be read of it. */
export function readVessel(draft: VesselDraft, manner = usualManner): VesselBody | VesselProblem {
  const body = { name: draft.name, kind: draft.kind ?? 'hand', format: draft.format ?? '135' }
  let coversMl: number[]
  try {
    coversMl = draft.covers.split(/;\s*|,\s+|,(?=\s*\d+\s*ml)/).map((text) => readKept(text, 'volume', manner))
  } catch (error) {
    return { of: 'covers', problem: sentence(error) }
  }
  if (coversMl.some((ml, i) => ml < (coversMl[i - 1] ?? 0)))
    return { of: 'covers', problem: 'Each more film needs at least as much as the one before it.' }
  try {
    return { ...body, coversMl, carryMl: draft.carry.trim() === '' ? null : readKept(draft.carry, 'volume', manner) }
  } catch (error) {
    return { of: 'carry', problem: sentence(error) }
  }
}
