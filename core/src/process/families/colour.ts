import { agitations } from '../agitations'
import type { Process } from '../process'
import { houseIds } from './ids'
import type { Agitation, ProcessStep } from '../step'
import { never, step, water } from './parts'

/* Colour film: rounded literature values; a kit's own times and temperatures replace them. */

const tenThenFour: Agitation = agitations['10-4inv-30']
const role = (id: string, name: string, family: string) => ({ id, name, family })
const warm = (min: number, max: number) => ({ atC: Math.min(37.8, max), c: { min, max } })
const bath = (key: string, kind: ProcessStep['kind'], name: string, s: number, more: Partial<ProcessStep>): ProcessStep =>
  step({ key, kind, name, liquid: { role: key }, time: { s }, fate: 'back', agitation: tenThenFour, ...more })
const wash = (key: string, s: number, min: number, max: number, more: Partial<ProcessStep> = {}): ProcessStep =>
  step({ ...water, key, kind: 'wash', name: 'Wash', time: { s }, changes: 4, ...warm(min, max), ...more })

/** The tank is warmed dry in the bath, or with water of its temperature: one or the other. */
const warming = (c: number): ProcessStep[] => [
  step({
    key: 'pre-heat',
    kind: 'pre-wet',
    name: 'Pre-heat in the bath',
    liquid: 'air',
    time: { s: 300 },
    atC: c,
    fate: 'drain',
    agitation: never,
  }),
  step({ ...water, key: 'pre-wet', kind: 'pre-wet', name: 'Pre-wet, warm', time: { s: 300 }, atC: c }),
]
const warmings: Process['options'] = [
  { id: 'pre-heat', name: 'Warm the tank dry, in the bath', on: true, steps: ['pre-heat'], group: 'warming' },
  { id: 'pre-wet', name: 'Warm it with water', on: false, steps: ['pre-wet'], group: 'warming' },
]
const white = { light: 'white' } as const
const stabiliser = (s: number) =>
  bath('stabiliser', 'stabilise', 'Stabiliser', s, {
    ...white,
    ...warm(20, 40),
    atC: 24,
    agitation: agitations.none,
    note: 'no rinse after it; ventilate, never warm an old one',
  })

/** 4: colour negatives, with a bleach-fix or in five baths. */
export const colourNegative: Process = {
  id: houseIds['colour-negative'],
  name: 'Colour negative process',
  material: 'colour-negative',
  roles: [
    role('developer', 'Colour developer', 'colour-developer'),
    role('bleach-fix', 'Bleach-fix', 'bleach-fix'),
    role('bleach', 'Bleach', 'bleach'),
    role('fixer', 'Fixer', 'fixer'),
    role('stabiliser', 'Stabiliser', 'stabiliser'),
  ],
  steps: [
    ...warming(37.8),
    bath('developer', 'develop', 'Colour developer', 195, {
      ...{ atC: 37.8, toleranceC: 0.15 },
      time: {
        table: [
          { c: 25, s: 855 },
          { c: 30, s: 480 },
          { c: 37.8, s: 195 },
        ],
      },
      push: [
        { stops: 0, factor: 1 },
        { stops: 1, factor: 1.15 },
        { stops: 2, factor: 1.4 },
      ],
    }),
    bath('bleach-fix', 'bleach-fix', 'Bleach-fix', 390, { ...warm(24, 40), vents: true }),
    wash('wash', 180, 24, 40, white),
    bath('bleach', 'bleach', 'Bleach', 390, { ...warm(24, 40), vents: true }),
    wash('wash-bleach', 195, 24, 40),
    { ...bath('fixer', 'fix', 'Fix', 390, warm(24, 40)) },
    wash('wash-fixer', 195, 24, 40, white),
    stabiliser(60),
  ],
  options: [
    ...warmings,
    { id: 'bleach-fix', name: 'Bleach-fix', on: true, steps: ['bleach-fix', 'wash'], group: 'baths' },
    {
      id: 'five-baths',
      name: 'Bleach and fixer apart',
      on: false,
      steps: ['bleach', 'wash-bleach', 'fixer', 'wash-fixer'],
      group: 'baths',
    },
  ],
}

