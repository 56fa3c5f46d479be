import fc from 'fast-check'
import { fitBath, type BathReading } from './fitBath'
import { raisedBath, switchOnBefore, tankCourse } from './tempering'
import { bandC, bathCourse, bathHeating, bathHolds, bathJPerK, jugTau, pouredTemperature, usualUaWPerK, waterJPerK } from './waterBath'

const minutes = (s: number) => Math.round(s / 6) / 10
const twenty = { litres: 20, setC: 38, roomC: 20, fromC: 38 }

describe('figures of the page', () => {
  test('20 L with 1 kW in a room of 20: 15 → 38 °C in 37.1 minutes; 0.65 °C a minute at 20, 0.57 at 38', () => {
    const heating = { litres: 20, powerW: 1000, uaWPerK: 7, roomC: 20, fromC: 15, toC: 38 }
    expect(minutes(bathHeating(heating))).toBe(37.1)
    const inAMinute = (fromC: number) => {
      const [first, , last] = [0, 30, 60].map((s) => bathCourse({ bath: { ...twenty, setC: 90, fromC }, jugs: [], seconds: 60 })[s])
      return (last?.bathC ?? 0) - (first?.bathC ?? 0)
    }
    expect(inAMinute(20)).toBeCloseTo(0.65, 2)
    expect(inAMinute(38)).toBeCloseTo(0.57, 2)
    // holding 38 takes 7·18 W of 1,000
    const held = bathCourse({ bath: twenty, jugs: [], seconds: 3600 }).at(-1)!.bathC
    expect(((38 - held) / bandC) * 1000).toBeCloseTo(126, 0)
  })
  test('a jug of a litre: 20 → 37.65 in 38 takes 43.3 minutes, 20 → 37.8 in 42 takes 18.2', () => {
    const tau = jugTau({ litres: 1, fromC: 20 })
    expect(minutes(tau * Math.log(18 / 0.35))).toBe(43.3)
    expect(minutes(tau * Math.log(22 / 4.2))).toBe(18.2)
    expect(minutes(tau)).toBe(11)
    expect([jugTau({ litres: 1, fromC: 20, wall: 'steel' }) / tau, jugTau({ litres: 1, fromC: 20, stirred: false }) / tau]).toEqual([
      0.7, 1.8,
    ])
  })
  test('three jugs at 20 into 20 L at 38, heater off and no loss, end at 35.84', () => {
    const bath = { ...twenty, powerW: 0, uaWPerK: 0 }
    const end = bathCourse({ bath, jugs: [1, 1, 1].map((litres) => ({ litres, fromC: 20 })), seconds: 12 * 3600 }).at(-1)!
    for (const c of [end.bathC, ...end.jugC]) expect(c).toBeCloseTo(35.84, 2)
  })
  test('600 ml at 38 into a tank at 20 is 35.66: it is warmed before; from 38 it loses 0.76 in air in 3:15', () => {
    expect(
      pouredTemperature([
        { jPerK: waterJPerK * 0.6, c: 38 },
        { jPerK: 375, c: 20 },
      ]),
    ).toBeCloseTo(35.66, 2)
    const inAir = tankCourse({ ml: 600, pouredC: 38, tankC: 38, bathC: null, roomC: 20 }, 195)
    expect(38 - inAir.at(-1)!.c).toBeCloseTo(0.76, 2)
    expect(bathHolds({ course: inAir, targetC: 38, toleranceC: 0.15, errorC: 0 })).toBe(false)
    const inBath = tankCourse({ ml: 600, pouredC: 37.8, tankC: 37.8, bathC: 37.85, roomC: 20 }, 195)
    expect(bathHolds({ course: inBath, targetC: 37.8, toleranceC: 0.15, errorC: 0.05 })).toBe(true)
    expect(bathHolds({ course: inBath, targetC: 37.8, toleranceC: 0.15, errorC: 0.15 })).toBe(false)
  })
  test('a cover more than halves the loss, and a bath of eight times the water has four times the surface', () => {
    expect([usualUaWPerK(20), usualUaWPerK(20, true)]).toEqual([7, 3])
    expect(usualUaWPerK(160) / usualUaWPerK(20)).toBeCloseTo(4, 10)
  })
})

describe('laws', () => {
  test('without heater and loss nothing of the heat is lost', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.array(fc.double({ min: 5, max: 45, noNaN: true }), { maxLength: 4 }),
        (fromC, jugs) => {
          const course = bathCourse({
            bath: { ...twenty, fromC, powerW: 0, uaWPerK: 0 },
            jugs: jugs.map((c) => ({ litres: 1, fromC: c })),
            seconds: 900,
          })
          const heat = ({ bathC, jugC }: (typeof course)[number]) =>
            bathJPerK(20) * bathC + jugC.reduce((sum, c) => sum + waterJPerK * c, 0)
          expect(heat(course.at(-1)!)).toBeCloseTo(heat(course[0]!), 3)
        },
      ),
    )
  })
  test('the course of seconds is the closed form of the bath alone', () => {
    const s = bathHeating({ litres: 12, powerW: 800, uaWPerK: 5, roomC: 19, fromC: 18, toC: 35 })
    const course = bathCourse({
      bath: { litres: 12, setC: 60, roomC: 19, fromC: 18, powerW: 800, uaWPerK: 5 },
      jugs: [],
      seconds: Math.round(s),
    })
    expect(course.at(-1)!.bathC).toBeCloseTo(35, 1)
  })
  test('what never comes is refused', () => {
    const heating = { litres: 20, powerW: 100, uaWPerK: 7, roomC: 20, fromC: 15 }
    expect(() => bathHeating({ ...heating, toC: 38 })).toThrow(/never comes to 38/)
    expect(() => bathHeating({ ...heating, toC: 10 })).toThrow(/does not cool/)
    expect(bathHeating({ ...heating, toC: 15 })).toBe(0)
    expect(() => bathCourse({ bath: { ...twenty, litres: Number.NaN }, jugs: [], seconds: 1 })).toThrow(/litres/)
    expect(() => bathHolds({ course: [], targetC: 20, toleranceC: 1, errorC: 0 })).toThrow()
  })
})

