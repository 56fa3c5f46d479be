import { DomainError } from '../error'
import { parseQuantity } from '../quantity/parseQuantity'

/** A pattern a device's line is read by. Which engine runs it is the caller's: what comes from outside wants one whose time grows with the line only. */
export interface LinePattern {
  source: string
  /** what its named groups hold; null where the line does not fit */
  groupsOf: (line: string) => Record<string, string | undefined> | null
}
/**
 * The browser's own expressions, for trying a pattern on one line that was typed.
 * @example
 * plainPattern('(?<value>[0-9.]+) g').groupsOf('12.5 g')?.value // → '12.5'
 */
export const plainPattern = (source: string): LinePattern => {
  const expression = new RegExp(source)
  return { source, groupsOf: (line) => expression.exec(line)?.groups ?? null }
}

/** A reading of a bench device: g, °C or pH; of a lamp the s it still is on. */
export interface DeviceLine {
  value: number
  /** the device says the value has settled; one that does not say is taken at its word */
  stable: boolean
  /** what a bath is set to, °C, and the share of its heater that is on, 0–1 */
  setC?: number
  heater?: number
}

/** the number is JavaScript's own by now */
const asSent = { decimal: 'point' } as const
const number = /^[+-]?\s*\d+(?:[.,]\d+)?$/

/**
 * Reads one line a device has sent. `pattern` is a regular expression with a group `value`, and if the device says so `unit` and a group `stable` that takes
 * part only when the value has settled. Lines that do not fit answer null. 'ST,+0012.34,g' is 12.34 g, stable.
 * @example
 * readDeviceLine(plainPattern('(?<value>[0-9.]+) (?<unit>C)'), '20.1 C', 'thermometer') // → { value: 20.1, stable: true }
 */
export function readDeviceLine(
  pattern: LinePattern,
  line: string,
  kind: 'scale' | 'thermometer' | 'ph-meter' | 'bath' | 'lamp',
): DeviceLine | null {
  const groups = pattern.groupsOf(line.trim())
  const text = groups?.value?.replace(/\s/g, '')
  if (!groups || text === undefined || !number.test(text)) return null
  const plain = Number(text.replace(',', '.'))
  const stable = !pattern.source.includes('(?<stable>') || groups.stable !== undefined
  if (kind === 'ph-meter' || kind === 'lamp') return { value: plain, stable }
  const unit = groups.unit ?? (kind === 'scale' ? 'g' : 'C')
  try {
    // parseQuantity takes no sign on masses
    const value = Math.sign(plain) * parseQuantity(`${Math.abs(plain)} ${unit}`, kind === 'scale' ? 'mass' : 'temperature', asSent)
    const degrees = (read: number) => parseQuantity(`${read} ${unit}`, 'temperature', asSent)
    if (kind === 'bath') return { value: degrees(plain), stable, ...bathGroups(groups, degrees) }
    return { value: kind === 'thermometer' && plain < 0 ? degrees(plain) : value, stable }
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}

/** What a bath says beside its temperature; a share is written as 0.42, or as 42 where it is a percentage. */
function bathGroups(groups: Record<string, string | undefined>, degrees: (read: number) => number): Pick<DeviceLine, 'setC' | 'heater'> {
  const read = (text: string | undefined) => (text !== undefined && number.test(text) ? Number(text.replace(',', '.')) : undefined)
  const [set, heater] = [read(groups.set), read(groups.heater)]
  return {
    ...(set === undefined ? {} : { setC: degrees(set) }),
    ...(heater === undefined ? {} : { heater: Math.min(1, Math.max(0, heater > 1 ? heater / 100 : heater)) }),
  }
}
