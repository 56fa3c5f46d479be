import { showMass, showVolume } from '../quantity/format'
import type { MixLine } from './mixState'

/** As many times what is wanted, or as small a part of what is to go, an amount is more likely a slip of the unit or of a digit. */
const many = 3
const few = 50

/**
 * The question to ask before an amount is believed, in the line's unit; null where nothing is odd. `heldG` is what its jar holds by its record,
 * in g. Example: 600 g where 0.6 g are wanted.
 * @example
 * askAbout(weighing, 0.1) // → null
 * askAbout(weighing, 20) // → '20.0 g is 11 times the 2.00 g wanted in all. Is it really that much?'
 */
export function askAbout(line: MixLine, amount: number, heldG: number | null = null, before = line.put): string | null {
  const show = line.unit === 'g' ? showMass : showVolume
  const left = line.target - before
  const total = before + amount
  if (line.target > 0 && total > many * line.target)
    return `${show(amount)} is ${timesOf(total / line.target)} the ${show(line.target)} wanted in all. Is it really that much?`
  if (left > 0 && amount < left / few)
    return `${show(amount)} is next to nothing of the ${show(left)} still to go. Is it really that little?`
  if (line.unit === 'g' && heldG !== null && amount > heldG * 1.1 + 1)
    return `Its jar holds ${showMass(heldG)} by its record, less than ${showMass(amount)}. Is it really that much?`
  return null
}

const timesOf = (ratio: number): string => (ratio >= 10 ? `${Math.round(ratio)} times` : `${ratio.toFixed(1)} times`)
