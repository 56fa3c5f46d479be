import { DateTime } from 'luxon'
import { z } from 'zod'
import type { LoadKind } from '../process/vesselCover'
import { millis } from '../shape/common'

/** What is not done without having been shown it. */
export const trainingTasks = [
  'load-135',
  'load-120',
  'load-sheets',
  'powders',
  'acid-alkali',
  'colour-developers',
  'bleaches',
  'toners',
  'coating',
  'drums',
  'recovery',
  'spills',
] as const
export type TrainingTask = (typeof trainingTasks)[number]

/** Each task by its name, as it stands inside a sentence. */
export const taskNames: Readonly<Record<TrainingTask, string>> = {
  'load-135': 'loading 135',
  'load-120': 'loading 120',
  'load-sheets': 'loading sheets',
  powders: 'powders',
  'acid-alkali': 'concentrated acid and hydroxide',
  'colour-developers': 'colour developers',
  bleaches: 'bleaches',
  toners: 'toners',
  coating: 'hand-coating',
  drums: 'pours into drums',
  recovery: 'recovery of silver',
  spills: 'spills',
}

/** What whoever shows it shows, so that nothing is forgotten. */
export const taskShows: Readonly<Record<TrainingTask, string>> = {
  'load-135': 'Each kind of reel here; the film opened, cut and pushed on; where it jams, and what to do then without light.',
  'load-120': 'Each kind of reel here; where the film begins behind its paper, the tape at its end, and never by its edges.',
  'load-sheets': 'Each holder here; the notch, which side is which, and sheets that touch.',
  powders: 'The ventilation on, mask and gloves; a spoon instead of a shaken jar, into water slowly, and the scale wiped wet.',
  'acid-alkali':
    'Goggles, long thick gloves, the eyewash tried; acid into water, hydroxide in small parts into cold water, never the other way.',
  'colour-developers': 'Gloves without a gap: it makes skin allergic for good; what to do with a splash, and where the card is.',
  bleaches: 'Which of them here meets nothing acid, which stains, which burns; their drums, and what never follows in the same sink.',
  toners: 'The ventilation on before the bottle is opened; what smells and what does not; what no acid may reach.',
  coating: 'Silver nitrate and eyes: goggles; parts in their order, drops counted, and the brush and blotter into their bin.',
  drums: 'The label read aloud, the funnel of that drum, how full it may be, and what to do with a wrong pour.',
  recovery: 'Current, hood and when to stop; what comes off it, how the flake is taken out, dried and weighed.',
  spills: 'The card behind the key, the kit and what is in it; when to leave and shut the door.',
}

/** Where a reel has been loaded: each includes those before. */
export const loadingStages = ['light', 'eyes-shut', 'dark'] as const
export type LoadingStage = (typeof loadingStages)[number]

/**
 * Whether it is learned in stages: in the light, with eyes shut, in the dark.
 * @example
 * isLoading('load-120') // → true
 */
export const isLoading = (task: TrainingTask): boolean => task.startsWith('load-')
/**
 * The task of loading films of a kind.
 * @example
 * loadingTask('120') // → 'load-120'
 */
export const loadingTask = (kind: LoadKind): TrainingTask => `load-${kind}`

/** months it holds: what burns before a tap is found, and what gasses unseen, is shown twice a year. Rounded literature values. */
const usualMonths = 12
const shorter: TrainingTask[] = ['acid-alkali', 'recovery']
/** days before its end from which it is said. Rounded literature value. */
export const noticeDays = 30

/** What one showed another. */
export const trainingBody = z.strictObject({
  task: z.enum(trainingTasks, 'Say what was shown.'),
  /** ms, when it was shown */
  at: millis,
  /** how far a reel was loaded; null for everything else */
  stage: z.enum(loadingStages).nullable(),
  shown: z.string().trim().max(500),
  /** who showed it, where it was nobody of this darkroom */
  outside: z.string().trim().max(120),
})
export type TrainingBody = z.output<typeof trainingBody>

/**
 * When it ends, ms: the same day of the calendar, months later.
 * @param at ms, when it was shown
 * @example
 * new Date(trainingEnds('acid-alkali', Date.UTC(2026, 7, 31), 'UTC')).toISOString() // → '2027-02-28T00:00:00.000Z'
 */
export const trainingEnds = (task: TrainingTask, at: number, zone: string): number =>
  DateTime.fromMillis(at, { zone })
    .plus({ months: shorter.includes(task) ? usualMonths / 2 : usualMonths })
    .toMillis()
