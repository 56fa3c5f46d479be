import type { Pair } from '@selvrin/core/contract'

/** '6 right, 2 hard, 3 not said': density and contrast, each only where somebody said it. */
export function cameWords({ films, came }: Pick<Pair, 'films' | 'came'>): string {
  const said = came.thin + came.right + came.dense
  const words = [
    ...(['right', 'thin', 'dense'] as const).flatMap((one) => (came[one] > 0 ? [`${came[one]} ${one}`] : [])),
    ...(['flat', 'hard'] as const).flatMap((one) => (came[one] > 0 ? [`${came[one]} ${one}`] : [])),
    ...(films > said ? [`${films - said} not said`] : []),
  ]
  return words.join(', ')
}

/** '12 % less', '8 % more', 'as charted'. */
export function percentWords(factor: number): string {
  const percent = Math.round(Math.abs(factor - 1) * 100)
  return percent === 0 ? 'as charted' : `${percent} % ${factor < 1 ? 'less' : 'more'}`
}