const firstPush: ProcessStep['push'] = [
  { stops: -1, factor: 0.75 },
  { stops: 0, factor: 1 },
  { stops: 1, factor: 1.33 },
  { stops: 2, factor: 1.9 },
]
/** 5: colour slides in three baths; the colour developer reverses. */
export const slideThree: Process = {
  id: houseIds['slide-three'],
  name: 'Colour slide process, three baths',
  material: 'slide',
  roles: [
    role('first-developer', 'First developer', 'first-developer'),
    role('colour-developer', 'Colour developer with reversal agent', 'colour-developer'),
    role('bleach-fix', 'Bleach-fix', 'bleach-fix'),
    role('stabiliser', 'Stabiliser', 'stabiliser'),
  ],
  steps: [
    ...warming(38),
    bath('first-developer', 'develop', 'First developer', 390, { atC: 38, toleranceC: 0.3, push: firstPush }),
    wash('wash-first', 150, 33, 39),
    bath('colour-developer', 'second-develop', 'Colour developer, reverses', 360, { atC: 38, toleranceC: 0.6, reverses: true, ...white }),
    wash('wash-colour', 150, 33, 39, white),
    bath('bleach-fix', 'bleach-fix', 'Bleach-fix', 480, { ...warm(33, 40), vents: true, ...white }),
    wash('wash', 240, 33, 39, white),
    stabiliser(60),
  ],
  options: warmings,
}

/** 5: colour slides in six baths; no wash between reversal and bleach. */
export const slideSix: Process = {
  id: houseIds['slide-six'],
  name: 'Colour slide process, six baths',
  material: 'slide',
  roles: [
    role('first-developer', 'First developer', 'first-developer'),
    role('reversal-bath', 'Reversal bath', 'reversal-bath'),
    role('colour-developer', 'Colour developer', 'colour-developer'),
    role('conditioner', 'Conditioner', 'conditioner'),
    role('bleach', 'Bleach', 'bleach'),
    role('fixer', 'Fixer', 'fixer'),
    role('stabiliser', 'Stabiliser', 'stabiliser'),
  ],
  steps: [
    ...warming(38),
    bath('first-developer', 'develop', 'First developer', 360, { atC: 38, toleranceC: 0.3, push: firstPush }),
    wash('wash-first', 120, 33, 39),
    bath('reversal-bath', 'reversal-bath', 'Reversal bath', 120, { ...warm(24, 39), ...white }),
    bath('colour-developer', 'second-develop', 'Colour developer', 360, { atC: 38, toleranceC: 0.6, ...white }),
    bath('conditioner', 'conditioner', 'Conditioner', 120, { ...warm(24, 39), ...white }),
    bath('bleach', 'bleach', 'Bleach', 360, { ...warm(33, 39), ...white }),
    bath('fixer', 'fix', 'Fix', 240, { ...warm(33, 39), ...white }),
    wash('wash', 240, 33, 39, white),
    stabiliser(60),
  ],
  options: warmings,
}

/** 7b: slide film to a transparent negative's colours by way of a black-and-white first developer. */
export const slideCrossed: Process = {
  id: houseIds['slide-crossed'],
  name: 'Slide film, crossed',
  material: 'slide',
  roles: [
    role('first-developer', 'Strong metol–hydroquinone developer', 'print-developer'),
    role('colour-developer', 'Colour-negative developer', 'colour-developer'),
    role('bleach-fix', 'Bleach-fix', 'bleach-fix'),
    role('stabiliser', 'Stabiliser', 'stabiliser'),
  ],
  steps: [
    step({
      key: 'first-developer',
      kind: 'develop',
      name: 'First developer',
      liquid: { role: 'first-developer' },
      time: { s: 540 },
      atC: 20,
      toleranceC: 0.5,
      fate: 'discard',
    }),
    step({ ...water, key: 'wash-first', kind: 'wash', name: 'Wash', time: { s: 180 }, changes: 4 }),
    step({
      ...{
        key: 're-expose',
        kind: 're-expose',
        name: 'Re-expose',
        liquid: 'light',
        time: { s: 120 },
        sides: 2,
        light: 'white',
        fate: 'drain',
      },
      ...{ toleranceC: 40, agitation: never, note: 'the lamp low-voltage or splash-proof' },
    }),
    step({ ...water, key: 'warm-up', kind: 'pre-wet', name: 'Warm up in water', time: { s: 180 }, atC: 37.8, ...white }),
    bath('colour-developer', 'second-develop', 'Colour developer', 300, { atC: 37.8, toleranceC: 0.6, ...white }),
    bath('bleach-fix', 'bleach-fix', 'Bleach-fix, twice its time', 780, { ...warm(24, 40), vents: true, ...white }),
    wash('wash', 240, 24, 40, white),
    stabiliser(60),
  ],
  options: [],
  note: 'Before a member’s film a light-struck scrap through all of it: it has to come out transparent. No two developers agree.',
}
