import { DomainError } from '../error'
import { fixingTime } from '../proof/fixingTime'
import { agitations } from './agitations'
import { bwNegative } from './bwNegative'
import { compilePlan } from './compilePlan'
import type { Plan, PlanBottle } from './process'
import type { ChartTime, PlanShelf, RunRequest, ShelfBottle } from './shelf'

/** Below this hydroquinone no longer works. °C, rounded literature value. */
const coldestC = 13
/** s to fix where neither a test nor the formula says */
const usualFixS = 300

/**
 * The plan a technician's decisions come to, from what is on the shelf and in the chart. Page and server both work it out here.
 * @example
 * run.steps.map((step) => [step.kind, step.seconds]) // → [['develop', 600], ['stop', 60], ['fix', 300], ['wash', 480]]
 */
export function planFor(request: RunRequest, shelf: PlanShelf): Plan {
  const vessel = shelf.vessels.find((one) => one.id === request.vesselId)
  if (!vessel) throw new DomainError('no-vessel', 'Choose the tank.')
  const agitation = Object.hasOwn(agitations, request.agitation) ? agitations[request.agitation] : undefined
  if (!agitation) throw new DomainError('no-agitation', 'Choose how the tank is agitated.')
  const rows = request.chartRowIds.flatMap((id) => shelf.chart.find((row) => row.id === id) ?? [])
  const pushes = new Set(request.films.map((film) => film.pushStops))
  if (pushes.size > 1) throw new DomainError('push-differs', 'Films in one tank get one time: their push or pull must be the same.')
  const bottles = request.baths.map((bath): PlanBottle & { from: ShelfBottle } => {
    const from = shelf.bottles.find((one) => one.id === bath.bottleId)
    if (!from) throw new DomainError('no-bottle', `The bottle for the ${bath.family.replaceAll('-', ' ')} is not on the shelf.`)
    if (from.family !== bath.family)
      throw new DomainError('wrong-family', `${from.label} ${from.name} is no ${bath.family.replaceAll('-', ' ')}.`)
    return { ...planBottle(from, bath.parts), from }
  })
  const developer = bottles.find((bottle) => bottle.family === 'film-developer')
  const charted = (row: ChartTime): boolean =>
    row.formulaId === developer?.from.formulaId &&
    row.parts.join() === (developer.parts.length > 1 ? developer.parts : (developer.from.parts ?? [1])).join() &&
    request.films.every((film) => film.film === row.film && film.ei === row.ei)
  if (!rows.every(charted))
    throw new DomainError('wrong-chart', 'The chart rows are for another film, developer or dilution. Choose them again.')
  const count = request.films.length
  const [fixer, second] = bottles.filter((bottle) => bottle.family === 'fixer')
  // the second bath of a pair stands on its own in the process
  if (second) second.family = 'second-fixer'
  const stop = bottles.find((bottle) => bottle.family === 'stop-bath')
  const process = bwNegative({
    preWet: request.preWet,
    washAid: request.washAid,
    wettingAgent: request.wettingAgent,
    agitation,
    rotary: vessel.kind === 'rotary',
    waterStop: stop === undefined,
    fixS: fixingOf(fixer?.from, request),
    twoBathFix: second !== undefined,
    ...(stop?.from.usualS ? { stopS: stop.from.usualS } : {}),
  })
  const [low, high] = developer?.from.rangeC ?? [coldestC, 30]
  return compilePlan(
    process,
    {
      vessel: {
        id: vessel.id,
        name: vessel.name,
        kind: vessel.kind,
        reels: vessel.reels,
        coversMl: vessel.coversMl[count - 1] ?? vessel.coversMl.at(-1) ?? 0,
        holdsMl: vessel.coversMl.at(-1) ?? 0,
        carryMl: vessel.carryMl,
        running: vessel.running ?? [],
        planned: vessel.planned ?? [],
      },
      films: request.films.map((film) => ({ format: film.format, count: 1 })),
      temperatureC: request.temperatureC,
      chart: rows.map((row) => ({ temperatureC: row.temperatureC, seconds: row.seconds })),
      pushStops: request.films[0]?.pushStops ?? 0,
      critical: request.critical ?? false,
      rangeC: [low, high],
      ...(developer?.from.temperatureCoefficient ? { k: developer.from.temperatureCoefficient } : {}),
    },
    bottles.map(({ from: _from, ...bottle }) => bottle),
  )
}

/** s to fix: by the fixer's clearing test at the temperature of this run and for its slowest film, else as its formula says. */
function fixingOf(fixer: ShelfBottle | undefined, request: RunRequest): number {
  const tested = fixingTime(fixer?.state.clearingRead ?? [], {
    runC: request.temperatureC,
    slow: request.films.some((film) => film.slowClearing),
    salt: fixer?.state.fixerSalt ?? 'ammonium',
  })
  return tested ?? fixer?.state.fixS ?? fixer?.usualS ?? usualFixS
}

function planBottle(bottle: ShelfBottle, parts: number[]): PlanBottle {
  return {
    id: bottle.id,
    name: bottle.name,
    label: bottle.label,
    family: bottle.family,
    parts,
    volumeMl: bottle.state.volumeMl - (bottle.reserved?.ml ?? 0),
    rollsLeft: bottle.state.rollsLeft === null ? null : bottle.state.rollsLeft - (bottle.reserved?.rolls ?? 0),
    reservedFor: bottle.reserved?.runs ?? [],
    minConcentrateMlPerRoll: bottle.use.minConcentrateMlPerRoll,
    findings: bottle.state.findings,
    oneShot: bottle.use.school === 'one-shot' || parts.length > 1,
    timeFactor: bottle.state.nextTimeFactor,
    position: bottle.use.school === 'two-bath' ? (bottle.state.twoBath?.position ?? 1) : null,
    due: bottle.critical.map((test) => `${test.name} (${test.says})`),
  }
}
