import type { TestMark } from '../../proof/proof'
import { acted, fixer, ledger } from '../../samples'
import type { BottleState } from '../bottle'
import { together, volumesAfter, wouldHold, type Acted } from './act'
import { requireBrought } from './bring'
import { broughtFrom, dilutedFrom } from './brought'
import { decideCombining, volumesOfParts, type Combining } from './combine'
import { decideDecanting } from './decant'
import { decideDilution } from './dilute'
import { decideJoining } from './join'
import { decideMeasure } from './measure'
import { decideMoving } from './move'
import { decideMovingUp, decidePairing } from './pair'
import { decidePour, type AskedPour } from './pour'
import { decideReplenish } from './replenish'
import { requireInUse, requireRoom, requireUsable, requireVolume } from './requiring'
import { asOne, decideRetiring } from './retire'
import { decideReversing, requireReversible } from './reverse'
import { decideUsingOtherwise } from './useOtherwise'
import { decideWrongBottle } from './wrong'

const code = (name: string) => expect.objectContaining({ code: name })
const bottle = (part: Partial<Acted> = {}, state: Partial<BottleState> = {}): Acted => ({
  ...acted,
  ...part,
  state: { ...acted.state, findings: [], volumeMl: 600, silverGPerL: 1.2, closedFor: [], ...state },
})
const other = (part: Partial<Acted> = {}, state: Partial<BottleState> = {}) => bottle({ id: 'f2', label: 'F2', ...part }, state)
const tired = { findings: [{ rule: 'bottle-age', severity: 'error' as const, message: 'It is too old.' }] }
const retired = { retiredAt: 5 }
const clash = { danger: 'chlorine gas' }

describe('what is asked of a bottle first', () => {
  test('that it holds enough, to a millionth of a millilitre', () => {
    expect(() => requireVolume(bottle(), 600)).not.toThrow()
    expect(() => requireVolume(bottle(), 600.0000005)).not.toThrow()
    expect(() => requireVolume(bottle(), 601)).toThrow('F1 holds 600 ml, not the 601 ml wanted. Take less, or another bottle.')
  })
  test('that it takes as much', () => {
    expect(() => requireRoom(bottle(), 400)).not.toThrow()
    expect(() => requireRoom(bottle(), 401)).toThrow('F1 takes 400 ml more, not 401 ml.')
    expect(() => requireRoom(bottle(), 500, 500)).not.toThrow()
    expect(() => requireRoom(bottle(), 10, 1200)).toThrow('F1 takes 0 ml more, not 10 ml.')
  })
  test('that nothing speaks against it, or a reason', () => {
    expect(requireUsable(bottle(), undefined)).toBe('')
    expect(requireUsable(bottle(), 'a test film')).toBe('')
    expect(() => requireUsable(bottle({}, tired), undefined)).toThrow(expect.objectContaining({ code: 'age', more: { field: 'overrule' } }))
    expect(requireUsable(bottle({}, tired), 'a test film')).toBe('In spite of “It is too old.”: a test film')
  })
  test('that it is in use', () => {
    expect(() => requireInUse(bottle())).not.toThrow()
    expect(() => requireInUse(bottle(retired))).toThrow(code('retired'))
  })
  test('that it is bought, where it is brought', () => {
    expect(() => requireBrought({ name: 'C', additions: [] })).not.toThrow()
    expect(() => requireBrought({ name: 'C', additions: [{}] })).toThrow(code('mixed-here'))
    expect(() => requireBrought({ name: 'C', additions: [], combine: [] })).toThrow(code('mixed-here'))
  })
})

describe('what a page shows before it is done', () => {
  const decided = { lines: [{ bottleId: 'f1', kind: 'pour-out' as const, ml: -100 }, { bottleId: 'f1', kind: 'water' as const, ml: 20 }] } // prettier-ignore
  test('is what each bottle holds after it, and its lines; what is left alone is left out', () => {
    expect(volumesAfter([bottle(), other()], decided)).toEqual({ f1: 520, f2: 600 })
    expect(wouldHold([bottle(), other()], decided)).toEqual([
      {
        ...{ bottleId: 'f1', label: 'F1', beforeMl: 600, afterMl: 520 },
        lines: [
          { kind: 'pour-out', throughput: [] },
          { kind: 'water', throughput: [] },
        ],
      },
    ])
    expect(together('', 'a', '', 'b')).toBe('a. b')
  })
})

