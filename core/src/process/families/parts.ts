import { agitations } from '../agitations'
import type { Process } from '../process'
import type { ProcessStep } from '../step'

/* What house processes have in common. Rounded literature values. */

type Asked = Pick<ProcessStep, 'key' | 'kind' | 'name' | 'liquid' | 'time' | 'fate'> & Partial<ProcessStep>
/** A step in a closed tank that follows the developer within 2 °C, where nothing else is said. */
export const step = (part: Asked): ProcessStep => ({ toleranceC: 2, light: 'tank', ...part })
export const never = agitations.none
export const water = { liquid: 'water', fate: 'drain', toleranceC: 3 } as const

export const fixRoles: Process['roles'] = [
  { id: 'stop', name: 'Stop bath', family: 'stop-bath' },
  { id: 'fixer', name: 'Fixer', family: 'fixer' },
  { id: 'second-fixer', name: 'Second fixer', family: 'fixer' },
  { id: 'wash-aid', name: 'Wash aid', family: 'wash-aid' },
  { id: 'wetting-agent', name: 'Wetting agent', family: 'wetting-agent' },
]
export const acidStop: ProcessStep[] = [
  step({
    key: 'stop',
    kind: 'stop',
    name: 'Stop',
    liquid: { role: 'stop' },
    time: { s: 30 },
    fate: 'back',
    agitation: agitations.continuous,
  }),
  step({ ...water, key: 'water-stop', kind: 'stop', name: 'Water stop', time: { s: 60 }, agitation: agitations.continuous }),
]
const inverted = (times: number) => ({ ...agitations.none, name: `${times} inversions`, firstS: times * 2, inversions: times })
/** Three ways to wash: fills that give the gelatine time, running water, or a wash aid between. */
export const washes: ProcessStep[] = [
  step({ ...water, key: 'wash-1', kind: 'wash', name: 'Wash, first fill', time: { s: 30 }, light: 'white', agitation: inverted(5) }),
  step({ ...water, key: 'wash-2', kind: 'wash', name: 'Wash, second fill', time: { s: 60 }, light: 'white', agitation: inverted(10) }),
  step({ ...water, key: 'wash-3', kind: 'wash', name: 'Wash, third fill', time: { s: 120 }, light: 'white', agitation: inverted(20) }),
  step({
    ...water,
    key: 'wash-running',
    kind: 'wash',
    name: 'Wash, running',
    time: { s: 600 },
    light: 'white',
    agitation: agitations.none,
  }),
  step({ ...water, key: 'rinse', kind: 'rinse', name: 'Rinse', time: { s: 60 }, light: 'white' }),
  step({
    key: 'wash-aid',
    kind: 'wash-aid',
    name: 'Wash aid',
    liquid: { role: 'wash-aid' },
    time: { s: 120 },
    light: 'white',
    fate: 'back',
  }),
  step({ ...water, key: 'wash-after', kind: 'wash', name: 'Wash', time: { s: 300 }, light: 'white' }),
]
export const wettingAgent: ProcessStep = step({
  ...{ key: 'wetting-agent', kind: 'wetting-agent', name: 'Wetting agent', liquid: { role: 'wetting-agent' }, time: { s: 60 } },
  ...{ light: 'white', agitation: agitations.none, fate: 'discard' },
})
export const crossedPreWet: ProcessStep = step({
  ...water,
  ...{ key: 'pre-wet', kind: 'pre-wet', name: 'Pre-wet', time: { s: 60 }, note: 'coloured water is dye, no fault' },
})
