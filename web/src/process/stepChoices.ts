import { agitations, families, familyNames, type Agitation, type Fate, type Light, type ProcessBody, type ProcessStep } from '@selvrin/core'

/** 'wash-aid' is a wash aid, but to pre-wet is to pre-wet. */
const words = (text: string): string => (text.charAt(0).toUpperCase() + text.slice(1)).replace(/-(aid|agent|bath|develop)$/, ' $1')
const kinds: ProcessStep['kind'][] = [
  ...(['pre-wet', 'develop', 'stop', 'rinse', 'bleach', 'clear', 're-expose', 'reversal-bath', 'second-develop', 'conditioner'] as const),
  ...(['fix', 'bleach-fix', 'monobath', 'stabilise', 'wash-aid', 'wash', 'wetting-agent', 'dry', 'tone', 'refix', 'inspect'] as const),
]
export const kindChoices = kinds.map((value) => ({ value, name: words(value) }))
export const familyChoices = families.map((value) => ({ value, name: familyNames[value] }))

/** What a step is poured from: the baths of the process, what an earlier step saved, water, air, a lamp, or a bath that is new. */
export function liquidChoices({ roles, steps }: ProcessBody, step: ProcessStep): { value: string; name: string }[] {
  const earlier = steps.slice(0, steps.indexOf(step))
  return [
    ...roles.map((role) => ({ value: `role ${role.id}`, name: role.name })),
    ...earlier
      .filter(({ fate }) => typeof fate === 'object' && 'saveAs' in fate)
      .map((one) => ({ value: `saved ${one.key}`, name: `What ${one.name} saved` })),
    ...['water', 'air', 'light'].map((value) => ({ value, name: value === 'light' ? 'A lamp' : words(value) })),
    { value: 'new', name: 'Another bath …' },
  ]
}
export const liquidValue = ({ liquid }: ProcessStep): string =>
  typeof liquid === 'string' ? liquid : 'role' in liquid ? `role ${liquid.role}` : `saved ${liquid.savedFrom}`
export function liquidFrom(value: string): ProcessStep['liquid'] {
  if (value.startsWith('role ')) return { role: value.slice(5) }
  return value.startsWith('saved ') ? { savedFrom: value.slice(6) } : (value as 'water')
}

export const lightChoices = [
  { value: 'dark', name: 'Dark: nothing at all' },
  { value: 'tank', name: 'Closed in the tank' },
  { value: 'red', name: 'Red safelight' },
  { value: 'amber', name: 'Amber safelight' },
  { value: 'yellow', name: 'Yellow safelight' },
  { value: 'white', name: 'White light' },
]
export const lightValue = (light: Light): string => (typeof light === 'string' ? light : light.safelight)
export const lightFrom = (value: string): Light =>
  value === 'dark' || value === 'tank' || value === 'white' ? value : { safelight: value as 'red' }

export const fateChoices = [
  { value: 'back', name: 'Back into its bottle' },
  { value: 'discard', name: 'Poured away' },
  { value: 'drain', name: 'Down the drain' },
  { value: 'save', name: 'Saved for a later step' },
  { value: 'drum', name: 'Into its waste drum' },
]
export const fateValue = (fate: Fate): string => (typeof fate === 'string' ? fate : 'saveAs' in fate ? 'save' : 'drum')
export const fateFrom = (value: string, step: ProcessStep, family: string): Fate =>
  value === 'save' ? { saveAs: step.key } : value === 'drum' ? { drum: family } : (value as 'back')

/** Its own scheme, or as the run is agitated. */
export const schemeChoices = (own: Agitation | undefined) => [
  { value: 'run', name: 'As the run is agitated' },
  ...Object.entries(agitations).map(([value, one]) => ({ value, name: one.name })),
  ...(own && !Object.values(agitations).some((one) => one.name === own.name) ? [{ value: 'own', name: own.name }] : []),
]
export const schemeValue = (own: Agitation | undefined): string =>
  own === undefined ? 'run' : (Object.entries(agitations).find(([, one]) => one.name === own.name)?.[0] ?? 'own')
export const schemeFrom = (value: string, own: Agitation | undefined): Agitation | undefined =>
  value === 'run' ? undefined : value === 'own' ? own : agitations[value as keyof typeof agitations]

export const timeChoices = [
  { value: 'fixed', name: 'A time of its own' },
  { value: 'chart', name: 'By the development chart' },
  { value: 'clearing', name: 'By the clearing time' },
  { value: 'inspect', name: 'Until it is seen to be done' },
]
/** A table by temperature and a share of another step stay as they are; they are scaled, not rewritten. */
export const timeValue = (time: ProcessStep['time']): string =>
  time === 'chart' ? 'chart' : 'clearing' in time ? 'clearing' : 'inspect' in time ? 'inspect' : 's' in time ? 'fixed' : 'kept'
export function timeFrom(value: string, before: ProcessStep['time']): ProcessStep['time'] {
  const s = typeof before === 'object' && 's' in before ? before.s : 300
  if (value === 'chart') return 'chart'
  if (value === 'clearing') return { clearing: 2, s }
  return value === 'inspect' ? { inspect: true, atMostS: s } : value === 'fixed' ? { s } : before
}
