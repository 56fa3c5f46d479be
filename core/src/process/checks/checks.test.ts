import { checkPlan } from '../checkPlan'
import type { Plan, PlanBottle, PlanStep } from '../load'

const bottle = (part: Partial<PlanBottle> = {}): PlanBottle => ({
  ...{ id: 'b', name: 'Bath', label: 'B1', family: 'fixer', parts: [1], volumeMl: 1000, rollsLeft: 10, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1, position: null },
  ...part,
})
const step = (key: string, part: Partial<PlanStep> = {}): PlanStep =>
  ({
    ...{ key, kind: key, name: key, liquid: { role: key }, time: { s: 300 }, toleranceC: 2, light: 'tank', fate: 'back', drainS: 10 },
    ...{ agitation: { name: '', firstS: 0, forS: 0, everyS: 0 }, seconds: 300, temperatureC: 20, volumeMl: 300, partsMl: [300] },
    ...{ family: 'fixer', bottle: null, waits: false },
    ...part,
  }) as PlanStep
const develop = (part: Partial<PlanStep> = {}) => step('develop', { seconds: 600, ...part })
const fix = (part: Partial<PlanStep> = {}) => step('fix', part)
const plan = (steps: PlanStep[], part: Partial<Plan> = {}): Plan => ({
  ...{ format: 2, processId: 'p', processName: 'P', material: 'bw-film', rolls: 2, temperatureC: 20, developing: null, findings: [] },
  vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 300, holdsMl: 600, reels: 2, running: [], planned: [] },
  films: [{ format: '135-36', count: 2 }],
  steps,
  ...part,
})
/** Rule, severity and step of all that is said. */
const says = (steps: PlanStep[], part: Partial<Plan> = {}) =>
  checkPlan(plan(steps, part)).map(({ rule, severity, step: at }) => [rule, severity, at].filter((one) => one !== undefined).join(' '))
const message = (steps: PlanStep[], part: Partial<Plan> = {}) => checkPlan(plan(steps, part))[0]?.message

test('a plan that is in order has nothing against it', () => expect(says([develop(), step('stop'), fix(), step('wash')])).toEqual([]))

