import {
  carryOutMl,
  dilute,
  gravest,
  houseFirstVersion,
  houseIds,
  houseProcesses,
  markOf,
  planFor,
  seeded,
  usesAtEnd,
  usesAtStart,
  type Family,
  type Plan,
} from '@selvrin/core'
import type { Bottle, ChartRow, PlanRequest, Vessel } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { demoFormulas } from './formulas'
import { otherRuns, type OtherRun } from './otherFamilies'
import { otherSchools } from './otherSchools'
import { seasonBook, type DemoBottle, type Season } from './seasonBook'
import { compensatedMetol, day, deliveries, demoFilms, demoShelves, demoTests, hour, hourOf } from './seasonFacts'

/** Days since someone last went along the shelf. */
const lastRound = 5

const [process] = houseProcesses
/** what is not agitated otherwise */
const agitation = '10-4inv-30'

/** a clearing time is read with ordinary film here */
const film = (kind: string) => (kind === 'clearing-time' ? { slowClearing: false } : {})

/** Plays a past season of the darkroom through core's own rules: what was mixed, and 46 runs that used it. */
export function playSeason(
  today: number,
  with_: { memberIds: string[]; vessels: Vessel[]; chart: ChartRow[]; formulaIds: Record<string, string> },
): Season {
  const random = seeded(20_260)
  // a chance of its own: whatever is put in among the others leaves the rest of the season as it was
  const otherRandom = seeded(20_261)
  const { bottles, runs, proofs, stateOf, entry, prove } = seasonBook()
  const numbers = new Map<string, number>()

  /** The clearing times of a bath grow with its use; a technician tests each quarter of its capacity. */
  function testWorn(at: number): void {
    for (const bottle of bottles) {
      const usual = demoTests[bottle.formula]
      if (bottle.retiredAt !== null || bottle.madeAt >= at || bottle.parts !== null || usual?.doublesAt === undefined) continue
      const { rollsPerL, used } = stateOf(bottle, at)
      const last = proofs.filter((one) => one.bottle === bottle).at(-1)?.rollsPerL ?? 0
      if (used === 0 || ((rollsPerL - last) * used) / rollsPerL < 0.22) continue
      const celsius = Math.round((19.5 + random() * 1.5) * 10) / 10
      const value = Math.round(usual.value * 2 ** (rollsPerL / usual.doublesAt) * 1.05 ** (20 - celsius) * (0.98 + random() * 0.04))
      prove(bottle, at, usual.kind, { value, celsius, ...film(usual.kind) }, false)
    }
  }

  function deliver([formula, daysAgo, sizeMl, ml, parts, ph]: (typeof deliveries)[number]): void {
    const family = (demoFormulas[formula] as { family: string }).family
    const { letter } = markOf(family)
    const number = (numbers.get(letter) ?? 0) + 1
    numbers.set(letter, number)
    const madeAt = daysAgo < 1 ? today - daysAgo * day : hourOf(today, daysAgo, 15.5)
    const stock = parts ? bottles.find((one) => one.formula === formula && one.parts === null && one.retiredAt === null) : undefined
    if (stock && parts)
      entry(stock, {
        kind: 'dilute-out',
        at: madeAt - 60_000,
        ml: -(dilute({ parts, totalMl: ml })[0] ?? 0),
        note: `${parts.join('+')} to ${ml} ml`,
      })
    const bottle: DemoBottle = {
      id: uuid({ msecs: madeAt }),
      letter,
      number,
      formula,
      fromId: stock?.id ?? null,
      sizeMl,
      parts,
      madeAt,
      retiredAt: null,
      retiredWhy: null,
      ph,
      batchId: stock ? stock.batchId : parts === null ? uuid({ msecs: madeAt }) : null,
      ownUse: formula === 'plainMetol' ? compensatedMetol : null,
      shelf: family === 'print-developer' ? 'print' : family === 'toner' || family === 'other' || family === 'bleach' ? 'cold' : 'film',
      entries: [],
    }
    entry(bottle, { kind: 'fill', at: madeAt, ml, celsius: demoShelves[bottle.shelf].celsius })
    bottles.push(bottle)
    const fresh = demoTests[formula]
    if (fresh && parts === null)
      prove(bottle, madeAt + 1_200_000, fresh.kind, { value: fresh.value, celsius: 20, ...film(fresh.kind) }, true)
  }

  const asContract = (bottle: DemoBottle, at: number): Bottle => {
    const body = demoFormulas[bottle.formula] as (typeof demoFormulas)[string]
    return {
      id: bottle.id,
      version: 1,
      label: `${bottle.letter}${bottle.number}`,
      code: '',
      name: body.name,
      family: body.family as Family,
      formulaId: with_.formulaIds[bottle.formula] ?? '',
      formulaNumber: 1,
      sizeMl: bottle.sizeMl,
      parts: bottle.parts,
      madeAt: bottle.madeAt,
      madeBy: '',
      batchId: bottle.batchId,
      ph: null,
      retiredAt: bottle.retiredAt,
      retiredWhy: null,
      shelfId: null,
      use: bottle.ownUse ?? body.use,
      ownUse: bottle.ownUse !== null,
      due: [],
      critical: [],
      rangeC: body.rangeC,
      temperatureCoefficient: body.temperatureCoefficient,
      usualS: body.usualS,
      state: stateOf(bottle, at),
    }
  }

  /** The oldest bottle of the kind that can still serve. */
  const pick = (family: string, at: number, fits: (bottle: DemoBottle) => boolean): DemoBottle | undefined =>
    bottles.find(
      (bottle) =>
        bottle.madeAt < at &&
        bottle.retiredAt === null &&
        (demoFormulas[bottle.formula] as { family: string }).family === family &&
        fits(bottle),
    )

  function retireWorn(at: number): void {
    for (const bottle of bottles) {
      if (bottle.retiredAt !== null || bottle.madeAt >= at) continue
      const worst = gravest({ retiredAt: null, state: stateOf(bottle, at) })
      if (!worst) continue
      bottle.retiredAt = at
      bottle.retiredWhy = worst.message
      entry(bottle, { kind: 'retire', at, ml: 0, note: worst.message })
    }
  }

  function develop(at: number): void {
    const [film, format, formula, parts, ei] = demoFilms[Math.floor(random() * demoFilms.length)] as (typeof demoFilms)[number]
    const roll120 = format === '120'
    const count = roll120 ? 1 : random() < 0.6 ? 2 : 1
    const vessel = with_.vessels.find(
      (one) => one.format === (roll120 ? '120' : '135') && one.kind === 'hand' && one.reels >= count,
    ) as Vessel
    const covers = vessel.coversMl[count - 1] ?? 0
    const needs = (formula === 'aminophenol' ? 1 / 51 : parts.length > 1 ? 1 / 2 : 1) * covers
    const developer = pick('film-developer', at, (one) => one.formula === formula && stateOf(one, at).volumeMl > needs)
    const able = (one: DemoBottle) =>
      one.parts === null &&
      one.formula !== 'rapidConcentrate' &&
      stateOf(one, at).volumeMl >= covers &&
      (stateOf(one, at).rollsLeft ?? 0) >= count
    const stop = pick('stop-bath', at, able)
    const fixer = pick('fixer', at, (one) => able(one) && one.formula === 'neutralFixer')
    const rows = with_.chart.filter(
      (row) => row.film === film && row.formulaId === with_.formulaIds[formula] && row.ei === ei && row.parts.join() === parts.join(),
    )
    if (!developer || !stop || !fixer || rows.length === 0) return
    const request: PlanRequest = {
      processVersionId: houseFirstVersion(houseIds['bw-negative']),
      options: { 'wetting-agent': false },
      vesselId: vessel.id,
      films: Array.from({ length: count }, () => ({
        id: uuid({ msecs: at }),
        memberId: with_.memberIds[Math.floor(random() * with_.memberIds.length)] ?? '',
        film,
        format: format as '120',
        ei,
        pushStops: 0,
      })),
      chartRowIds: rows.map((row) => row.id),
      baths: [
        { role: 'developer', bottleId: developer.id, parts },
        { role: 'stop', bottleId: stop.id, parts: [1] },
        { role: 'fixer', bottleId: fixer.id, parts: [1] },
      ],
      temperatureC: Math.round((19.5 + random() * 2.5) * 10) / 10,
      agitation,
    }
    const plan = planFor(request, {
      process,
      vessels: with_.vessels,
      bottles: [developer, stop, fixer].map((bottle) => asContract(bottle, at)),
      chart: with_.chart,
    })
    const developerName = `${(demoFormulas[formula] as { name: string }).name} ${parts.length > 1 ? parts.join('+') : 'undiluted'}`
    writeDown(plan, request, at, developerName)
  }

  /** What a run took and gave, and that it was. */
  function writeDown(plan: Plan, request: PlanRequest, at: number, developer: string): void {
    const id = uuid({ msecs: at })
    const ends = at + plan.steps.reduce((sum, step) => sum + step.seconds * 1000, 0)
    for (const use of [...usesAtStart(plan).map((one) => ({ ...one, at })), ...usesAtEnd(plan).map((one) => ({ ...one, at: ends }))]) {
      const bottle = bottles.find((one) => one.id === use.bottleId)
      if (bottle)
        entry(bottle, { kind: use.kind, at: use.at, ml: use.ml, rolls: use.rolls, waterInMl: use.waterInMl, runId: id, step: use.step })
    }
    runs.push({ id, number: runs.length + 1, at, plan, request, developer })
  }

  function developOther({ process: key, film, ei, vessel, temperatureC, options = {}, baths }: OtherRun, at: number): void {
    const other = houseProcesses.find((one) => one.id === houseIds[key])
    const chosen = baths.flatMap(([role, formula]) => {
      const bottle = bottles.find((one) => one.formula === formula && one.retiredAt === null && one.madeAt < at)
      return bottle ? [{ role, bottle }] : []
    })
    if (!other || chosen.length < baths.length) return
    const memberId = with_.memberIds[Math.floor(otherRandom() * with_.memberIds.length)] ?? ''
    const request: PlanRequest = {
      processVersionId: houseFirstVersion(houseIds[key]),
      options,
      vesselId: with_.vessels.find((one) => one.name === vessel)?.id ?? '',
      films: [{ id: uuid({ msecs: at }), memberId, film, format: '135-36', ei, pushStops: 0 }],
      chartRowIds: [],
      baths: chosen.map(({ role, bottle }) => ({ role, bottleId: bottle.id, parts: [1] })),
      temperatureC,
      agitation,
    }
    const contract = chosen.map(({ bottle }) => asContract(bottle, at))
    const plan = planFor(request, { process: other, vessels: with_.vessels, bottles: contract, chart: [] })
    writeDown(plan, request, at, `${contract[0]?.name ?? ''} undiluted`)
  }

  const waiting = [...deliveries].sort((a, b) => b[1] - a[1])
  for (let daysAgo = 84; daysAgo >= 1; daysAgo--) {
    const evening = hourOf(today, daysAgo, 19.5)
    while (waiting[0] && waiting[0][1] > daysAgo) deliver(waiting.shift() as (typeof deliveries)[number])
    // the last round of the shelf was a while ago: what went bad since still stands there
    if (daysAgo >= lastRound) retireWorn(evening)
    if (daysAgo > lastRound) testWorn(evening - 2 * hour)
    if (daysAgo % 7 > 3) continue
    develop(evening - hour)
    if (random() < 0.75) develop(evening + 1_200_000)
    for (const one of otherRuns.filter((other) => other.daysAgo === daysAgo)) developOther(one, evening + one.later * hour)
  }
  waiting.forEach(deliver)
  const tray = bottles.find((bottle) => bottle.formula === 'loftPrint' && bottle.parts !== null)
  if (tray)
    for (const [minutes, paper] of [
      [100, 3],
      [220, 4],
      [310, 2],
    ] as const)
      entry(tray, { kind: 'use', at: tray.madeAt + minutes * 60_000, ml: -carryOutMl({ format: 'paper-8x10in', count: paper }), paper })
  otherSchools(bottles, today, entry)
  return { bottles, runs, proofs }
}
