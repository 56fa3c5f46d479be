import type { Finding } from '../finding'
import { warmingBy } from '../water/dissolvingHeat'
import type { MixState } from './mixState'

export interface MixCoursePoint {
  step: number
  /** °C the liquid should have when this line goes in: the formula's own temperature for it, or what the lines before leave */
  beforeC: number
  /** °C expected when it has dissolved; the same as before where its heat of solution is unknown */
  afterC: number
  known: boolean
}

/** °C at which water would boil over or a step stops being safe, and the change worth a word. Rounded literature values. */
const boilingC = 90
const hotC = 50
const coldC = 15
const bigChangeC = 8

/**
 * The temperature of a mix from addition to addition, from the water as measured, or as the formula wants it.
 * @example
 * mixCourse(begun).length // → 4
 */
export function mixCourse(state: MixState): MixCoursePoint[] {
  let liquidG = state.startMl
  let celsius = state.waterC ?? state.formula.mixC
  return state.lines.map(({ line, chemical, factor }) => {
    const beforeC = line.addition.atC ?? celsius
    const grams = line.grams * factor
    const change = line.dissolved ? 0 : warmingBy(chemical, grams, liquidG)
    celsius = beforeC + (change ?? 0)
    liquidG += line.dissolved ? line.liquidMl : grams
    return { step: line.step, beforeC, afterC: celsius, known: change !== null }
  })
}

/**
 * What the course of temperatures warns of: a solution that would boil, or get so cold that the next chemicals do not dissolve.
 * @example
 * heatFindings(begun) // → []
 */
export function heatFindings(state: MixState): Finding[] {
  return mixCourse(state).flatMap(({ step, beforeC, afterC }): Finding[] => {
    const name = state.lines[step]?.chemical.name ?? ''
    const [from, to] = [Math.round(beforeC), Math.round(afterC)]
    if (afterC >= boilingC)
      return [
        {
          rule: 'heat-1',
          severity: 'error',
          step,
          message: `${name} takes the solution from ${from} to about ${to} °C: it spits and boils. Begin with cold water and stop after each portion.`,
        },
      ]
    if (afterC > hotC && afterC - beforeC >= bigChangeC)
      return [
        {
          rule: 'heat-1',
          severity: 'warning',
          step,
          message: `${name} warms the solution from ${from} to about ${to} °C: small portions, and let it cool before the next.`,
        },
      ]
    if (beforeC - afterC >= bigChangeC || (afterC < coldC && afterC < beforeC - 1))
      return [
        {
          rule: 'heat-2',
          severity: afterC < coldC ? 'warning' : 'advice',
          step,
          message: `${name} cools the solution from ${from} to about ${to} °C${afterC < coldC ? ': the rest dissolves badly. Begin warmer or warm it again in a bath.' : ': stir long, what follows dissolves slower.'}`,
        },
      ]
    return []
  })
}
