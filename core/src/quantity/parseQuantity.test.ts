import { parseQuantity } from './parseQuantity'
import { parseRatio } from './parseRatio'
import type { QuantityKind } from './units'

const code = (run: () => unknown): string => {
  try {
    run()
  } catch (error) {
    return (error as { code: string }).code
  }
  return 'no error'
}

describe('parseQuantity', () => {
  test.each<[string, QuantityKind, number]>([
    ['2.5 L', 'volume', 2500],
    ['2,5 l', 'volume', 2500],
    ['16 fl oz', 'volume', 473.176],
    ['1 imp fl oz', 'volume', 28.4131],
    ['1 gal', 'volume', 3785.41],
    ['600', 'volume', 600],
    ['250cc', 'volume', 250],
    ['1 1/2 oz', 'mass', 42.52425],
    ['½ g', 'mass', 0.5],
    ['1½ kg', 'mass', 1500],
    ['2 lb 3 oz', 'mass', 992.2325],
    ['30 grains', 'mass', 1.943967],
    ['250 mg', 'mass', 0.25],
    ['0,500', 'mass', 0.5],
    ['68 °F', 'temperature', 20],
    ['68F', 'temperature', 20],
    ['293.15 K', 'temperature', 20],
    ['-4', 'temperature', -4],
    ['9:30', 'time', 570],
    ['1:02:00', 'time', 3720],
    ['9.5 min', 'time', 570],
    ['9 min 30 s', 'time', 570],
    ['90 s', 'time', 90],
    ['1 h', 'time', 3600],
    ['1 lb 4 oz', 'mass', 566.99],
    ['5.125 g', 'mass', 5.125],
    ['1 qt', 'volume', 946.353],
    ['2 cups', 'volume', 473.176],
    ['68 degrees F', 'temperature', 20],
    ['2 min 30 s', 'time', 150],
    ['1 1/2 L', 'volume', 1500],
    ['0.125 L', 'volume', 125],
    ['1.25 L', 'volume', 1250],
    ['7.1250 ml', 'volume', 7.125],
  ])('%s as %s is %d', (text, kind, value) => expect(parseQuantity(text, kind)).toBeCloseTo(value, 6))

  test.each<[string, QuantityKind, string]>([
    ['9.5', 'time', 'unit-missing'],
    ['1,000', 'mass', 'number-ambiguous'],
    ['1,000.5 g', 'mass', 'number-ambiguous'],
    ['1 000 ml', 'volume', 'number-ambiguous'],
    ['1.000 ml', 'volume', 'number-ambiguous'],
    ['2.500 L', 'volume', 'number-ambiguous'],
    ['11/2 oz', 'mass', 'number-ambiguous'],
    ['9.30 min', 'time', 'number-ambiguous'],
    ['1,30 h', 'time', 'number-ambiguous'],
    ['5 g 3 g', 'mass', 'not-a-number'],
    ['5 g5 g', 'mass', 'not-a-number'],
    ['4 oz 1 lb', 'mass', 'not-a-number'],
    ['1 lb 20 g', 'mass', 'not-a-number'],
    ['1 gal 200 ml', 'volume', 'not-a-number'],
    ['30 s 2 min', 'time', 'not-a-number'],
    ['5 gr', 'mass', 'unit-ambiguous'],
    ['5 oz', 'volume', 'unit-ambiguous'],
    ['5 ml', 'mass', 'unit-unknown'],
    ['2 tsp', 'mass', 'unit-unknown'],
    ['20 °R', 'temperature', 'unit-unknown'],
    ['about', 'mass', 'not-a-number'],
    ['', 'volume', 'not-a-number'],
    ['1.2.3 g', 'mass', 'not-a-number'],
    ['1/0 g', 'mass', 'not-a-number'],
    ['-5 g', 'mass', 'out-of-range'],
    ['9:75', 'time', 'out-of-range'],
    ['-300', 'temperature', 'out-of-range'],
    [`${'9'.repeat(400)} g`, 'mass', 'out-of-range'],
  ])('%s as %s is refused as %s', (text, kind, wanted) => expect(code(() => parseQuantity(text, kind))).toBe(wanted))
})

describe('parseQuantity by the person and the field', () => {
  test.each<[string, QuantityKind, Parameters<typeof parseQuantity>[2], number]>([
    ['1.000 ml', 'volume', { decimal: 'point' }, 1],
    ['1,000', 'volume', { decimal: 'point' }, 1000],
    ['1,234.5 g', 'mass', { decimal: 'point' }, 1234.5],
    ['1 000 ml', 'volume', { decimal: 'point' }, 1000],
    ['1.000 ml', 'volume', { decimal: 'comma' }, 1000],
    ['1,000', 'volume', { decimal: 'comma' }, 1],
    ['1.234,5 g', 'mass', { decimal: 'comma' }, 1234.5],
    ['0.500', 'mass', { decimal: 'comma' }, 0.5],
    ['2,5 L', 'volume', { decimal: 'point' }, 2500],
    ['2.3', 'volume', { bare: 'L' }, 2300],
    ['0.106', 'mass', { bare: 'oz' }, 3.005047],
    ['16', 'volume', { bare: 'fl oz' }, 473.176],
    ['68', 'temperature', { bare: '°F' }, 20],
    ['68°', 'temperature', { bare: '°F' }, 20],
    ['20 C', 'temperature', { bare: '°F' }, 20],
    ['5 g', 'mass', { bare: 'oz' }, 5],
  ])('%s as %s with %p is %d', (text, kind, how, value) => expect(parseQuantity(text, kind, how)).toBeCloseTo(value, 6))

  test.each<[string, QuantityKind, Parameters<typeof parseQuantity>[2], string]>([
    ['1.000,5', 'volume', { decimal: 'point' }, 'not-a-number'],
    ['5', 'volume', { bare: 'oz' }, 'unit-ambiguous'],
    ['5', 'time', { bare: 'min' }, 'unit-missing'],
    ['9.30 min', 'time', { decimal: 'point' }, 'number-ambiguous'],
  ])('%s as %s with %p is refused as %s', (text, kind, how, wanted) => expect(code(() => parseQuantity(text, kind, how))).toBe(wanted))
})

describe('parseRatio', () => {
  test('reads parts and marks a colon as ambiguous', () => {
    expect(parseRatio('1+4')).toEqual({ parts: [1, 4], ambiguous: false })
    expect(parseRatio('1:4')).toEqual({ parts: [1, 4], ambiguous: true })
    expect(parseRatio(' 1 + 1 + 10 ')).toEqual({ parts: [1, 1, 10], ambiguous: false })
  })
  test.each(['4', '1+0', '1+-2', '1+', 'stock', '1+x', ''])('refuses %p', (text) =>
    expect(code(() => parseRatio(text))).toBe('not-a-ratio'),
  )
})
