import { darkroomEvening } from '../../samples'
import type { DarkroomEvening } from './evening'
import { whatHelps } from './helps'

const [load] = darkroomEvening.loads as [DarkroomEvening['loads'][0]]
const [stock, fixer] = darkroomEvening.bottles as [DarkroomEvening['bottles'][0], DarkroomEvening['bottles'][0]]
const ml = (volumeMl: number) => ({
  ...stock,
  carry: { ...stock.carry, volumeMl },
  shelf: { ...stock.shelf, state: { ...stock.shelf.state, volumeMl } },
})
const evening = (count: number, more: Partial<DarkroomEvening> = {}): DarkroomEvening => ({
  ...darkroomEvening,
  bottles: [ml(5000), fixer],
  loads: Array.from({ length: count }, (_, i) => ({ ...load, id: `l${i}` })),
  ...more,
})
const kinds = (of: DarkroomEvening) => whatHelps(of, { seed: 1, rounds: 4 }).helps.map((one) => one.help.kind)

test('one tank for many: another tank helps most, another place in the wash does not', () => {
  const helps = kinds(evening(4))
  expect(helps[0]).toBe('vessel')
  expect(helps).not.toContain('wash')
})

test('a bottle that is not enough: mixed fresh it is', () => {
  const told: number[] = []
  const { asItIs, helps } = whatHelps(evening(3, { bottles: [ml(300), fixer] }), { seed: 1, rounds: 4 }, ({ tried }) => told.push(tried))
  expect(asItIs.unplaced).toBeGreaterThan(0)
  expect(helps[0]?.help).toMatchObject({ kind: 'bottle', label: 'D1' })
  expect(helps[0]?.comes.unplaced).toBeLessThan(asItIs.unplaced)
  expect(told.length).toBeGreaterThan(4)
})
