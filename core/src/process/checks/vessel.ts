import type { Check } from './check'

export const vessel: Check = (plan) => {
  const { misfit } = plan.vessel
  if (misfit !== undefined) return [{ rule: 'plan-vessel', severity: 'error', message: misfit }]
  if (plan.films.some((film) => film.format === '4x5in')) return []
  const reels = plan.films.reduce((sum, film) => sum + film.count, 0)
  return reels > plan.vessel.reels
    ? [
        {
          rule: 'plan-vessel',
          severity: 'error',
          message: `${plan.vessel.name} takes ${plan.vessel.reels} ${plan.vessel.reels === 1 ? 'film' : 'films'}, not ${reels}: use a larger one or fewer films.`,
        },
      ]
    : []
}

export const vesselTaken: Check = ({ vessel: { name, running = [], planned = [] } }) => [
  ...(running.length > 0
    ? [
        {
          rule: 'plan-vessel-running',
          severity: 'warning' as const,
          message: `${name} is in run ${running.join(', ')} now: this one waits until it is out.`,
        },
      ]
    : []),
  ...(planned.length > 0
    ? [
        {
          rule: 'plan-vessel-taken',
          severity: 'warning' as const,
          message: `${name} is reserved for run ${planned.join(', ')} too: only one of them can be in it at a time.`,
        },
      ]
    : []),
]
