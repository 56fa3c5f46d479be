import { houseProcesses } from '../families'
import { houseIds } from '../families/ids'
import { requireWhole, type ProcessBody } from '../process'
import { compareProcesses, timeWords } from './compare'
import { draftOf } from './draft'
import { changeStep, copySteps, moveStep, pourFrom, removeStep, scaleTime, setOption } from './edit'

const named = (name: keyof typeof houseIds): ProcessBody => {
  const { id: _, ...body } = houseProcesses.find((one) => one.id === houseIds[name])!
  return body
}
const [hand, colour, slide] = [named('bw-negative'), named('colour-negative'), named('bw-slide')]
const keys = ({ steps }: ProcessBody) => steps.map((step) => step.key)
const code = (name: string) => expect.objectContaining({ code: name })
const rules = (process: ProcessBody) => draftOf(process).findings.map((one) => `${one.rule} ${one.severity}`)

test('nothing that is done to a process changes the one it was done to', () => {
  const before = structuredClone(hand)
  moveStep(hand, 'fix', 0)
  removeStep(hand, 'pre-wet')
  scaleTime(hand, 'stop', 2)
  copySteps(hand, slide, ['clear'], 2)
  pourFrom(hand, 'fix', { name: 'Other fixer', family: 'fixer' })
  setOption(hand, 'running', true)
  compareProcesses(hand, colour)
  draftOf(hand)
  expect(hand).toEqual(before)
})

describe('steps', () => {
  test('are moved to where they are put, and no farther than the ends', () => {
    const steps = keys(hand)
    expect(keys(moveStep(hand, 'develop', 0)).slice(0, 2)).toEqual(['develop', 'pre-wet'])
    expect(keys(moveStep(hand, 'pre-wet', 1)).slice(0, 2)).toEqual(['develop', 'pre-wet'])
    expect(keys(moveStep(hand, 'pre-wet', 999)).at(-1)).toBe('pre-wet')
    expect(keys(moveStep(hand, 'stop', -3))[0]).toBe('stop')
    expect(keys(moveStep(hand, 'fix', steps.indexOf('fix')))).toEqual(steps)
    expect(() => moveStep(hand, 'gone', 0)).toThrow(code('no-step'))
  })
  test('go with what only they needed', () => {
    const bare = removeStep(removeStep(hand, 'stop'), 'water-stop')
    expect([bare.roles.some((role) => role.id === 'stop'), bare.options.some((one) => one.group === 'stop')]).toEqual([false, false])
    // what is left of a choice of two is there or not, by itself
    const acid = removeStep(hand, 'water-stop').options.find((one) => one.id === 'acid-stop')
    expect(acid).toEqual({ id: 'acid-stop', name: 'An acid stop bath', on: true, steps: ['stop'] })
    const water = removeStep(hand, 'stop').options.find((one) => one.id === 'water-stop')
    expect(water).toEqual({ id: 'water-stop', name: 'A minute of water instead', on: true, steps: ['water-stop'] })
    // of a choice of three whose own is gone the next is on
    const wash = ['wash-1', 'wash-2', 'wash-3'].reduce(removeStep, hand).options.filter((one) => one.group === 'washing')
    expect(wash.map((one) => [one.id, one.on])).toEqual([
      ['running', true],
      ['wash-aid', false],
    ])
    requireWhole(['wash-1', 'wash-2', 'wash-3'].reduce(removeStep, hand))
  })
  test('that others need stay, and one always does', () => {
    expect(() => removeStep(hand, 'fix')).toThrow(code('step-needed'))
    expect(() => removeStep(slide, 'first-developer')).toThrow('Second development needs First developer: change that step first.')
    expect(() => removeStep({ ...hand, steps: hand.steps.slice(0, 1), options: [] }, 'pre-wet')).toThrow(code('last-step'))
  })
  test('take as many times as long, whatever their time is from', () => {
    const time = (process: ProcessBody, key: string, factor: number) =>
      scaleTime(process, key, factor).steps.find((step) => step.key === key)?.time
    expect(time(hand, 'stop', 2)).toEqual({ s: 60 })
    expect(time(hand, 'fix', 1.5)).toEqual({ clearing: 3, s: 450 })
    expect(time(hand, 'fix-1', 2)).toEqual({ share: 1, of: 'fix' })
    expect(time(colour, 'developer', 0.5)).toEqual({ table: expect.arrayContaining([{ c: 37.8, s: 97.5 }]) })
    expect(time(changeStep(hand, 'stop', { time: { inspect: true, atMostS: 60 } }), 'stop', 2)).toEqual({ inspect: true, atMostS: 120 })
    expect(time(changeStep(hand, 'stop', { time: { inspect: true } }), 'stop', 2)).toEqual({ inspect: true })
    expect(() => scaleTime(hand, 'develop', 2)).toThrow(code('chart-time'))
    expect(() => scaleTime(hand, 'stop', 0)).toThrow(code('out-of-range'))
  })
  test('lose what is set to nothing, and keep their key', () => {
    const [pre] = changeStep(hand, 'pre-wet', { atC: 30, key: 'other' } as never).steps
    expect([pre?.key, pre?.atC]).toEqual(['pre-wet', 30])
    expect(changeStep(changeStep(hand, 'pre-wet', { atC: 30 }), 'pre-wet', { atC: undefined }).steps[0]).toEqual(hand.steps[0])
  })
})

