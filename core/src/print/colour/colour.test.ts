import fc from 'fast-check'
import { colourOfArea } from './areaColour'
import { onBatch } from './batch'
import { cardPicture } from './cardPicture'
import { casts, castTurns, colourMaterials, filterChange, oppositeOf, turned, type Cast } from './casts'
import { filterWeight, neutralRemoved, packFactor, sheetsFactor, sheetsOf, usualWeights, type FilterPack } from './pack'
import { castNamed, castOfGrey } from './photoCast'
import { readCast } from './readCast'
import { recast } from './render'
import { layersOf, ringAround, ringLayers } from './ringAround'
import { madeUpPicture, sceneNames } from './scene'
import { colourPrintSeconds, colourPrintSteps, drumPrintMl } from './steps'
import { hiddenCast, levelAfter, trainerLevels, trainerScore, trainerState } from './trainer'

const from = { y: 60, m: 50, c: 0 }
const dial = fc.double({ min: 0, max: 170, noNaN: true })
const anyPack = fc.record({ y: dial, m: dial, c: dial })
const anyCast = fc.constantFrom(...casts)
const anyMaterial = fc.constantFrom(...colourMaterials)
/** What makes its colour: differences of dials. */
const colourOf = ({ y, m, c }: FilterPack): number[] => [y - c, m - c]
const expectColour = (one: FilterPack, other: FilterPack): void =>
  colourOf(one).forEach((figure, i) => expect(figure).toBeCloseTo(colourOf(other)[i] ?? NaN, 6))

describe('a cast taken out', () => {
  const table: [Cast, [number, number], [number, number]][] = [
    ['yellow', [70, 50], [50, 50]],
    ['magenta', [60, 60], [60, 40]],
    ['cyan', [50, 40], [70, 60]],
    ['red', [70, 60], [50, 40]],
    ['green', [60, 40], [60, 60]],
    ['blue', [50, 50], [70, 50]],
  ]
  test.each(table)('a print too %s, on both papers', (cast, negative, reversal) => {
    const { y, m, c } = filterChange({ pack: from, cast, units: 10, material: 'negative' })
    expect([y, m, c]).toEqual([...negative, 0])
    const other = filterChange({ pack: from, cast, units: 10, material: 'reversal' })
    expect([other.y, other.m, other.c]).toEqual([...reversal, 0])
  })

  test('its time, and a dial that would stand below 0', () => {
    expect(10 * filterChange({ pack: from, cast: 'red', units: 10, material: 'negative' }).factor).toBeCloseTo(11.75, 2)
    expect(filterChange({ pack: { y: 5, m: 50, c: 0 }, cast: 'blue', units: 10, material: 'negative' })).toMatchObject({
      y: 0,
      m: 55,
      c: 5,
    })
    expect(() => filterChange({ pack: from, cast: 'red', units: -1, material: 'negative' })).toThrow(/0 units or more/)
    expect(() => filterChange({ pack: { ...from, y: NaN }, cast: 'red', units: 5, material: 'negative' })).toThrow(/number/)
  })

  test('a change and its opposite give the pack back, less its neutral', () => {
    fc.assert(
      fc.property(anyPack, anyCast, fc.double({ min: 0, max: 60, noNaN: true }), anyMaterial, (pack, cast, units, material) => {
        const there = filterChange({ pack, cast, units, material })
        const back = turned(there, castTurns(oppositeOf(cast), units, material))
        const plain = neutralRemoved(pack)
        expect(Math.min(there.y, there.m, there.c)).toBe(0)
        expectColour(back, pack)
        for (const one of ['y', 'm', 'c'] as const) expect(back[one]).toBeCloseTo(plain[one], 6)
        expect(there.factor * back.factor).toBeCloseTo(plain.factor, 6)
      }),
    )
  })
})

