import type { Family } from '../mark/mark'
import type { TestKind, Verdict } from './proof'

/** One thing to do; with `seconds` a timer runs that long, with `stopwatch` the reading is taken on it. */
export interface GuideStep {
  says: string
  seconds?: number
  /** its time is the bath's own normal time, set by the bottle */
  normalTime?: true
  stopwatch?: true
}

/** What one may see, and what it then means. */
export interface Look {
  value: string
  name: string
  verdict: Verdict
  rule: string
  reason: string
}

export interface Guide {
  kind: TestKind
  name: string
  /** what it is done to */
  of: 'bath' | 'film' | 'lamp' | 'thermometer' | 'process'
  families: Family[]
  steps: GuideStep[]
  light: string
  cautions: string[]
  /** judged by eye from these, where it is not a figure */
  looks: Look[]
  /** a reading of the fresh batch is wanted */
  reference: boolean
  /** what a failure leaves to be done for what went through */
  helps: 'refix' | 'rewash' | 'nothing'
}

const gloves = 'Gloves on; no developer on the skin.'
const eyes = 'Goggles on: a splash of this goes for the eyes.'
const fixerDrain = 'Used fixer goes into the silver drum, not down the drain.'
const look = (value: string, name: string, verdict: Verdict, rule: string, reason: string): Look => ({ value, name, verdict, rule, reason })
const room = 'Room light: the scrap is spoilt on purpose.'

const developers: Family[] = ['film-developer', 'print-developer']
const fixers: Family[] = ['fixer']

