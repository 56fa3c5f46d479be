import { aDrum } from '../samples'
import { requireReading, requireTare } from './weights'
import { drumState, type DrumFacts, type DrumLine } from './drum'
import { drumFindings } from './drumFindings'
import { drumLabel, swallowedAte } from './drumLabel'
import { blockWords, neverMeets, type Liquid } from './never'
import { requirePour, type DrumKnown, type PouredLiquid } from './pourInto'

const dayMs = 86_400_000
const line = (id: string, more: Partial<DrumLine> = {}): DrumLine => ({
  ...{ id, at: 0, kind: 'pour', ml: 1000, gPerMl: 1.05, silverG: 2, family: 'sil', source: 'bottle', contents: null },
  ...{ ph: null, readingKg: null, reverses: null },
  ...more,
})
const known: DrumKnown = { neighbours: [], funnel: null, roomM3: 28.8 }
const liquid = (more: Partial<PouredLiquid> = {}): PouredLiquid => ({ family: 'sil', ml: 1000, contents: null, metal: null, ...more })
const pour = (more: Partial<PouredLiquid>, drum: Partial<DrumFacts> = {}, lines: DrumLine[] = [], around: Partial<DrumKnown> = {}) => {
  const facts = { ...aDrum, ...drum }
  return requirePour(facts, drumState(facts, lines), liquid(more), { ...known, ...around })
}

test('a drum is the sum of its lines, what was taken back counts for nothing, and it is full at nine tenths', () => {
  const lines = [
    line('a'),
    line('b', { at: 5, ml: 500, silverG: 1 }),
    line('c', { kind: 'reverse', ml: -1000, silverG: -2, reverses: 'a' }),
  ]
  const state = drumState(aDrum, lines)
  expect([state.ml, state.silverG, state.roomMl, state.firstAt, state.standing]).toEqual([500, 1, 17_500, 5, 'open'])
  expect(state.kg).toBeCloseTo(1.2 + 0.525, 9)
  expect([drumState(aDrum, []).standing, drumState(aDrum, []).roomMl]).toEqual(['empty', 18_000])
  expect(() => pour({ ml: 18_000 })).not.toThrow()
  expect(() => pour({ ml: 18_001 })).toThrow('Drum 4K7Q2M takes 18.00 L more, and this is 18.00 L. Take another drum.')
  expect(() => pour({ ml: 17_501 }, {}, lines)).toThrow(/takes 17.50 L more/)
})

test('no label, no pour; what is sealed, collected or in quarantine takes nothing', () => {
  expect(() => pour({}, { labelledAt: null })).toThrow(/no label yet/)
  expect(() => pour({}, { sealedAt: 5 })).toThrow(/is sealed/)
  expect(() => pour({}, { collectedAt: 5, sealedAt: 5 })).toThrow(/was collected/)
  expect(() => pour({}, { quarantinedAt: 5, quarantinedWhy: 'stop bath in it' })).toThrow(/quarantine \(stop bath in it\): do not open/)
  expect(() => pour({ ml: 0 })).toThrow('Say how much.')
})

test('what never meets is refused by the drum, the funnel and the tray, with the gas, how much of it, and what to do; another family is refused without', () => {
  const sulfide = liquid({ family: 'sul', contents: [{ chemical: 'sodium-sulfide-nonahydrate', grams: 20 }] })
  expect(() => pour(sulfide)).toThrow(
    'In drum 4K7Q2M (fixers and bleach-fixes): Never: hydrogen sulfide, which kills; the nose goes numb first. All of it would be 70 ppm in this room; 100 are dangerous to life at once. Close both, ventilate, and take a drum of its own.',
  )
  expect(() => pour(sulfide, {}, [], { roomM3: null })).not.toThrow(/ppm/)
  const acid: Liquid = { family: 'acid', ml: 10, contents: null }
  expect(() => pour({}, {}, [], { funnel: { name: 'blue', liquid: acid } })).toThrow(
    /In the funnel “blue”, which was not rinsed: Never: sulfur dioxide/,
  )
  expect(() => pour({}, {}, [], { neighbours: [{ code: 'ABC234', liquid: acid }] })).toThrow(/Drum ABC234 stands in the same tray: Never/)
  expect(() => pour({ family: 'dev' })).toThrow('Drum 4K7Q2M is for fixers and bleach-fixes. This goes into one for developers.')
  expect(() => pour({ family: 'nob', metal: 'gold' }, { family: 'nob', metal: 'silver' })).toThrow(/each metal has a drum of its own/)
})

test('chemistry is asked beside the families, and the stricter governs', () => {
  // two of one family, of which one was mixed strongly acid
  const there: Liquid = { family: 'dev', ml: 1000, contents: [{ chemical: 'sodium-sulfite', grams: 100 }] }
  const poured: Liquid = { family: 'dev', ml: 1000, contents: [{ chemical: 'sulfuric-acid', grams: 100 }] }
  const block = neverMeets(there, poured, { roomM3: 28.8 })
  expect(block).toMatchObject({ reaction: null, idlhPpm: 100 })
  expect(block?.ppm).toBeGreaterThan(600)
  expect(blockWords(block!)).toMatch(/sulfur dioxide.*Sodium sulfite.*Sulfuric acid/i)
  expect(neverMeets(there, { ...poured, contents: [{ chemical: 'metol', grams: 2 }] }, { roomM3: 28.8 })).toBeNull()
  // nobody knows what is in it: the families alone
  expect(neverMeets({ ...there, contents: null }, { ...poured, contents: null }, { roomM3: 28.8 })).toBeNull()
})

