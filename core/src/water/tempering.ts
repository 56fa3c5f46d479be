import { DomainError, requirePositive, requireTemperatures } from '../error'
import { bathCourse, inAirTauS, jugTau, pouredTemperature, tankJPerK, waterJPerK, type Jug, type WaterBath } from './waterBath'

/** how long a bath is looked ahead for, s */
const aheadS = 6 * 3600
/** °C a jug may be away and count as there, where the step does not say closer */
const thereC = 0.15

/**
 * s before a start at which the bath is switched on, so that it and what stands in it have come to the temperature: all within `withinC` °C of `targetC`.
 * @throws DomainError 'unreachable-temperature' where that does not come in six hours
 * @example
 * Math.round(switchOnBefore({ bath: { litres: 20, setC: 38, roomC: 20, fromC: 38 }, jugs: [{ litres: 1, fromC: 37.9 }], targetC: 38 })) // → 0
 */
export function switchOnBefore(asked: { bath: WaterBath; jugs: Jug[]; targetC: number; withinC?: number }): number {
  const { bath, jugs, targetC, withinC = thereC } = asked
  requireTemperatures({ 'The temperature wanted': targetC })
  requirePositive({ 'How near it has to be': withinC })
  const course = bathCourse({ bath, jugs, seconds: aheadS })
  const there = course.find(({ bathC, jugC }) => (jugs.length > 0 ? jugC : [bathC]).every((c) => Math.abs(c - targetC) <= withinC))
  if (!there)
    throw new DomainError(
      'unreachable-temperature',
      `In six hours this bath does not bring everything to ${targetC} °C: fill it warmer, cover it, or set it higher and take the jugs out in time.`,
    )
  return there.s
}

/**
 * A set point above the target that brings jugs up sooner, and when each is taken out, s; null for a jug that does not get there in six hours. A bath that is to hold what
 * it warms is set back to the target then.
 * @example
 * Math.round((raisedBath({ bath: { litres: 20, setC: 42, roomC: 20, fromC: 42 }, jugs: [{ litres: 0.1, fromC: 20 }], targetC: 37.8 }).outS[0] ?? 0) / 10) // → 24
 */
export function raisedBath({ bath, jugs, targetC }: { bath: WaterBath; jugs: Jug[]; targetC: number }): {
  setC: number
  outS: (number | null)[]
} {
  requireTemperatures({ 'The temperature wanted': targetC })
  const course = bathCourse({ bath, jugs, seconds: aheadS })
  return { setC: bath.setC, outS: jugs.map((_, i) => course.find(({ jugC }) => (jugC[i] as number) >= targetC)?.s ?? null) }
}

/** A tank that a step is done in. */
export interface StandingTank {
  /** ml poured in, at °C */
  ml: number
  pouredC: number
  /** °C of the tank with its reels before: warmed in the bath, or the room's */
  tankC: number
  /** it stands in the bath, of that temperature; null: in air, of the room's */
  bathC: number | null
  roomC: number
}

/**
 * °C of the liquid in a tank over a step, each second from the pour: what the tank takes at once, then towards what it stands in.
 * @throws DomainError 'out-of-range'
 * @example
 * Math.round(tankCourse({ ml: 600, pouredC: 38, tankC: 20, bathC: null, roomC: 20 }, 195)[0].c * 100) / 100 // → 35.66
 */
export function tankCourse({ ml, pouredC, tankC, bathC, roomC }: StandingTank, seconds: number): { s: number; c: number }[] {
  requirePositive({ 'What is poured': ml })
  requireTemperatures({ 'What is poured in': pouredC, 'The tank': tankC, 'The room': roomC, 'The bath': bathC ?? roomC })
  const litres = ml / 1000
  const fromC = pouredTemperature([
    { jPerK: waterJPerK * litres, c: pouredC },
    { jPerK: tankJPerK, c: tankC },
  ])
  const tauS = bathC === null ? inAirTauS : jugTau({ litres, fromC })
  const towards = bathC ?? roomC
  return Array.from({ length: Math.floor(seconds) + 1 }, (_, s) => ({ s, c: towards + (fromC - towards) * Math.exp(-s / tauS) }))
}