describe('neutral', () => {
  test('is removed with its time', () => {
    const { factor, ...pack } = neutralRemoved({ y: 80, m: 60, c: 15 })
    expect(pack).toEqual({ y: 65, m: 45, c: 0 })
    expect(20 * factor).toBeCloseTo(14.16, 2)
  })

  test('changes no colour, and costs exactly its density', () => {
    fc.assert(
      fc.property(anyPack, (pack) => {
        const { factor, ...next } = neutralRemoved(pack)
        expectColour(next, pack)
        expect(factor).toBeCloseTo(10 ** (-Math.min(pack.y, pack.m, pack.c) / 100), 9)
      }),
    )
  })

  test('factors by a grey patch, and loose filters', () => {
    expect(filterWeight({ beforeS: 10, afterS: 10 * 10 ** 0.12, units: 20 })).toBeCloseTo(0.6, 9)
    expect(packFactor(from, { ...from, m: 70 }, { ...usualWeights, m: 0.5 })).toBeCloseTo(10 ** 0.1, 9)
    expect([sheetsOf({ y: 0, m: 0, c: 0 }), sheetsOf({ y: 60, m: 50, c: 0 }), sheetsOf({ y: 75, m: 5, c: 0 })]).toEqual([0, 4, 5])
    expect(sheetsFactor(from, { y: 70, m: 60, c: 0 })).toBeCloseTo(1.1, 9)
  })
})

test('another batch: its label instead of the old one', () => {
  const { factor, ...pack } = onBatch({ y: 60, m: 50, c: 0 }, { y: 5, m: -10, factor: 1.1 }, { y: -5, m: 5, factor: 0.95 })
  expect(pack).toEqual({ y: 50, m: 65, c: 0 })
  expect(12 * factor).toBeCloseTo(12.46, 2)
  expect(() => onBatch(from, { y: 0, m: 0, factor: 0 }, { y: 0, m: 0, factor: 1 })).toThrow()
})

test('developing by temperature, and what a drum takes', () => {
  expect([20, 25, 30, 35].map((c) => Number(colourPrintSeconds(c).toFixed(1)))).toEqual([120, 90, 63.6, 45])
  expect(() => colourPrintSeconds(38)).toThrow(/20 to 35/)
  expect(colourPrintSteps({ atC: 20, drum: false }).find((one) => one.kind === 'bleach-fix')).toMatchObject({ atC: 24 })
  expect([drumPrintMl({ areaCm2: 1032, wetsMl: 50 }), drumPrintMl({ areaCm2: 100, wetsMl: 50 })]).toEqual([140, 50])
})

describe('a cast off a photograph', () => {
  test('by the grey of a card', () => {
    const turn = castOfGrey({ card: { r: 1, g: 1, b: 1.26 }, print: { r: 1, g: 1, b: 1 }, material: 'negative' })
    expect([Number(turn.y.toFixed(1)), turn.m]).toEqual([4, 0])
    expect(castOfGrey({ card: { r: 1, g: 1, b: 1.26 }, print: { r: 1, g: 1, b: 1 }, material: 'reversal' }).y).toBeCloseTo(-turn.y, 9)
    expect(castNamed({ y: 12, m: 11 }, 'negative')).toMatchObject({ cast: 'red' })
    expect(castNamed({ y: 12, m: 11 }, 'reversal')).toMatchObject({ cast: 'cyan' })
    expect(castNamed({ y: 1, m: 1 }, 'negative')).toBeNull()
  })

  const scenes = sceneNames.map((_, i) => madeUpPicture(i, { width: 90, height: 60 }))
  const lamps = [
    { r: 1, g: 1, b: 1 },
    { r: 1.1, g: 0.9, b: 0.6 },
  ]
  const read = ({ rgba, width, card, print }: ReturnType<typeof cardPicture>, material: 'negative' | 'reversal') =>
    readCast((area) => colourOfArea(rgba, width, area), { card, print, material })

  test.each(sceneNames.map((name, i) => [name, i] as const))('known casts in “%s” are read within 3 units', (_, i) => {
    const scene = scenes[i]
    if (!scene) throw new Error('no scene')
    let worst = 0
    for (const material of colourMaterials)
      for (const [n, cast] of casts.entries())
        for (const units of [5, 10, 20]) {
          const lacks = castTurns(cast, units, material)
          const by = layersOf({ lacks, factor: 1 + 0.05 * (n % 3), material })
          const { turn } = read(cardPicture(scene, by, { seed: units + n, tint: lamps[n % 2] ?? lamps[0] }), material)
          worst = Math.max(worst, Math.abs(turn.y - lacks.y), Math.abs(turn.m - lacks.m))
        }
    expect(worst).toBeLessThan(3)
    // it is a reading: it is not exact either
    expect(worst).toBeGreaterThan(0)
  })

  test('what cannot be read says so', () => {
    const scene = scenes[0]
    if (!scene) throw new Error('no scene')
    const bright = cardPicture(scene, { r: 0, g: 0, b: 0 }, { seed: 1, tint: { r: 6, g: 6, b: 6 } })
    expect(() => read(bright, 'negative')).toThrow(/burnt out/)
    const dark = cardPicture(scene, { r: 0, g: 0, b: 0 }, { seed: 1, tint: { r: 0.01, g: 0.01, b: 0.01 }, noise: 0 })
    expect(() => read(dark, 'negative')).toThrow(/nearly black/)
    const plain = cardPicture(scene, { r: 0, g: 0, b: 0 }, { seed: 1 })
    expect(() => read({ ...plain, print: { x: -9, y: 0, width: 4, height: 4 } }, 'negative')).toThrow(/outside/)
    // the red of the boat is no grey
    expect(() => read({ ...plain, print: { x: 45 + 54, y: 38, width: 18, height: 1 } }, 'negative')).toThrow(/neutral grey/)
    const wide = read({ ...plain, print: { x: 47, y: 2, width: 80, height: 56 } }, 'negative')
    expect(wide.findings.map((one) => one.rule)).toEqual(['print-uneven'])
  })
})

