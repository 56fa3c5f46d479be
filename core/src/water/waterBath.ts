import { DomainError, requireAmounts, requirePositive, requireTemperatures } from '../error'

/** A tempering bath: water under a thermostat. °C, W, W/K. */
export interface WaterBath {
  litres: number
  setC: number
  roomC: number
  fromC: number
  /** 1,000 where not given */
  powerW?: number
  covered?: boolean
  /** by its size and cover where not given */
  uaWPerK?: number
}
/** A jug or bottle that stands in it. */
export interface Jug {
  litres: number
  fromC: number
  /** time constant, s; by size, wall and stirring where not given */
  tauS?: number
  wall?: 'plastic' | 'steel'
  stirred?: boolean
}

/** J/K of a litre of water; the tub and what else warms with it adds a tenth. Rounded literature values, as all here. */
export const waterJPerK = 4186
const withTub = 1.1
export const usualPowerW = 1000
const usualUa = { open: 7, covered: 3, litres: 20 }
const jugTauS = 660
const steelShare = 0.7
const unstirredShare = 1.8
/** s: a tank that stands in air */
export const inAirTauS = 75 * 60
/** J/K of a dry plastic tank with its reels */
export const tankJPerK = 375
/** the heater is full on so far below the set point, °C, and off above it */
export const bandC = 0.1
/** a course longer than this is no course of an evening, s */
const mostS = 48 * 3600

/** J/K of a bath. */
export const bathJPerK = (litres: number): number => waterJPerK * litres * withTub
/**
 * W/K a bath loses to the room, by its surface.
 * @example
 * usualUaWPerK(20, true) // → 3
 */
export const usualUaWPerK = (litres: number, covered = false): number =>
  (covered ? usualUa.covered : usualUa.open) * (litres / usualUa.litres) ** (2 / 3)
/**
 * s: time constant of a jug in a bath.
 * @example
 * jugTau({ litres: 1, fromC: 20 }) // → 660
 */
export const jugTau = ({ litres, tauS, wall = 'plastic', stirred = true }: Jug): number =>
  tauS ?? jugTauS * litres ** (2 / 3) * (wall === 'steel' ? steelShare : 1) * (stirred ? 1 : unstirredShare)

/**
 * s until a bath alone has come from one temperature to another under full power: (C/UA)·ln((T∞ − T0)/(T∞ − T)), T∞ = room + P/UA.
 * @throws DomainError 'unreachable-temperature' where its heater never brings it there, or it would have to cool
 * @example
 * Math.round(bathHeating({ litres: 20, powerW: 1000, uaWPerK: 7, roomC: 20, fromC: 15, toC: 38 }) / 6) / 10 // → 37.1
 */
export function bathHeating(bath: { litres: number; powerW: number; uaWPerK: number; roomC: number; fromC: number; toC: number }): number {
  const { litres, powerW, uaWPerK, roomC, fromC, toC } = bath
  requirePositive({ 'The litres of the bath': litres, 'The loss of the bath': uaWPerK })
  requireAmounts({ 'The power of the heater': powerW })
  requireTemperatures({ 'The room': roomC, 'The bath': fromC, 'The temperature wanted': toC })
  if (toC === fromC) return 0
  const endC = roomC + powerW / uaWPerK
  if (toC < fromC || toC >= endC)
    throw new DomainError(
      'unreachable-temperature',
      toC < fromC
        ? `The bath has ${fromC} °C already, and a heater does not cool it to ${toC} °C: take some out and fill up with cold water.`
        : `In a room of ${roomC} °C this bath never comes to ${toC} °C: cover it, take less water or fill it warmer.`,
    )
  return (bathJPerK(litres) / uaWPerK) * Math.log((endC - fromC) / (endC - toC))
}

export interface BathPoint {
  s: number
  bathC: number
  jugC: number[]
}

