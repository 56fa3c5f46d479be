import type { Acted } from '../bottle/acts/act'
import type { Plan } from '../process/load'
import { acted, run as plan } from '../samples'
import { decideFinish, decideGivingUp } from './end'
import { decidePlanning } from './plan'
import type { RunEvent } from './runEvent'
import { changesOf, decideStart, type Away, type PlannedRun } from './start'
import { usesAtEnd } from '../process/uses'
import { linesOfUses } from './uses'

const code = (work: () => unknown): string => {
  try {
    work()
    return 'written'
  } catch (error) {
    return (error as { code: string }).code
  }
}
const message = (work: () => unknown): string => {
  try {
    work()
    return ''
  } catch (error) {
    return (error as Error).message
  }
}
const holds = (id: string, volumeMl: number): Acted => ({ ...acted, id, label: id.toUpperCase(), state: { ...acted.state, volumeMl } })
const bottles = [holds('d1', 1000), holds('f1', 1000)]
const planned: PlannedRun = { id: 'r', plan, overruled: null }
/** The plan with its steps of a kind otherwise. */
const otherwise = (kind: string, more: object | ((step: Plan['steps'][0]) => object)): Plan => ({
  ...plan,
  steps: plan.steps.map((step) => (step.kind === kind ? { ...step, ...(typeof more === 'function' ? more(step) : more) } : step)),
})
const begin = (part: { run?: PlannedRun; now?: Plan; away?: Away[]; held?: Acted[]; agreed?: boolean } = {}) =>
  decideStart(
    { run: part.run ?? planned, plan: part.now ?? plan, away: part.away ?? [], bottles: part.held ?? bottles },
    { agreed: part.agreed ?? false },
  )
const later = (seconds: number) => (step: Plan['steps'][0]) => ({ seconds: step.seconds + seconds })

describe('what is planned', () => {
  const against = { rule: 'plan-capacity', severity: 'error' as const, message: 'It takes one roll more than the fixer bears.' }
  test('goes on with a reason where something speaks against it; a warning asks for none', () => {
    expect(decidePlanning(plan, 'for nothing')).toBeNull()
    expect(decidePlanning({ ...plan, findings: [{ ...against, severity: 'warning' }] }, undefined)).toBeNull()
    const grave = { ...plan, findings: [{ ...against, severity: 'warning' as const, rule: 'other' }, against] }
    expect(code(() => decidePlanning(grave, undefined))).toBe('plan-capacity')
    expect(message(() => decidePlanning(grave, undefined))).toBe(against.message)
    expect(decidePlanning(grave, 'two are short ends')).toBe('two are short ends')
  })
})

describe('a start', () => {
  test('takes what is used once out of its bottles, and nothing of what is poured back', () => {
    expect(begin().lines).toEqual([expect.objectContaining({ bottleId: 'd1', kind: 'dilute-out', ml: -150, runId: 'r', step: 0 })])
    expect(code(() => begin({ held: [holds('d1', 149), holds('f1', 1000)] }))).toBe('not-enough')
  })
  test('waits for a vessel that another run is in, and names that run', () => {
    const taken = { ...plan, vessel: { ...plan.vessel, running: [7] } }
    expect(code(() => begin({ now: taken }))).toBe('vessel-running')
    expect(message(() => begin({ now: taken }))).toContain('run 7')
  })
  test('is refused by what is new against it, not by what a reason was given for at that very step', () => {
    const finding = { rule: 'plan-failed', severity: 'error' as const, message: 'The fixer failed its test.', step: 1 }
    const now = { ...plan, findings: [finding] }
    const agreedTo = (step: number, overruled: string | null) => ({
      ...planned,
      plan: { ...plan, findings: [{ ...finding, step }] },
      overruled,
    })
    expect(code(() => begin({ now }))).toBe('plan-failed')
    expect(message(() => begin({ now }))).toContain('That was not so when it was planned')
    expect(code(() => begin({ now, run: agreedTo(1, 'tested by eye') }))).toBe('written')
    expect(code(() => begin({ now, run: agreedTo(0, 'tested by eye') }))).toBe('plan-failed')
    expect(code(() => begin({ now, run: agreedTo(1, null) }))).toBe('plan-failed')
    expect(code(() => begin({ now: { ...plan, findings: [{ ...finding, severity: 'warning' }] } }))).toBe('written')
  })
  test('finds the liquid at hand, or says which run has it in its tank', () => {
    const wanted = plan.steps.find((step) => step.kind === 'fix')?.partsMl[0] ?? 0
    const has = plan.steps.find((step) => step.kind === 'fix')?.bottle?.volumeMl ?? 0
    const away = (ml: number, bottleId = 'f1', run = 4): Away => ({ bottleId, ml, run })
    expect(code(() => begin({ away: [away(has - wanted)] }))).toBe('written')
    expect(code(() => begin({ away: [away(has - wanted + 1)] }))).toBe('in-use')
    expect(message(() => begin({ away: [away(has), away(100, 'f1', 9), away(100, 'f1', 4)] }))).toContain(
      '0 ml are left while run 4, 9 has',
    )
    expect(code(() => begin({ away: [away(has, 'another')] }))).toBe('written')
    // what is poured once is in no other tank
    expect(code(() => begin({ away: [away(5000, 'd1')] }))).toBe('written')
  })
  test('is asked about again where the clock or a beaker would do otherwise, and then done as it is now', () => {
    const now = otherwise('fix', later(30))
    expect(code(() => begin({ now }))).toBe('plan-changed')
    expect(message(() => begin({ now }))).toContain('Fix takes 5:30 instead of 5:00')
    expect(begin({ now, agreed: true }).plan).toBe(now)
    expect(begin({ agreed: true }).plan).toBe(plan)
    // half a second is the same
    expect(code(() => begin({ now: otherwise('fix', later(0.5)) }))).toBe('written')
    expect(code(() => begin({ now: otherwise('fix', later(-0.6)) }))).toBe('plan-changed')
  })
})