describe('what liquid takes along', () => {
  const mark = { kind: 'clearing-time' } as TestMark
  const test_ = (failed: TestMark | null) => ({
    kind: 'clearing-time' as const,
    newest: mark,
    at: 0,
    rollsPerL: 0,
    failed,
    failedAt: null,
    passes: 0,
  })
  const behind = { strength: 0.9, rollsPerL: 4, silverGPerL: null, aged: 0.2, tests: [], fixS: null, clearingTimes: [], clearingRead: [] }
  test('is its strength, its use, its age, and what its tests said', () => {
    expect(broughtFrom(bottle({}, behind).state)).toEqual({ strength: 0.9, rollsPerL: 4, silverGPerL: 0, aged: 0.2 })
    const read = [{ seconds: 30, celsius: 20, slow: false }]
    const full = {
      ...behind,
      silverGPerL: 2,
      tests: [test_(null)],
      fixS: 90,
      clearingTimes: [{ rollsPerL: 1, seconds: 30 }] as never,
      clearingRead: read,
    }
    expect(broughtFrom(bottle({}, full).state)).toEqual({
      ...{ strength: 0.9, rollsPerL: 4, silverGPerL: 2, aged: 0.2 },
      ...{ tests: full.tests, fixS: 90, clearingTimes: full.clearingTimes, clearingRead: read },
    })
  })
  test('diluted it is fresh, but what the stock failed it has failed too', () => {
    expect(dilutedFrom(bottle({}, { ...behind, tests: [test_(null)] }).state)).toBeUndefined()
    expect(dilutedFrom(bottle({}, { ...behind, tests: [test_(mark), test_(null)] }).state)).toEqual({
      ...{ strength: 1, rollsPerL: 0, silverGPerL: 0, aged: 0 },
      tests: [test_(mark)],
    })
  })
})