describe('steps of another process', () => {
  test('come with their baths, in their order, under keys that are free', () => {
    const made = copySteps(colour, slide, ['re-expose', 'wash-bleach', 'bleach'], 1)
    expect(keys(made).slice(1, 4)).toEqual(
      ['bleach-2', 'wash-bleach-2', 're-expose'].map((key) =>
        keys(colour).includes(key.replace(/-2$/, '')) ? key : key.replace(/-2$/, ''),
      ),
    )
    requireWhole(made)
    const bleach = made.steps[1]!
    const role = made.roles.find((one) => typeof bleach.liquid === 'object' && 'role' in bleach.liquid && one.id === bleach.liquid.role)
    expect(role).toMatchObject({ name: 'Permanganate bleach', family: 'bleach' })
  })
  test('share a bath that is the same one', () => {
    const made = copySteps(hand, slide, ['fix'], 99)
    expect([keys(made).at(-1), made.roles.length]).toEqual(['fix-3', hand.roles.length])
  })
  test('bring what they need with them, or say what lacks', () => {
    expect(() => copySteps(colour, slide, ['second-developer'], 0)).toThrow(code('step-needed'))
    const both = copySteps(copySteps(slide, slide, ['first-developer', 'second-developer'], 99), slide, ['clear'], 0)
    expect(both.steps.at(-1)?.liquid).toEqual({ savedFrom: both.steps.at(-2)?.key })
    requireWhole(both)
    expect(copySteps(colour, hand, ['fix-1'], 0).steps[0]?.time).toEqual({ s: 150 })
    expect(() => copySteps(colour, hand, [], 0)).toThrow(code('no-step'))
  })
  test('a bath is taken from a role of its name, made where there is none', () => {
    const made = pourFrom(hand, 'rinse', { name: 'Salt bath!', family: 'other' })
    expect(made.roles.at(-1)).toEqual({ id: 'salt-bath', name: 'Salt bath!', family: 'other' })
    expect(pourFrom(made, 'pre-wet', { name: 'Salt bath!', family: 'other' }).roles).toHaveLength(made.roles.length)
    expect(pourFrom(made, 'rinse', { name: '…', family: 'other' }).roles.at(-1)?.id).toBe('bath')
  })
  test('of a group one option is on, another by itself is on or off', () => {
    const on = (process: ProcessBody) => process.options.flatMap((one) => (one.on ? [one.id] : []))
    expect(on(setOption(hand, 'running', true))).toEqual(['acid-stop', 'one-fix', 'running', 'wetting-agent'])
    expect(on(setOption(hand, 'wetting-agent', false))).toEqual(['acid-stop', 'one-fix', 'fills'])
    // the one that is on is turned off by another
    expect(on(setOption(hand, 'fills', false))).toEqual(on(hand))
  })
})

