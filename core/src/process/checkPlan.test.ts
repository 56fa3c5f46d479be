import type { Finding } from '../finding'
import { checkPlan } from './checkPlan'
import type { Plan, PlanStep } from './load'

type Bottle = NonNullable<PlanStep['bottle']>
const bottle = (label: string, more: Partial<Bottle> = {}): Bottle =>
  ({
    id: label,
    label,
    name: label,
    parts: [1],
    volumeMl: 1000,
    rollsLeft: 10,
    oneShot: false,
    findings: [],
    due: [],
    position: null,
    ...more,
  }) as unknown as Bottle
const step = (kind: PlanStep['kind'], more: Partial<PlanStep> = {}): PlanStep =>
  ({
    kind,
    name: kind,
    seconds: 600,
    temperatureC: 20,
    toleranceC: 1,
    volumeMl: 600,
    partsMl: [600],
    bottle: null,
    ...more,
  }) as unknown as PlanStep
const develop = (more: Partial<PlanStep> = {}) => step('develop', more)
const fix = (more: Partial<PlanStep> = {}) => step('fix', { bottle: bottle('F1'), ...more })
const plan = (steps: PlanStep[], more: Partial<Omit<Plan, 'vessel'>> & { vessel?: object } = {}): Plan =>
  ({
    material: 'bw-film',
    temperatureC: 20,
    rolls: 2,
    critical: false,
    films: [{ format: '135-36', count: 2 }],
    steps,
    ...more,
    vessel: { id: 'v', name: 'Tank 2', kind: 'hand', reels: 2, coversMl: 600, ...more.vessel },
  }) as unknown as Plan
const told = (findings: Finding[]) => findings.map(({ rule, severity, step: at }) => [rule, severity, at])
const rules = (steps: PlanStep[], more?: Parameters<typeof plan>[1]) => told(checkPlan(plan(steps, more)))

test('a sound plan has nothing against it', () => {
  expect(checkPlan(plan([develop({ bottle: bottle('D1', { oneShot: true, volumeMl: 600 }) }), step('stop'), fix(), step('wash')]))).toEqual(
    [],
  )
})

test.each(['fix', 'bleach-fix', 'monobath'] as const)('%s fixes', (kind) => {
  expect(rules([develop(), step(kind)])).toEqual([])
})
test('what nothing fixes is refused', () => {
  expect(rules([develop(), step('stop'), step('wash')])).toEqual([['plan-no-fix', 'error', undefined]])
})

test.each(['stabilise', 'wetting-agent'] as const)('water after %s rinses it off again, water before it does not', (last) => {
  expect(rules([develop(), fix(), step('wash'), step(last)])).toEqual([])
  for (const water of ['rinse', 'wash', 'pre-wet'] as const)
    expect(rules([develop(), fix(), step(last), step(water)])).toEqual([['plan-rinse-after-last', 'error', 3]])
  expect(rules([develop(), fix(), step(last), step('dry' as never)])).toEqual([])
})

test('five degrees between baths the gelatine bears, more it does not; film for colour is not asked that', () => {
  const washed = (temperatureC: number) => [develop(), fix(), step('wash', { temperatureC, toleranceC: 9 })]
  expect(rules(washed(25))).toEqual([])
  expect(rules(washed(25.1))).toEqual([['plan-reticulation', 'warning', 2]])
  expect(rules(washed(14.9))).toEqual([['plan-reticulation', 'warning', 2]])
  expect(rules(washed(30))).toContainEqual(['plan-reticulation', 'warning', 2])
  expect(rules(washed(30.1))).toContainEqual(['plan-reticulation', 'error', 2])
  expect(rules(washed(25.1), { material: 'colour-negative' })).toEqual([])
  // it is the bath before that counts, not the first
  expect(rules([develop(), fix({ temperatureC: 24, toleranceC: 9 }), step('wash', { temperatureC: 28, toleranceC: 9 })])).toEqual([])
  expect(checkPlan(plan(washed(26)))[0]?.message).toContain('6.0 °C')
})

test('a step bears what it bears, and no more', () => {
  const stopped = (temperatureC: number) => [develop(), step('stop', { temperatureC, toleranceC: 2 }), fix()]
  expect(rules(stopped(22))).toEqual([])
  expect(rules(stopped(22.1))).toEqual([['plan-temperature', 'warning', 1]])
  expect(rules(stopped(17.9))).toEqual([['plan-temperature', 'warning', 1]])
})

test('under four minutes film develops unevenly by hand, under five it is said; a drum and colour are not asked', () => {
  const short = (seconds: number, more?: Parameters<typeof plan>[1]) => rules([develop({ seconds }), fix()], more)
  expect(short(300)).toEqual([])
  expect(short(299)).toEqual([['plan-short', 'advice', 0]])
  expect(short(240)).toEqual([['plan-short', 'advice', 0]])
  expect(short(239)).toEqual([['plan-short', 'warning', 0]])
  expect(short(200, { vessel: { kind: 'rotary' } })).toEqual([])
  expect(short(200, { material: 'colour-negative' })).toEqual([])
  expect(rules([develop(), step('stop', { seconds: 30 }), fix({ seconds: 60 })])).toEqual([])
})