describe('made out of others', () => {
  const asked = { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 1000 }
  test('working strength takes its concentrate, and is refused of what is diluted already, too little or spent', () => {
    expect(decideDilution(bottle(), asked)).toEqual({
      lines: [{ bottleId: 'f1', kind: 'dilute-out', ml: -100, otherBottleId: 'n', note: '1+4 to 500 ml' }],
      made: [{ id: 'n', sizeMl: 1000, ml: 500, parts: [1, 4] }],
    })
    expect(() => decideDilution(bottle({ parts: [1, 4] }), asked)).toThrow(code('already-diluted'))
    expect(() => decideDilution(bottle({}, { volumeMl: 99 }), asked)).toThrow(code('not-enough'))
    expect(() => decideDilution(bottle({}, tired), asked)).toThrow(code('age'))
    expect(decideDilution(bottle({}, tired), { ...asked, overrule: 'a test film' }).lines[0]?.note).toBe(
      '1+4 to 500 ml. In spite of “It is too old.”: a test film',
    )
    const failed = [{ kind: 'clearing-time', failed: { kind: 'clearing-time' } }] as never
    expect(decideDilution(bottle({}, { tests: failed }), asked).made?.[0]?.brings?.tests).toEqual(failed)
  })
  const parts: Combining = {
    name: 'Toner',
    wanted: [
      { part: 'A', formulaId: 'fixer' },
      { part: 'B', formulaId: 'other' },
    ],
    from: [bottle(), other({ formulaId: 'other' })],
  }
  const three = { ...asked, parts: [1, 2, 2] }
  test('parts are poured in their order, with water to the whole', () => {
    expect(volumesOfParts(parts, three)).toEqual({ ml: [100, 200], waterMl: 200 })
    expect(volumesOfParts(parts, { ...asked, parts: [1, 4] })).toEqual({ ml: [100, 400], waterMl: 0 })
    expect(decideCombining(parts, three)).toEqual({
      lines: [
        { bottleId: 'f1', kind: 'dilute-out', ml: -100, otherBottleId: 'n', note: 'part A of 500 ml Toner' },
        { bottleId: 'f2', kind: 'dilute-out', ml: -200, otherBottleId: 'n', note: 'part B of 500 ml Toner' },
      ],
      made: [{ id: 'n', sizeMl: 1000, ml: 500, parts: [1, 2, 2] }],
    })
  })
  test('and are refused out of the wrong bottle, out of too little, and where they never meet', () => {
    const refused = (part: Partial<Combining>, more: object = {}) =>
      expect(() => decideCombining({ ...parts, ...part }, { ...three, ...more }))
    refused({ from: [other(), bottle({ formulaId: 'other' })].reverse() }).toThrow(code('wrong-part'))
    refused({ wanted: [] }).toThrow(code('not-combined'))
    refused({ from: [bottle()] }).toThrow(code('not-combined'))
    refused({}, { parts: [1] }).toThrow(code('not-combined'))
    refused({ from: [bottle({}, tired), parts.from[1]!] }).toThrow(code('age'))
    refused({}, { totalMl: 5000 }).toThrow(code('not-enough'))
    expect(() => decideCombining(parts, three, clash)).toThrow('These are not poured together: chlorine gas')
  })
  test('decanted, every part takes the whole past along', () => {
    const from = bottle({ parts: [1, 4], madeAt: 77 })
    const into = [
      { id: 'a', sizeMl: 250, ml: 250 },
      { id: 'b', sizeMl: 500, ml: 350 },
    ]
    expect(decideDecanting(from, { into })).toEqual({
      lines: into.map(({ id, ml }) => ({ bottleId: 'f1', kind: 'decant', ml: -ml, otherBottleId: id, note: '' })),
      made: into.map((one) => ({ ...one, parts: [1, 4], madeAt: 77, brings: broughtFrom(from.state) })),
    })
    expect(() => decideDecanting(from, { into: [...into, { id: 'c', sizeMl: 10, ml: 1 }] })).toThrow(code('not-enough'))
    expect(() => decideDecanting(bottle({}, tired), { into })).toThrow(code('age'))
  })
  test('liquid of another joins only its own kind, and nothing it never meets', () => {
    const join = (into: Acted, from: Acted, part: object = {}) =>
      decideJoining(into, from, { ml: 50, overrule: undefined, meets: null, ...part })
    expect(join(bottle(), other())).toEqual({
      line: { bottleId: 'f2', kind: 'pour-out', ml: -50, otherBottleId: 'f1', note: 'into F1' },
      brings: broughtFrom(other().state),
    })
    expect(() => join(bottle(), other(), { ml: 601 })).toThrow(code('not-enough'))
    expect(() => join(bottle(), other({}, tired))).toThrow(code('age'))
    expect(join(bottle(), other({}, tired), { overrule: 'no other' }).line.note).toBe('into F1. In spite of “It is too old.”: no other')
    expect(() => join(bottle(), other(), { meets: clash })).toThrow('F2 and F1 are not poured together: chlorine gas')
    expect(() => join(bottle(), other({ formulaId: 'x', family: 'stop-bath' }))).toThrow(code('other-family'))
    expect(join(bottle(), other({ formulaId: 'x' })).line.ml).toBe(-50)
    expect(join(bottle({ family: 'y' }), other()).line.ml).toBe(-50)
  })
})