describe('temperatures', () => {
  const at = (temperatureC: number, part: Partial<PlanStep> = {}) => [develop(), fix({ temperatureC, ...part })]
  test('a step follows the developer within its tolerance, to the degree', () => {
    expect([says(at(22)), says(at(18)), says(at(22.1)), says(at(17.9))]).toEqual([
      [],
      [],
      ['plan-temperature warning 1'],
      ['plan-temperature warning 1'],
    ])
    expect(message(at(22.5))).toBe('fix is at 22.5 °C, 2.5 °C from the developer; 2 °C is what it bears.')
    expect(
      message(
        at(30, { atC: 34, liquid: 'water', kind: 'wash' })
          .slice(1)
          .concat(fix({ temperatureC: 33 })),
      ),
    ).toContain('from 34.0 °C')
  })
  test('a range of its own counts instead, and beyond it nothing works', () => {
    const c = { min: 18, max: 21 }
    expect([says(at(18, { c })), says(at(21, { c })), says(at(17.9, { c })), says(at(21.1, { c }))]).toEqual([
      [],
      [],
      ['plan-temperature error 1'],
      ['plan-temperature error 1'],
    ])
  })
  test('a colour developer off its temperature is an error, its other baths are not', () => {
    const colour = { material: 'colour-negative' as const, temperatureC: 37.8 }
    const baths = (developerC: number, bleachC: number) => [
      step('develop', { atC: 37.8, toleranceC: 0.15, temperatureC: developerC }),
      step('bleach-fix', { temperatureC: bleachC }),
    ]
    expect(says(baths(37.8, 37.8), colour)).toEqual([])
    expect(says(baths(38, 37.8), colour)).toEqual(['plan-temperature error 0'])
    expect(says(baths(37.8, 30), colour)).toEqual(['plan-temperature warning 1'])
    expect(says(baths(38, 37.8), { ...colour, material: 'bw-film' })).toEqual(['plan-temperature warning 0'])
  })
  test('times for other temperatures are right there, and the colours part all the same', () => {
    const table = { table: [{ c: 30, s: 480 }, { c: 37.8, s: 195 }] } // prettier-ignore
    const baths = (temperatureC: number, part: Partial<PlanStep> = {}) => [
      step('develop', { atC: 37.8, toleranceC: 0.3, time: table, temperatureC, ...part }),
      step('bleach-fix', { temperatureC: 30, c: { min: 24, max: 40 } }),
    ]
    const slide = { material: 'slide' as const, temperatureC: 37.8 }
    expect(says(baths(30), slide)).toEqual(['plan-colours-cross warning 0'])
    expect(says(baths(37.5), slide)).toEqual([])
    expect(says(baths(30), { ...slide, material: 'bw-film' })).toEqual([])
    expect(says(baths(30, { atC: undefined }), slide)).toEqual([])
    expect(says([develop({ atC: 37.8, temperatureC: 30 }), fix()], { ...slide, temperatureC: 30 })).not.toContain(
      'plan-colours-cross warning 0',
    )
  })
  test('what lies between two baths and is no liquid has no temperature, and hides no jump', () => {
    const over = (c: number, between: PlanStep[] = []) =>
      says([develop(), ...between, fix({ temperatureC: c, c: { min: 0, max: 50 } })]).filter((one) => one.startsWith('plan-reticulation'))
    expect([over(25), over(25.1), over(30), over(30.1), over(14.9)].flat()).toEqual([
      'plan-reticulation warning 1',
      'plan-reticulation warning 1',
      'plan-reticulation error 1',
      'plan-reticulation warning 1',
    ])
    const lamp = step('re-expose', { liquid: 'light', temperatureC: 90, light: 'tank' })
    expect(over(25.1, [lamp])).toEqual(['plan-reticulation warning 2'])
    expect(says([step('pre-wet', { liquid: 'air', temperatureC: 60 }), develop(), fix()])).toEqual([])
    // the emulsion of colour film bears it
    expect(
      says([develop(), fix({ temperatureC: 28, c: { min: 0, max: 50 } })], { material: 'slide' }).filter((one) => one.includes('retic')),
    ).toEqual([])
  })
  test('a warm permanganate bleach is one by what is in its bottle; a black-and-white slide’s where nobody knows', () => {
    const bleach = (temperatureC: number, part: Partial<PlanBottle>, material: Plan['material'] = 'bw-slide') =>
      says(
        [
          step('bleach', { temperatureC, bottle: bottle({ ...part }), c: { min: 0, max: 40 } }),
          fix({ temperatureC: 21, c: { min: 0, max: 40 } }),
        ],
        {
          material,
        },
      ).filter((one) => one.includes('permanganate'))
    expect([bleach(21, {}), bleach(21.1, {}), bleach(21.1, { bleaches: 'dichromate' }), bleach(21.1, {}, 'slide')]).toEqual([
      [],
      ['plan-permanganate-warm error 0'],
      [],
      [],
    ])
    expect(bleach(21.1, { bleaches: 'permanganate' }, 'bw-film')).toEqual(['plan-permanganate-warm error 0'])
    expect(says([fix({ temperatureC: 21.5, bottle: bottle({ bleaches: 'permanganate' }) })], { temperatureC: 21.5 })).toEqual([])
  })
})

