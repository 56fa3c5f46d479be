import { DomainError, requirePositive } from '../error'
import { z } from 'zod'
import { name, note } from '../shape/common'
import { lampOutput, uvAgeing, uvAtDistance, uvTime } from './uv'

/** What a lamp is: tubes side by side, a panel of LEDs, or one that shines from a point. */
export const uvKinds = ['tubes', 'leds', 'point'] as const
export type UvKind = (typeof uvKinds)[number]
export const uvKindNames: Record<UvKind, string> = { tubes: 'bank of tubes', leds: 'panel of LEDs', point: 'point lamp' }
/** share it loses in 1,000 h; a point lamp like tubes. Rounded literature values. */
const ageingOf: Record<UvKind, number> = { ...uvAgeing, point: uvAgeing.tubes }

/** A lamp of the house for printing by UV. */
export const uvLampBody = z
  .strictObject({
    name,
    kind: z.enum(uvKinds),
    watts: z.number('A lamp has 1 to 5,000 W.').min(1, 'A lamp has 1 to 5,000 W.').max(5000, 'A lamp has 1 to 5,000 W.'),
    /** how wide the bank or panel is, cm; null for a point */
    bankCm: z.number().min(5, 'A bank is 5 to 300 cm wide.').max(300, 'A bank is 5 to 300 cm wide.').nullable(),
    /** h it has run, as somebody wrote it down; what it ran since is counted beside it */
    hours: z.number('Hours it has run.').min(0, 'Hours it has run.').max(100_000, 'Hours it has run.'),
    /** share of its first output by a UV meter; null where nobody measured it */
    measured: z.number().min(0.05, 'A meter says 5 to 120 % of what it gave when new.').max(1.2, 'A meter says 5 to 120 % of what it gave when new.').nullable(), // prettier-ignore
    note,
  })
  .refine((one) => (one.kind === 'point') === (one.bankCm === null), {
    error: 'A bank or a panel has a width; a point has none.',
    path: ['bankCm'],
  })
export type UvLampBody = z.infer<typeof uvLampBody>

/**
 * W a lamp still gives for what it gave when new: by its UV meter, or by its hours.
 * @throws DomainError 'worn-out'
 * @example
 * lampGives({ kind: 'tubes', watts: 160, hours: 500, measured: null }) // → 144
 */
export const lampGives = ({ kind, watts, hours, measured }: Pick<UvLampBody, 'kind' | 'watts' | 'hours' | 'measured'>): number =>
  watts * (measured ?? lampOutput({ hours, ageing: ageingOf[kind] }))

/** Light a print stood under: of lamps of one kind at a distance (cm), what they gave together (W). */
export const uvLight = z.object({
  kind: z.enum(uvKinds),
  watts: z.number(),
  distanceCm: z.number(),
  /** of the narrowest of them; null for points */
  bankCm: z.number().nullable(),
})
export type UvLight = z.infer<typeof uvLight>

/**
 * The light of lamps that are switched on together.
 * @throws DomainError 'no-lamp', 'lamps-differ' for lamps of two kinds, 'worn-out', 'out-of-range'
 * @example
 * lightOf([{ kind: 'point', watts: 300, bankCm: null, hours: 0, measured: null }], 40) // → { kind: 'point', watts: 300, distanceCm: 40, bankCm: null }
 */
export function lightOf(lamps: Pick<UvLampBody, 'kind' | 'watts' | 'bankCm' | 'hours' | 'measured'>[], distanceCm: number): UvLight {
  requirePositive({ 'The distance': distanceCm })
  const [first] = lamps
  if (!first) throw new DomainError('no-lamp', 'Say which lamp it stands under.')
  if (lamps.some((one) => one.kind !== first.kind))
    throw new DomainError('lamps-differ', 'Lamps of two kinds do not add up: switch on one kind, and expose a strip.')
  return {
    ...{ kind: first.kind, distanceCm },
    watts: lamps.reduce((sum, one) => sum + lampGives(one), 0),
    bankCm: first.kind === 'point' ? null : Math.min(...lamps.map((one) => one.bankCm ?? Infinity)),
  }
}

/**
 * s under another light than the one a time was found with: by the power they give and, for a point, by the square of the distance.
 * @throws DomainError 'other-kind' for lamps of another kind, 'too-far' for a bank farther away than it is wide, 'out-of-range'
 * @example
 * uvMoved(720, { kind: 'point', watts: 300, distanceCm: 40, bankCm: null }, { kind: 'point', watts: 600, distanceCm: 60, bankCm: null }) // → 810
 */
export function uvMoved(seconds: number, from: UvLight, to: UvLight): number {
  if (from.kind !== to.kind)
    throw new DomainError(
      'other-kind',
      `That time was found under a ${uvKindNames[from.kind]}: under a ${uvKindNames[to.kind]} expose a strip.`,
    )
  const there = uvTime({ seconds, fromW: from.watts, toW: to.watts })
  const distances = { fromCm: from.distanceCm, toCm: to.distanceCm }
  if (to.kind === 'point') return uvAtDistance({ seconds: there, ...distances, lamp: { point: true } })
  if (from.distanceCm === to.distanceCm) return there
  return uvAtDistance({ seconds: there, ...distances, lamp: { bankCm: Math.min(from.bankCm ?? 0, to.bankCm ?? 0) } })
}