describe('poured, used and thrown away', () => {
  const asked = (kind: AskedPour['kind'], part: Partial<AskedPour> = {}): AskedPour => ({
    ...{ entryId: 'e', kind, ml: 100, rolls: 0, colourRolls: 0, paper: 0, waterInMl: 0, note: '' },
    ...part,
  })
  const pour = (kind: AskedPour['kind'], part: Partial<AskedPour> = {}, into = bottle()) => decidePour({ bottle: into }, asked(kind, part))
  const line = (kind: AskedPour['kind'], part: Partial<AskedPour> = {}) => pour(kind, part).lines[0]
  test('what leaves is negative, what comes is not, and water is said', () => {
    const ml = (['pour-out', 'discard', 'use', 'evaporate', 'pour-back', 'top-up', 'water'] as const).map((kind) => [
      line(kind)?.ml,
      line(kind)?.waterInMl,
    ])
    expect(ml).toEqual([[-100, 0], [-100, 0], [-100, 0], [-100, 0], [100, 0], [100, 0], [100, 100]]) // prettier-ignore
    expect(line('use', { ml: 30, rolls: 2, waterInMl: 30 })).toMatchObject({
      ml: 0,
      waterInMl: 30,
      throughput: [{ kind: 'bw-roll', equivalents: 2 }],
    })
    expect(line('pour-out', { waterInMl: 30 })?.waterInMl).toBe(0)
    expect(line('pour-out', { note: 'for Tilda' })).toEqual({
      ...{ id: 'e', bottleId: 'f1', kind: 'pour-out', ml: -100, note: 'for Tilda', throughput: [], waterInMl: 0, brings: null },
    })
  })
  test('a spent bottle is thrown away, not poured from or used; a retired one takes nothing', () => {
    const spent = bottle({}, tired)
    for (const kind of ['pour-out', 'use'] as const) expect(() => pour(kind, {}, spent)).toThrow(code('age'))
    for (const kind of ['discard', 'evaporate', 'pour-back', 'water'] as const) expect(() => pour(kind, {}, spent)).not.toThrow()
    expect(pour('use', { overrule: 'a test film', note: 'once' }, spent).lines[0]?.note).toBe(
      'once. In spite of “It is too old.”: a test film',
    )
    for (const kind of ['pour-back', 'top-up', 'water'] as const) expect(() => pour(kind, {}, bottle(retired))).toThrow(code('retired'))
    expect(() => pour('discard', {}, bottle(retired))).not.toThrow()
  })
  test('no more than it holds, and no more than it takes', () => {
    expect(() => pour('pour-out', { ml: 601 })).toThrow(code('not-enough'))
    expect(() => pour('top-up', { ml: 401 })).toThrow(code('too-full'))
    expect(() => pour('use', { ml: 700, waterInMl: 100, rolls: 1 })).not.toThrow()
  })
  test('nothing, more loads than liquid, and more colour than rolls cannot have been', () => {
    expect(() => pour('use', { ml: 0 })).toThrow(code('nothing'))
    for (const part of [{ rolls: 1 }, { paper: 1 }]) expect(() => pour('use', { ml: 0, ...part })).not.toThrow()
    expect(() => pour('use', { rolls: 60, paper: 40 })).not.toThrow()
    expect(() => pour('use', { rolls: 60, paper: 41 })).toThrow(code('too-many'))
    expect(() => pour('use', { rolls: 2 }, bottle({ sizeMl: 5 }, { volumeMl: 500 }))).toThrow('more than 1 rolls at once')
    expect(() => pour('use', { rolls: 2, colourRolls: 3 })).toThrow(code('invalid'))
    expect(() => pour('use', { rolls: 2, colourRolls: 2 })).not.toThrow()
  })
  test('paper that the silver closed it for wants a reason; film and other paper do not', () => {
    const full = bottle({}, { closedFor: ['fibre-paper'], silverGPerL: 2.34 })
    expect(() => pour('use', { paper: 1, paperKind: 'fibre-paper' }, full)).toThrow(/about 2.3 g\/L of silver, too much for fibre paper/)
    expect(() => pour('use', { paper: 1, paperKind: 'fibre-paper', overrule: 'a work print' }, full)).not.toThrow()
    expect(() => pour('use', { paper: 1 }, full)).not.toThrow()
    expect(() => pour('use', { paper: 1 }, bottle({}, { closedFor: ['rc-paper'] }))).toThrow(code('closed-for'))
    expect(() => pour('use', { rolls: 1 }, full)).not.toThrow()
    expect(() => pour('discard', { paper: 1, paperKind: 'fibre-paper' }, full)).not.toThrow()
  })
  test('what is thrown away goes to the waste with its silver', () => {
    expect(pour('discard', { note: 'black' }).waste).toEqual([{ line: 0, family: 'fixer', silverGPerL: 1.2, note: 'black' }])
    expect(pour('pour-out').waste).toBeUndefined()
  })
  test('topped up from another both have a line, and the liquid brings its past', () => {
    const { lines } = decidePour({ bottle: bottle(), from: other() }, asked('top-up'))
    expect(lines.map(({ bottleId, ml, otherBottleId }) => [bottleId, ml, otherBottleId])).toEqual([
      ['f2', -100, 'f1'],
      ['f1', 100, 'f2'],
    ])
    expect(lines[1]?.brings).toEqual(broughtFrom(other().state))
    expect(() => decidePour({ bottle: bottle(), from: other(), meets: clash }, asked('top-up'))).toThrow(code('never-meets'))
    // poured back it came from there, and takes nothing of it now
    expect(decidePour({ bottle: bottle(), from: other() }, asked('pour-back')).lines).toEqual([
      expect.objectContaining({ otherBottleId: 'f2', brings: null }),
    ])
  })
})