describe('bottles', () => {
  const used = (part: Partial<PlanBottle>, more: Partial<PlanStep> = {}, load: Partial<Plan> = {}) =>
    says([develop(), fix({ bottle: bottle(part), ...more })], load)
  test('hold what the step takes, to the drop', () => {
    expect([used({ volumeMl: 300 }), used({ volumeMl: 299 })]).toEqual([[], ['plan-volume error 1']])
    expect(message([develop(), fix({ bottle: bottle({ volumeMl: -4, reservedFor: [3, 4] }) })])).toBe(
      'fix needs 300 ml from B1, which holds 0 ml (the rest is reserved for run 3, 4): take another bottle or fewer films.',
    )
    expect(message([develop(), fix({ bottle: bottle({ volumeMl: 0, reservedFor: [] }) })])).not.toContain('reserved')
  })
  test('are good for the films, unless they are used once', () => {
    expect([used({ rollsLeft: 2 }), used({ rollsLeft: 1.9 }), used({ rollsLeft: null })]).toEqual([[], ['plan-capacity error 1'], []])
    expect(used({ rollsLeft: 0, oneShot: true })).toEqual([])
    expect(message([develop(), fix({ bottle: bottle({ rollsLeft: -1 }) })])).toContain('good for 0.0 more rolls and this load is 2.0')
  })
  test('in two steps are asked for both at once, and said once', () => {
    const twice = (part: Partial<PlanBottle>) =>
      says([develop(), step('fix'), step('stop', { bottle: bottle(part) }), step('bleach', { bottle: bottle(part) })])
    // what goes back is there again for the second; what is used once is not
    expect([twice({ volumeMl: 300 }), twice({ volumeMl: 599, oneShot: true }), twice({ volumeMl: 600, oneShot: true })]).toEqual([
      [],
      ['plan-volume error 2'],
      [],
    ])
    expect([twice({ rollsLeft: 4 }), twice({ rollsLeft: 3.9 })]).toEqual([[], ['plan-capacity error 2']])
  })
  test('may be used: an error of theirs is one of the plan; an odd pH is a warning, anything less is theirs', () => {
    const finding = (rule: string, severity: 'error' | 'warning') => ({ findings: [{ rule, severity, message: 'It is tired.' }] })
    expect(used(finding('bottle-age', 'error'))).toEqual(['plan-bottle error 1'])
    expect(used(finding('bottle-age', 'warning'))).toEqual([])
    expect(used(finding('bottle-ph', 'warning'))).toEqual(['plan-bottle-ph warning 1'])
  })
  test('are whole: a part of a bath does not do its work', () =>
    expect(message([develop(), fix({ bottle: bottle({ partOf: 'Bleach, working' }) })])).toBe(
      'B1 Bath is only a part of Bleach, working: pour its parts together first, and take that.',
    ))
  test('diluted so far that the tank cannot hold enough is no plan', () => {
    const weak = (volumeMl: number, part: Partial<PlanStep> = {}, load: Partial<Plan> = {}) =>
      says([develop({ bottle: bottle({ oneShot: true, parts: [1, 3] }), volumeMl, partsMl: [100, 300], ...part }), fix()], load)
    expect([weak(600), weak(601)]).toEqual([[], ['plan-concentrate error 0']])
    const small = { vessel: { ...plan([]).vessel, holdsMl: undefined } }
    expect([weak(300, {}, small), weak(301, {}, small)]).toEqual([[], ['plan-concentrate error 0']])
    // what is saved for later starts with what the films carry out of it
    expect(weak(620, { fate: { saveAs: 'x' } }, { vessel: { ...plan([]).vessel, carryMl: 10 } })).toEqual([])
    expect(weak(622, { fate: { saveAs: 'x' } }, { vessel: { ...plan([]).vessel, carryMl: 10 } })).toEqual(['plan-concentrate error 0'])
    expect(used({ oneShot: false, volumeMl: 5000 }, { volumeMl: 900 })).toEqual([])
  })
  test('of a pair stand in order', () => {
    const pair = (...positions: (1 | 2 | null)[]) =>
      says([develop(), ...positions.map((position, i) => fix({ key: `fix-${i}`, bottle: bottle({ id: `f${i}`, position }) }))])
    expect([pair(1, 2), pair(2, 1), pair(1), pair(null), pair(null, null)]).toEqual([
      [],
      ['plan-bath-order error 2'],
      ['plan-second-bath error 1'],
      [],
      ['plan-bath-order error 2'],
    ])
    expect([pair(1, 1), pair(2, 2)]).toEqual([['plan-bath-order error 2'], ['plan-bath-order error 2']])
  })
  test('of a black-and-white slide take the silver out: a bleach for toning leaves it', () => {
    const bleached = (bleaches: PlanBottle['bleaches'], material: Plan['material'] = 'bw-slide') =>
      says([step('bleach', { bottle: bottle({ bleaches }) }), step('clear'), fix()], { material })
    expect([bleached('other'), bleached('permanganate'), bleached('dichromate'), bleached(undefined)]).toEqual([
      ['plan-bleach error 0'],
      [],
      [],
      [],
    ])
    expect([bleached('other', 'slide'), says([fix({ bottle: bottle({ bleaches: 'other' }) })], { material: 'bw-slide' })]).toEqual([[], []])
  })
  test('with a test due stand in the way of a critical run alone', () => {
    const due = { due: ['Clearing time (30 days without it)', 'Iodide drop'] }
    expect([used(due), used(due, {}, { critical: true })]).toEqual([[], ['plan-test-due error 1', 'plan-test-due error 1']])
    expect(used({}, {}, { critical: true })).toEqual([])
  })
})

