import type { Chemical } from '../chemical/chemical'
import type { FixtureBody } from './fixture'
import type { FixtureStanding } from './standing'

/** What may not be done now, by what is not in order: a sentence each, null where nothing stands against it. */
export interface Blocks {
  eyewash: string | null
  ventilation: string | null
  mains: string | null
}

interface Stands {
  body: FixtureBody
  is: Pick<FixtureStanding, 'standing'>
}
const holds = ({ is }: Stands): boolean => is.standing === 'good' || is.standing === 'due'
const where = 'It is written down at the Sink, under Checks.'

/**
 * What is blocked by how the things of a house stand: without one eyewash in order what burns eyes, with a ventilation that failed what dusts or gasses, with a
 * mains switch that was not tried what is heated.
 * @example
 * safetyBlocks([]).mains // → null
 */
export function safetyBlocks(fixtures: Stands[]): Blocks {
  const of = (kind: FixtureBody['kind']): Stands[] => fixtures.filter((one) => one.body.kind === kind)
  const eyewashes = of('eyewash')
  const failed = of('ventilation').find((one) => one.is.standing === 'failed')
  const unsafe = of('mains').find((one) => one.is.standing === 'failed' || one.is.standing === 'overdue')
  return {
    eyewash: eyewashes.some(holds)
      ? null
      : eyewashes.length === 0
        ? `No eyewash is written down here. ${where}`
        : `No eyewash is in order: ${eyewashes.map((one) => one.body.name).join(', ')}. ${where}`,
    ventilation: failed ? `The ventilation failed: ${failed.body.name}. ${where}` : null,
    mains: unsafe ? `The switch of the mains was not found good: ${unsafe.body.name}. ${where}` : null,
  }
}

/** these burn eyes before a tap is found */
const burnsEyes = ({ id, natures }: Chemical): boolean =>
  natures.includes('concentrated-acid') || natures.includes('hydroxide') || (natures.includes('silver') && /nitrate/.test(id))
const acids = ['weak-acid', 'strong-acid', 'mineral-acid', 'concentrated-acid'] as const
/** powders, and what gasses */
const wantsAir = ({ id, natures, densityGPerMl }: Chemical): boolean =>
  densityGPerMl === undefined || /selen/.test(id) || natures.includes('sulfide') || acids.some((one) => natures.includes(one))

/**
 * Why a chemical may not be handled now; null where nothing stands against it.
 * @example
 * handlingBlock(catalogue['sodium-hydroxide'], safetyBlocks([]))?.startsWith('Sodium hydroxide') // → true
 */
export function handlingBlock(chemical: Chemical, { eyewash, ventilation }: Blocks): string | null {
  if (eyewash !== null && burnsEyes(chemical)) return `${chemical.name} is not touched now. ${eyewash}`
  if (ventilation !== null && wantsAir(chemical)) return `${chemical.name} is not opened now. ${ventilation}`
  return null
}

/** °C from which a bath is heated and not only tempered. House default. */
const heatedC = 30
/**
 * Why a bath may not be heated now; null where nothing stands against it.
 * @example
 * heatingBlock([20, 38], { eyewash: null, ventilation: null, mains: 'The switch …' }) // → 'No bath is heated now. The switch …'
 */
export const heatingBlock = (temperaturesC: number[], { mains }: Blocks): string | null =>
  mains !== null && temperaturesC.some((one) => one >= heatedC) ? `No bath is heated now. ${mains}` : null
