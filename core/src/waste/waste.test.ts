import { run } from '../samples'
import { discardedOf } from './discarded'
import { drums } from './drumIds'
import { drumNames } from './drumNames'
import { drumOf } from './drums'

const drum = (family: string, ...chemicals: string[]) =>
  drumOf({ family, additions: chemicals.map((chemical) => ({ chemical, grams: 1 })) })

test('a bath goes to the drum of what is in it, the gravest first, whatever its label says', () => {
  expect(drum('other', 'metol', 'sodium-sulfite', 'borax-decahydrate')).toBe('dev')
  expect(drum('film-developer', 'sodium-thiosulfate-pentahydrate', 'hydroquinone')).toBe('sil')
  expect(drum('other', 'potassium-dichromate', 'hydroquinone')).toBe('chr')
  expect(drum('bleach', 'potassium-permanganate')).toBe('mno')
  expect(drum('bleach', 'potassium-ferricyanide', 'potassium-bromide')).toBe('fer')
  expect(drum('bleach', 'copper-sulfate-pentahydrate')).toBe('cop')
  expect(drum('toner', 'selenium-toner-concentrate')).toBe('sel')
  expect(drum('toner', 'sodium-sulfide-nonahydrate')).toBe('sul')
  expect(drum('sensitizer', 'silver-nitrate')).toBe('nob')
  expect(drum('sensitizer', 'palladium-chloride')).toBe('nob')
  expect(drum('stop-bath', 'citric-acid-monohydrate')).toBe('acid')
  expect(drum('other', 'citric-acid-monohydrate')).toBe('acid')
  expect(drum('other', 'sodium-hydroxide')).toBe('alk')
})

test('without a recipe its family decides, and where that says nothing the house’s own rules', () => {
  expect(['fixer', 'bleach-fix', 'monobath', 'wash-aid'].map((family) => drum(family))).toEqual(['sil', 'sil', 'sil', 'sil'])
  expect(['film-developer', 'print-developer', 'first-developer', 'colour-developer'].map((family) => drum(family))).toEqual(
    Array(4).fill('dev'),
  )
  expect([drum('stabiliser'), drum('stabiliser', 'wetting-agent-concentrate')]).toEqual(['ald', null])
  expect([drum('bleach'), drum('wetting-agent'), drum('no such family')]).toEqual([null, null, null])
})

test('every drum has its name', () => expect(drums.map((one) => drumNames[one]).every((name) => name.length > 3)).toBe(true))

describe('what a run pours away', () => {
  const [develop, stop, fix] = run.steps
  const once = { ...fix!, bottle: { ...fix!.bottle!, oneShot: true } }
  test('is what was made up for it: not what goes back, not what is saved, not what may go down the drain', () => {
    expect(discardedOf(run)).toEqual([{ step: 0, bottleId: 'd1', family: 'film-developer', ml: 300, silverG: 0, note: 'Develop' }])
    const steps = [{ ...develop!, fate: { saveAs: 'a' } }, { ...develop!, fate: 'drain' as const }, stop!, fix!]
    expect(discardedOf({ ...run, steps })).toEqual([])
  })
  test('is told of the bottle it came out of where a step saved it', () => {
    const second = { ...develop!, key: 'second', name: 'Second developer', liquid: { savedFrom: 'develop' } }
    const saved = { ...run, steps: [{ ...develop!, fate: { saveAs: 'second' } }, stop!, second] }
    expect(discardedOf(saved).map((one) => [one.step, one.note, one.ml])).toEqual([[0, 'Second developer', 300]])
  })
  test('has the silver of its rolls where it fixes, more of colour; and the drum its process names', () => {
    expect(discardedOf({ ...run, steps: [once] })[0]?.silverG).toBeCloseTo(0.181, 3)
    expect(discardedOf({ ...run, material: 'slide', steps: [once] })[0]?.silverG).toBeCloseTo(0.258, 3)
    expect(discardedOf({ ...run, steps: [{ ...once, fate: { drum: 'ald' } }] })[0]?.drum).toBe('ald')
    expect(discardedOf({ ...run, steps: [{ ...once, fate: { drum: 'the blue one' } }] })[0]).not.toHaveProperty('drum')
  })
})