describe('replenished', () => {
  const bath = (state: Partial<BottleState> = {}, part: Partial<Acted> = {}) =>
    bottle({ use: { ...fixer.use, school: 'replenished' }, ...part }, { volumeMl: 970, nominalMl: 1000, ...state })
  const asked = { entryId: 'e', ml: 70, evaporatedMl: 10 }
  test('water for what evaporated, the bleed to the waste, the replenisher in', () => {
    expect(decideReplenish({ bottle: bath() }, asked)).toEqual({
      lines: [
        { bottleId: 'f1', kind: 'evaporate', ml: -10 },
        { bottleId: 'f1', kind: 'water', ml: 10, note: 'for what evaporated' },
        { bottleId: 'f1', kind: 'bleed', ml: -40 },
        { id: 'e', bottleId: 'f1', kind: 'replenish', ml: 70, brings: null },
      ],
      waste: [{ line: 2, family: 'fixer', silverGPerL: 1.2, note: 'bleed' }],
    })
    expect(decideReplenish({ bottle: bath({ volumeMl: 900 }) }, { ...asked, evaporatedMl: 0 })).toEqual({
      lines: [{ id: 'e', bottleId: 'f1', kind: 'replenish', ml: 70, brings: null }],
      waste: [],
    })
  })
  test('out of a bottle, which has its line too', () => {
    const { lines } = decideReplenish({ bottle: bath({ volumeMl: 900 }), from: other() }, { ...asked, evaporatedMl: 0 })
    expect(lines).toEqual([
      expect.objectContaining({ bottleId: 'f2', kind: 'pour-out', ml: -70, otherBottleId: 'f1' }),
      { id: 'e', bottleId: 'f1', kind: 'replenish', ml: 70, brings: broughtFrom(other().state), otherBottleId: 'f2' },
    ])
    expect(() => decideReplenish({ bottle: bath(), from: other(), meets: clash }, asked)).toThrow(code('never-meets'))
    expect(() => decideReplenish({ bottle: bath(), from: other({}, tired) }, asked)).toThrow(code('age'))
    expect(() => decideReplenish({ bottle: bath(), from: other({}, tired) }, { ...asked, overrule: 'no other' })).not.toThrow()
  })
  test('only where it is replenished, in use, with room and with what is said to have evaporated', () => {
    expect(() => decideReplenish({ bottle: bottle() }, asked)).toThrow(code('not-replenished'))
    expect(() => decideReplenish({ bottle: bath({}, retired) }, asked)).toThrow(code('retired'))
    expect(() => decideReplenish({ bottle: bath({ nominalMl: 1100 }) }, asked)).toThrow(code('too-full'))
    expect(() => decideReplenish({ bottle: bath({ volumeMl: 5 }) }, asked)).toThrow(code('not-enough'))
  })
})

describe('two baths', () => {
  const use = { ...fixer.use, school: 'two-bath' as const, twoBath: { moves: 2, days: null } }
  const first = bottle({ use }, { twoBath: { position: 1, moves: 1, since: 3 } })
  const second = other({ use }, { twoBath: { position: 2, moves: 1, since: 3 } })
  const fresh = bottle({ id: 'f3', label: 'F3', use }, { twoBath: null })
  test('become a pair', () => {
    expect(decidePairing(first, second, 9)).toEqual({
      lines: [
        { bottleId: 'f1', kind: 'change', ml: 0, twoBath: { position: 1, moves: 0, since: 9 }, note: 'first bath of a pair' },
        { bottleId: 'f2', kind: 'change', ml: 0, twoBath: { position: 2, moves: 0, since: 9 }, note: 'second bath of a pair' },
      ],
    })
    expect(() => decidePairing(first, first, 9)).toThrow(code('same-bottle'))
    expect(() => decidePairing(first, other(), 9)).toThrow(code('not-two-bath'))
    expect(() => decidePairing(first, { ...second, retiredAt: 5 }, 9)).toThrow(code('retired'))
  })
  test('the second moves up, the old first goes to the waste, a fresh one stands in', () => {
    expect(decideMovingUp(first, second, fresh)).toEqual({
      lines: [
        { bottleId: 'f1', kind: 'retire', ml: 0, note: 'First bath used up; F2 moves up' },
        { bottleId: 'f1', kind: 'discard', ml: -600 },
        {
          ml: 0,
          otherBottleId: 'f1',
          bottleId: 'f2',
          kind: 'move-up',
          twoBath: { position: 1, moves: 2, since: 3 },
          note: 'second bath becomes the first',
        },
        {
          ml: 0,
          otherBottleId: 'f2',
          bottleId: 'f3',
          kind: 'change',
          twoBath: { position: 2, moves: 2, since: 3 },
          note: 'fresh second bath',
        },
      ],
      waste: [{ line: 1, family: 'fixer', silverGPerL: 1.2, note: 'First bath used up; F2 moves up' }],
      retired: [{ bottleId: 'f1', why: 'First bath used up; F2 moves up' }],
      made: [],
    })
  })
  test('of three bottles, in their places, as often as the pair bears, with a fresh one of its kind', () => {
    const up = (a: Acted, b: Acted, c: Acted) => expect(() => decideMovingUp(a, b, c))
    up(first, second, second).toThrow(code('same-bottle'))
    up(first, first, fresh).toThrow(code('same-bottle'))
    up({ ...second, id: 'x' }, second, fresh).toThrow(code('not-a-pair'))
    up(first, { ...first, id: 'x' }, fresh).toThrow(code('not-a-pair'))
    up(first, other({ use }, { twoBath: { position: 2, moves: 2, since: 3 } }), fresh).toThrow(code('last-move'))
    up(first, other({ use: { ...use, twoBath: undefined } as never }, { twoBath: { position: 2, moves: 0, since: 3 } }), fresh).toThrow(
      code('last-move'),
    )
    up(first, second, { ...fresh, formulaId: 'x' }).toThrow(code('wrong-fresh'))
    up(first, second, { ...fresh, retiredAt: 5 }).toThrow(code('wrong-fresh'))
    up(first, second, { ...fresh, use: fixer.use }).toThrow(code('wrong-fresh'))
  })
})

