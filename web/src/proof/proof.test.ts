import type { Bottle, Proof } from '@selvrin/core/contract'
import { areaBetween, byKey } from '../hand/area'
import { firstMarks, wedgeStep } from './marking'
import { readFigure, readingForm, showReading } from './readings'
import { trendOf } from './trend'

describe('areas on a picture', () => {
  test('two corners make an area whichever comes first, inside the picture and never empty', () => {
    expect(areaBetween({ x: 0.6, y: 0.2 }, { x: 0.4, y: 0.5 })).toEqual({
      x: 0.4,
      y: 0.2,
      width: expect.closeTo(0.2, 9),
      height: expect.closeTo(0.3, 9),
    })
    const outside = areaBetween({ x: -1, y: 2 }, { x: -1, y: 2 })
    expect([outside.x >= 0, outside.y + outside.height <= 1.0001, outside.width > 0, outside.height > 0]).toEqual([true, true, true, true])
  })
  test('keys move and resize it, and stop at the edge', () => {
    const area = { x: 0.5, y: 0.5, width: 0.2, height: 0.2 }
    expect(byKey(area, 'ArrowLeft', false)?.x).toBeCloseTo(0.49, 9)
    expect(byKey(area, 'ArrowDown', true)?.height).toBeCloseTo(0.21, 9)
    expect(byKey({ ...area, x: 0 }, 'ArrowLeft', false)?.x).toBe(0)
    expect(byKey({ ...area, x: 0.8 }, 'ArrowRight', true)?.width).toBeCloseTo(0.2, 9)
    expect(byKey(area, 'a', false)).toBeNull()
  })
  test('there are four areas to begin with, none marked, and as many wedge steps as wanted', () => {
    expect(firstMarks().map((mark) => mark.key)).toEqual(['empty', 'base', 'fresh', 'scrap'])
    expect(firstMarks().every((mark) => mark.area === null)).toBe(true)
    expect(wedgeStep(0).key).not.toBe(wedgeStep(1).key)
  })
})

describe('figures as they are typed', () => {
  const form = (kind: Parameters<typeof readingForm>[0]) =>
    readingForm(kind) ?? { label: '', unit: 's' as const, temperature: false, most: 0 }
  test('seconds as seconds or as minutes, decimals with point or comma, nonsense as nothing', () => {
    expect(['68', '68 s', '1:12', '67,5', 'soon', '-3', ''].map((text) => readFigure(text, form('clearing-time')))).toEqual([
      68,
      68,
      72,
      67.5,
      null,
      null,
      null,
    ])
    expect(['8.4', '8:40', '15'].map((text) => readFigure(text, form('developer-ph')))).toEqual([8.4, null, null])
  })
  test('a reading is shown with its unit', () => {
    expect([
      showReading('clearing-time', 67.6),
      showReading('fixer-ph', 5),
      showReading('silver-paper', 2),
      showReading('scrap-density', 1.2),
    ]).toEqual(['68 s', 'pH 5.00', '2.0 g/L', 'D 1.20'])
    expect(readingForm('iodide-drop')).toBeNull()
  })
})

describe('the trend of a bottle’s readings', () => {
  const proof = (rollsPerL: number, value: number) =>
    ({ kind: 'clearing-time', rollsPerL, reading: { value }, judgement: { corrected: false }, takenBack: false }) as unknown as Proof
  const bottle = { state: { volumeMl: 500 } } as unknown as Bottle
  const context = { references: {}, silverLimitGPerL: null }
  const trend = (...proofs: Proof[]) => trendOf('clearing-time', proofs, context, bottle)
  test('rolls left are those of what the bottle holds', () => {
    const found = trend(proof(6, 30 * 2 ** 0.5), proof(0, 30))
    expect(found?.says).toBe('About 3 rolls left by this trend; two readings give no interval.')
    expect(found?.points.map((point) => point[0])).toEqual([0, 6])
    expect(found?.limit?.at).toBe(60)
  })
  test('the drawn line passes where the forecast says', () => {
    const found = trend(proof(0, 30), proof(4, 36), proof(8, 49))
    const at = found?.crossing?.at ?? 0
    const beside = found?.fit.filter(([x]) => x <= at).at(-1)
    expect((beside?.[1] ?? 0) <= 60).toBe(true)
    expect(found?.fit.at(-1)?.[1]).toBeGreaterThanOrEqual(59)
  })
  test('a reading at another temperature counts as it was compared, one taken back not at all', () => {
    const cold = { ...proof(6, 58), judgement: { corrected: true, ratio: 1.4, reference: 30 } } as Proof
    expect(trend(proof(0, 30), cold)?.points).toEqual([
      [0, 30],
      [6, 42],
    ])
    expect(trend(proof(0, 30), { ...proof(6, 300), takenBack: true })).toBeNull()
  })
  test('one reading has none; a falling one says that the count stands; past the limit it says so', () => {
    expect(trend(proof(0, 30))).toBeNull()
    expect(trend(proof(0, 30), proof(5, 28))?.says).toContain('counted capacity stands')
    expect(trend(proof(0, 30), proof(5, 70))?.says).toContain('past its limit')
  })
})