/** The guided tests, in the order in which Proofs shows them. Procedures retold in docs/domain/viability.md. */
export const guides: Guide[] = [
  {
    kind: 'scrap-density',
    name: 'Scrap density',
    of: 'bath',
    families: developers,
    steps: [
      { says: 'Cut two finger-long scraps of one film: half of it exposed to a mid grey (a wedge or a grey patch), the rest untouched.' },
      { says: 'Develop a scrap for its normal time at working temperature.', normalTime: true },
      { says: 'Stop, fix until clear, rinse, and dry it.' },
      { says: 'Lay it beside the scrap kept from the fresh batch and read both.' },
    ],
    light: 'Develop in the tank or in the dark; read in white light.',
    cautions: [gloves],
    looks: [
      look(
        'opaque',
        'Both opaque',
        'keep',
        'density-eye',
        'Both scraps are opaque: that only excludes gross failure. Read a mid grey for a ratio.',
      ),
      look('thin', 'Thinner than the fresh one', 'failed', 'density-thin', 'The scrap is visibly thinner than the fresh one.'),
    ],
    reference: true,
    helps: 'nothing',
  },
  {
    kind: 'leader-black',
    name: 'Leader to full black',
    of: 'bath',
    families: developers,
    steps: [
      { says: 'Bring the developer to its working temperature and pour a little into a beaker.' },
      { says: 'Hang a light-struck leader half into it. Stop the watch when the wet half is full black.', stopwatch: true },
    ],
    light: room,
    cautions: [gloves],
    looks: [],
    reference: true,
    helps: 'nothing',
  },
  {
    kind: 'developer-ph',
    name: 'pH of a developer',
    of: 'bath',
    families: [...developers, 'monobath', 'first-developer', 'colour-developer'],
    steps: [
      { says: 'Calibrate the meter today, in buffers around the expected pH.' },
      { says: 'Bring a beaker of the bath to the temperature of its fresh reading, 20 to 25 °C.' },
      { says: 'Rinse the electrode, dip it, wait until the figure stands still.' },
    ],
    light: 'Any light.',
    cautions: [gloves, eyes],
    looks: [],
    reference: true,
    helps: 'nothing',
  },
  {
    kind: 'clearing-time',
    name: 'Clearing time',
    of: 'bath',
    families: [...fixers, 'bleach-fix'],
    steps: [
      { says: 'Pour a little fixer at working temperature into a beaker and read its temperature.' },
      { says: 'Put one drop of it on the emulsion of a scrap of unprocessed film and wait until that spot is clear.' },
      { says: 'Drop the scrap in and swirl. Stop the watch when the spot can no longer be told from the rest.', stopwatch: true },
    ],
    light: room,
    cautions: [gloves, fixerDrain],
    looks: [],
    reference: true,
    helps: 'refix',
  },
  {
    kind: 'iodide-drop',
    name: 'Iodide drop',
    of: 'bath',
    families: fixers,
    steps: [
      { says: 'Put 5 drops of the fixer and 5 drops of water into a small glass.' },
      { says: 'Add 1 drop of potassium iodide, 19 to 20 %: weaker never clouds.' },
      { says: 'Swirl, and look against something dark.', seconds: 10 },
    ],
    light: 'White light, against a dark ground.',
    cautions: [gloves, fixerDrain],
    looks: [
      look('clear', 'Clear', 'keep', 'iodide-clear', 'No silver iodide falls: the fixer still holds its silver.'),
      look('haze', 'A faint haze that goes away', 'marginal', 'iodide-haze', 'A haze that redissolves: its silver nears 3 g/L.'),
      look(
        'cloud',
        'A lasting yellow-white cloud',
        'failed',
        'iodide-cloud',
        'A lasting cloud: some 3 to 4 g/L of silver. Calibrate the eye on a fixer known to be dead.',
      ),
    ],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'silver-paper',
    name: 'Silver test paper',
    of: 'bath',
    families: [...fixers, 'bleach-fix'],
    steps: [
      { says: 'Dip the strip and shake it off.' },
      { says: 'Wait as long as its supplier says, then hold it against its scale.', seconds: 30 },
    ],
    light: 'White light.',
    cautions: [gloves, fixerDrain],
    looks: [],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'fixer-ph',
    name: 'pH of a fixer',
    of: 'bath',
    families: [...fixers, 'bleach-fix'],
    steps: [
      { says: 'Look at it first: milky from sulfur, or sludge from alum?' },
      { says: 'Calibrate the meter today; rinse the electrode, dip it, wait until the figure stands still.' },
    ],
    light: 'Any light.',
    cautions: [gloves, 'A milky acid fixer smells of sulfur dioxide: open the window.'],
    looks: [look('milky', 'Milky, or sludge in it', 'failed', 'fixer-milky', 'Sulfur or alum sludge has fallen out: it no longer fixes.')],
    reference: true,
    helps: 'refix',
  },
  {
    kind: 'stop-indicator',
    name: 'Stop bath indicator',
    of: 'bath',
    families: ['stop-bath'],
    steps: [{ says: 'Look at its colour in white light, or take its pH.' }],
    light: 'White light: under safelight purple looks black.',
    cautions: ['Acid into water, never the other way; goggles on.'],
    looks: [
      look('yellow', 'Yellow', 'keep', 'stop-yellow', 'Still acid.'),
      look('orange', 'Orange', 'marginal', 'stop-orange', 'It begins to turn: replace it before the next run.'),
      look('purple', 'Purple', 'failed', 'stop-purple', 'Above pH 6.8 or near it: it stops nothing any more.'),
    ],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'monobath-scrap',
    name: 'Two scraps through the monobath',
    of: 'bath',
    families: ['monobath'],
    steps: [
      { says: 'Put a light-struck scrap and an unexposed one (cut in the dark) through the bath for its normal time.', normalTime: true },
      { says: 'Rinse both and look through them.' },
    ],
    light: 'The unexposed scrap needs the dark until it is done.',
    cautions: [gloves],
    looks: [
      look('right', 'Struck one opaque black, unexposed one clear', 'keep', 'monobath-right', 'It still develops fully and clears fully.'),
      look('thin', 'Struck one thin', 'failed', 'monobath-thin', 'It no longer develops to full black.'),
      look('cloudy', 'Unexposed one cloudy', 'failed', 'monobath-cloudy', 'It no longer fixes to clear film.'),
    ],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'colour-developer-scrap',
    name: 'Colour scrap to black',
    of: 'bath',
    families: ['colour-developer'],
    steps: [
      { says: 'Put a light-struck colour scrap through the developer at process temperature.', normalTime: true },
      { says: 'Then through bleach-fix, and wash.' },
    ],
    light: room,
    cautions: ['Colour developing agents sensitise the skin for life: gloves, always.'],
    looks: [
      look('opaque', 'Opaque black', 'keep', 'colour-opaque', 'It still develops to full dye density.'),
      look('thin', 'Thin', 'failed', 'colour-thin', 'It no longer develops to full dye density.'),
    ],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'bleach-fix-fixing',
    name: 'Bleach-fix, the fixing half',
    of: 'bath',
    families: ['bleach-fix'],
    steps: [
      {
        says: 'Put a light-struck, undeveloped colour scrap through bleach-fix alone, at its normal time and temperature.',
        normalTime: true,
      },
      { says: 'Wash it and look through it. This says nothing of the bleaching half: test that too.' },
    ],
    light: room,
    cautions: [gloves, 'Never let it meet an acid or another bleach.'],
    looks: [
      look('transparent', 'Transparent', 'keep', 'fixing-clear', 'It fixes; whether it bleaches is the other half of the test.'),
      look('milky', 'Milky', 'failed', 'fixing-milky', 'It leaves silver halide behind.'),
    ],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'bleach-fix-bleaching',
    name: 'Bleach-fix, the bleaching half',
    of: 'bath',
    families: ['bleach-fix'],
    steps: [
      { says: 'Develop a light-struck colour scrap black, stop it, rinse it, do not fix it.' },
      { says: 'Put it through bleach-fix for its normal time.', normalTime: true },
      { says: 'Wash it and look through it.' },
    ],
    light: room,
    cautions: [gloves, 'Never let it meet an acid or another bleach.'],
    looks: [
      look('plain', 'Down to the plain base or mask', 'keep', 'bleaching-plain', 'It takes all the silver out.'),
      look(
        'grey',
        'Grey, brown or muddy',
        'failed',
        'bleaching-grey',
        'It leaves silver in the film. Films already done can be bleach-fixed again in fresh.',
      ),
    ],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'first-developer-scrap',
    name: 'Light-struck slide scrap through all baths',
    of: 'bath',
    families: ['first-developer'],
    steps: [
      { says: 'Put a light-struck slide scrap through all baths at process temperature.', normalTime: true },
      { says: 'Dry it fully: wet it looks darker and tinted.' },
    ],
    light: room,
    cautions: ['Colour developing agents sensitise the skin for life: gloves, always.'],
    looks: [
      look('transparent', 'Transparent, no strong cast', 'keep', 'first-clear', 'It develops the exposed film away fully.'),
      look('cast', 'Transparent with a cast', 'marginal', 'first-cast', 'Clear but with a cast: compare with a fresh scrap before slides.'),
      look('dense', 'Dense', 'failed', 'first-dense', 'It leaves density where light has struck: slides would come out dark.'),
    ],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'reversal-scrap',
    name: 'Slide scrap without the first developer',
    of: 'bath',
    families: ['colour-developer'],
    steps: [
      { says: 'Put a slide scrap through the colour developer and what follows, leaving the first developer out.', normalTime: true },
      { says: 'Dry it fully and look through it.' },
    ],
    light: room,
    cautions: ['Colour developing agents sensitise the skin for life: gloves, always.'],
    looks: [
      look('black', 'Opaque neutral black', 'keep', 'reversal-black', 'Reversal and colour development are complete.'),
      look('thin', 'Thin', 'failed', 'reversal-thin', 'It no longer reaches full dye density.'),
      look('tinted', 'Tinted', 'failed', 'reversal-tinted', 'One dye is short: the black is tinted.'),
    ],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'residual-silver',
    name: 'Sulfide drop: is it fixed?',
    of: 'film',
    families: [],
    steps: [
      { says: 'Put a drop of 0.2 % sodium sulfide on a clear, damp margin.' },
      { says: 'Leave it for three minutes, then blot it off.', seconds: 180 },
    ],
    light: 'White light.',
    cautions: [
      'Sulfide with acid gives off a poisonous gas: no stop bath or fixer near it. Window open, gloves on.',
      'Keep it away from undeveloped paper and film: it fogs them.',
    ],
    looks: [
      look('pale', 'None, or no darker than pale cream', 'keep', 'sulfide-pale', 'No silver to speak of is left in it.'),
      look('darker', 'Darker than pale cream', 'failed', 'sulfide-stain', 'Silver is left in it: refix it in fresh fixer and wash again.'),
    ],
    reference: false,
    helps: 'refix',
  },
  {
    kind: 'residual-thiosulfate',
    name: 'Silver nitrate drop: is it washed?',
    of: 'film',
    families: [],
    steps: [
      { says: 'Put a drop of silver nitrate solution (7.5 g/L in 3.5 % acetic acid) on a clear margin.' },
      { says: 'Leave it for two minutes in subdued light.', seconds: 120 },
      { says: 'Rinse with salt water and compare the stain with the patch scale at once.' },
    ],
    light: 'Subdued light while it works.',
    cautions: ['Silver nitrate stains skin and blinds eyes: gloves and goggles. The stain on the margin stays.'],
    looks: [
      look('none', 'No stain', 'keep', 'nitrate-none', 'Washed to keep.'),
      look('light', 'Lighter than the second patch', 'keep', 'nitrate-light', 'Washed well enough.'),
      look('middle', 'Like the third patch', 'marginal', 'nitrate-middle', 'Some thiosulfate is left: wash it longer if it must keep.'),
      look('dark', 'Darker than the third patch', 'failed', 'nitrate-dark', 'Thiosulfate is left in it: wash longer.'),
    ],
    reference: false,
    helps: 'rewash',
  },
  {
    kind: 'safelight-coin',
    name: 'Coin under the safelight',
    of: 'lamp',
    families: [],
    steps: [
      { says: 'Give a strip of the paper in use a faint grey exposure: fogged paper shows it, bare paper hides it.' },
      { says: 'Lay it on the bench under the light to be tested, a coin on each of four fields, everything covered.' },
      { says: 'Uncover the fields so that they get 1, 2, 4 and 8 minutes.', seconds: 480 },
      { says: 'Develop it in the dark. Find the shortest time whose coin shows.' },
    ],
    light: 'Only the light under test.',
    cautions: [gloves],
    looks: [],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'thermometer-points',
    name: 'Thermometer against ice and reference',
    of: 'thermometer',
    families: [],
    steps: [
      { says: 'Fill a beaker with crushed ice, top it up with water, stir for two minutes.', seconds: 120 },
      { says: 'Hold the thermometer in it, off the glass, and read it: that is 0 °C.' },
      { says: 'Then read it beside the reference thermometer in water near the working temperature.' },
    ],
    light: 'Any light.',
    cautions: ['A mercury thermometer does not belong in a darkroom: glass breaks in the sink.'],
    looks: [],
    reference: false,
    helps: 'nothing',
  },
  {
    kind: 'control-strip',
    name: 'Control strip',
    of: 'process',
    families: [],
    steps: [
      { says: 'Put an exposed control strip through the process with the next run, or by itself.' },
      { says: 'Dry it, and read base + fog, the low step, the high step and the maximum.' },
    ],
    light: 'As the process wants it.',
    cautions: [gloves],
    looks: [],
    reference: true,
    helps: 'nothing',
  },
]

/**
 * How a kind of test is done and what it says.
 * @example
 * guideOf('iodide-drop').helps // → 'refix'
 */
export const guideOf = (kind: TestKind): Guide => guides.find((guide) => guide.kind === kind) as Guide

/**
 * The tests a bath of this family can be given. A wash aid has none: its count is all there is.
 * @example
 * testsFor('stop-bath').map((guide) => guide.kind) // → ['stop-indicator']
 */
export const testsFor = (family: string): Guide[] => guides.filter((guide) => guide.families.includes(family as Family))
