import { DomainError } from '../error'
import type { Compensation } from '../formula/use'

type Table = Extract<Compensation, { table: object }>['table']

const step = /^\s*(\d+(?:[.,]\d+)?)\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*$/i
const plain = (text: string): number => Number(text.replace(',', '.'))
const exact = (value: number): string => String(Number(value.toFixed(4)))

/**
 * Steps of a compensated bath as a technician writes them: rolls a litre and factor, '0 x1, 5 x1.2'.
 * @example
 * showSteps([{ rollsPerL: 2, factor: 1.1 }]) // → '2 x1.1'
 */
export const showSteps = (table: Table): string => table.map((one) => `${exact(one.rollsPerL)} x${exact(one.factor)}`).join(', ')

/**
 * The same read back; a decimal comma is none between steps. What is no step throws `not-steps`.
 * @example
 * readSteps('2 x1.1, 4 x1.25') // → [{ rollsPerL: 2, factor: 1.1 }, { rollsPerL: 4, factor: 1.25 }]
 */
export const readSteps = (text: string): Table =>
  text.split(/[,;](?!\d)/).map((part) => {
    const [, rolls, factor] = step.exec(part) ?? []
    if (rolls === undefined || factor === undefined)
      throw new DomainError('not-steps', `Write steps such as “5 x1.2”, not “${part.trim()}”.`)
    return { rollsPerL: plain(rolls), factor: plain(factor) }
  })