describe('what changed', () => {
  test('says the use of the bath where that is why, what another beaker takes, and a step that is new', () => {
    const developing = plan.developing && { ...plan.developing, steps: [...plan.developing.steps, { name: 'used bath', factor: 1.1 }] }
    const slower = { ...otherwise('develop', later(60)), developing }
    expect(changesOf(plan, slower)).toEqual(['Develop takes 11:00 instead of 10:00 for the use of its bath'])
    expect(changesOf(plan, { ...slower, developing: plan.developing })).toEqual(['Develop takes 11:00 instead of 10:00'])
    expect(changesOf(plan, { ...otherwise('fix', later(30)), developing })).toEqual(['Fix takes 5:30 instead of 5:00'])
    expect(changesOf(plan, otherwise('develop', { partsMl: [160, 140] }))).toEqual(['Develop takes 160 ml of D1 instead of 150 ml'])
    expect(changesOf(plan, otherwise('develop', { partsMl: [150.5, 149.5] }))).toEqual([])
    expect(changesOf(plan, otherwise('wash', { partsMl: [500] }))).toEqual([])
    expect(changesOf({ ...plan, steps: plan.steps.slice(0, -1) }, plan)).toEqual([`${plan.steps.at(-1)?.name ?? ''} is new`])
  })
})

const happened = (kind: RunEvent['kind'], at: number, step = 0): RunEvent => ({
  id: `${kind} ${at} ${step}`,
  seq: at,
  device: 'tablet',
  at: at * 1000,
  kind,
  step,
})
/** Everything one after the other, each step ended when it is over. */
const through = (count: number): RunEvent[] => {
  const events = [happened('start', 0)]
  let at = 0
  for (let step = 0; step < count; step++) events.push(happened('next', (at += plan.steps[step]?.seconds ?? 0), step))
  return events
}
const open = (events: RunEvent[], state = 'running') => ({ id: 'r', state, plan, events })

describe('an end', () => {
  const all = through(plan.steps.length)
  const over = (all.at(-1)?.at ?? 0) + 1000
  test('is not there while the clock has steps to go, whether told or still on the device', () => {
    expect(code(() => decideFinish(open(all.slice(0, -1)), bottles, { events: [], at: over }))).toBe('not-over')
    expect(code(() => decideFinish(open(all.slice(0, -1)), bottles, { events: all.slice(-1), at: over }))).toBe('written')
  })
  test('writes what went through, how long it developed, and how warm', () => {
    const done = decideFinish(open(all), bottles, { events: [], at: over })
    expect(done.lines).toEqual([expect.objectContaining({ bottleId: 'f1', kind: 'use', runId: 'r' })])
    expect([done.developedS, done.temperatureC]).toEqual([600, 20])
    const warm: RunEvent = { ...happened('temperature', 300), celsius: 21 }
    const measured = decideFinish(open([...all.slice(0, 1), warm, ...all.slice(1)]), bottles, { events: [], at: over })
    expect(measured.temperatureC).toBeGreaterThan(20)
    expect(measured.temperatureC).toBeLessThanOrEqual(21)
  })
  test('given up, only the baths the films were in are marked; before it began none', () => {
    const given = (events: RunEvent[], state?: string) =>
      decideGivingUp(open(events, state), bottles, { events: [], at: 700_000 }).map((line) => line.bottleId)
    expect(given([happened('start', 699)])).toEqual([])
    const inFixer = plan.steps.findIndex((step) => step.kind === 'fix')
    const reached = through(inFixer)
    expect(
      decideGivingUp(open(reached), bottles, { events: [], at: (reached.at(-1)?.at ?? 0) + 1000 }).map((line) => line.bottleId),
    ).toEqual(['f1'])
    expect(given(reached, 'planned')).toEqual([])
  })
})

test('colour film counts as colour in what fixed it: all its silver stays there', () => {
  const through = (material: Plan['material']) =>
    linesOfUses(usesAtEnd({ ...plan, material }), [holds('f1', 500)], { runId: 'r', strict: false }).map((line) => line.throughput)
  expect(through('bw-film')).toEqual([[{ kind: 'bw-roll', equivalents: plan.rolls }]])
  expect(through('slide')).toEqual([[{ kind: 'colour-roll', equivalents: plan.rolls }]])
})

test('a bottle in two steps gives twice, never more than it has, and one that is gone gives nothing', () => {
  const use = (ml: number, step: number, bottleId = 'f1') => ({ bottleId, kind: 'use' as const, ml, rolls: 1, waterInMl: 0, step })
  const lines = (strict: boolean, held: number) =>
    linesOfUses([use(-60, 1), use(-60, 2), use(-5, 3, 'gone')], [holds('f1', held)], { runId: 'r', strict }).map((line) => line.ml)
  expect(lines(false, 500)).toEqual([-60, -60])
  expect(lines(false, 100)).toEqual([-60, -40])
  expect(lines(false, 0).map((ml) => ml + 0)).toEqual([0, 0])
  expect(lines(true, 120)).toEqual([-60, -60])
  expect(code(() => lines(true, 119))).toBe('not-enough')
})
