import { impossible } from '../../error'

/**
 * Refuses to bring a bottle of what is mixed here; only what is bought ready made comes onto the shelf like that.
 * @throws Refused 'mixed-here'
 * @example
 * requireBrought({ name: 'Plain fixer', additions: fixer.additions }) // throws 'mixed-here'
 */
export function requireBrought({ name, additions, combine }: { name: string; additions: unknown[]; combine?: unknown }): void {
  if (additions.length > 0 || combine) throw impossible('mixed-here', `${name} is mixed here: use the scales.`)
}