describe('order', () => {
  const reversal = (...steps: PlanStep[]) => [develop(), step('wash'), ...steps]
  const lamp = step('re-expose', { liquid: 'light', light: 'white' })
  const second = (part: Partial<PlanStep> = {}) => step('second-develop', part)
  const slide = { material: 'slide' as const }
  test('something fixes; after a complete reversal it need not', () => {
    expect(says([develop(), step('wash')])).toEqual(['plan-no-fix error'])
    expect([says([develop(), step('bleach-fix')]), says([step('monobath')])]).toEqual([[], []])
    expect(says(reversal(lamp, second()), slide)).toEqual(['plan-no-fix advice'])
    expect(says(reversal(second()), slide)).toEqual(['plan-no-fix error', 'plan-no-reexposure error 2'])
    expect(says(reversal(lamp), slide)).toEqual(['plan-no-fix error', 'plan-light error 2'])
  })
  test('nothing is rinsed off after the last bath', () => {
    const last = (kind: string, ...after: PlanStep[]) => says([develop(), fix(), step('wash'), step(kind), ...after])
    for (const kind of ['stabilise', 'wetting-agent'])
      expect([last(kind), last(kind, step('rinse')), last(kind, step('wash', { key: 'w2' })), last(kind, step('dry'))]).toEqual([
        [],
        ['plan-rinse-after-last error 4'],
        ['plan-rinse-after-last error 4'],
        [],
      ])
  })
  test('a second development follows light, a bath or an agent that reverses', () => {
    const reversed = (...steps: PlanStep[]) => says(reversal(...steps, fix()), slide)
    expect(reversed(lamp, second())).toEqual([])
    expect(reversed(step('reversal-bath'), second())).toEqual([])
    expect(reversed(second({ reverses: true }))).toEqual([])
    expect(reversed(second())).toEqual(['plan-no-reexposure error 2'])
    expect(reversed(second(), step('re-expose', { liquid: 'light' }))).toEqual(['plan-no-reexposure error 2'])
  })
  test('what is taken was saved before, and not poured away since', () => {
    const saved = develop({ fate: { saveAs: 'x' } })
    const taken = (...steps: PlanStep[]) => says([...steps, fix()], slide).filter((one) => one.startsWith('plan-bath-gone'))
    const takes = (key: string, fate: PlanStep['fate']) => step(key, { kind: 'second-develop', liquid: { savedFrom: 'develop' }, fate })
    expect(taken(saved, takes('a', 'discard'))).toEqual([])
    expect(taken(develop(), takes('a', 'discard'))).toEqual(['plan-bath-gone error 1'])
    expect(taken(takes('a', 'discard'), saved)).toEqual(['plan-bath-gone error 0'])
    expect(taken(saved, takes('a', 'back'), takes('b', 'discard'))).toEqual([])
    expect(taken(saved, takes('a', 'discard'), takes('b', 'discard'))).toEqual(['plan-bath-gone error 2'])
  })
  test('nothing is washed between the baths of six that hand on to each other', () => {
    const six = ['reversal-bath', 'second-develop', 'conditioner', 'bleach']
    const with_ = (at: number, kind = 'wash', kinds = six) =>
      says(
        [develop(), ...kinds.flatMap((one, i) => (i === at ? [step(one), step(kind, { key: 'between' })] : [step(one)])), fix()],
        slide,
      ).filter((one) => one.startsWith('plan-wash-between'))
    expect([0, 1, 2].map((at) => with_(at))).toEqual([
      ['plan-wash-between error 2'],
      ['plan-wash-between error 3'],
      ['plan-wash-between error 4'],
    ])
    expect([with_(3), with_(0, 'inspect'), with_(1, 'rinse')]).toEqual([[], [], ['plan-wash-between error 3']])
    // without a reversal bath they hand on nothing
    expect(with_(0, 'wash', ['second-develop', 'conditioner', 'bleach'])).toEqual([])
  })
})

