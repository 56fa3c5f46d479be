import { z } from 'zod'
import { requireAmounts } from '../error'
import type { Finding } from '../finding'

/** g of silver that one ampere-hour deposits if none is lost, by Faraday's law. */
const gPerAh = 4.025
/** Share of the current that deposits silver; in a bleach-fix iron steals half. House defaults. */
export const electrolysisEfficiency = { fixer: 0.75, 'bleach-fix': 0.5 }
/** g of silver a g of iron takes up in use; 3.86 in theory. Rounded literature value. */
const gPerGIron = 1
/** share of flake that is silver where nobody assayed it. House default. */
export const flakeAssay = 0.9
/** share by which the balance of a recovery may be off */
const mostOff = 0.2

/**
 * g of silver that a current (A) deposits in so many hours.
 * @throws DomainError 'out-of-range'
 * @example
 * electrolysisG({ amps: 2, hours: 3, efficiency: 0.75 }) // → 18.1125
 */
export function electrolysisG({ amps, hours, efficiency }: { amps: number; hours: number; efficiency: number }): number {
  requireAmounts({ 'The current': amps, 'The time': hours, 'The efficiency': efficiency })
  return gPerAh * amps * hours * efficiency
}

/**
 * g of silver a cartridge of so many g of iron takes up before it is spent.
 * @example
 * exchangeG(500) // → 500
 */
export const exchangeG = (ironG: number): number => ironG * gPerGIron

const recovered = z.strictObject({
  litres: z.number().gt(0).max(100_000),
  /** silver before and after, g/L */
  inGPerL: z.number().min(0).max(100),
  outGPerL: z.number().min(0).max(100),
  /** what was taken out, and the share of it that is silver */
  grams: z.number().min(0).max(1_000_000),
  assay: z.number().min(0).max(1),
})
export type Recovered = z.output<typeof recovered>

/** A recovery as it is written down: by current, or by exchange with a metal. By sulfide none is: it is refused. */
export const recoveryBody = z.strictObject({
  method: z.enum(['electrolysis', 'exchange']),
  ...recovered.shape,
  /** of electrolysis; null where nobody read them */
  amps: z.number().gt(0).max(1000).nullable(),
  hours: z.number().gt(0).max(10_000).nullable(),
  /** g of metal in the cartridge; of exchange */
  ironG: z.number().gt(0).max(1_000_000).nullable(),
  note: z.string().trim().max(1000),
})
export type RecoveryBody = z.output<typeof recoveryBody>

/**
 * g of silver that left the liquid of a recovery, g that were found, and what speaks against the two.
 * @throws DomainError 'out-of-range'
 * @example
 * recoveryBalance({ litres: 10, inGPerL: 4, outGPerL: 0.5, grams: 38, assay: 0.9 }).findings // → []
 */
export function recoveryBalance({ litres, inGPerL, outGPerL, grams, assay }: Recovered): {
  leftG: number
  foundG: number
  findings: Finding[]
} {
  requireAmounts({
    'The liquid': litres,
    'The silver before': inGPerL,
    'The silver after': outGPerL,
    'What was taken out': grams,
    Assay: assay,
  })
  const [leftG, foundG] = [litres * (inGPerL - outGPerL), grams * assay]
  const findings: Finding[] = []
  const say = (message: string): void => void findings.push({ rule: 'recovery-balance', severity: 'warning', message })
  if (leftG < 0) say('There is more silver after than before: test both again.')
  else if (Math.abs(leftG - foundG) > mostOff * Math.max(leftG, foundG))
    say(`${leftG.toFixed(1)} g left the liquid and ${foundG.toFixed(1)} g were found: a reading, the weight or the assay is off.`)
  return { leftG, foundG, findings }
}

/** g/L at which current is switched off: below it sulfide forms; and at the outlet of a cartridge that is spent */
const [stopGPerL, spentGPerL] = [0.5, 0.1]
/**
 * What is to be done by the silver that was left: where current was left on too long, or a cartridge is spent.
 * @example
 * recoveryAdvice({ method: 'exchange', outGPerL: 0.2 }).map((one) => one.rule) // → ['recovery-spent']
 */
export function recoveryAdvice({ method, outGPerL }: Pick<RecoveryBody, 'method' | 'outGPerL'>): Finding[] {
  if (method === 'exchange' && outGPerL > spentGPerL)
    return [
      {
        ...{ rule: 'recovery-spent', severity: 'warning' },
        message: 'Over 100 mg/L at its outlet: the cartridge is spent. Seal it; it goes to the refiner.',
      },
    ]
  if (method === 'electrolysis' && outGPerL < stopGPerL)
    return [
      {
        ...{ rule: 'recovery-stop', severity: 'warning' },
        message: 'Current stops at 0.5 g/L, earlier if it browns or smells: below that it makes sulfide.',
      },
    ]
  return []
}
