import type { PaperBase } from '../print/emergence'

/** Bleached until only pale tan is left, or taken out when the highlights go. */
export const bleachings = ['complete', 'pulled'] as const
export type Bleaching = (typeof bleachings)[number]

/** A step of toning: how long it usually takes, s; done by looking where it is inspected. */
export interface ToningStep {
  kind: 'test' | 'bleach' | 'wash' | 'tone' | 'rinse' | 'refix' | 'wash-aid'
  name: string
  fromS: number
  toS: number
  inspected: boolean
  /** what to look for, or to see to */
  watch: string
}
const minute = 60

const step = (kind: ToningStep['kind'], name: string, [fromS, toS]: [number, number], watch: string, inspected = false): ToningStep => ({
  ...{ kind, name, fromS, toS, inspected, watch },
})

const washOut: Record<PaperBase, ToningStep> = {
  rc: step('wash', 'Wash until no yellow is left', [2 * minute, 2 * minute], 'No yellow in the water, nor in the white margin.', true),
  fibre: step('wash', 'Wash until no yellow is left', [10 * minute, 20 * minute], 'No yellow in the water, nor in the white margin.', true),
}
const full: Record<PaperBase, ToningStep[]> = {
  rc: [step('wash', 'Wash in full', [2 * minute, 4 * minute], 'Both sides, running water.')],
  fibre: [
    step('wash-aid', 'Wash aid', [10 * minute, 10 * minute], 'Move it; sulfite 20 g/L.'),
    step('wash', 'Wash in full', [20 * minute, 20 * minute], 'Both sides, one change of water in 5 minutes.'),
  ],
}

/**
 * The steps of indirect sulfide toning by thiourea, one after another. Refixed where halide may remain: the bleaching was pulled, or the toning stopped early; schools differ on complete
 * toning, which is not refixed by default.
 * @example
 * toningSteps({ base: 'rc', bleaching: 'pulled', stoppedEarly: false }).map((one) => one.kind) // → ['test', 'bleach', 'wash', 'tone', 'rinse', 'refix', 'wash']
 */
export function toningSteps({
  base,
  bleaching,
  stoppedEarly,
}: {
  base: PaperBase
  bleaching: Bleaching
  stoppedEarly: boolean
}): ToningStep[] {
  return [
    step(
      'test',
      'Hypo test of the margin',
      [2 * minute, 2 * minute],
      'Only a print that passes: thiosulfate with ferricyanide dissolves the image for good.',
    ),
    bleaching === 'complete'
      ? step('bleach', 'Bleach 1+9, to completion', [2 * minute, 5 * minute], 'Until only pale tan is left.', true)
      : step('bleach', 'Bleach 1+29, pulled', [10, 60], 'Out when the highlights go.', true),
    washOut[base],
    step('tone', 'Tone', [minute, 3 * minute], 'To the end: until nothing changes any more.', true),
    step('rinse', 'Rinse', [2 * minute, 2 * minute], 'Out of the toner, before anything else.'),
    ...(bleaching === 'pulled' || stoppedEarly
      ? [
          step(
            'refix',
            'Refix in fresh plain thiosulfate',
            [2 * minute, 2 * minute],
            'Halide that was not toned would darken in the light.',
          ),
        ]
      : []),
    ...full[base],
  ]
}