test('what is to be said of a drum: days, fullness, cap, tray, weight', () => {
  const says = (more: Partial<DrumFacts>, lines: DrumLine[], now = 0, tray: Parameters<typeof drumFindings>[2]['tray'] = null) => {
    const facts = { ...aDrum, vented: true, ...more }
    return drumFindings(facts, drumState(facts, lines), { now, zone: 'UTC', adviceDays: 60, warnDays: 90, tray }).map(
      ({ rule, severity }) => `${rule} ${severity}`,
    )
  }
  const tray = { name: 'left', holdsMl: 22_000, drums: [aDrum] }
  expect(says({}, [], 0, tray)).toEqual([])
  expect(says({ vented: false }, [])).toEqual(['drum-tray warning', 'drum-vent warning'])
  expect(says({}, [line('a')], 59 * dayMs, tray)).toEqual([])
  expect(says({}, [line('a')], 60 * dayMs, tray)).toEqual(['drum-days advice'])
  expect(says({}, [line('a')], 90 * dayMs, tray)).toEqual(['drum-days warning'])
  expect(says({}, [line('a', { ml: 17_200 })], 0, tray)).toEqual(['drum-full warning'])
  expect(says({}, [], 0, { ...tray, holdsMl: 21_999 })).toEqual(['drum-tray warning'])
  expect(says({}, [], 0, { ...tray, drums: [aDrum, { ...aDrum, code: 'X', family: 'acid' }] })).toEqual(['drum-tray warning'])
  const weighed = line('w', { kind: 'weigh', ml: 0, silverG: 0, at: 9, readingKg: 17.58 })
  expect(says({}, [line('a', { ml: 15_000 }), weighed], 0, tray)).toEqual(['drum-weight warning'])
  // what was poured since makes the reading old
  expect(says({}, [line('a', { ml: 15_000, at: 10 }), weighed], 0, tray)).toEqual([])
  expect(says({ quarantinedAt: 5, quarantinedWhy: 'x' }, [], 0, tray)).toEqual(['drum-quarantine error'])
})

describe('the label', () => {
  const label = (family: DrumFacts['family'], contents: [string, number][] | null, more: Partial<DrumLine> = {}) =>
    drumLabel(
      { family, metal: null },
      drumState({ ...aDrum, family }, [
        line('a', { ml: 1000, contents: contents?.map(([chemical, grams]) => ({ chemical, grams })) ?? null, ...more }),
      ]),
    )
  test('has at least what its family has, as the domain page lists it', () => {
    const words = (family: DrumFacts['family']) => {
      const { signal, pictograms } = label(family, null)
      return [signal, ...pictograms].join(' ')
    }
    expect(words('dev')).toBe('Warning health exclamation')
    expect(words('sil')).toBe(' environment')
    expect(words('fer')).toBe('')
    expect(words('cop')).toBe('Warning exclamation environment')
    expect(words('mno')).toBe('Danger corrosion environment')
    expect(words('sul')).toBe('Danger corrosion health environment')
    expect(words('acid')).toBe('Danger corrosion')
    expect(label('sul', null).statements).toContain('Acid frees hydrogen sulfide')
    expect(label('sil', null).unknownShare).toBe(1)
  })
  test('is added to by what is in it, from the shares of the harmonised system on', () => {
    expect(label('fer', [['potassium-dichromate', 5]])).toMatchObject({ signal: 'Danger' })
    expect(label('fer', [['potassium-dichromate', 5]]).statements).toContain('May cause cancer')
    expect(label('fer', [['potassium-dichromate', 0.9]]).statements).not.toContain('May cause cancer')
    const hydroquinone = label('alk', [['hydroquinone', 5]])
    expect([hydroquinone.allergens, hydroquinone.statements.some((one) => /allergic/.test(one))]).toEqual([['Hydroquinone'], false])
    expect(label('dev', [['borax-decahydrate', 10]])).toMatchObject({ signal: 'Danger' })
    expect(label('dev', [['borax-decahydrate', 2]])).toMatchObject({ signal: 'Warning' })
    // liquid that burns by its pH, and a mild stop bath
    expect(label('dev', null, { ph: 12 }).statements).toContain('Causes severe skin burns and eye damage')
    expect(label('acid', [['acetic-acid-glacial', 20]]).signal).toBeNull()
  })
  test('says of swallowing what all its parts together come to', () => {
    expect(
      swallowedAte([
        { percent: 0.5, ate: 50 },
        { percent: 2, ate: 400 },
      ]),
    ).toBeCloseTo(6667, 0)
    expect(swallowedAte([])).toBeNull()
    // 100 / (30 / 500) = 1,667
    expect(label('alk', [['metol', 300]]).statements).toContain('Harmful if swallowed')
    expect(label('alk', [['metol', 200]]).statements).not.toContain('Harmful if swallowed')
  })
})

test('a weight that no such drum has is a slip of the unit', () => {
  for (const tareKg of [0.0011, 25])
    expect(() => requireTare({ volumeMl: 20_000, tareKg })).toThrow(/20\.00 L does not weigh .* such as 1 kg/)
  requireTare({ volumeMl: 20_000, tareKg: 1.1 })
  expect(() => requireReading(aDrum, 1.1)).toThrow(/weighs 1\.2 kg empty/)
  expect(() => requireReading(aDrum, 15_000)).toThrow(/cannot weigh 15000 kg: full it is about 21\.2 kg/)
  requireReading(aDrum, 21)
})
