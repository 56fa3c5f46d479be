// The optimum of a small evening: difference constraints on the starts of blocks, branching on the gap between two that meet. For evenings as `small` draws them: no resources,
// duty, breaks or pins, vessels of a kind all alike, at most one bath, whose temperatures differ by its edges alone.

/** Blocks of a load: steps without a wait between them. */
function blocksOf(load) {
  const blocks = []
  let inBath = null
  load.steps.forEach((step, i) => {
    const wait = i === 0 ? 0 : (step.maxWaitS ?? 0)
    if (i === 0 || wait > 0) blocks.push({ s: 0, wait, hands: [] })
    const block = blocks.at(-1)
    for (const [a, b] of step.handsOn) if (b > a) block.hands.push([block.s + a, block.s + b])
    if (step.inBath) inBath = { from: inBath?.from ?? [blocks.length - 1, block.s], to: [blocks.length - 1, block.s + step.s] }
    block.s += step.s
  })
  return { blocks, inBath }
}

/** Differences of the starts of b and a at which their hands meet: open intervals, joined where they overlap. */
function forbidden(a, b) {
  const spans = a.hands.flatMap(([a0, a1]) => b.hands.map(([b0, b1]) => [a0 - b1, a1 - b0])).sort((x, y) => x[0] - y[0])
  const joined = []
  for (const [from, to] of spans) {
    const open = joined.at(-1)
    if (open && from < open[1]) open[1] = Math.max(open[1], to)
    else joined.push([from, to])
  }
  return joined
}

/** Every way of giving n loads to so many people, those alike once. */
function* sharings(n, people, given = []) {
  if (given.length === n) return yield given
  const next = Math.min(people - 1, Math.max(-1, ...given) + 1)
  for (let person = 0; person <= next; person++) yield* sharings(n, people, [...given, person])
}

/**
 * The least [late, end] of all plans that place every load, or null where `mostNodes` were not enough. `known` is a plan's: only better ones are sought.
 */
