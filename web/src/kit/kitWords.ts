import type { KitBody } from '@selvrin/core/contract'

const rolls = (count: number): string => `${count} ${count === 1 ? 'roll' : 'rolls'}`

/** 'Good for 16 rolls, of film at EI 400 or more 12.' */
export function capacityWords(capacity: KitBody['capacity']): string {
  const [first, ...faster] = capacity
  if (!first) return ''
  return `Good for ${[rolls(first.rolls), ...faster.map((one) => `of film at EI ${one.fromEi} or more ${one.rolls}`)].join(', ')}.`
}

/** '16; 400: 12' as it is typed: rolls, then those of faster film. */
export const writeCapacity = (capacity: KitBody['capacity']): string =>
  capacity.map((one, i) => (i === 0 && one.fromEi === 1 ? String(one.rolls) : `${one.fromEi}: ${one.rolls}`)).join('; ')

/** Reads '16; 400: 12'. What is no number is refused by the contract. */
export const readCapacity = (text: string): KitBody['capacity'] =>
  text.split(';').map((part) => {
    const [ei, count] = part.includes(':') ? part.split(':') : ['1', part]
    return { fromEi: Number(ei), rolls: Number((count ?? '').trim().replace(',', '.') || NaN) }
  })
