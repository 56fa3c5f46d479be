import { DomainError } from '../error'
import { fixingTime } from '../proof/fixingTime'
import { agitationNamed } from './agitations'
import { compilePlan } from './compilePlan'
import { bwNegative, bwRotary } from './families/blackAndWhite'
import type { Plan, PlanBottle, RoleBottle } from './load'
import type { Process } from './process'
import type { ChartTime, PlanShelf, RunRequest, ShelfBottle } from './shelf'

/** Below this hydroquinone no longer works. °C, rounded literature value. */
const coldestC = 13

/**
 * The plan a technician's decisions come to, from what is on the shelf and in the chart. Page and server both work it out here.
 * @example
 * run.steps.map((step) => [step.key, step.seconds]) // → [['develop', 600], ['water-stop', 60], ['fix', 300], ['wash-1', 30], ['wash-2', 60], ['wash-3', 120]]
 */
export function planFor(request: RunRequest, shelf: PlanShelf): Plan {
  const vessel = shelf.vessels.find((one) => one.id === request.vesselId)
  if (!vessel) throw new DomainError('no-vessel', 'Choose the tank.')
  const agitation = agitationNamed(request.agitation)
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
  const stop = bottles.find((bottle) => bottle.family === 'stop-bath')
  const process = vessel.kind === 'rotary' ? bwRotary : bwNegative
  const options = {
    'pre-wet': request.preWet,
    [stop ? 'acid-stop' : 'water-stop']: true,
    [second ? 'two-fix' : 'one-fix']: true,
    'wash-aid': request.washAid,
    ...(request.washAid ? {} : { [vessel.kind === 'rotary' ? 'changes' : 'fills']: true }),
    'wetting-agent': request.wettingAgent,
  }
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
      options,
      agitation,
      times: timesSaid({ fix: fixingOf(fixer?.from, request), stop: stop?.from.usualS }),
      critical: request.critical ?? false,
      rangeC: [low, high],
      ...(developer?.from.temperatureCoefficient ? { k: developer.from.temperatureCoefficient } : {}),
    },
    inRoles(process, bottles),
  )
}

/** Each bottle in the first role of its family that is still without one. */
function inRoles(process: Process, bottles: (PlanBottle & { from: ShelfBottle })[]): RoleBottle[] {
  const free = [...process.roles]
  return bottles.flatMap(({ from: _, ...bottle }) => {
    const at = free.findIndex((role) => role.family === bottle.family)
    const [role] = at < 0 ? [] : free.splice(at, 1)
    return role ? [{ role: role.id, bottle }] : []
  })
}

/** Of steps whose bath says how long it takes; the others as the process has them. */
const timesSaid = (times: Record<string, number | null | undefined>): Record<string, number> =>
  Object.fromEntries(Object.entries(times).flatMap(([key, s]) => (s ? [[key, s]] : [])))

/** s to fix: by the fixer's clearing test at the temperature of this run and for its slowest film, else as its formula says; null where nothing does. */
function fixingOf(fixer: ShelfBottle | undefined, request: RunRequest): number | null {
  const tested = fixingTime(fixer?.state.clearingRead ?? [], {
    runC: request.temperatureC,
    slow: request.films.some((film) => film.slowClearing),
    salt: fixer?.state.fixerSalt ?? 'ammonium',
  })
  return tested ?? fixer?.state.fixS ?? fixer?.usualS ?? null
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
