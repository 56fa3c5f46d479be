import { catalogue, mixtureStatements } from '@selvrin/core'
import type { Bottle, Jar } from '@selvrin/core/contract'
import { bottleLabel, jarLabel } from './labels'

const bottle = {
  id: 'b',
  label: 'F4',
  code: 'ABC234',
  name: 'Neutral rapid fixer',
  family: 'fixer',
  sizeMl: 1000,
  parts: null,
  madeAt: Date.parse('2026-04-14T12:00:00Z'),
  madeBy: 'Ilse Varn',
  use: {
    school: 'counted',
    capacityRollsPerL: 24,
    keeping: { fullDays: 180, halfDays: 90, workingDays: 60 },
    dilutions: [[1]],
    minConcentrateMlPerRoll: 0,
  },
  state: { keepsDays: 60, daysLeft: 20 },
} as unknown as Bottle
const at = Date.parse('2026-05-01T12:00:00Z')
const holds = (gramsPerLitre: Record<string, number>) =>
  mixtureStatements(Object.entries(gramsPerLitre).map(([id, grams]) => ({ chemical: catalogue[id]!, gramsPerLitre: grams })))

test('a bottle’s label says what, until when, for how much, and opens it', () => {
  const label = bottleLabel(bottle, holds({ 'ammonium-thiosulfate-60': 200, 'sodium-sulfite': 15 }), at, 'UTC', 'http://loft:4780')
  expect(label).toMatchObject({ head: 'F4', name: 'Neutral rapid fixer', code: 'ABC234', url: 'http://loft:4780/b/ABC234', ticks: 24 })
  expect(label.lines).toEqual([
    'good until 21 May 2026 (as of 1 May 2026)',
    'mixed 14 Apr 2026, Ilse Varn',
    'stock, 1.00 L',
    'for 24 rolls',
  ])
})
test('a concentrate has no squares to tick; what keeps for ever says it is not known', () => {
  const concentrate = { ...bottle, use: { ...bottle.use, dilutions: [[1, 4]] }, state: { ...bottle.state, daysLeft: null } } as Bottle
  const label = bottleLabel(concentrate, {}, at, 'UTC', '')
  expect([label.ticks, label.lines[0], label.lines.length]).toEqual([0, 'good until: not known', 3])
})
test('the worst hazard comes first with its signal word, by the strength in the bottle', () => {
  const hazard = (of: Record<string, number>) => bottleLabel(bottle, holds(of), at, 'UTC', '').hazard
  expect(hazard({ 'sodium-carbonate': 30, 'sodium-hydroxide': 30 })[0]).toBe('Danger: Causes severe skin burns and eye damage')
  expect(hazard({ 'sodium-carbonate': 150 })).toEqual(['Warning: Causes serious eye irritation'])
  expect(hazard({ 'acetic-acid-28': 70 })).toEqual(['See the supplier’s safety sheets'])
  expect(hazard({ 'acetic-acid-glacial': 300 })[0]).toBe('Danger: Causes severe skin burns and eye damage')
  expect(bottleLabel(bottle, {}, at, 'UTC', '').hazard).toEqual(['See the supplier’s safety sheets'])
})
test('a jar’s label leaves room for the day it is opened', () => {
  const jar = { chemical: 'borax-decahydrate', lot: '26-D', place: 'powder bin', grams: 1000, openedAt: null, code: 'XYZ789' } as Jar
  const label = jarLabel(jar, catalogue['borax-decahydrate']!, 'UTC', 'http://loft:4780')
  expect(label).toMatchObject({ head: 'Borax, 10-water', name: 'lot 26-D, powder bin', url: 'http://loft:4780/b/XYZ789' })
  expect(label.lines).toContain('opened: ____________')
})
