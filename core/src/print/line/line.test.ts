import fc from 'fast-check'
import { fillOf, trayAmounts, trayStanding, useInTray, type TrayInUse } from '../../index'
import { fixer } from '../../samples'

const fresh: TrayInUse = { role: 'develop', openH: 0, ml: 1000, rc: 0, fibre: 0, fixing: 'one', state: null }
const state = { used: 0, aged: 0, acidUsed: null, findings: [] }

test('a developer goes by its hours and prints, a fixer by its silver, each by its ledger where that is stricter', () => {
  expect(trayStanding({ ...fresh, openH: 2, fibre: 10 }).share).toBeCloseTo(0.75, 9)
  expect(trayStanding({ ...fresh, openH: 2, rc: 10 }).share).toBeCloseTo(0.5, 9)
  // 6 prints of 24 × 30.5 cm are 8.51: half of the 17 fibre prints of a litre in one bath, a quarter of the first of two
  expect(trayStanding({ ...fresh, role: 'fix', fibre: 8.51 }).share).toBeCloseTo(0.5, 2)
  expect(trayStanding({ ...fresh, role: 'fix', fibre: 8.51, fixing: 'first-of-two' }).share).toBeCloseTo(0.25, 2)
  expect(trayStanding({ ...fresh, role: 'fix', fibre: 8.51, state: { ...state, used: 0.7 } })).toMatchObject({
    share: 0.7,
    why: 'by its ledger',
  })
  expect(trayStanding({ ...fresh, role: 'stop', state: { ...state, acidUsed: 0.3 } }).share).toBe(0.3)
  expect(trayStanding({ ...fresh, role: 'wash', openH: 9, rc: 500 }).share).toBeNull()
})

test('from four fifths on it is said that a tray nears its end, and from the whole on that it is over', () => {
  const rules = (fibre: number) => trayStanding({ ...fresh, fibre }).findings.map((one) => one.rule)
  expect([rules(15.9), rules(16), rules(19.9), rules(20)]).toEqual([[], ['tray-near-end'], ['tray-near-end'], ['tray-spent']])
})

test('more prints, more hours or less liquid never leave more of a tray', () => {
  const some = fc.double({ min: 0, max: 40, noNaN: true })
  fc.assert(
    fc.property(some, some, some, fc.double({ min: 200, max: 5000, noNaN: true }), (openH, rc, fibre, ml) => {
      const share = (more: Partial<TrayInUse>) => trayStanding({ ...fresh, openH, rc, fibre, ml, ...more }).share as number
      const now = share({})
      expect(
        Math.min(share({ openH: openH + 1 }), share({ rc: rc + 1 }), share({ fibre: fibre + 1 }), share({ ml: ml / 2 })),
      ).toBeGreaterThanOrEqual(now)
    }),
  )
})

test('what is poured makes up the tray at its temperature, and a tray too small for the paper is none', () => {
  const taps = { hotC: 54, coldC: 12, roomC: 21 }
  const { stockMl, waterMl, water } = trayAmounts({ ml: 1440, parts: [1, 2], targetC: 20, taps })
  expect([stockMl, waterMl]).toEqual([480, 960])
  const heat = stockMl * 21 + (water?.hotMl ?? 0) * 54 + (water?.coldMl ?? 0) * 12
  expect(heat / 1440).toBeCloseTo(20, 6)
  expect(trayAmounts({ ml: 1440, parts: [1, 2], targetC: 20, taps: { ...taps, coldC: null } }).water).toBeNull()
  expect(trayAmounts({ ml: 1440, parts: [1, 2], targetC: 20, taps: { ...taps, coldC: 25 } }).water).toBeNull()
  expect(fillOf({ name: '', widthCm: 20, heightCm: 27 }, { widthCm: 25.4, heightCm: 20.3 })).toBeNull()
  expect(fillOf({ name: '', widthCm: 43, heightCm: 53 }, { widthCm: 30, heightCm: 40 })).toBeCloseTo(2734.8, 6)
})

test('a film fixer in a tray is used to the limits of paper', () => {
  expect(useInTray(fixer.use, { role: 'fix', base: 'rc', twoBaths: false })).toMatchObject({ fixes: 'rc-paper', school: fixer.use.school })
  expect(useInTray(fixer.use, { role: 'fix-2', base: 'fibre', twoBaths: true })).toMatchObject({
    fixes: 'fibre-paper',
    twoBath: { moves: 4 },
  })
  expect(useInTray(fixer.use, { role: 'develop', base: 'rc', twoBaths: false })).toBe(fixer.use)
})
