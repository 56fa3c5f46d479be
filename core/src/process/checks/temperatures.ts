import { showTemperature } from '../../quantity/format'
import type { PlanStep } from '../load'
import { isBw, isColour, isDeveloping, ofSteps, type Check } from './check'

/** Neighbouring baths of black-and-white film may differ by so much before the gelatine may crack, and before it does. °C, rounded literature values. */
const mayCrackC = 5
const cracksC = 10
/** A permanganate bleach softens the gelatine above it. °C, rounded literature value. */
const warmestPermanganateC = 21
const slack = 1e-9

const measured = (step: PlanStep): boolean => step.liquid !== 'air' && step.liquid !== 'light'

export const temperature: Check = (plan) =>
  ofSteps(plan, 'plan-temperature', (step) => {
    if (!measured(step)) return null
    const has = showTemperature(step.temperatureC)
    if (step.c)
      return step.temperatureC < step.c.min - slack || step.temperatureC > step.c.max + slack
        ? {
            severity: 'error',
            message: `${step.name} is at ${has}; it works from ${showTemperature(step.c.min)} to ${showTemperature(step.c.max)}. Bring it there.`,
          }
        : null
    // what has times for other temperatures is right at each of them
    const wanted = typeof step.time === 'object' && 'table' in step.time ? step.temperatureC : (step.atC ?? plan.temperatureC)
    const off = Math.abs(step.temperatureC - wanted)
    if (off <= step.toleranceC + slack) return null
    return isColour(plan) && isDeveloping(step)
      ? {
          severity: 'error',
          message: `${step.name} is at ${has} and wants ${showTemperature(wanted)} ± ${step.toleranceC} °C: the colours shift. Bring it there.`,
        }
      : {
          severity: 'warning',
          message: `${step.name} is at ${has}, ${off.toFixed(1)} °C from ${step.atC === undefined ? 'the developer' : showTemperature(wanted)}; ${step.toleranceC} °C is what it bears.`,
        }
  })

export const coloursCross: Check = (plan) =>
  ofSteps(plan, 'plan-colours-cross', (step) =>
    isColour(plan) &&
    isDeveloping(step) &&
    step.atC !== undefined &&
    typeof step.time === 'object' &&
    'table' in step.time &&
    Math.abs(step.temperatureC - step.atC) > step.toleranceC + slack
      ? {
          severity: 'warning',
          message: `${step.name} at ${showTemperature(step.temperatureC)} instead of ${showTemperature(step.atC)}: the time is right, and the colours of light and shadow part all the same.`,
        }
      : null,
  )

export const reticulation: Check = (plan) =>
  ofSteps(plan, 'plan-reticulation', (step, i) => {
    const before = plan.steps.slice(0, i).findLast(measured)
    if (!isBw(plan) || !before || !measured(step)) return null
    const jump = Math.abs(before.temperatureC - step.temperatureC)
    if (jump <= mayCrackC + slack) return null
    const says = `${step.name} at ${showTemperature(step.temperatureC)} is ${jump.toFixed(1)} °C from ${before.name}`
    return jump > cracksC + slack
      ? { severity: 'error', message: `${says}: the gelatine cracks. Bring them together.` }
      : { severity: 'warning', message: `${says}: beyond ${mayCrackC} °C the gelatine may crack. Bring them together.` }
  })

export const permanganateWarm: Check = (plan) =>
  ofSteps(plan, 'plan-permanganate-warm', (step) =>
    step.kind === 'bleach' &&
    (step.bottle?.bleaches ? step.bottle.bleaches === 'permanganate' : plan.material === 'bw-slide') &&
    step.temperatureC > warmestPermanganateC + slack
      ? {
          severity: 'error',
          message: `${step.name} at ${showTemperature(step.temperatureC)}: above ${warmestPermanganateC} °C permanganate dissolves the softened gelatine. Cool it.`,
        }
      : null,
  )