/**
 * How a bath and the jugs in it warm, each second from 0 on: heater by its thermostat, loss to the room, jugs by their time constants. Explicit steps of 1 s.
 * @throws DomainError 'out-of-range'
 * @example
 * bathCourse({ bath: { litres: 20, setC: 38, roomC: 20, fromC: 38 }, jugs: [{ litres: 1, fromC: 20 }], seconds: 60 })[0].jugC // → [20]
 */
export function bathCourse({ bath, jugs, seconds }: { bath: WaterBath; jugs: Jug[]; seconds: number }): BathPoint[] {
  const { litres, setC, roomC, fromC, powerW = usualPowerW, covered = false, uaWPerK = usualUaWPerK(litres, covered) } = bath
  requirePositive({ 'The litres of the bath': litres })
  requireAmounts({ 'The power of the heater': powerW, 'The loss of the bath': uaWPerK, 'The time looked at': seconds })
  requireTemperatures({ 'The set point': setC, 'The room': roomC, 'The bath': fromC })
  if (seconds > mostS) throw new DomainError('out-of-range', 'A bath is looked at over two days at the most.')
  const held = jugs.map((jug) => {
    const tauS = jugTau(jug)
    requirePositive({ 'The litres of a jug': jug.litres, 'The time constant of a jug': tauS })
    requireTemperatures({ 'A jug': jug.fromC })
    const jPerK = waterJPerK * jug.litres
    return { jPerK, g: jPerK / tauS }
  })
  const c = bathJPerK(litres)
  let bathC = fromC
  let jugC = jugs.map((jug) => jug.fromC)
  const course: BathPoint[] = [{ s: 0, bathC, jugC }]
  for (let s = 1; s <= seconds; s++) {
    const share = Math.min(1, Math.max(0, (setC - bathC) / bandC))
    const toJugs = held.reduce((sum, jug, i) => sum + jug.g * (bathC - (jugC[i] as number)), 0)
    const nextC = bathC + (share * powerW - uaWPerK * (bathC - roomC) - toJugs) / c
    jugC = jugC.map((one, i) => one + ((held[i] as (typeof held)[number]).g * (bathC - one)) / (held[i] as (typeof held)[number]).jPerK)
    bathC = nextC
    course.push({ s, bathC, jugC })
  }
  return course
}

/**
 * °C of what is poured together: Σ C·T / Σ C.
 * @throws DomainError 'out-of-range' where nothing is poured
 * @example
 * Math.round(pouredTemperature([{ jPerK: 2511.6, c: 38 }, { jPerK: 375, c: 20 }]) * 100) / 100 // → 35.66
 */
export function pouredTemperature(parts: { jPerK: number; c: number }[]): number {
  for (const { jPerK, c } of parts) {
    requireAmounts({ 'What a part takes to warm': jPerK })
    requireTemperatures({ 'A part': c })
  }
  const all = parts.reduce((sum, part) => sum + part.jPerK, 0)
  requirePositive({ 'What is poured together': all })
  return parts.reduce((sum, part) => sum + part.jPerK * part.c, 0) / all
}

/**
 * Whether the liquid in a tank stays where it has to over its step, with the error of the model added.
 * @throws DomainError 'out-of-range' without a course
 * @example
 * bathHolds({ course: [{ s: 0, c: 37.8 }, { s: 195, c: 37.7 }], targetC: 37.8, toleranceC: 0.15, errorC: 0.02 }) // → true
 */
export function bathHolds(held: { course: { s: number; c: number }[]; targetC: number; toleranceC: number; errorC: number }): boolean {
  const { course, targetC, toleranceC, errorC } = held
  requirePositive({ 'The number of points of a course': course.length })
  requireAmounts({ 'The tolerance': toleranceC, 'The error of the model': errorC })
  requireTemperatures({
    'The temperature wanted': targetC,
    ...Object.fromEntries(course.map(({ c }, i) => [`Point ${i + 1} of the course`, c])),
  })
  return Math.max(...course.map(({ c }) => Math.abs(c - targetC))) + errorC <= toleranceC
}
