import fc from 'fast-check'
import { showMass, showParts, showTemperature, showTime, showVolume } from './format'
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

test('what is written can be read again, to the digits that were written', () => {
  const amount = fc.double({ min: 0.5, max: 90_000, noNaN: true })
  fc.assert(
    fc.property(amount, fc.constantFrom('metric' as const, 'us' as const), (value, units) => {
      expect(Math.abs(parseQuantity(showMass(value, units), 'mass') / value - 1)).toBeLessThan(0.02)
      expect(Math.abs(parseQuantity(showVolume(value, units), 'volume') - value)).toBeLessThan(0.5 + value * 0.006)
      expect(Math.abs(parseQuantity(showTime(value), 'time') - value)).toBeLessThanOrEqual(0.5)
    }),
  )
})
