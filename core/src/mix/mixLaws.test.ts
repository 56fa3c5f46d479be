import fc from 'fast-check'
import type { Formula } from '../formula/formula'
import { jarFactor } from '../jar/asOnShelf'
import { mixState, volumeFor } from './mixState'
import type { MixEvent } from './mixEvent'

const formula: Formula = {
  id: 'f',
  name: 'F',
  family: 'print-developer',
  finalMl: 1000,
  startMl: 750,
  mixC: 45,
  additions: [
    { chemical: 'sodium-carbonate', grams: 60 },
    { chemical: 'potassium-bromide', millilitres: 20, percent: 10 },
    { chemical: 'acetic-acid-28', millilitres: 30 },
  ],
}
const products = ['sodium-carbonate', 'sodium-carbonate-monohydrate', 'sodium-carbonate-decahydrate', 'potassium-carbonate']
const water: MixEvent = { id: 'w', kind: 'water', celsius: 45 }
let n = 0
const jar = (chemical: string, assay: number | null): MixEvent => ({
  id: `j${n++}`,
  kind: 'jar',
  step: 0,
  jarId: chemical,
  chemical,
  factor: jarFactor('sodium-carbonate', { chemical, assay }),
  lot: '',
})
const weigh = (step: number, amount: number): MixEvent => ({ id: `e${n++}`, kind: 'weigh', step, amount, jarId: null })

const dose = fc.record({
  product: fc.constantFrom(...products),
  assay: fc.double({ min: 0.4, max: 1, noNaN: true }),
  share: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
})

test('however many jars of whatever products and assays, the moles put in are the moles of the formula', () => {
  fc.assert(
    fc.property(fc.array(dose, { minLength: 1, maxLength: 4 }), (doses) => {
      const events: MixEvent[] = [water]
      for (const { product, assay, share } of doses) {
        const from = jar(product, assay)
        const target = mixState(formula, 1000, [...events, from]).lines[0]!.target
        events.push(from, weigh(0, target * share))
      }
      const line = mixState(formula, 1000, events).lines[0]!
      const share = doses.reduce((sum, one) => sum + one.share, 0)
      expect(line.put / line.target).toBeCloseTo(share, 6)
    }),
  )
})

test('a batch made to fit what is in puts exactly that line right, at any size', () => {
  fc.assert(
    fc.property(fc.double({ min: 100, max: 5000, noNaN: true }), fc.double({ min: 1.06, max: 3, noNaN: true }), (finalMl, over) => {
      const target = mixState(formula, finalMl, [water]).lines[0]!.target
      const events = [water, weigh(0, target * over)]
      const state = mixState(formula, finalMl, events)
      expect(state.lines[0]?.state).toBe('too-much')
      const fitted = mixState(formula, finalMl, [...events, { id: 'r', kind: 'rescale', finalMl: volumeFor(state, 0) }])
      expect(fitted.lines[0]?.state).toBe('in-band')
      expect(fitted.lines[0]?.toGo).toBeCloseTo(0, 6)
      expect(fitted.startMl / fitted.formula.finalMl).toBeCloseTo(0.75, 9)
    }),
  )
})

test('the same events in the order of their steps give the same lines, whatever else happened between', () => {
  const one = [water, weigh(0, 60), { id: 'd', kind: 'dissolved', step: 0 } as MixEvent, weigh(1, 20)]
  const other = [water, weigh(1, 20), weigh(0, 60), { id: 'd', kind: 'dissolved', step: 0 } as MixEvent]
  expect(mixState(formula, 1000, other).lines.map((line) => line.put)).toEqual(mixState(formula, 1000, one).lines.map((line) => line.put))
})

test('stock solutions and liquids are measured in ml, and their bands are of their roles', () => {
  const [, bromide, acid] = mixState(formula, 2000, [water]).lines
  expect([bromide?.unit, bromide?.target, bromide?.tolerance]).toEqual(['ml', 40, 0.02])
  expect([acid?.unit, acid?.target, acid?.tolerance]).toEqual(['ml', 60, 0.05])
})