describe('light', () => {
  const white = { light: 'white' as const }
  const light = (steps: PlanStep[], part: Partial<Plan> = {}) => says(steps, part).filter((one) => one.startsWith('plan-light'))
  test('film bears it from the end of its first fixing', () => {
    const steps = (at: number) => [develop(), fix(), step('wash')].map((one, i) => (i === at ? { ...one, ...white } : one))
    expect([0, 1, 2].map((at) => light(steps(at)))).toEqual([['plan-light error 0'], ['plan-light error 1'], []])
    expect(light([develop(), step('wash', white)])).toEqual(['plan-light error 1'])
  })
  const reversal = (...keys: string[]) => keys.map((key) => (key === 'lamp' ? step('re-expose', { liquid: 'light', ...white }) : step(key)))
  test('in a reversal from the wash after the first developer; in black and white from the clearing bath', () => {
    const steps = reversal('pre-wet', 'develop', 'wash', 'lamp', 'second-develop', 'fix')
    expect(light(steps, { material: 'slide' })).toEqual([])
    expect(light(reversal('wash', 'develop', 'lamp', 'second-develop', 'fix'), { material: 'slide' })).toEqual(['plan-light error 2'])
    expect(light(steps, { material: 'bw-slide' })).toEqual(['plan-light error 3'])
    expect(light(reversal('develop', 'wash', 'clear', 'lamp', 'second-develop'), { material: 'bw-slide' })).toEqual([])
    expect(light(reversal('develop', 'fix', 'lamp', 'second-develop'), { material: 'bw-slide' })).toEqual([])
  })
  test('it names the step it has to wait for', () => expect(message([develop(white), fix()])).toContain('before the end of fix'))
})

describe('times and tanks', () => {
  test('a short development is uneven in a tank worked by hand', () => {
    const short = (seconds: number, part: Partial<Plan> = {}) => says([develop({ seconds }), fix()], part)
    expect([short(300), short(299), short(240), short(239)]).toEqual([
      [],
      ['plan-short advice 0'],
      ['plan-short advice 0'],
      ['plan-short warning 0'],
    ])
    expect(short(200, { vessel: { ...plan([]).vessel, kind: 'rotary' } })).toEqual([])
    expect([short(200, { material: 'slide' }), short(200, { material: 'bw-slide' })]).toEqual([[], ['plan-short warning 0']])
    expect(says([develop(), fix({ seconds: 200 })])).toEqual([])
  })
  test('a bleach and a development are longer than it takes to pour them', () => {
    const pours = (kind: string, seconds: number) =>
      says([step(kind, { seconds, volumeMl: 500, drainS: 12 }), fix()], { material: 'slide' }).filter((one) => one.includes('step-short'))
    // 10 s to pour, 12 to drain, and 5 more
    expect([pours('bleach', 27), pours('bleach', 26.9), pours('stop', 5)]).toEqual([[], ['plan-step-short error 0'], []])
  })
  test('a tank takes as many films as it has reels', () => {
    const films = (...counts: number[]) => says([develop(), fix()], { films: counts.map((count) => ({ format: '135-36', count })) })
    expect([films(2), films(1, 1), films(3), films(1, 2)]).toEqual([[], [], ['plan-vessel error'], ['plan-vessel error']])
    expect(message([develop(), fix()], { vessel: { ...plan([]).vessel, reels: 1 } })).toContain('takes 1 film, not 2')
  })
  test('another run in it, or planned in it, is said', () => {
    const in_ = (part: Partial<Plan['vessel']>) => says([develop(), fix()], { vessel: { ...plan([]).vessel, ...part } })
    expect([in_({ running: [3] }), in_({ planned: [4, 5] }), in_({ running: undefined, planned: undefined })]).toEqual([
      ['plan-vessel-running warning'],
      ['plan-vessel-taken warning'],
      [],
    ])
  })
})