describe('a ring-around', () => {
  test('has its places, and each is its own picture', () => {
    const grey = new Uint8ClampedArray([128, 128, 128, 255])
    const seen = ringAround().map((place) => [...recast(grey, ringLayers(place, 'negative'))].join())
    expect(new Set(seen).size).toBe(23)
    // yellow holds back blue; more exposure darkens paper for negatives
    expect(recast(grey, ringLayers({ of: 'cast', cast: 'yellow', units: 20 }, 'negative'))[2]).toBeLessThan(100)
    expect(recast(grey, ringLayers({ of: 'exposure', percent: 20 }, 'negative'))[0]).toBeLessThan(128)
    expect(recast(grey, ringLayers({ of: 'exposure', percent: 20 }, 'reversal'))[0]).toBeGreaterThan(128)
    // a cast is what the eye sees, whatever paper it is on
    expect(ringLayers({ of: 'cast', cast: 'red', units: 10 }, 'reversal')).toEqual(
      ringLayers({ of: 'cast', cast: 'red', units: 10 }, 'negative'),
    )
  })
})

describe('the trainer', () => {
  const hidden = { y: 20, m: -10 }
  test('hides casts of its level, in steps of five', () => {
    for (const [i, level] of trainerLevels.entries())
      for (let seed = 0; seed < 200; seed++) {
        const { y, m } = hiddenCast(i + 1, seed)
        for (const units of [y, m]) {
          expect(Math.abs(units) % 5).toBe(0)
          expect(units === 0 || (Math.abs(units) >= level.from && Math.abs(units) <= level.to)).toBe(true)
        }
        expect(Math.hypot(y, m)).toBeGreaterThan(0)
        if (level.mixed) expect(y * m).not.toBe(0)
      }
    expect(hiddenCast(3, 5)).toEqual(hiddenCast(3, 5))
    expect(() => hiddenCast(7, 1)).toThrow(/levels 1 to 6/)
  })

  test('says what is left, and which way a print went', () => {
    expect(trainerState(hidden, [{ y: 20, m: 10 }])).toMatchObject({ lacks: { y: 0, m: -20 }, wrongWay: false })
    expect(trainerState(hidden, [{ y: -10, m: 0 }]).wrongWay).toBe(true)
    expect(trainerScore(hidden, [hidden])).toBe(100)
    expect(trainerScore(hidden, [{ y: 20, m: 0 }])).toBe(60)
    expect(trainerScore({ y: 40, m: 40 }, [{ y: -40, m: -40 }])).toBe(0)
    expect(() => trainerScore(hidden, [])).toThrow(/print before/)
  })

  test('gets harder as one gets better, and easier where it is too hard', () => {
    const round = (level: number, score: number) => ({ level, score })
    expect(levelAfter([])).toBe(1)
    expect(levelAfter([round(1, 90)])).toBe(1)
    expect(levelAfter([round(1, 90), round(1, 75)])).toBe(2)
    expect(levelAfter([round(1, 90), round(2, 75)])).toBe(2)
    expect(levelAfter([round(3, 10), round(3, 0)])).toBe(2)
    expect(levelAfter([round(6, 100), round(6, 100)])).toBe(6)
  })
})
