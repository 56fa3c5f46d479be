import fc from 'fast-check'
import { tonerOrder, tonerKinds } from './order'
import { ratioAt, toneName, toneOf, tonerColours, tonerMix } from './ratio'
import { toningSteps } from './steps'

test('500 ml at 2:1 of the stocks', () => {
  expect(tonerMix({ ml: 500, thiourea: 2, hydroxide: 1 })).toEqual({
    thioureaMl: 40,
    hydroxideMl: 20,
    waterMl: 440,
    thioureaG: 4,
    hydroxideG: 2,
  })
  expect(() => tonerMix({ ml: 500, thiourea: 0, hydroxide: 1 })).toThrow(/above 0/)
  expect(() => tonerMix({ ml: 500, thiourea: 1, hydroxide: 1, mlPerLitre: 1200 })).toThrow(/water/)
})

test('a mix is as much as was asked, and in its ratio', () => {
  const part = fc.double({ min: 0.1, max: 10, noNaN: true })
  fc.assert(
    fc.property(fc.double({ min: 10, max: 20_000, noNaN: true }), part, part, (ml, thiourea, hydroxide) => {
      const mix = tonerMix({ ml, thiourea, hydroxide })
      expect(mix.thioureaMl + mix.hydroxideMl + mix.waterMl).toBeCloseTo(ml, 6)
      expect(mix.thioureaMl * hydroxide).toBeCloseTo(mix.hydroxideMl * thiourea, 4)
    }),
  )
})

test('the dial goes from yellow tan to cold dark brown, and back', () => {
  expect(tonerColours.map((one) => toneName(one))).toEqual(['yellow tan', 'light sepia', 'sepia', 'brown', 'cold dark brown'])
  for (const tone of [0, 0.25, 0.5, 0.75, 1]) expect(toneOf(ratioAt(tone))).toBeCloseTo(tone, 9)
  expect(tonerColours.map(toneOf)).toEqual([0, 0.25, 0.5, 0.75, 1].map((one) => expect.closeTo(one, 9)))
  expect(toneOf({ thiourea: 100, hydroxide: 1 })).toBe(0)
})

test('a pulled bleach asks for the refix, so does a tone stopped early; a complete one does not', () => {
  const refixes = (bleaching: 'complete' | 'pulled', stoppedEarly: boolean) =>
    toningSteps({ base: 'fibre', bleaching, stoppedEarly }).some((one) => one.kind === 'refix')
  expect([refixes('complete', false), refixes('complete', true), refixes('pulled', false)]).toEqual([false, true, true])
  expect(toningSteps({ base: 'fibre', bleaching: 'complete', stoppedEarly: false }).map((one) => one.kind)).toEqual([
    ...['test', 'bleach', 'wash', 'tone', 'rinse', 'wash-aid', 'wash'],
  ])
})

test('several toners: what they give, gold last, a wash between', () => {
  expect(tonerOrder(['sulfide-complete', 'gold'])).toEqual({
    colours: ['orange-red'],
    findings: [expect.objectContaining({ rule: 'tone-wash-between' })],
  })
  expect(tonerOrder(['selenium', 'sulfide-pulled', 'gold']).colours).toEqual([
    'cool blacks, warm lights: selenium resists the bleach',
    'blue shadows, peach lights',
  ])
  expect(tonerOrder(['gold', 'selenium']).findings[0]?.rule).toBe('tone-gold-last')
  expect(tonerOrder(['sulfide-complete', 'sulfide-complete']).findings[0]?.rule).toBe('tone-nothing-left')
  for (const one of tonerKinds) expect(tonerOrder([one])).toEqual({ colours: [], findings: [] })
})