describe('fitted from its log', () => {
  const log = (powerW: number, uaWPerK: number, everyS: number, noise: (i: number) => number): BathReading[] => {
    const course = bathCourse({ bath: { litres: 20, setC: 38, roomC: 21, fromC: 22, powerW, uaWPerK }, jugs: [], seconds: 4800 })
    const on = (s: number) => Math.min(1, Math.max(0, (38 - course[s]!.bathC) / bandC))
    return course.filter(({ s }) => s % everyS === 0).map(({ s, bathC }, i) => ({ s, c: bathC + noise(i), on: on(s) }))
  }
  test('heater and loss come out as they were, whether it is read often or seldom', () => {
    for (const everyS of [10, 60])
      for (const [powerW, uaWPerK] of [
        [1000, 7],
        [1500, 3.2],
        [650, 11],
      ] as const) {
        const warming = log(powerW, uaWPerK, everyS, () => 0).filter((one) => one.on === 1 || one.on === 0)
        const fit = fitBath({ readings: warming, litres: 20, roomC: 21 })
        expect(fit.fitted).toBe(true)
        expect(fit.powerW / powerW).toBeCloseTo(1, 1)
        expect(Math.abs(fit.uaWPerK - uaWPerK)).toBeLessThan(0.6)
        expect(fit.errorC).toBeLessThan(0.02)
      }
  })
  test('its error is the spread of the readings around it', () => {
    const fit = fitBath({
      readings: log(1000, 7, 20, (i) => (i % 2 === 0 ? 0.1 : -0.1)).filter((one) => one.on === 1),
      litres: 20,
      roomC: 21,
    })
    expect(fit.errorC).toBeGreaterThan(0.08)
    expect(fit.errorC).toBeLessThan(0.13)
  })
  test('with fewer than five readings the usual figures, marked; what nothing was read of keeps the usual figure', () => {
    expect(fitBath({ readings: log(1500, 3, 60, () => 0).slice(0, 4), litres: 20, roomC: 21 })).toMatchObject({
      powerW: 1000,
      uaWPerK: 7,
      fitted: false,
    })
    const cooling = Array.from({ length: 8 }, (_, i) => ({ s: i * 600, c: 20 + 18 * Math.exp((-4 * i * 600) / bathJPerK(20)), on: 0 }))
    const fit = fitBath({ readings: cooling, litres: 20, roomC: 20 })
    expect([fit.powerW, Math.round(fit.uaWPerK * 100) / 100, fit.fitted]).toEqual([1000, 4, true])
    const still = fitBath({ readings: cooling.map((one) => ({ ...one, c: 20 })), litres: 20, roomC: 20 })
    expect([still.powerW, still.uaWPerK, still.errorC]).toEqual([1000, 7, 0])
  })
})

describe('what is asked of it', () => {
  test('switched on so long before the start, everything is there at the start, and a minute earlier not yet', () => {
    const asked = {
      bath: { ...twenty, fromC: 21 },
      jugs: [
        { litres: 1, fromC: 21 },
        { litres: 0.6, fromC: 21 },
      ],
      targetC: 38,
    }
    const s = switchOnBefore(asked)
    const near = (at: number) =>
      bathCourse({ ...asked, seconds: at })
        .at(-1)!
        .jugC.every((c) => Math.abs(c - 38) <= 0.15)
    expect([near(s), near(s - 60)]).toEqual([true, false])
    expect(() => switchOnBefore({ ...asked, bath: { ...asked.bath, powerW: 50 } })).toThrow(/six hours/)
  })
  test('set higher, a jug is there sooner, and is taken out then; a large one later than a small one', () => {
    const jugs = [
      { litres: 1, fromC: 20 },
      { litres: 0.5, fromC: 20 },
    ]
    const { outS } = raisedBath({ bath: { ...twenty, setC: 42, fromC: 42 }, jugs, targetC: 37.8 })
    expect(outS[1]!).toBeLessThan(outS[0]!)
    expect(bathCourse({ bath: { ...twenty, setC: 42, fromC: 42 }, jugs, seconds: outS[0]! }).at(-1)!.jugC[0]).toBeCloseTo(37.8, 1)
    expect(raisedBath({ bath: { ...twenty, setC: 30, fromC: 30 }, jugs, targetC: 37.8 }).outS).toEqual([null, null])
  })
})
