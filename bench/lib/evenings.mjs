// Seeded evenings to measure on. Times in s, temperatures in °C. Drawn in this order, so that two implementations make one instance.

/** Numbers from 0 up to 1. */
export const draws = (seed) => {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const step = (s, handsOn, inBath, maxWaitS = 0) => ({ s, handsOn, inBath, maxWaitS })
/** Pouring in and the first agitation, its beats, pouring out. */
function beats(s, first, every, forS) {
  const hands = [[0, 10 + first]]
  for (let t = 10 + first + every - forS; t + forS <= s - 20; t += every) hands.push([t, t + forS])
  return [...hands, [s - 10, s]]
}
const schemes = [
  [60, 30, 5],
  [30, 30, 5],
  [30, 60, 10],
]
const ends = (s, to) => [
  [0, to],
  [s - to, s],
]
/** Pour in for `first` s, pour out for 10. */
const poured = (s, first, out = 10) => [
  [0, first],
  [s - out, s],
]
const kinds = {
  negative: {
    ...{ c: 37.8, tolerance: 0.15, vessel: 'drum' },
    steps: [
      step(300, poured(300, 15), true),
      step(195, ends(195, 10), true),
      step(390, ends(390, 10), true),
      step(180, ends(180, 15), false, 0),
      step(60, [[0, 60]], false, 600),
    ],
  },
  slide: {
    ...{ c: 38, tolerance: 0.3, vessel: 'drum' },
    steps: [
      step(300, poured(300, 15), true),
      step(390, ends(390, 10), true),
      step(150, ends(150, 15), true),
      step(360, ends(360, 10), true),
      step(150, ends(150, 15), true),
      step(480, ends(480, 10), true),
      step(240, ends(240, 15), false),
      step(60, [[0, 60]], false, 600),
    ],
  },
}

/** An evening of n loads, nine vessels for hand tanks and drums, two baths, two people. */
export function evening(n, seed, arrivalsMin = 90, closesS = 90000) {
  const draw = draws(seed)
  const int = (a, b) => a + Math.floor(draw() * (b - a + 1))
  const loads = []
  for (let i = 0; i < n; i++) {
    const u = draw()
    const ready = 64800 + (draw() < 0.75 ? 0 : int(1, arrivalsMin) * 60)
    const rolls = draw() < 0.75 ? 2 : 4
    const [tight, slack, weighs] = [draw(), int(30, 180) * 60, draw()]
    const colour = u < 0.8 ? null : u < 0.93 ? kinds.negative : kinds.slide
    let steps = colour?.steps
    if (!steps) {
      const develops = int(60, 156) * 5
      const wash = [
        [0, 20],
        [150, 170],
        [300, 320],
        [460, 480],
      ]
      steps = [
        step(develops, beats(develops, ...schemes[int(0, 2)]), true),
        step(60, [[0, 60]], true),
        step(300, beats(300, 30, 60, 10), true),
        step(480, wash, false, 600),
        step(60, [[0, 60]], false, 600),
      ]
    }
    const whole = steps.reduce((sum, one) => sum + one.s, 0)
    loads.push({
      ...{ id: `l${String(i).padStart(2, '0')}`, kind: colour?.vessel ?? 'hand', rolls, readyS: ready },
      dueS: tight < 0.5 ? Math.min(ready + whole + slack, closesS) : closesS,
      weight: weighs < 0.7 ? 1 : weighs < 0.9 ? 3 : 10,
      ...{ temperatureC: colour?.c ?? 20, toleranceC: colour?.tolerance ?? 0.5, steps: structuredClone(steps) },
    })
  }
  const vessel = (name, count, kind, rolls, resetS) =>
    Array.from({ length: count }, (_, i) => ({ id: `${name}${i}`, kinds: [kind], rolls, resetS }))
  return {
    ...{ opensS: 64800, closesS: 90000, hands: 2, loads },
    vessels: [...vessel('h', 6, 'hand', 2, 600), ...vessel('H', 3, 'hand', 4, 900), ...vessel('d', 2, 'drum', 4, 600)],
    baths: [
      { id: 'b0', startC: 20, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 8 },
      { id: 'b1', startC: 20, heatCPerMin: 0.4, coolCPerMin: 0.1, places: 3 },
    ],
  }
}

/** More than an evening bears: one bath, later arrivals, closing earlier. */
export function overload(seed, n = 30) {
  const problem = evening(n, seed, 150, 86400)
  return { ...problem, closesS: 86400, baths: problem.baths.slice(0, 1) }
}

/** 48 small evenings whose optimum can be proved: what each is about, and the problem. */
export function smallEvenings() {
  const kinds_ = [
    ...Array.from({ length: 16 }, () => ['one person', {}]),
    ...Array.from({ length: 8 }, () => ['few vessels', { fewer: true }]),
    ...Array.from({ length: 8 }, () => ['two temperatures', { hot: true }]),
    ...Array.from({ length: 4 }, () => ['late', { late: true }]),
    ...Array.from({ length: 4 }, () => ['two people', { hands: 2 }]),
    ...Array.from({ length: 8 }, () => ['waits', { waits: true }]),
  ]
  return kinds_.map(([name, how], i) => [`${String(i + 1).padStart(2, '0')} ${name}`, smallEvening(i + 1, how)])
}

function smallEvening(seed, { fewer = false, hot = false, late = false, hands = 1, waits = false }) {
  const draw = draws(7000 + seed)
  const int = (a, b) => a + Math.floor(draw() * (b - a + 1))
  const count = int(3, 5)
  const wait = waits ? 600 : 0
  const loads = Array.from({ length: count }, (_, i) => {
    const isHot = hot && draw() < 0.5
    const develops = int(60, 132) * 5
    const steps = isHot
      ? [
          step(300, poured(300, 15), true),
          step(195, ends(195, 10), true),
          step(390, ends(390, 10), false),
          step(180, ends(180, 15), false),
          step(60, [[0, 60]], false, wait),
        ]
      : [
          step(develops, beats(develops, ...schemes[int(0, 2)]), true),
          step(60, [[0, 60]], false),
          step(300, beats(300, 30, 60, 10), false),
          step(480, ends(480, 20), false, wait),
          step(60, [[0, 60]], false, wait),
        ]
    const whole = steps.reduce((sum, one) => sum + one.s, 0)
    const ready = draw() < 0.6 ? 0 : int(1, 20) * 60
    const dueS = late ? ready + whole + int(0, 10) * 60 : 40_000
    return {
      ...{ id: `l${i}`, kind: 'hand', rolls: 2, readyS: ready, dueS, weight: [1, 3, 10][int(0, 2)] },
      ...{ temperatureC: isHot ? 38 : 20, toleranceC: isHot ? 0.3 : 0.5, steps },
    }
  })
  return {
    ...{ opensS: 0, closesS: 40_000, hands, loads },
    vessels: Array.from({ length: fewer ? 2 : count }, (_, i) => ({ id: `v${i}`, kinds: ['hand'], rolls: 2, resetS: 600 })),
    // at an edge of what the first temperature allows: from there the way to the other is the same whichever comes first
    baths: [{ id: 'tub', startC: 20.5, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 5 }],
  }
}