export function prove(problem, known, mostNodes = 3_000_000) {
  const loads = problem.loads.map((load) => ({ load, ...blocksOf(load) }))
  const first = []
  let count = 0
  for (const { blocks } of loads) {
    first.push(count)
    count += blocks.length
  }
  const endsS = problem.closesS - (problem.cleanS ?? 0)
  const [bath] = problem.baths
  const range = ({ load }) => [load.temperatureC - load.toleranceC, load.temperatureC + load.toleranceC]
  /** s from being right for one to being right for another */
  const moving = (from, to) =>
    to[0] > from[1]
      ? Math.ceil((Math.round((to[0] - from[1]) * 1000) * 60) / Math.round(bath.heatCPerMin * 1000))
      : from[0] > to[1]
        ? Math.ceil((Math.round((from[0] - to[1]) * 1000) * 60) / Math.round(bath.coolCPerMin * 1000))
        : 0
  // constraints [a, b, w]: start of b ≥ start of a + w
  const base = []
  const release = new Array(count).fill(problem.opensS)
  loads.forEach(({ load, blocks, inBath }, i) => {
    release[first[i]] = Math.max(problem.opensS, load.readyS)
    blocks.forEach((block, j) => {
      if (j === 0) return
      const [a, b] = [first[i] + j - 1, first[i] + j]
      base.push([a, b, blocks[j - 1].s], [b, a, -blocks[j - 1].s - block.wait])
    })
    if (inBath) {
      const at = first[i] + inBath.from[0]
      release[at] = Math.max(release[at], problem.opensS + moving([bath.startC, bath.startC], range(loads[i])) - inBath.from[1])
    }
  })
  const endOf = (starts, i) => starts[first[i] + loads[i].blocks.length - 1] + loads[i].blocks.at(-1).s
  const stay = (starts, i) => {
    const { from, to } = loads[i].inBath
    return [starts[first[i] + from[0]] + from[1], starts[first[i] + to[0]] + to[1]]
  }
  const kinds = new Map()
  for (const vessel of problem.vessels) kinds.set(vessel.kinds[0], [...(kinds.get(vessel.kinds[0]) ?? []), vessel])

  let best = known ?? [Infinity, Infinity]
  let nodes = 0

  /** Least starts from those of before on, with one more constraint; null where there are none. */
  function least(constraints, before) {
    const starts = [...before]
    for (let pass = 0; pass <= count + 1; pass++) {
      let moved = false
      for (const [a, b, w] of constraints)
        if (starts[a] + w > starts[b]) {
          starts[b] = starts[a] + w
          moved = true
        }
      if (!moved) return loads.every((_, i) => endOf(starts, i) <= endsS) ? starts : null
      if (loads.some((_, i) => endOf(starts, i) > endsS)) return null
    }
    return null
  }
  const worth = (starts) => [
    loads.reduce((sum, { load }, i) => sum + load.weight * Math.max(0, endOf(starts, i) - load.dueS), 0),
    Math.max(...loads.map((_, i) => endOf(starts, i))),
  ]
  const noBetter = ([late, end]) => late > best[0] || (late === best[0] && end >= best[1])

  for (const person of sharings(loads.length, problem.hands)) {
    const pairs = []
    for (let i = 0; i < loads.length; i++)
      for (let j = i + 1; j < loads.length; j++) {
        if (person[i] !== person[j]) continue
        loads[i].blocks.forEach((a, x) =>
          loads[j].blocks.forEach((b, y) => pairs.push({ a: first[i] + x, b: first[j] + y, not: forbidden(a, b) })),
        )
      }
    /** What two ways there are out of the first thing that meets; null where nothing does. */
    function conflict(starts) {
      let found = null
      for (const { a, b, not } of pairs) {
        const d = starts[b] - starts[a]
        const hit = not.find(([from, to]) => from < d && d < to)
        if (!hit) continue
        const at = Math.max(starts[a], starts[b])
        if (!found || at < found.at) found = { at, ways: [[[a, b, hit[1]]], [[b, a, -hit[0]]]] }
      }
      if (found) return found.ways
      for (let i = 0; i < loads.length; i++)
        for (let j = i + 1; j < loads.length; j++) {
          if (!loads[i].inBath || !loads[j].inBath) continue
          const [there, back] = [moving(range(loads[i]), range(loads[j])), moving(range(loads[j]), range(loads[i]))]
          if (there === 0 && back === 0) continue
          const [x, y] = [stay(starts, i), stay(starts, j)]
          if (x[1] + there <= y[0] || y[1] + back <= x[0]) continue
          const after = (one, other, gap) => {
            const { to } = loads[one].inBath
            const { from } = loads[other].inBath
            return [[first[one] + to[0], first[other] + from[0], to[1] - from[1] + gap]]
          }
          return [after(i, j, there), after(j, i, back)]
        }
      for (const [kind, vessels] of kinds) {
        const [{ resetS }] = vessels
        const own = loads.flatMap(({ load }, i) => (load.kind === kind ? [i] : []))
        for (const i of own) {
          const at = starts[first[i]]
          const there = own.filter((j) => starts[first[j]] <= at && endOf(starts, j) + resetS > at)
          if (there.length <= vessels.length) continue
          const crowd = there.slice(0, vessels.length + 1)
          return crowd.flatMap((x) =>
            crowd.filter((y) => y !== x).map((y) => [[first[x] + loads[x].blocks.length - 1, first[y], loads[x].blocks.at(-1).s + resetS]]),
          )
        }
      }
      return null
    }
    const root = least(base, release)
    if (!root) continue
    const open = [[base, root]]
    while (open.length > 0) {
      const [constraints, starts] = open.pop()
      if (++nodes > mostNodes) return null
      if (noBetter(worth(starts))) continue
      const ways = conflict(starts)
      if (!ways) {
        best = worth(starts)
        continue
      }
      const next = []
      for (const more of ways) {
        const with_ = [...constraints, ...more]
        const to = least(with_, starts)
        if (to && !noBetter(worth(to))) next.push([with_, to])
      }
      // the better one is looked at first
      next.sort((x, y) => {
        const [p, q] = [worth(x[1]), worth(y[1])]
        return q[0] - p[0] || q[1] - p[1]
      })
      open.push(...next)
    }
  }
  return { best, nodes }
}