describe('retired, measured, moved, used otherwise', () => {
  test('with what it holds into the waste, or without; once', () => {
    expect(decideRetiring(bottle(), { why: 'spent' })).toEqual({
      lines: [{ bottleId: 'f1', kind: 'retire', ml: 0, note: 'spent' }],
      retired: [{ bottleId: 'f1', why: 'spent' }],
    })
    expect(decideRetiring(bottle(), { why: 'spent', discard: true }).waste).toEqual([
      { line: 1, family: 'fixer', silverGPerL: 1.2, note: 'spent' },
    ])
    expect(decideRetiring(bottle({}, { volumeMl: 0 }), { why: 'spent', discard: true })).not.toHaveProperty('waste')
    expect(() => decideRetiring(bottle(retired), { why: 'spent' })).toThrow(code('stale'))
  })
  test('two acts are one, and each waste keeps its line', () => {
    const one = decideRetiring(bottle(), { why: 'a', discard: true })
    expect(asOne(one, { lines: [], made: [{ id: 'n', sizeMl: 1, ml: 1, parts: null }] }, one)).toEqual({
      lines: [...one.lines, ...one.lines],
      waste: [one.waste?.[0], { ...one.waste?.[0], line: 3 }],
      retired: [...(one.retired ?? []), ...(one.retired ?? [])],
      made: [{ id: 'n', sizeMl: 1, ml: 1, parts: null }],
    })
  })
  test('what was measured is a line of the difference', () => {
    const measured = (ml: number, part: Partial<Acted> = {}, note = '') => decideMeasure(bottle(part), { entryId: 'e', ml, note }).lines[0]
    expect(measured(550)).toEqual({
      id: 'e',
      bottleId: 'f1',
      kind: 'correct',
      ml: -50,
      note: 'measured 550 ml, 50 ml less than its lines come to',
    })
    expect(measured(650, {}, 'with a jug')?.note).toBe('measured 650 ml, 50 ml more than its lines come to. with a jug')
    expect(measured(1000)?.ml).toBe(400)
    expect(() => measured(1001)).toThrow(code('too-full'))
    expect(() => measured(100, retired)).toThrow(code('retired'))
  })
  test('another shelf has its temperature, another container none', () => {
    const moved = (shelf: { name: string; celsius: number | null } | null, container: 'airless' | 'tray' | null) =>
      decideMoving('f1', { entryId: 'e', shelf, container }).lines[0]
    expect(moved({ name: 'Cold', celsius: 12 }, 'airless')).toEqual({
      ...{ id: 'e', bottleId: 'f1', kind: 'move', ml: 0, celsius: 12, container: 'airless', note: 'to Cold, the air pressed out' },
    })
    expect(moved({ name: 'Bench', celsius: null }, null)).toMatchObject({ celsius: 20, container: null, note: 'to Bench' })
    expect(moved(null, 'tray')).toMatchObject({ celsius: null, note: 'in an open tray' })
    expect(() => moved(null, null)).toThrow(code('nothing'))
  })
  test('used otherwise it says how', () => {
    const note = (use: { school: 'two-bath' } | null) => decideUsingOtherwise('f1', { use, reason: 'for prints' }).lines
    expect(note({ school: 'two-bath' })).toEqual([{ bottleId: 'f1', kind: 'change', ml: 0, note: 'used as two bath: for prints' }])
    expect(note(null)[0]?.note).toBe('used as its formula says: for prints')
  })
})

