import { DomainError, requireAmounts } from '../error'

/** One roll is 80 sq in. Rounded literature value. */
export const rollAreaCm2 = 516

/** Roll equivalents of one piece. Rounded literature values; paper is counted on a scale of its own and never added to film. */
export const formats: Record<string, { rolls: number; name: string; paper?: true; carryOutMl: number }> = {
  '135-36': { rolls: 1, name: '135, 36 exposures', carryOutMl: 15 },
  '135-24': { rolls: 0.7, name: '135, 24 exposures', carryOutMl: 15 },
  '135-12': { rolls: 0.4, name: '135, 12 exposures', carryOutMl: 15 },
  '120': { rolls: 1, name: '120', carryOutMl: 25 },
  '220': { rolls: 2, name: '220', carryOutMl: 50 },
  '4x5in': { rolls: 0.25, name: 'sheet 4×5 in', carryOutMl: 5 },
  '5x7in': { rolls: 0.44, name: 'sheet 5×7 in', carryOutMl: 9 },
  '13x18cm': { rolls: 0.44, name: 'sheet 13×18 cm', carryOutMl: 9 },
  '8x10in': { rolls: 1, name: 'sheet 8×10 in', carryOutMl: 20 },
  'paper-8x10in': { rolls: 1, name: 'paper 8×10 in', paper: true, carryOutMl: 18 },
  'fibre-8x10in': { rolls: 1, name: 'fibre paper 8×10 in', paper: true, carryOutMl: 25 },
}

/**
 * How much of a bath's capacity a load takes, in rolls: two 135-24 films are 1.4. An unknown format throws `unknown-format`.
 * @example
 * rollEquivalents({ format: '135-24', count: 2 }) // → 1.4
 * rollEquivalents({ areaCm2: 1032 }) // → 2
 */
export function rollEquivalents(load: { format: string; count: number } | { areaCm2: number }): number {
  if ('areaCm2' in load) {
    requireAmounts({ 'The area': load.areaCm2 })
    return load.areaCm2 / rollAreaCm2
  }
  requireAmounts({ 'The number of films': load.count })
  const format = Object.hasOwn(formats, load.format) ? formats[load.format] : undefined
  if (!format) throw new DomainError('unknown-format', `“${load.format}” is not a known format. Give its area in square centimetres.`)
  return format.rolls * load.count
}

/**
 * Millilitres a load carries out of a bath: rounded literature values per piece, or what was measured of the vessel, ml a piece. Of a size of one's own by its area: as
 * much clings to a square centimetre of it as to one of a sheet of its kind.
 * @example
 * carryOutMl({ format: '120', count: 2 }) // → 50
 * carryOutMl({ areaCm2: 1032, paper: true }) // → 36
 */
export function carryOutMl(load: { format: string; count: number } | { areaCm2: number; paper: boolean }, measuredMl?: number): number {
  const equivalents = rollEquivalents(load)
  if ('areaCm2' in load) return equivalents * (formats[load.paper ? 'paper-8x10in' : '8x10in']?.carryOutMl ?? 0)
  if (measuredMl !== undefined) requireAmounts({ 'What a reel carries out': measuredMl })
  return (measuredMl ?? formats[load.format]?.carryOutMl ?? 0) * load.count
}
