import { chosenOptions, roleOf, stepsOf, timeWords, showTime, type Draft, type Light, type ProcessBody } from '@selvrin/core'

const lights = { dark: 'dark', tank: 'tank closed', white: 'white light' }
const lightName = (light: Light): string => (typeof light === 'object' ? `${light.safelight} safelight` : lights[light])

/** A step as the ribbon shows it: all of them, those of options that are off pale. */
export interface RibbonStep {
  key: string
  name: string
  kind: string
  family: string
  light: string
  time: string
  celsius: number | null
  /** the option it waits for; empty where it counts */
  offFor: string
  findings: number
}

export function ribbonSteps(process: ProcessBody, draft: Draft | null): RibbonStep[] {
  const counted = new Set(stepsOf(process).map((step) => step.key))
  const options = chosenOptions(process)
  return process.steps.map((step) => {
    const planned = draft?.plan?.steps.find((one) => one.key === step.key)
    return {
      ...{ key: step.key, name: step.name, kind: step.kind, light: lightName(step.light) },
      family: planned?.family ?? process.roles.find((role) => role.id === roleOf(step))?.family ?? step.kind,
      time:
        planned && step.time !== 'chart'
          ? showTime(planned.seconds)
          : step.time === 'chart'
            ? 'by the chart'
            : timeWords(step.time, (key) => process.steps.find((one) => one.key === key)?.name ?? key),
      celsius: planned && step.liquid !== 'air' && step.liquid !== 'light' ? planned.temperatureC : null,
      offFor: counted.has(step.key) ? '' : (options.find((one) => one.steps.includes(step.key))?.name ?? ''),
      findings: draft?.findings.filter((one) => one.key === step.key && one.severity !== 'advice').length ?? 0,
    }
  })
}
