import { impossible } from '../error'
import type { DrumFacts } from './drum'

/** kg an empty drum weighs for each litre it holds, and kg a ml of anything weighs, at most. Guidance values, wide. */
const [leastPerL, mostPerL, mostKgPerMl] = [0.01, 1, 0.002]

type Weighed = Pick<DrumFacts, 'code' | 'volumeMl' | 'tareKg'>
const kg = (value: number): string => `${Number(value.toPrecision(3))} kg`

/**
 * Refuses the weight of an empty drum that no drum of its size has: a slip of the unit, such as 1.1 g.
 * @throws Refused 'tare'
 * @example
 * requireTare({ volumeMl: 20_000, tareKg: 1.1 }) // → undefined
 */
export function requireTare({ volumeMl, tareKg }: Omit<Weighed, 'code'>): void {
  const litres = volumeMl / 1000
  if (tareKg < leastPerL * litres || tareKg > mostPerL * litres)
    throw impossible(
      'tare',
      `A drum of ${litres.toFixed(2)} L does not weigh ${kg(tareKg)} empty. Write it with its unit, such as ${kg(litres / 20)}.`,
      {
        field: 'tareKg',
      },
    )
}

/**
 * Refuses what the scales cannot show with that drum on them: less than it weighs empty, or more than it can hold.
 * @throws Refused 'weight'
 * @example
 * requireReading(aDrum, 17.58) // → undefined
 */
export function requireReading({ code, volumeMl, tareKg }: Weighed, readingKg: number): void {
  if (readingKg < tareKg)
    throw impossible('weight', `Drum ${code} weighs ${kg(tareKg)} empty, and this is ${kg(readingKg)}: look again.`, { field: 'readingKg' })
  if (readingKg > tareKg + mostKgPerMl * volumeMl)
    throw impossible(
      'weight',
      `Drum ${code} cannot weigh ${kg(readingKg)}: full it is about ${kg(tareKg + volumeMl / 1000)}. Look again.`,
      {
        field: 'readingKg',
      },
    )
}
