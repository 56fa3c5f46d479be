import type { PlanStep, RunClock } from '@selvrin/core'
import { afterWords, bigTime, cueWords, describedStep } from './clockWords'

const step = (name: string, more: object = {}) =>
  ({ name, seconds: 630, waits: false, bath: 'fixer', bottle: undefined, ...more }) as unknown as PlanStep
const clock = (more: object) =>
  ({ phase: 'running', remainingS: 100, holding: false, cue: null, next: null, times: [], ...more }) as unknown as RunClock
const develop = step('Develop')
const stop = step('Stop')

test('before the first pour the whole step stands there, and what is poured', () => {
  const before = clock({ phase: 'before' })
  expect([bigTime(before, develop), cueWords(before, develop)]).toEqual(['10:30', 'Pour in: Develop'])
  expect(afterWords(before, develop, develop)).toContain('Press Space as the pour begins')
})

test('what is left is never less than it is, and beyond the end it counts on', () => {
  expect(bigTime(clock({ remainingS: 60.2 }), develop)).toBe('1:01')
  expect(bigTime(clock({ remainingS: 0.4 }), develop)).toBe('0:01')
  expect(bigTime(clock({ remainingS: 0 }), develop)).toBe('+0:00')
  expect(bigTime(clock({ phase: 'over', remainingS: -75 }), develop)).toBe('+1:15')
})

test('the end of a step says whether it is held, and what goes in when the hands are ready', () => {
  expect(cueWords(clock({ phase: 'over' }), develop)).toBe('Time is up')
  expect(cueWords(clock({ phase: 'over', holding: true }), develop)).toBe('Held')
  expect(afterWords(clock({ phase: 'over' }), develop, stop)).toBe('Pour Stop when you are ready, and press Space.')
  expect(afterWords(clock({ phase: 'over' }), develop, undefined)).toBe('Press Space when it is out.')
})

test('a cue lasts until a time of the step as it is now planned, and says what the next one is', () => {
  const agitating = clock({ cue: { word: 'Invert', untilS: 580 }, next: { word: 'Rest' }, times: [{ plannedS: 600 }] })
  expect([cueWords(agitating, develop), afterWords(agitating, develop, stop)]).toEqual(['Invert', 'until 0:20, then rest'])
  // without a time of its own the plan's counts
  expect(afterWords(clock({ cue: { word: 'Invert', untilS: 600 }, next: { word: 'Rest' } }), develop, stop)).toBe('until 0:30, then rest')
})

test('what follows goes in at once, or waits where it may', () => {
  expect(afterWords(clock({}), develop, stop)).toBe('then Stop goes in at once')
  expect(afterWords(clock({}), step('Wash', { waits: true }), stop)).toBe('then Stop is ready')
  expect(afterWords(clock({}), step('Wash'), undefined)).toBe('then out')
})

test('a step is named by its bottle and how it is thinned', () => {
  expect(describedStep(step('Fix', { bottle: { label: 'F2', parts: [1] } }))).toBe('F2')
  expect(describedStep(step('Develop', { bottle: { label: 'D1', parts: [1, 1] } }))).toBe('D1, 1+1')
  expect([describedStep(step('Wash', { liquid: 'water' })), describedStep(undefined)]).toEqual(['water', ''])
})

test('what ends by the eye counts up, and is looked at', () => {
  const looked = step('Bleach', { time: { inspect: true } })
  const looking = clock({ elapsedS: 75, remainingS: -15, cue: { kind: 'rest', word: 'Rest' } })
  expect([bigTime(looking, looked), cueWords(looking, looked)]).toEqual(['1:15', 'Look at it'])
  expect(afterWords(looking, looked, stop)).toBe('Space when it is done, then Stop.')
})

test('under the lamp each side has its own time', () => {
  const lamp = step('Re-expose', { liquid: 'light', waits: true })
  expect(bigTime(clock({ elapsedS: 10, remainingS: 110, cue: { untilS: 60 } }), lamp)).toBe('0:50')
  expect(bigTime(clock({ elapsedS: 70, remainingS: 50, cue: { untilS: 120 } }), lamp)).toBe('0:50')
  expect(afterWords(clock({ phase: 'over' }), develop, lamp)).toBe('Open the tank, Re-expose when you are ready, and press Space.')
})

test('pouring out says where it goes: back, away, or saved for later, from where it comes back', () => {
  const out = clock({ cue: { kind: 'pour-out', word: 'Pour out' } })
  const of = (more: object) =>
    afterWords(out, step('Fix', { bottle: { label: 'F2', parts: [1] }, liquid: { role: 'fixer' }, ...more }), stop)
  expect([of({ fate: 'back' }), of({ fate: 'discard' })]).toEqual(['back into F2, then Stop', 'away, not back, then Stop'])
  expect(of({ fate: { saveAs: 'first' } })).toMatch(/^save it/)
  expect(describedStep(step('Second', { bottle: { label: 'D5', parts: [1] }, liquid: { savedFrom: 'first' } }))).toBe('the saved D5')
})
