import { DomainError, requirePositive, requireTemperatures } from '../../error'
import { developingTime } from '../../development/developingTime'

/** s of colour developer by °C; between them ln t is linear. Rounded literature values. */
const developer = [
  { temperatureC: 20, seconds: 120 },
  { temperatureC: 25, seconds: 90 },
  { temperatureC: 35, seconds: 45 },
]
/** °C by which the developer may be off: at 35, where a second counts, and colder */
const tolerance = { hotC: 0.3, coolC: 1, hotFromC: 30 }

/** A step of a colour print in drum or roller: s, °C, and by how much that may be off. */
export interface ColourPrintStep {
  kind: 'pre-wet' | 'develop' | 'stop' | 'rinse' | 'bleach-fix' | 'wash' | 'dry'
  name: string
  /** null where it is done by looking */
  s: number | null
  atC: number
  toleranceC: number
}

/**
 * s a colour print is developed at a temperature (°C).
 * @throws DomainError 'outside-range' below 20 and above 35 °C
 * @example
 * colourPrintSeconds(30) // → 63.64
 */
export function colourPrintSeconds(atC: number): number {
  requireTemperatures({ 'The developer': atC })
  const [cold, hot] = [developer[0]?.temperatureC ?? 0, developer.at(-1)?.temperatureC ?? 0]
  if (atC < cold || atC > hot) throw new DomainError('outside-range', `Colour prints are developed at ${cold} to ${hot} °C, not at ${atC}.`)
  return developingTime({ chart: developer, temperatureC: atC }).seconds
}

/**
 * What a colour print goes through, all of it in the dark or in a closed drum until the bleach-fix is done.
 * @throws DomainError 'outside-range'
 * @example
 * colourPrintSteps({ atC: 35, drum: true }).map((one) => one.s) // → [45, 45, 30, 15, 50, 90, null]
 */
export function colourPrintSteps({ atC, drum }: { atC: number; drum: boolean }): ColourPrintStep[] {
  const s = colourPrintSeconds(atC)
  const loose = Math.min(6, Math.max(1, 36 - atC))
  const step = (kind: ColourPrintStep['kind'], name: string, seconds: number | null, toleranceC = loose): ColourPrintStep => ({
    ...{ kind, name, s: seconds, atC, toleranceC },
  })
  return [
    ...(drum ? [step('pre-wet', 'Warm water', 45)] : []),
    step('develop', 'Colour developer', s, atC >= tolerance.hotFromC ? tolerance.hotC : tolerance.coolC),
    step('stop', 'Acid stop', 30),
    step('rinse', 'Rinse', 15),
    // it works at 24 to 36 °C: what is developed colder is bleached at 24
    { ...step('bleach-fix', 'Bleach-fix', 50), atC: Math.max(24, atC) },
    step('wash', 'Wash', 90),
    step('dry', 'Dry before it is judged', null),
  ]
}

/** ml of each bath one shot in a drum takes for 20 × 25 cm. Rounded literature value. */
const drumMl = 70
const drumCm2 = 516

/**
 * ml of each bath a print takes in a drum, used once: by its area, and at least what wets the drum.
 * @throws DomainError 'out-of-range'
 * @example
 * drumPrintMl({ areaCm2: 516, wetsMl: 50 }) // → 70
 */
export function drumPrintMl({ areaCm2, wetsMl }: { areaCm2: number; wetsMl: number }): number {
  requirePositive({ 'The area': areaCm2, 'What wets the drum': wetsMl })
  return Math.max(wetsMl, (drumMl * areaCm2) / drumCm2)
}

/** ml a bath of a roller machine is replenished by for each m² of paper. Rounded literature values. */
export const rollerMlPerM2 = { developer: 120, bleachFix: 150 } as const
