import { z } from 'zod'
import { id, name } from '../shape/common'

const line = z.string().trim().max(200)
/** A tray that drums stand in, and the ml it holds if one leaks. */
const drumTray = z.strictObject({ id, name, holdsMl: z.number().gt(0).max(1_000_000) })

/** What a darkroom says of its sink: what its labels name, how its drums are judged, what its silver is worth. */
export const sinkFacts = z.strictObject({
  /** responsible for the waste, as labels and notes name them */
  responsible: z.strictObject({ name: line, address: line, telephone: line }),
  /** whom to call, as it is dialled: the emergency service, the poison centre */
  emergency: line,
  poison: line.default(''),
  /** m³ of the room waste is poured in; null where nobody measured it */
  roomM3: z.number().gt(0).max(10_000).nullable(),
  /** on a septic tank or open ground: nothing goes down the drain */
  septic: z.boolean(),
  /** days since a drum’s first pour */
  adviceDays: z.int().min(1).max(3650),
  warnDays: z.int().min(1).max(3650),
  /** mg of silver in a litre that a wash may carry away */
  washLimitMgPerL: z.number().gt(0).max(1000),
  /** in the darkroom’s currency, of a g; null where nobody entered it */
  silverPerG: z.number().gt(0).max(100_000).nullable(),
  trays: z.array(drumTray).max(20),
})
export type SinkFacts = z.output<typeof sinkFacts>

/**
 * What counts until somebody says otherwise. House defaults.
 * @example
 * usualSink.warnDays // → 90
 */
export const usualSink: SinkFacts = {
  ...{ responsible: { name: '', address: '', telephone: '' }, emergency: '', poison: '', roomM3: null, septic: false },
  ...{ adviceDays: 60, warnDays: 90, washLimitMgPerL: 1, silverPerG: null, trays: [] },
}
