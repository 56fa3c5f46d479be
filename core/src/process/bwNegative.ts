import { agitations } from './agitations'
import type { Agitation, Process, ProcessStep } from './process'

const drainS = 10

/**
 * Black-and-white negatives in a hand tank or drum: pre-wet if wanted, develop, stop, fix, wash in fills or with a wash aid between, wetting agent.
 * Times in s are the formula's usual ones (rounded literature values); the developing time comes from the chart.
 * @example
 * bwNegative({ preWet: false, washAid: false, wettingAgent: false, agitation: run.steps[0].agitation, rotary: false }).steps.map((step) => step.kind) // → ['develop', 'stop', 'fix', 'wash']
 */
export function bwNegative(choice: {
  preWet: boolean
  washAid: boolean
  wettingAgent: boolean
  agitation: Agitation
  rotary: boolean
  /** water instead of an acid stop bath */
  waterStop?: boolean
  stopS?: number
  fixS: number
  /** two baths: half the time in each */
  twoBathFix?: boolean
}): Process {
  const always = agitations.continuous as Agitation
  const hand = choice.rotary ? always : choice.agitation
  const step = (part: Pick<ProcessStep, 'kind' | 'name' | 'bath' | 'time' | 'fate'> & Partial<ProcessStep>): ProcessStep => ({
    toleranceC: 2,
    agitation: hand,
    light: 'tank',
    drainS,
    ...part,
  })
  const water = { bath: 'water', fate: 'drain', toleranceC: 3 } as const
  return {
    id: 'bw-negative',
    name: 'Black-and-white negative',
    material: 'bw-film',
    steps: [
      ...(choice.preWet ? [step({ kind: 'pre-wet', name: 'Pre-wet', time: choice.rotary ? 300 : 60, ...water })] : []),
      step({ kind: 'develop', name: 'Develop', bath: 'film-developer', time: 'chart', toleranceC: 0.5, fate: 'discard' }),
      choice.waterStop
        ? step({ kind: 'stop', name: 'Water stop', time: 60, agitation: always, ...water })
        : step({ kind: 'stop', name: 'Stop', bath: 'stop-bath', time: choice.stopS ?? 60, agitation: always, fate: 'back' }),
      ...(choice.twoBathFix
        ? [
            step({ kind: 'fix', name: 'Fix, first bath', bath: 'fixer', time: choice.fixS / 2, fate: 'back' }),
            step({ kind: 'fix', name: 'Fix, second bath', bath: 'second-fixer', time: choice.fixS / 2, fate: 'back' }),
          ]
        : [step({ kind: 'fix', name: 'Fix', bath: 'fixer', time: choice.fixS, fate: 'back' })]),
      ...(choice.washAid
        ? [
            step({ kind: 'wash', name: 'First wash', time: 60, light: 'white', ...water }),
            step({ kind: 'wash-aid', name: 'Wash aid', bath: 'wash-aid', time: 120, light: 'white', fate: 'back' }),
            step({ kind: 'wash', name: 'Wash', time: 300, light: 'white', ...water }),
          ]
        : [step({ kind: 'wash', name: 'Wash, three fills', time: 480, light: 'white', ...water })]),
      ...(choice.wettingAgent
        ? [
            step({
              kind: 'wetting-agent',
              name: 'Wetting agent',
              bath: 'wetting-agent',
              time: 60,
              light: 'white',
              agitation: agitations.none as Agitation,
              fate: 'discard',
            }),
          ]
        : []),
    ],
  }
}
