import type { CoatedProcess } from './negative'

/** A step of a hand-coated print: how long it usually takes, s; done by looking where it is inspected. */
export interface CoatedStep {
  kind: 'dry' | 'expose' | 'develop' | 'clear' | 'wash' | 'fix' | 'wash-aid'
  name: string
  fromS: number
  toS: number
  inspected: boolean
  watch: string
}
const minute = 60
const step = (kind: CoatedStep['kind'], name: string, [from, to]: [number, number], watch: string, inspected = false): CoatedStep => ({
  ...{ kind, name, fromS: from * minute, toS: to * minute, inspected, watch },
})

const drying = step('dry', 'Dry flat in the dark', [20, 40], 'At 50 to 60 % humidity; cool air last. Tungsten or yellow light at most.')
const clearing = [1, 2, 3].map((n) =>
  step('clear', `Clear, bath ${n}`, [5, 5], 'Until the white matches bare paper; then bath 1 goes, 2 and 3 move up.', n === 3),
)
const inMetal: CoatedStep[] = [
  step('expose', 'Expose', [2, 20], 'By the strip; the image shows faintly.', true),
  step('develop', 'Develop in one sweep', [1, 2], 'Pour at once over the whole sheet; the developer is kept and topped up.'),
  ...clearing,
  step('wash', 'Wash', [30, 30], 'Running water.'),
]
const after: Record<CoatedProcess, CoatedStep[]> = {
  'iron-silver': [
    step('expose', 'Expose', [2, 20], 'Until shadows show detail and lights are faint.', true),
    step('wash', 'Water with citric acid 10 g/L, then water', [3, 5], 'Until no more milk runs; the first of it goes into the drum.', true),
    step('fix', 'Plain thiosulfate 30 to 50 g/L', [1, 2], 'It goes brown; longer bleaches.', true),
    step('wash-aid', 'Wash aid', [2, 2], 'Sulfite 20 g/L.'),
    step('wash', 'Wash', [40, 40], 'It dries darker.'),
  ],
  cyanotype: [
    step('expose', 'Expose', [3, 30], 'Until shadows are a bronzed grey.', true),
    step(
      'wash',
      'Water, the first with citric acid 10 g/L',
      [5, 10],
      'Until no yellow runs. No wash aid, no carbonate: alkali bleaches it.',
      true,
    ),
    step('dry', 'Air for a day, or peroxide 0.3 % for 30 s', [0.5, 24 * 60], 'It comes to its blue.'),
  ],
  platinum: inMetal,
  palladium: inMetal,
}

/**
 * What a coated sheet goes through, from its drying on.
 * @example
 * coatedSteps('cyanotype').map((one) => one.kind) // → ['dry', 'expose', 'wash', 'dry']
 */
export const coatedSteps = (process: CoatedProcess): CoatedStep[] => [drying, ...after[process]]

/** h a coated sheet may lie before it is exposed: platinum the same evening. Rounded literature values. */
export const coatedKeepsH: Record<CoatedProcess, number> = { 'iron-silver': 24, cyanotype: 24, platinum: 6, palladium: 6 }
/** parts of developer to glycerol a print is brushed with, from strong to none */
export const brushMixes = ['1:0', '3:1', '1:1', '1:3', '0:1'] as const
