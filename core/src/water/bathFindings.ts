import type { Finding } from '../finding'
import type { BathReading } from './fitBath'

/** min looked back over, °C that count as a change, °C above the set point from which it should rest */
const lookS = 300
const changeC = 0.25
const aboveC = 0.4
/** °C two thermometers may differ by in one bath */
const apartC = 0.25

/**
 * What speaks against a bath, by its log of the last minutes: it heats without growing warmer, it grows warmer above its set point, or it reads otherwise than a probe that
 * stands in it.
 * @example
 * bathFindings({ readings: [], setC: 38, probeC: null }) // → []
 */
export function bathFindings({
  readings,
  setC,
  probeC,
}: {
  readings: BathReading[]
  setC: number | null
  probeC: number | null
}): Finding[] {
  const last = readings.at(-1)
  if (!last) return []
  const lately = readings.filter((one) => one.s >= last.s - lookS)
  const [first] = lately
  const spanS = first ? last.s - first.s : 0
  const grownC = first ? last.c - first.c : 0
  const findings: Finding[] = []
  const say = (rule: string, message: string) => findings.push({ rule, severity: 'warning', message })
  if (spanS >= lookS * 0.8) {
    if (lately.every((one) => one.on > 0.95) && grownC < changeC)
      say('bath-cold', 'The bath heats with all it has and grows no warmer: look whether its heater is in the water and its pump runs.')
    if (setC !== null && last.c > setC + aboveC && grownC > changeC)
      say('bath-sticks', 'The bath grows warmer above its set point: its relay may stick. Switch it off at the plug before it boils.')
    if (setC !== null && last.c < setC - aboveC && lately.every((one) => one.on < 0.05))
      say('bath-off', 'The bath is colder than it is set to and does not heat: its relay may stick, or its water is too low.')
  }
  if (probeC !== null && Math.abs(probeC - last.c) > apartC && Math.abs(probeC - last.c) < 5)
    say(
      'bath-drifts',
      'The probe and the bath’s own thermometer do not agree. Compare both with the reference thermometer; until then believe the one that was compared last.',
    )
  return findings
}

/** °C a bath may be set from what a run wants and still be the bath of that run */
const itsOwnC = 1.5

/**
 * What speaks against starting a run, or going on with it, in this bath: it is not there yet, or not any more. A bath that is set to another temperature is another run's, and
 * nothing is said of it. Temperatures in °C.
 * @example
 * bathForRun({ bathC: 36.2, setC: 37.8, wantedC: 37.8, toleranceC: 0.15 }).map((one) => one.rule) // → ['bath-not-there']
 */
export function bathForRun({
  bathC,
  setC,
  wantedC,
  toleranceC,
}: {
  bathC: number
  setC: number | null
  wantedC: number
  toleranceC: number
}): Finding[] {
  if (!isBathOf({ setC: setC ?? bathC, wantedC })) return []
  // what a thermometer of the bath shows is no finer than that
  if (Math.abs(bathC - wantedC) <= Math.max(toleranceC, 0.1) + 1e-9) return []
  const message = `The tempering bath is at ${bathC.toFixed(1)} °C and this run wants ${wantedC.toFixed(1)} °C: measure in the liquid before it is poured.`
  return [{ rule: 'bath-not-there', severity: 'warning', message }]
}

/**
 * Whether a bath set to `setC` is the one a run at `wantedC` stands in, both in °C.
 * @example
 * isBathOf({ setC: 38, wantedC: 37.8 }) // → true
 */
export const isBathOf = ({ setC, wantedC }: { setC: number; wantedC: number }): boolean => Math.abs(setC - wantedC) <= itsOwnC
