/** What a formula is for. Screens group by these, in this order. */
export const families = [
  'film-developer',
  'print-developer',
  'monobath',
  'first-developer',
  'colour-developer',
  'stop-bath',
  'fixer',
  'bleach-fix',
  'wash-aid',
  'wetting-agent',
  'stabiliser',
  'bleach',
  'reversal-bath',
  'conditioner',
  'toner',
  'sensitizer',
  'clearing-bath',
  'other',
] as const
export type Family = (typeof families)[number]

type MarkShape = 'circle' | 'triangle' | 'square' | 'diamond' | 'pentagon' | 'drop' | 'hexagon' | 'half-circle' | 'ring'

export interface Mark {
  letter: 'D' | 'S' | 'F' | 'B' | 'C' | 'W' | 'T' | 'L' | 'O'
  shape: MarkShape
  /** name of the colour in the white-light palette; never the only sign */
  colour: 'developer' | 'stop' | 'fixer' | 'bleach' | 'clearing' | 'wash' | 'toner' | 'sensitizer' | 'other'
}

const marks: Record<string, Mark> = {
  developer: { letter: 'D', shape: 'circle', colour: 'developer' },
  stop: { letter: 'S', shape: 'triangle', colour: 'stop' },
  fixer: { letter: 'F', shape: 'square', colour: 'fixer' },
  bleach: { letter: 'B', shape: 'diamond', colour: 'bleach' },
  clearing: { letter: 'C', shape: 'pentagon', colour: 'clearing' },
  wash: { letter: 'W', shape: 'drop', colour: 'wash' },
  toner: { letter: 'T', shape: 'hexagon', colour: 'toner' },
  sensitizer: { letter: 'L', shape: 'half-circle', colour: 'sensitizer' },
  other: { letter: 'O', shape: 'ring', colour: 'other' },
}

const familyMarks: Record<string, string> = {
  'film-developer': 'developer',
  'print-developer': 'developer',
  monobath: 'developer',
  'first-developer': 'developer',
  'colour-developer': 'developer',
  'bleach-fix': 'bleach',
  'stop-bath': 'stop',
  fixer: 'fixer',
  'wash-aid': 'wash',
  'wetting-agent': 'wash',
  bleach: 'bleach',
  toner: 'toner',
  sensitizer: 'sensitizer',
  'clearing-bath': 'clearing',
  stabiliser: 'wash',
  'reversal-bath': 'developer',
  conditioner: 'clearing',
  // kinds of step that use no bottle
  'pre-wet': 'wash',
  rinse: 'wash',
  wash: 'wash',
}

/**
 * Letter, shape and colour of a family of baths or a kind of step. What has none of its own is an O in a ring.
 * @example
 * markOf('fixer').letter // → 'F'
 */
export const markOf = (family: string): Mark => marks[familyMarks[family] ?? 'other'] as Mark

export const familyNames: Record<Family, string> = {
  'film-developer': 'Film developers',
  'print-developer': 'Print developers',
  monobath: 'Monobaths',
  'first-developer': 'First developers (slide)',
  'colour-developer': 'Colour developers',
  'stop-bath': 'Stop baths',
  fixer: 'Fixers',
  'bleach-fix': 'Bleach-fixes',
  'wash-aid': 'Wash aids',
  'wetting-agent': 'Wetting agents',
  stabiliser: 'Stabilisers',
  bleach: 'Bleaches',
  'reversal-bath': 'Reversal baths',
  conditioner: 'Conditioners',
  toner: 'Toners',
  sensitizer: 'Sensitizers',
  'clearing-bath': 'Clearing baths',
  other: 'Others',
}