test('a tank takes as many films as it has reels, and one run at a time', () => {
  const loaded = (count: number, vessel = {}) =>
    checkPlan(
      plan([develop(), fix()], {
        films: [
          { format: '135-36', count },
          { format: '135-36', count: 1 },
        ] as never,
        vessel,
      }),
    )
  expect(loaded(1)).toEqual([])
  expect(loaded(2)[0]).toMatchObject({
    rule: 'plan-vessel',
    severity: 'error',
    message: 'Tank 2 takes 2 films, not 3: use a larger one or fewer films.',
  })
  expect(loaded(1, { reels: 1 })[0]?.message).toContain('takes 1 film, not 2')
  expect(told(loaded(1, { running: [7], planned: [8, 9] }))).toEqual([
    ['plan-vessel-running', 'warning', undefined],
    ['plan-vessel-taken', 'warning', undefined],
  ])
  expect(loaded(1, { running: [7, 8] })[0]?.message).toContain('run 7, 8')
})

test('a bottle gives what it holds, to all its steps together where it is used once', () => {
  const from = (volumeMl: number, steps = 1, more: Partial<Bottle> = {}) => {
    const one = bottle('D1', { oneShot: true, volumeMl, ...more })
    return checkPlan(plan([...Array.from({ length: steps }, () => develop({ bottle: one, partsMl: [300, 300] })), fix()]))
  }
  expect(from(300)).toEqual([])
  expect(from(299)[0]).toMatchObject({
    rule: 'plan-volume',
    severity: 'error',
    step: 0,
    message: expect.stringContaining('300 ml from D1, which holds 299 ml'),
  })
  expect(told(from(599, 2))).toEqual([['plan-volume', 'error', 0]])
  expect(from(600, 2)).toEqual([])
  // what is poured back is the same liquid the second time
  expect(told(from(300, 2, { oneShot: false }))).toEqual([])
  expect(from(100, 1, { reservedFor: [4, 5] })[0]?.message).toContain('(the rest is reserved for run 4, 5)')
  expect(from(-5)[0]?.message).toContain('holds 0 ml')
})

test('a bottle serves as many rolls as it has left, once for each of its steps', () => {
  const left = (rollsLeft: number | null, more: Partial<Bottle> = {}, times = 1) => {
    const one = bottle('F1', { rollsLeft, ...more })
    return told(checkPlan(plan([develop(), ...Array.from({ length: times }, () => step('bleach-fix', { bottle: one }))])))
  }
  expect([left(2), left(null), left(1.9, { oneShot: true })]).toEqual([[], [], []])
  expect(left(1.9)).toEqual([['plan-capacity', 'error', 1]])
  expect(left(3.9, {}, 2)).toEqual([['plan-capacity', 'error', 1]])
  expect(left(4, {}, 2)).toEqual([])
})

test('what is wrong with a bottle is wrong with the plan; a pH nobody explained asks for a scrap first', () => {
  const finding = (rule: string, severity: Finding['severity']): Finding => ({ rule, severity, message: 'It failed.' })
  const with_ = (findings: Finding[]) => checkPlan(plan([develop(), fix({ bottle: bottle('F1', { findings }) })]))
  expect(with_([finding('old', 'warning')])).toEqual([])
  expect(with_([finding('dead', 'error')])[0]).toMatchObject({
    rule: 'plan-bottle',
    severity: 'error',
    step: 1,
    message: 'F1 cannot be used: It failed.',
  })
  expect(with_([finding('bottle-ph', 'warning')])[0]).toMatchObject({
    rule: 'plan-bottle-ph',
    severity: 'warning',
    step: 1,
    message: expect.stringContaining('F1: It failed.'),
  })
})

test('a weak developer that needs more than the tank takes is refused, what is poured back is not', () => {
  const thin = (volumeMl: number, more: Partial<Bottle> = {}, vessel = {}) =>
    told(checkPlan(plan([develop({ volumeMl, partsMl: [50], bottle: bottle('D1', { oneShot: true, ...more }) }), fix()], { vessel })))
  expect(thin(600)).toEqual([])
  expect(thin(601)).toEqual([['plan-concentrate', 'error', 0]])
  expect(thin(601, {}, { holdsMl: 700 })).toEqual([])
  expect(thin(701, {}, { holdsMl: 700 })).toEqual([['plan-concentrate', 'error', 0]])
  expect(thin(900, { oneShot: false })).toEqual([])
})

test('two baths fix in their order, and one of a pair not alone', () => {
  const fixes = (...positions: (1 | 2 | null)[]) =>
    rules([develop(), ...positions.map((position, i) => fix({ bottle: bottle(`F${i}`, { position } as never) }))])
  expect([fixes(null), fixes(1, 2)]).toEqual([[], []])
  expect([fixes(1), fixes(2)]).toEqual([[['plan-second-bath', 'error', 1]], [['plan-second-bath', 'error', 1]]])
  for (const wrong of [
    [2, 1],
    [1, 1],
    [2, 2],
    [null, 2],
    [1, null],
    [null, null],
  ] as const)
    expect([wrong, fixes(...wrong)]).toEqual([wrong, [['plan-bath-order', 'error', 2]]])
})

test('what is due is asked before critical films only, each test by itself', () => {
  const due = (critical: boolean) =>
    checkPlan(plan([develop(), fix({ bottle: bottle('F1', { due: ['Clearing time (30 days)', 'pH (share)'] }) })], { critical }))
  expect(due(false)).toEqual([])
  expect(due(true).map((one) => [one.rule, one.severity, one.step, one.message])).toEqual([
    ['plan-test-due', 'error', 1, 'F1 is to be tested before these films: Clearing time (30 days).'],
    ['plan-test-due', 'error', 1, 'F1 is to be tested before these films: pH (share).'],
  ])
})

test('the gravest comes first', () => {
  expect(rules([develop({ seconds: 250 }), step('stop', { temperatureC: 22 })]).map(([, severity]) => severity)).toEqual([
    'error',
    'warning',
    'advice',
  ])
})
