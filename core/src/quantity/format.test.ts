import fc from 'fast-check'
import { showConcentration, showMass, showParts, showTemperature, showTime, showVolume } from './format'
import { inManner } from './inManner'
import { readKept, writeExactly } from './writeExactly'
import { bareUnit, type Manner } from './manner'
import { parseQuantity } from './parseQuantity'

test('amounts are written with the digits a bench scale and a graduate show', () => {
  expect([0.25, 6.3, 220, 1250].map((grams) => showMass(grams))).toEqual(['0.250 g', '6.30 g', '220.0 g', '1250 g'])
  expect([5.88, 300, 999.6, 2500].map((ml) => showVolume(ml))).toEqual(['5.9 ml', '300 ml', '1000 ml', '2.50 L'])
  expect([20, 37.84].map((celsius) => showTemperature(celsius))).toEqual(['20.0 °C', '37.8 °C'])
})

test('the other system stands beside it', () => {
  expect([1, 28.3495, 453.592].map((grams) => showMass(grams, 'us'))).toEqual(['15.4 grains', '1.000 oz', '16.00 oz'])
  expect([29.5735, 3785.41].map((ml) => showVolume(ml, 'us'))).toEqual(['1.00 fl oz', '1.00 gal'])
  expect(showTemperature(20, 'us')).toBe('68.0 °F')
})

test('times are minutes and seconds, hours from an hour, rounded to what is asked', () => {
  expect([0, 9.4, 570, 3720, -30].map((seconds) => showTime(seconds))).toEqual(['0:00', '0:09', '9:30', '1:02:00', '−0:30'])
  expect(showTime(578, 5)).toBe('9:40')
  expect(showParts([1, 1, 10])).toBe('1+1+10')
  expect(showParts(null)).toBe('stock')
})

const us: Manner = { units: 'us', decimal: 'point' }

test('a comma is written by those who read one, and g/L becomes ounces a gallon', () => {
  expect([showMass(6.3, { units: 'metric', decimal: 'comma' }), showVolume(2500, { units: 'metric', decimal: 'comma' })]).toEqual([
    '6,30 g',
    '2,50 L',
  ])
  expect([showConcentration(2.5), showConcentration(2.5, us)]).toEqual(['2.5 g/L', '0.334 oz/gal'])
})

test('a sentence is retold in the reader’s units and with the reader’s decimal sign', () => {
  const told = (text: string) => inManner(text, us)
  expect(told('B7 holds 500 ml, not the 1.50 L wanted.')).toBe('B7 holds 16.9 fl oz, not the 50.7 fl oz wanted.')
  expect(told('Take its pH at 20 to 25 °C, not at 4 °C.')).toBe('Take its pH at 68.0 to 77.0 °F, not at 39.2 °F.')
  expect(told('The fix is at 24.0 °C, 4.0 °C from the developer; 2 °C is what it bears.')).toBe(
    'The fix is at 75.2 °F, 7.2 °F from the developer; 3.6 °F is what it bears.',
  )
  expect(told('300 g of borax a litre will not dissolve: use 5 g.')).toBe('40.06 oz of borax a gallon will not dissolve: use 0.176 oz.')
  expect(told('Good for 24 rolls a litre, 2.5 g/L of silver.')).toBe('Good for 90.8 rolls a gallon, 0.334 oz/gal of silver.')
  expect(told('Stir for 30 s at EI 400, lot 12, 1+4.')).toBe('Stir for 30 s at EI 400, lot 12, 1+4.')
  expect(inManner('It reads pH 8.45 at 20.5 °C, at 9:30.', { units: 'metric', decimal: 'comma' })).toBe(
    'It reads pH 8,45 at 20,5 °C, at 9:30.',
  )
})

test('what is written can be read again in the same manner, to the digits that were written', () => {
  const amount = fc.double({ min: 0.5, max: 90_000, noNaN: true })
  const manner = fc.record({
    units: fc.constantFrom('metric' as const, 'us' as const),
    decimal: fc.constantFrom('point' as const, 'comma' as const),
  })
  fc.assert(
    fc.property(amount, manner, (value, how) => {
      // typed over without its unit it means the same
      const bare = (text: string) => text.replace(/ .*$/, '')
      const inUnit = (kind: 'mass' | 'volume') => ({ decimal: how.decimal, bare: bareUnit(kind, value, how.units) })
      for (const text of [showMass(value, how), bare(showMass(value, how))])
        expect(Math.abs(parseQuantity(text, 'mass', inUnit('mass')) / value - 1)).toBeLessThan(0.02)
      for (const text of [showVolume(value, how), bare(showVolume(value, how))])
        expect(Math.abs(parseQuantity(text, 'volume', inUnit('volume')) - value)).toBeLessThan(0.5 + value * 0.006)
      expect(Math.abs(parseQuantity(showTime(value), 'time') - value)).toBeLessThanOrEqual(0.5)
    }),
  )
})

test('an amount that is opened and kept unchanged stays the very same in every manner', () => {
  expect([writeExactly(5, 'mass', us), writeExactly(750, 'volume', us), writeExactly(45, 'temperature', us)]).toEqual([
    '0.17637 oz',
    '25.360542 fl oz',
    '113 °F',
  ])
  const value = fc.integer({ min: 1, max: 5_000_000_0 }).map((tenThousandths) => tenThousandths / 1e4)
  const manner = fc.record({
    units: fc.constantFrom('metric' as const, 'us' as const),
    decimal: fc.constantFrom('point' as const, 'comma' as const),
  })
  fc.assert(
    fc.property(value, manner, fc.constantFrom('mass' as const, 'volume' as const, 'temperature' as const), (amount, how, kind) => {
      expect(readKept(writeExactly(amount, kind, how), kind, how)).toBe(amount)
    }),
  )
})
