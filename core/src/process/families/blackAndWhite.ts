import { agitations } from '../agitations'
import type { Process } from '../process'
import { houseIds } from './ids'
import { acidStop, crossedPreWet, fixRoles, never, step, washes, water, wettingAgent } from './parts'

/* Black-and-white film in trays of the hand: rounded literature values. Bottle roles take any bottle of their family. */

const developer = { id: 'developer', name: 'Developer', family: 'film-developer' }

/** 1: a hand tank. */
export const bwNegative: Process = {
  id: houseIds['bw-negative'],
  name: 'Black-and-white negative',
  material: 'bw-film',
  vessel: 'hand',
  roles: [developer, ...fixRoles],
  steps: [
    step({ ...water, key: 'pre-wet', kind: 'pre-wet', name: 'Pre-wet', time: { s: 60 } }),
    step({
      key: 'develop',
      kind: 'develop',
      name: 'Develop',
      liquid: { role: 'developer' },
      time: 'chart',
      toleranceC: 0.5,
      fate: 'discard',
    }),
    ...acidStop,
    step({ key: 'fix', kind: 'fix', name: 'Fix', liquid: { role: 'fixer' }, time: { clearing: 2, s: 300 }, fate: 'back' }),
    step({ key: 'fix-1', kind: 'fix', name: 'Fix, first bath', liquid: { role: 'fixer' }, time: { share: 0.5, of: 'fix' }, fate: 'back' }),
    step({
      key: 'fix-2',
      kind: 'fix',
      name: 'Fix, second bath',
      liquid: { role: 'second-fixer' },
      time: { share: 0.5, of: 'fix' },
      fate: 'back',
    }),
    ...washes,
    wettingAgent,
  ],
  options: [
    { id: 'pre-wet', name: 'Pre-wet', on: false, steps: ['pre-wet'] },
    { id: 'acid-stop', name: 'An acid stop bath', on: true, steps: ['stop'], group: 'stop' },
    { id: 'water-stop', name: 'A minute of water instead', on: false, steps: ['water-stop'], group: 'stop' },
    { id: 'one-fix', name: 'One fixing bath', on: true, steps: ['fix'], group: 'fixing' },
    { id: 'two-fix', name: 'Two fixing baths, half the time in each', on: false, steps: ['fix-1', 'fix-2'], group: 'fixing' },
    { id: 'fills', name: 'Wash in three fills', on: true, steps: ['wash-1', 'wash-2', 'wash-3'], group: 'washing' },
    { id: 'running', name: 'Wash in running water', on: false, steps: ['wash-running'], group: 'washing' },
    { id: 'wash-aid', name: 'Rinse, wash aid, wash', on: false, steps: ['rinse', 'wash-aid', 'wash-after'], group: 'washing' },
    { id: 'wetting-agent', name: 'Wetting agent', on: true, steps: ['wetting-agent'] },
  ],
}

/** 2: a rotary drum; its pre-wet takes the shorter time back. */
export const bwRotary: Process = {
  ...bwNegative,
  id: houseIds['bw-negative-rotary'],
  name: 'Black-and-white negative, rotary drum',
  vessel: 'rotary',
  steps: [
    step({ ...water, key: 'pre-wet', kind: 'pre-wet', name: 'Pre-wet', time: { s: 300 }, agitation: agitations.continuous }),
    ...bwNegative.steps
      .filter((one) => !['pre-wet', 'wash-1', 'wash-2', 'wash-3', 'wash-running', 'wetting-agent'].includes(one.key))
      .map((one) => ({
        ...one,
        agitation: agitations.continuous,
        ...(one.key === 'develop' ? { toleranceC: 0.3 } : {}),
        ...(one.key === 'fix' ? { time: { clearing: 2, s: 240 } } : {}),
      })),
    step({
      ...water,
      key: 'wash-changes',
      kind: 'wash',
      name: 'Wash, five changes',
      time: { s: 300 },
      changes: 5,
      light: 'white',
      agitation: agitations.continuous,
    }),
    { ...wettingAgent, note: 'outside the drum' },
  ],
  options: [
    { id: 'pre-wet', name: 'Pre-wet', on: true, steps: ['pre-wet'] },
    ...bwNegative.options.filter(
      (one) => one.group === 'stop' || one.group === 'fixing' || one.id === 'wash-aid' || one.id === 'wetting-agent',
    ),
    { id: 'changes', name: 'Wash in five changes', on: true, steps: ['wash-changes'], group: 'washing' },
  ],
}

