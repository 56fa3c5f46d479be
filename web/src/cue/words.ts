import { saidForAid, saidInTheDark, type StepKind } from '@selvrin/core'

/** What a step is called when it is spoken: by its kind. */
export const stepWords: Record<StepKind | 'pre-heat', string> = {
  'pre-wet': 'water',
  'pre-heat': 'warm the tank',
  develop: 'developer',
  stop: 'stop',
  rinse: 'rinse',
  bleach: 'bleach',
  clear: 'clearing bath',
  're-expose': 'lamp',
  'reversal-bath': 'reversal bath',
  'second-develop': 'second developer',
  conditioner: 'conditioner',
  fix: 'fixer',
  'bleach-fix': 'bleach fix',
  monobath: 'monobath',
  stabilise: 'stabiliser',
  'wash-aid': 'wash aid',
  wash: 'wash',
  'wetting-agent': 'wetting agent',
  dry: 'dry',
  tone: 'toner',
  refix: 'fixer, again',
  inspect: 'look at it',
}

const cueWords = {
  'get-ready': 'get ready',
  'pour-in': 'pour in',
  'pour-out': 'pour out',
  agitate: 'agitate',
  vent: 'vent the lid',
  lamp: 'lamp on',
  turn: 'turn it over',
  check: 'check the temperature',
  open: 'open the tank',
  over: 'time is up',
  done: 'done',
  run: 'run',
  minute: 'minute',
  minutes: 'minutes',
  second: 'second',
  seconds: 'seconds',
  left: 'left',
  beyond: 'over its time',
  waiting: 'waiting for you',
  held: 'held',
  dark: 'the screen is dark',
}

/** What the enlarger's timer says. */
const printWords = {
  'whole-strip': 'the whole strip',
  cover: 'cover one band more',
  bare: 'bare one band more',
  patch: 'the next patch',
  sheet: 'the whole sheet',
  burn: 'burn in',
  'hold-back': 'hold back',
  'let-go': 'let go',
  place: 'place',
  soft: 'soft filter',
  hard: 'hard filter',
  point: 'point',
  'light-off': 'light off',
  'lamp-failed': 'the lamp did not light',
  'fogs-paper': 'light fogs the paper; once more, if you mean it',
  stopped: 'stopped',
}
export const highestNumber = 59

/** Everything the voice can say, by the name of its file. */
export const spoken: Record<string, string> = {
  ...cueWords,
  ...printWords,
  ...Object.fromEntries(Object.entries(stepWords).map(([kind, text]) => [`step-${kind}`, text])),
  ...Object.fromEntries(Array.from({ length: highestNumber + 1 }, (_, n) => [`n${n}`, String(n)])),
  ...Object.fromEntries([...saidInTheDark, ...saidForAid].map(({ key, text }) => [key, text])),
}
