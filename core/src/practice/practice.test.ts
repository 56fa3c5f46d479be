import { houseProcesses } from '../process/families'
import { houseIds } from '../process/families/ids'
import { agitations } from '../process/agitations'
import { draftOf } from '../process/edit/draft'
import type { Plan } from '../process/load'
import { outcomeOf, practisedC } from './outcome'
import { troubleKinds, type Practised, type PractisedStep, type TroubleKind } from './practised'
import { asksFor, standingOrder, troubleAnswers, troublesOf } from './trouble'

const planOf = (key: keyof typeof houseIds, options: Record<string, boolean> = {}): Plan => {
  const process = houseProcesses.find((one) => one.id === houseIds[key])
  const { plan } = draftOf(process!, options, agitations['30-5-30'])
  return plan!
}
const negative = planOf('bw-negative', { 'wetting-agent': false })
const indexOf = (plan: Plan, kind: string) => plan.steps.findIndex((step) => step.kind === kind)

/** A practice in which every step was done as planned, but for what is said otherwise: by its number what is otherwise, or null where it was left out. */
function done(
  plan: Plan,
  otherwise: Record<number, (Partial<PractisedStep> & { s?: number }) | null> = {},
  order?: number[],
  more: Partial<Practised> = {},
): Practised {
  let at = 0
  const steps = (order ?? plan.steps.map((_, i) => i)).flatMap((step): PractisedStep[] => {
    const change = otherwise[step]
    if (change === null) return []
    const { s = plan.steps[step]!.seconds, ...rest } = change ?? {}
    const fromS = at
    at += s
    return [{ step, fromS, untilS: at, beatsS: null, measuredS: [], ...rest }]
  })
  return { seed: 7, speed: 20, troubles: [], answers: {}, steps, ...more }
}
const rules = (plan: Plan, practice: Practised) => outcomeOf(plan, practice).findings.map((one) => one.rule)
const develop = indexOf(negative, 'develop')
const stop = indexOf(negative, 'stop')
const fix = indexOf(negative, 'fix')
const developS = negative.steps[develop]!.seconds
const fixS = negative.steps[fix]!.seconds

