import type { Plan } from '../process/load'
import { loadKindOf, type LoadKind } from '../process/vesselCover'

/** What is done before a tank is closed: lying ready while there is light, or done in the dark, in order. */
export interface LoadingStep {
  key: string
  text: string
}
export interface Loading {
  /** has to lie at hand, or be done, before the lights go out */
  before: LoadingStep[]
  /** by touch, in this order */
  dark: LoadingStep[]
  /** what helps where it goes wrong */
  trouble: LoadingStep[]
}

const before: Record<LoadKind, LoadingStep[]> = {
  '135': [
    { key: 'leader', text: 'Leader of 135 out and trimmed straight between two holes, in the light; a retriever or opener lies ready.' },
    { key: 'width-135', text: 'Reel set to 135.' },
  ],
  '120': [
    { key: 'width-120', text: 'Reel set to 120, the widest.' },
    { key: 'paper', text: 'A place for the backing paper, and you know where its tape is.' },
  ],
  sheets: [
    { key: 'notch', text: 'Notch of a scrap sheet felt: top right as you hold it upright, and the emulsion faces you.' },
    { key: 'rack', text: 'Rack or holders open, in the order you will fill them.' },
  ],
}
const tankBefore = {
  reels: { key: 'dry', text: 'Reels dry to the touch, to the last groove.' },
  column: { key: 'column', text: 'Tank, column and lid in reach; without the column light gets in.' },
  core: { key: 'core', text: 'Drum, core and lid in reach; the lid tried once, so that it locks.' },
  scissors: { key: 'scissors', text: 'Scissors with round ends, where the hand finds them.' },
  glow: { key: 'glow', text: 'Watch off, telephone off and out of the room, no light under the door.' },
  hands: { key: 'hands', text: 'Hands dry; film is held by its edges only.' },
}

const dark: Record<LoadKind, LoadingStep[]> = {
  '135': [
    { key: 'd-open-135', text: 'Open the cassette, or draw the film out of it as it winds on.' },
    { key: 'd-feed', text: 'Feed the end into the reel. Edges only.' },
    { key: 'd-wind', text: 'Wind it on to the end.' },
    { key: 'd-cut-135', text: 'Cut it from its spool.' },
  ],
  '120': [
    { key: 'd-open-120', text: 'Break the seal, and roll the paper off until the film comes.' },
    { key: 'd-feed', text: 'Feed the end into the reel. Edges only.' },
    { key: 'd-wind', text: 'Wind it on to the end.' },
    { key: 'd-tape', text: 'Take the tape off the film, or fold it over. Paper aside.' },
  ],
  sheets: [
    { key: 'd-sheet', text: 'Sheet out by its edges. Notch top right.' },
    { key: 'd-rack', text: 'Into its holder, emulsion inward. Then the next.' },
  ],
}
const closing = (rotary: boolean, onReels = true): LoadingStep[] => [
  !onReels
    ? { key: 'd-holders', text: 'All holders into it, none above the rim.' }
    : rotary
      ? { key: 'd-core', text: 'Reels on the core, into the drum.' }
      : { key: 'd-column', text: 'Reels on the column, into the tank.' },
  { key: 'd-lid', text: 'Lid on, and turned until it locks.' },
]
const trouble: LoadingStep[] = [
  { key: 'd-jam', text: 'If it jams, wind back. Never force it.' },
  { key: 'd-last', text: 'Last way: film loose in the tank, lid on, then light.' },
]

const closed: LoadingStep = { key: 'd-light', text: 'Tank closed. For light hold L and Enter, or two fingers.' }
/** What is said before light is let in on open film. */
const fogs: LoadingStep = { key: 'd-fogs', text: 'Light fogs the film. Once more, if you mean it.' }

/**
 * Everything that is said in the dark, for whoever makes the sounds of it.
 * @example
 * saidInTheDark.some((one) => one.key === 'd-lid') // → true
 */
export const saidInTheDark: LoadingStep[] = [
  ...new Map(
    [...Object.values(dark).flat(), ...closing(false), ...closing(true), ...closing(false, false), closed, fogs, ...trouble].map((one) => [
      one.key,
      one,
    ]),
  ).values(),
]

/**
 * What has to lie at hand before the lights go out, and what the hands do then, by vessel and by what is loaded.
 * @example
 * loadingOf({ vessel: { ...run.vessel, kind: 'rotary' }, films: [{ format: '120', count: 1 }] }).dark.at(-2)?.key // → 'd-lid'
 */
export function loadingOf({ vessel, films }: Pick<Plan, 'vessel' | 'films'>): Loading {
  const kinds = [...new Set(films.map((film) => loadKindOf(film.format)))]
  const rotary = vessel.kind === 'rotary'
  const { reels, column, core, scissors, glow, hands } = tankBefore
  const onReels = kinds.some((kind) => kind !== 'sheets')
  return {
    before: [
      ...kinds.flatMap((kind) => before[kind]),
      ...(onReels ? [reels] : []),
      rotary ? core : column,
      ...(onReels ? [scissors] : []),
      hands,
      glow,
    ],
    dark: [...kinds.flatMap((kind) => dark[kind]), ...closing(rotary, onReels), closed],
    trouble,
  }
}
