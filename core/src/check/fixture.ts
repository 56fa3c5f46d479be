import { z } from 'zod'
import { millis, name, note } from '../shape/common'

/** What a darkroom has for its safety, each thing by where it is. */
export const fixtureBody = z.discriminatedUnion('kind', [
  z.strictObject({
    ...{ kind: z.literal('eyewash'), name },
    /** on the mains; else bottles, which have a date */
    plumbed: z.boolean(),
  }),
  z.strictObject({
    ...{ kind: z.literal('ventilation'), name },
    /** m² of its opening */
    areaM2: z
      .number('Its opening is 0.001 to 10 m².')
      .min(0.001, 'Its opening is 0.001 to 10 m².')
      .max(10, 'Its opening is 0.001 to 10 m².'),
  }),
  z.strictObject({ kind: z.literal('mains'), name }),
  z.strictObject({
    ...{ kind: z.literal('gloves'), name },
    /** people of each size who work at an opening */
    sizes: z
      .array(z.strictObject({ size: z.string().trim().min(1).max(10), people: z.int().min(0).max(50) }))
      .min(1)
      .max(8),
    /** openings until a delivery comes */
    openings: z.int().min(1).max(60),
  }),
])
export type FixtureBody = z.output<typeof fixtureBody>
export type FixtureKind = FixtureBody['kind']

const count = z.number().min(0).max(100_000)
/** What was found when it was looked at. */
export const checkResult = z.discriminatedUnion('kind', [
  z.strictObject({
    ...{ kind: z.literal('flush'), seconds: z.number('Say how long it ran.').gt(0, 'Say how long it ran.').max(3600) },
    /** L a minute; °C; null where nobody measured */
    lPerMin: z.number().min(0).max(200).nullable(),
    ...{ celsius: z.number().min(0).max(100).nullable(), note },
  }),
  z.strictObject({ kind: z.literal('date'), useBy: millis, note }),
  z.strictObject({ kind: z.literal('tissue'), draws: z.boolean(), note }),
  z.strictObject({ kind: z.literal('meter'), mPerS: z.number('Say what the meter shows, in m/s.').min(0).max(50), note }),
  z.strictObject({ kind: z.literal('trip'), trips: z.boolean(), note }),
  z.strictObject({
    kind: z.literal('count'),
    pairs: z
      .array(z.strictObject({ size: z.string(), pairs: count }))
      .min(1)
      .max(8),
    note,
  }),
])
export type CheckResult = z.output<typeof checkResult>

/**
 * Which checks a thing has.
 * @example
 * checksOf({ kind: 'mains', name: 'Wet side' }) // → ['trip']
 */
export const checksOf = (body: FixtureBody): CheckResult['kind'][] => {
  switch (body.kind) {
    case 'eyewash':
      return body.plumbed ? ['flush'] : ['date']
    case 'ventilation':
      return ['tissue', 'meter']
    case 'mains':
      return ['trip']
    case 'gloves':
      return ['count']
  }
}
