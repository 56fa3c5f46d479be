import fc from 'fast-check'
import { catalogue } from './catalogue'
import { cautions } from './hazards'
import { equivalentMass, substitutesFor } from './equivalentMass'

describe('the catalogue', () => {
  test('holds every chemical of the table, each with a name, a source and figures that can be', () => {
    const all = Object.values(catalogue)
    expect(all.length).toBeGreaterThanOrEqual(115)
    for (const chemical of all) {
      expect(chemical.source).not.toBe('')
      expect(chemical.molarMass === null || chemical.molarMass > 17).toBe(true)
      expect(chemical.solubility.every((point) => point.gPer100Ml > 0)).toBe(true)
    }
  })
  test('says of the dangerous ones what they do', () => {
    expect(cautions(catalogue['borax-decahydrate']!).join()).toContain('fertility')
    expect(cautions(catalogue['sodium-hydroxide']!)[0]).toContain('Burns skin and eyes')
    expect(cautions(catalogue['potassium-dichromate']!).join()).toMatch(/Burns skin.*cancer.*Oxidiser/)
  })
})

describe('equivalentMass', () => {
  test.each([
    ['sodium-carbonate-monohydrate', 'sodium-carbonate', 37, 31.6, 1],
    ['sodium-thiosulfate', 'sodium-thiosulfate-pentahydrate', 64, 100.5, 1],
    ['borax-decahydrate', 'borax-pentahydrate', 10, 7.64, 2],
    ['sodium-hydroxide', 'potassium-hydroxide', 40, 56.1, 1],
    ['sodium-bisulfite', 'sodium-metabisulfite', 10, 10, 9],
    ['ascorbic-acid', 'sodium-ascorbate', 1, 1.125, 3],
    ['sodium-thiosulfate-pentahydrate', 'ammonium-thiosulfate-60', 248.18, 148.21 / 0.6, 6],
    ['acetic-acid-glacial', 'acetic-acid-28', 28, 99.7, 6],
  ] as const)('%s as %s: %d g ≙ %d g', (from, to, grams, wanted, digits) =>
    expect(equivalentMass(from, to, grams)).toBeCloseTo(wanted, digits),
  )

  test('there and back is the same weight, for every pair of a group', () => {
    const pairs = Object.keys(catalogue).flatMap((from) => substitutesFor(from).map((to) => [from, to] as const))
    expect(pairs.length).toBeGreaterThan(25)
    fc.assert(
      fc.property(fc.constantFrom(...pairs), fc.double({ min: 0.001, max: 1e5, noNaN: true }), ([from, to], grams) => {
        expect(equivalentMass(to, from, equivalentMass(from, to, grams)) / grams).toBeCloseTo(1, 9)
      }),
    )
  })
  test('refuses what does other work, and amounts that make no sense', () => {
    expect(() => equivalentMass('borax-decahydrate', 'sodium-carbonate', 1)).toThrow(expect.objectContaining({ code: 'not-equivalent' }))
    expect(() => equivalentMass('toString', 'metol', 1)).toThrow(expect.objectContaining({ code: 'unknown-chemical' }))
    expect(() => equivalentMass('metol', 'metol', -1)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
