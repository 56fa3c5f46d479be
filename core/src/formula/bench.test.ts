import { shortages } from '../jar/shortages'
import { cautions } from '../chemical/hazards'
import { chemicalOf } from '../chemical/equivalentMass'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { weighingTolerance } from './minimumWeighable'
import { whatToWatch } from './watch'

const formula: Formula = {
  id: 'f',
  name: 'F',
  family: 'film-developer',
  finalMl: 1000,
  startMl: 700,
  mixC: 45,
  additions: [
    { chemical: 'metol', grams: 2 },
    { chemical: 'sodium-sulfite', grams: 100 },
    { chemical: 'acetic-acid-28', millilitres: 50 },
    { chemical: 'potassium-bromide', millilitres: 10, percent: 10 },
    { chemical: 'sodium-hydroxide', grams: 1, note: 'Last, and slowly.' },
  ],
}
const lines = linesOf(formula)

test('a line knows its grams and its liquid, whether weighed, measured or drawn from a percent solution', () => {
  expect(lines.map((line) => [line.grams, line.liquidMl])).toEqual([
    [2, 0],
    [100, 0],
    [50 * 1.036, 50],
    [1, 10],
    [1, 0],
  ])
  expect(lines[1]?.gramsPerLitre).toBe(100)
})

test('tolerances go by what the chemical does, unless the line says its role', () => {
  const tolerance = (chemical: string, role?: 'developer' | 'other') =>
    weighingTolerance({ chemical, ...(role ? { role } : {}) }, chemicalOf(chemical))
  expect(
    ['metol', 'potassium-bromide', 'borax-decahydrate', 'sodium-sulfite', 'sodium-thiosulfate-pentahydrate'].map((chemical) =>
      tolerance(chemical),
    ),
  ).toEqual([0.02, 0.02, 0.03, 0.05, 0.05])
  expect(tolerance('sodium-sulfite', 'developer')).toBe(0.02)
  expect(tolerance('metol', 'other')).toBe(0.05)
})

test('what to watch: portions for much sulfite, the technician’s own words before ours', () => {
  expect(whatToWatch(lines[1]!)).toContain('In 4 portions of about 25.0 g')
  expect(whatToWatch(linesOf({ ...formula, additions: [{ chemical: 'sodium-sulfite', grams: 5 }] })[0]!)).not.toContain('portions')
  expect(whatToWatch(lines[4]!)).toBe('Last, and slowly.')
  expect(whatToWatch(linesOf({ ...formula, additions: [{ chemical: 'sulfuric-acid', millilitres: 5 }] })[0]!)).toContain('Acid into water')
})

test('shortages add up what several lines want and several jars hold', () => {
  const twice: Formula = {
    ...formula,
    additions: [
      { chemical: 'sodium-sulfite', grams: 3 },
      { chemical: 'sodium-sulfite', grams: 97 },
      { chemical: 'metol', grams: 2 },
    ],
  }
  const jars = [
    { chemical: 'sodium-sulfite', grams: 60 },
    { chemical: 'sodium-sulfite', grams: 39 },
    { chemical: 'metol', grams: 2 },
  ]
  expect(shortages(twice, jars)).toEqual([{ chemical: 'sodium-sulfite', neededG: 100, onShelfG: 99 }])
  expect(shortages(twice, [...jars, { chemical: 'sodium-sulfite', grams: 1 }])).toEqual([])
})

test('the dangerous say what protects from them', () => {
  expect(cautions(chemicalOf('sodium-hydroxide')).join()).toMatch(/gloves.*eye protection/)
  expect(cautions(chemicalOf('catechol')).join()).toMatch(/through the skin/)
  expect(cautions(chemicalOf('sodium-chloride'))).toEqual([])
})

test('a powder in millilitres and an unknown chemical are refused', () => {
  expect(() => linesOf({ ...formula, additions: [{ chemical: 'metol', millilitres: 5 }] })).toThrow(
    expect.objectContaining({ code: 'invalid-addition' }),
  )
  expect(() => linesOf({ ...formula, additions: [{ chemical: 'metol', grams: 1, millilitres: 1 }] })).toThrow(
    expect.objectContaining({ code: 'invalid-addition' }),
  )
  expect(() => linesOf({ ...formula, additions: [{ chemical: 'unobtainium', grams: 1 }] })).toThrow(
    expect.objectContaining({ code: 'unknown-chemical' }),
  )
})
