import type { Formula } from '../formula/formula'
import { stopBath } from '../samples'
import { stopAfter, stopCapacity } from './stopBath'

const bath = (chemical: string, grams: number): Formula => ({ ...stopBath, additions: [{ chemical, grams }] })
const after = (formula: Formula, rollsPerL: number, { share = 1, paper = 0 } = {}) => stopAfter(formula, share, { rollsPerL, paper })

test('the acid used is the developer’s over what the bath has: 0.76 mol/L of a film developer, 0.5 of a print developer', () => {
  // 15 g/L of citric acid, 1-water, is 0.0714 mol/L of three acids each; a roll brings 20 ml
  const acid = (3 * 15) / 210.14
  expect(after(stopBath, 5)?.acidUsed).toBeCloseTo((5 * 0.02 * 0.76) / acid, 3)
  expect(after(stopBath, 5, { paper: 1 })?.acidUsed).toBeCloseTo((5 * 0.02 * 0.5) / acid, 3)
  expect(after(stopBath, 5, { paper: 0.5 })?.acidUsed).toBeCloseTo((5 * 0.02 * 0.63) / acid, 3)
  expect(after(stopBath, 5, { share: 0.5 })?.acidUsed).toBeCloseTo((5 * 0.02 * 0.76) / (acid / 2), 3)
  expect(after(stopBath, 0)?.acidUsed).toBe(0)
  expect(after(stopBath, 900)?.acidUsed).toBe(1)
})

test('28 % acetic acid is as much of the glacial as its strength says; what holds no known acid says nothing', () => {
  const glacial = after(bath('acetic-acid-glacial', 20), 5)
  const dilute = after(bath('acetic-acid-28', 20 / 0.28), 5)
  expect(dilute?.acidUsed).toBeCloseTo(glacial!.acidUsed, 2)
  expect(glacial?.acidUsed).toBeCloseTo((5 * 0.02 * 0.76) / (20 / 60.05), 2)
  expect([after(bath('sodium-sulfite', 20), 5), stopCapacity(bath('sodium-sulfite', 20), 0)]).toEqual([null, null])
})

test('its pH rises with every roll and never passes the developer’s own; half the strength turns sooner', () => {
  const ph = [0, 5, 10, 20, 60, 300].map((rolls) => after(stopBath, rolls)!.ph)
  expect(ph).toEqual([...ph].sort((a, b) => a - b))
  expect(ph[0]).toBeLessThan(3)
  expect(ph.at(-1)).toBeLessThan(9)
  // a print developer with carbonate is far more alkaline than a borax developer
  expect(after(stopBath, 60, { paper: 1 })!.ph).toBeGreaterThan(ph[4]! + 1)
  expect(after(stopBath, 5, { share: 0.5 })!.ph).toBeGreaterThan(ph[1]!)
})

test('it lasts as many rolls as bring it to pH 5.2, more of a stronger bath; one that is there already none', () => {
  for (const [formula, paper] of [
    [stopBath, 0],
    [stopBath, 1],
    [bath('acetic-acid-glacial', 20), 0],
  ] as const) {
    const rolls = stopCapacity(formula, paper)!
    expect(after(formula, rolls, { paper })!.ph).toBeLessThanOrEqual(5.2)
    expect(after(formula, rolls + 0.02, { paper })!.ph).toBeGreaterThan(5.2)
  }
  expect(stopCapacity(bath('citric-acid-monohydrate', 30), 0)! / stopCapacity(stopBath, 0)!).toBeCloseTo(2, 0)
  expect(stopCapacity(bath('citric-acid-monohydrate', 0.001), 0)).toBe(0)
  expect(stopCapacity(bath('acetic-acid-glacial', 900), 1)).toBe(400)
})