describe('a process as it is written', () => {
  test.each(houseProcesses.map((one) => [one.name, one] as const))('%s has nothing against it', (_name, process) =>
    expect(draftOf(process).findings.filter((one) => one.severity !== 'advice')).toEqual([]),
  )
  test('says at which step, and mends it where there is a way', () => {
    const rinsed = moveStep(colour, 'wash', 99)
    const [finding] = draftOf(rinsed).findings
    expect(finding).toMatchObject({ rule: 'plan-rinse-after-last', key: 'wash', mend: { says: 'Leave Wash out' } })
    expect(rules(finding!.mend!.process)).toEqual(expect.not.arrayContaining(['plan-rinse-after-last error']))
    const lit = changeStep(hand, 'develop', { light: 'white' })
    expect(rules(draftOf(lit).findings[0]!.mend!.process)).toEqual(rules(hand))
    const unfixed = ['fix-1', 'fix-2', 'fix'].reduce(removeStep, hand)
    const [no] = draftOf(unfixed).findings
    expect(no).toMatchObject({ rule: 'plan-no-fix', severity: 'error', mend: { says: 'Add a fixing bath' } })
    expect(keys(no!.mend!.process)).toEqual(['pre-wet', 'develop', 'stop', 'water-stop', 'fix', ...keys(hand).slice(-8)])
    expect(rules(no!.mend!.process)).toEqual(rules(hand))
    const six = copySteps(named('slide-six'), hand, ['rinse'], keys(named('slide-six')).indexOf('conditioner'))
    const between = draftOf(six).findings.find((one) => one.rule === 'plan-wash-between')
    expect(rules(between!.mend!.process)).toEqual(rules(named('slide-six')))
  })
  test('that does not hold together is told as that', () => {
    expect(draftOf({ ...hand, roles: [] })).toEqual({
      plan: null,
      findings: [expect.objectContaining({ rule: 'process-broken', severity: 'error' })],
    })
  })
})

describe('two versions', () => {
  const said = (one: ProcessBody, other: ProcessBody) =>
    compareProcesses(one, other).map(({ step, what, was, is }) => [step, what, was, is])
  test('differ by what is new, gone, moved and otherwise, in words', () => {
    expect(said(hand, scaleTime(hand, 'stop', 2))).toEqual([['Stop', 'time', '0:30', '1:00']])
    expect(said(hand, { ...setOption(hand, 'running', true), name: 'Ours' })).toEqual([
      ['', 'name', 'Black-and-white negative', 'Ours'],
      ['Wash in three fills', 'option', 'on', 'off'],
      ['Wash in running water', 'option', 'off', 'on'],
    ])
    expect(said(colour, removeStep(colour, 'stabiliser'))).toContainEqual(['Stabiliser', 'step', 'there', ''])
    expect(said(removeStep(colour, 'stabiliser'), colour)).toContainEqual(['Stabiliser', 'step', '', 'new: 1:00'])
    expect(said(hand, moveStep(hand, 'pre-wet', 1))).toEqual([
      ['Develop', 'place', 'after Pre-wet', 'after nothing'],
      ['Pre-wet', 'place', 'after nothing', 'after Develop'],
      ['Stop', 'place', 'after Develop', 'after Pre-wet'],
    ])
    expect(
      said(
        hand,
        changeStep(hand, 'stop', {
          light: { safelight: 'red' },
          fate: 'discard',
          atC: 24,
          c: { min: 20, max: 28 },
          liquid: 'water',
          note: 'ours',
        }),
      ),
    ).toEqual([
      ['Stop', 'liquid', 'Stop bath', 'water'],
      ['Stop', 'temperature', 'as the developer, ± 2 °C', '24.0 °C, 20.0 °C to 28.0 °C'],
      ['Stop', 'light', 'tank', 'red safelight'],
      ['Stop', 'afterwards', 'back into its bottle', 'poured away'],
      ['Stop', 'note', '', 'ours'],
    ])
  })
  test('a time is told by where it is from', () => {
    expect(timeWords({ share: 0.5, of: 'fix' }, () => 'Fix')).toBe('0.5 × Fix')
    expect(timeWords({ table: [{ c: 30, s: 480 }, { c: 37.8, s: 195 }] })).toBe('8:00 at 30.0 °C, 3:15 at 37.8 °C') // prettier-ignore
    expect(timeWords({ inspect: true, atMostS: 90 })).toBe('until it is seen to be done, at most 1:30')
  })
})