describe('what went wrong', () => {
  test('poured into the wrong bottle both are retired, each with what happened', () => {
    const wrong = (part: object = {}, into = other()) =>
      decideWrongBottle({ from: bottle(), into, ...part }, { entryId: 'e', ml: 50, reason: 'dark' })
    expect(wrong()).toEqual({
      lines: [
        { kind: 'wrong-bottle', note: 'dark', id: 'e', bottleId: 'f1', ml: -50, otherBottleId: 'f2' },
        { kind: 'wrong-bottle', note: 'dark', bottleId: 'f2', ml: 50, otherBottleId: 'f1', brings: broughtFrom(bottle().state) },
        { bottleId: 'f1', kind: 'retire', ml: 0, note: 'Some of it was poured into F2: dark' },
        { bottleId: 'f2', kind: 'retire', ml: 0, note: 'F1 Plain fixer was poured into it: dark' },
      ],
      ...{ waste: [], made: [] },
      retired: [
        { bottleId: 'f1', why: 'Some of it was poured into F2: dark' },
        { bottleId: 'f2', why: 'F1 Plain fixer was poured into it: dark' },
      ],
    })
    expect(wrong({ meets: clash }).retired?.[0]?.why).toBe('Some of it was poured into F2: dark Danger: chlorine gas')
    expect(wrong({}, other(retired)).retired?.map((one) => one.bottleId)).toEqual(['f1'])
    expect(() => wrong({}, bottle())).toThrow(code('same-bottle'))
    expect(() => wrong({ from: bottle({}, { volumeMl: 40 }) })).toThrow(code('not-enough'))
  })
  const use = { id: 'use', bottleId: 'f1', kind: 'use' as const, ml: -60, over: false }
  const [fill, used] = ledger as [(typeof ledger)[0], (typeof ledger)[0]]
  const held = [{ bottleId: 'f1', label: 'F1', entries: ledger }]
  test('a line is taken back by one that undoes it, under the name that was given', () => {
    expect(decideReversing([use], held, { reason: 'wrong bottle' })).toEqual([
      { bottleId: 'f1', kind: 'reverse', ml: 60, reverses: 'use', note: 'wrong bottle' },
    ])
    expect(decideReversing([use], held, { reason: 'x', ids: new Map([['use', 'r']]) })[0]).toMatchObject({ id: 'r' })
    expect(() => decideReversing([{ ...use, over: true }], held, { reason: 'x' })).toThrow(code('reversed'))
  })
  test('not where a later line would have come from nothing, which is named with its bottle', () => {
    const back = (asked?: string, lines = [{ ...use, id: 'fill', kind: 'fill' as const, ml: 1000 }]) =>
      expect(() => decideReversing(lines, held, { reason: 'x', asked }))
    back('f1').toThrow('the use of 60 ml after it would have come from nothing')
    back('f2').toThrow('the use of 60 ml after it in F1 would have come from nothing')
    back('f1', [{ ...use, id: 'fill', kind: 'fill', ml: 1000 }, use] as never).not.toThrow()
    // what stays exactly at nothing holds
    const empty = [{ bottleId: 'f1', label: 'F1', entries: [{ ...fill, ml: 60 }, used, { ...fill, id: 'more', ml: 100, at: used.at + 1 }] }]
    expect(() => decideReversing([{ ...use, id: 'more', kind: 'top-up', ml: 100 }], empty, { reason: 'x' })).not.toThrow()
  })
  test('what is done anew is not taken back', () => {
    for (const kind of ['move', 'change', 'move-up'] as const)
      expect(() => requireReversible({ kind, over: false })).toThrow(code('not-undone'))
    expect(() => requireReversible({ kind: 'use', over: true })).toThrow(code('reversed'))
    expect(() => requireReversible({ kind: 'use', over: false })).not.toThrow()
  })
})