/** 3: developer and fixer in one; longer does no harm. */
export const monobath: Process = {
  id: houseIds.monobath,
  name: 'Monobath',
  material: 'bw-film',
  roles: [
    { id: 'monobath', name: 'Monobath', family: 'monobath' },
    ...fixRoles.filter((one) => one.id === 'wash-aid' || one.id === 'wetting-agent'),
  ],
  steps: [
    step({
      ...{ key: 'monobath', kind: 'monobath', name: 'Monobath', liquid: { role: 'monobath' }, time: { s: 300 }, fate: 'back' },
      ...{
        atC: 24,
        toleranceC: 1,
        agitation: { name: '10 s each minute from the start', firstS: 10, forS: 10, everyS: 60 },
        perRollPerLitreS: 15,
      },
      note: 'warmer is harder; longer does no harm',
    }),
    ...washes,
    wettingAgent,
  ],
  options: bwNegative.options.filter((one) => one.group === 'washing' || one.id === 'wetting-agent'),
}

/** 6: a slide; its first developer is kept for its second development. */
export const bwSlide: Process = {
  id: houseIds['bw-slide'],
  name: 'Black-and-white slide',
  material: 'bw-slide',
  roles: [
    { id: 'first-developer', name: 'First developer', family: 'first-developer' },
    { id: 'bleach', name: 'Permanganate bleach', family: 'bleach' },
    { id: 'clearing', name: 'Clearing bath', family: 'clearing-bath' },
    ...fixRoles.filter((one) => one.id !== 'stop' && one.id !== 'second-fixer'),
  ],
  steps: [
    step({
      ...{ key: 'first-developer', kind: 'develop', name: 'First developer', liquid: { role: 'first-developer' }, time: { s: 660 } },
      ...{ atC: 20, toleranceC: 0.3, fate: { saveAs: 'saved-developer' } },
    }),
    step({ ...water, key: 'wash-developer', kind: 'wash', name: 'Wash', time: { s: 300 }, c: { min: 18, max: 21 } }),
    step({
      ...{
        key: 'bleach',
        kind: 'bleach',
        name: 'Bleach',
        liquid: { role: 'bleach' },
        time: { s: 240 },
        fate: 'discard',
        c: { min: 18, max: 21 },
      },
      note: 'gently: the gelatine is soft now',
    }),
    step({ ...water, key: 'wash-bleach', kind: 'wash', name: 'Wash', time: { s: 120 }, c: { min: 18, max: 21 } }),
    step({
      key: 'clear',
      kind: 'clear',
      name: 'Clear',
      liquid: { role: 'clearing' },
      time: { s: 150 },
      fate: 'back',
      c: { min: 18, max: 21 },
    }),
    step({ ...water, key: 'wash-clear', kind: 'wash', name: 'Wash', time: { s: 120 }, light: 'white', c: { min: 18, max: 21 } }),
    step({
      ...{
        key: 're-expose',
        kind: 're-expose',
        name: 'Re-expose',
        liquid: 'light',
        time: { s: 60 },
        sides: 2,
        light: 'white',
        fate: 'drain',
        agitation: never,
      },
      ...{
        toleranceC: 40,
        note: '25,000 lx·s a side: about 1,500 lm at 50 cm. The lamp low-voltage or splash-proof. Milky, with a pale negative on it; if nothing is to be seen, stop.',
      },
    }),
    step({
      ...{
        key: 'second-developer',
        kind: 'second-develop',
        name: 'Second development',
        liquid: { savedFrom: 'first-developer' },
        time: { s: 360 },
      },
      ...{ toleranceC: 1, light: 'white', fate: 'discard', c: { min: 18, max: 21 } },
    }),
    step({ ...water, key: 'rinse-second', kind: 'wash', name: 'Wash', time: { s: 30 }, light: 'white', c: { min: 18, max: 21 } }),
    step({
      key: 'fix',
      kind: 'fix',
      name: 'Fix',
      liquid: { role: 'fixer' },
      time: { s: 210 },
      fate: 'back',
      light: 'white',
      c: { min: 18, max: 21 },
    }),
    ...washes.map((one) => ({ ...one, c: { min: 18, max: 21 } })),
    wettingAgent,
  ],
  options: [
    { id: 'fix', name: 'Fix what is left', on: true, steps: ['fix'] },
    ...bwNegative.options.filter((one) => one.group === 'washing' || one.id === 'wetting-agent'),
  ],
}

/** 7a: colour film in black-and-white chemistry: with a pre-wet, and fixed half as long again. */
export const colourAsBw: Process = {
  ...bwNegative,
  id: houseIds['colour-as-bw'],
  name: 'Colour film in black-and-white chemistry',
  steps: bwNegative.steps.map((one) =>
    one.key === 'fix' ? { ...one, time: { clearing: 3, s: 450 } } : one.key === 'pre-wet' ? crossedPreWet : one,
  ),
  options: bwNegative.options.map((one) => (one.id === 'pre-wet' ? { ...one, on: true } : one)),
}