describe('what a practice would have done to the film', () => {
  test.each(Object.keys(houseIds) as (keyof typeof houseIds)[])('%s done as planned is clean and has all marks', (key) => {
    const plan = planOf(key)
    expect(outcomeOf(plan, done(plan))).toEqual({ findings: [], clean: true, score: 100 })
  })
  test.each([
    [0.69, ['practice-unusable']],
    [0.71, ['practice-thin']],
    [0.89, ['practice-thin']],
    [0.91, []],
    [1.09, []],
    [1.11, ['practice-dense']],
    [1.29, ['practice-dense']],
    [1.31, ['practice-hard']],
  ])('developed for %d of its time: %j', (share, said) => {
    expect(rules(negative, done(negative, { [develop]: { s: developS * share } }))).toEqual(said)
  })
  test('without the stop development goes on by three parts in a hundred', () => {
    expect(rules(negative, done(negative, { [develop]: { s: developS * 1.08 }, [stop]: null }))).toEqual(['practice-dense'])
    expect(rules(negative, done(negative, { [develop]: { s: developS * 1.06 }, [stop]: null }))).toEqual([])
  })
  test('the fixer before the developer leaves clear film, whatever comes after', () => {
    const order = negative.steps.map((_, i) => i)
    ;[order[develop], order[fix]] = [fix, develop]
    const outcome = outcomeOf(negative, done(negative, {}, order))
    expect([outcome.findings.map((one) => one.rule), outcome.score, outcome.clean]).toEqual([['practice-clear'], 0, false])
  })
  test('fixed for less than the clearing time it is milky, for less than twice that it has to be fixed again; a fixer that failed its test clears more slowly', () => {
    expect(rules(negative, done(negative, { [fix]: { s: fixS * 0.45 } }))).toEqual(['practice-milky'])
    expect(rules(negative, done(negative, { [fix]: { s: fixS * 0.9 } }))).toEqual(['practice-refix'])
    const failed = (answer: string, s = fixS) =>
      rules(negative, done(negative, { [fix]: { s } }, undefined, { troubles: ['fixer-failed'], answers: { 'fixer-failed': answer } }))
    expect([failed('other'), failed('pour'), failed('longer', fixS * 2), failed('pour', fixS * 0.8)]).toEqual([
      [],
      ['practice-refix'],
      [],
      ['practice-milky'],
    ])
  })
  test('light in the tank before it is fixed fogs; after the re-exposure it does nothing; a lid that stays on keeps it out', () => {
    const lit = (plan: Plan, answer: string) => rules(plan, done(plan, {}, undefined, { troubles: ['light'], answers: { light: answer } }))
    expect([lit(negative, 'look'), lit(negative, 'closed'), lit(negative, '')]).toEqual([['practice-fogged'], [], []])
  })
  test('a bath that drifts develops more or less; ended by the chart it is right again', () => {
    const [drift] = troublesOf(negative, { seed: 7, kinds: ['drift'] })
    const troubles: TroubleKind[] = ['drift']
    expect(Math.abs(drift!.byC!)).toBeGreaterThanOrEqual(1.2)
    const share = (s: number) => rules(negative, done(negative, { [develop]: { s } }, undefined, { troubles }))
    const warm = drift!.byC! > 0
    expect(share(developS * (warm ? 1.05 : 0.95))).toEqual([warm ? 'practice-dense' : 'practice-thin'])
    expect(share(developS * (warm ? 0.92 : 1.08))).toEqual([])
    expect([
      practisedC({ temperatureC: 20 }, drift, drift!.atS),
      practisedC({ temperatureC: 20 }, drift, drift!.atS + 30),
      practisedC({ temperatureC: 20 }, drift, 9999),
    ]).toEqual([20, 20 + drift!.byC! / 2, 20 + drift!.byC!])
  })
  test('three beats missed are uneven, two are not; a practice too fast for hands is not asked for any', () => {
    const { firstS, everyS } = negative.steps[develop]!.agitation
    const beats = (missed: (i: number) => boolean) =>
      Array.from({ length: Math.floor(developS / everyS) }, (_, i) => (i + 1) * everyS).filter((at, i) => at > firstS && !missed(i))
    const said = (missed: (i: number) => boolean) => rules(negative, done(negative, { [develop]: { beatsS: beats(missed) } }))
    expect([said(() => false), said((i) => i > 3 && i < 6), said((i) => i > 3 && i < 8)]).toEqual([[], [], ['practice-uneven']])
  })
  test('a bleach-fix cut short is muddy; a rinse after the stabiliser spots; what never met the developer is no practice', () => {
    const colour = planOf('colour-negative')
    const bleachFix = indexOf(colour, 'bleach-fix')
    expect(rules(colour, done(colour, { [bleachFix]: { s: colour.steps[bleachFix]!.seconds * 0.69 } }))).toEqual(['practice-muddy'])
    expect(rules(colour, done(colour, { [bleachFix]: null }))).toEqual(['practice-muddy'])
    const [stabilise, wash] = [indexOf(colour, 'stabilise'), indexOf(colour, 'wash')]
    const order = [...colour.steps.map((_, i) => i).filter((i) => i !== wash && i !== stabilise), stabilise, wash]
    // in the warm water of the wash it is shocked as well
    expect(rules(colour, done(colour, {}, order))).toEqual(['practice-reticulated', 'practice-spots'])
    expect(rules(negative, done(negative, {}, []))).toEqual(['practice-unfinished'])
  })
  test('marks go for faults and for time: two seconds are no matter, a minute is', () => {
    const score = (s: number) => outcomeOf(negative, done(negative, { [stop]: { s: negative.steps[stop]!.seconds + s } })).score
    expect([score(2), score(63)]).toEqual([100, 100 - Math.round((60 / (negative.steps.length - 1)) * 0.5)])
  })
})

describe('troubles', () => {
  test('the same seed has the same; one kind more changes none of the others; each is at a step it can come at', () => {
    const all = troublesOf(negative, { seed: 42, kinds: [...troubleKinds] })
    expect(all).toEqual(troublesOf(negative, { seed: 42, kinds: [...troubleKinds] }))
    expect(troublesOf(negative, { seed: 42, kinds: ['light'] })).toEqual(all.filter((one) => one.kind === 'light'))
    for (const { step, atS } of all) expect(atS).toBeLessThan(negative.steps[step]!.seconds)
    expect(all.map((one) => [one.kind, negative.steps[one.step]!.kind])).toEqual([
      ['drift', 'develop'],
      ['doorbell', 'develop'],
      ['wrong-beaker', 'develop'],
      ['fixer-failed', 'fix'],
      ['light', 'develop'],
    ])
  })
  test('two beakers stand the other way round; the first answer to each trouble is the right one', () => {
    expect(standingOrder(4, [{ kind: 'wrong-beaker', step: 1, atS: 0 }])).toEqual([0, 2, 1, 3])
    expect(standingOrder(2, [{ kind: 'wrong-beaker', step: 1, atS: 0 }])).toEqual([0, 1])
    expect([asksFor('light'), asksFor('drift'), troubleAnswers['fixer-failed'][0].key]).toEqual([true, false, 'other'])
  })
})
