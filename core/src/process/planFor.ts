import { DomainError } from '../error'
import { fixingTime } from '../proof/fixingTime'
import { agitationNamed } from './agitations'
import { chartOf } from './chartOf'
import { compilePlan } from './compilePlan'
import type { Plan, PlanBottle } from './load'
import { stepsOf, type Process } from './process'
import type { PlanShelf, RunRequest, ShelfBottle } from './shelf'
import { roleOf } from './stepFacts'
import { placesIn, vesselCover } from './vesselCover'

/** Below this hydroquinone no longer works. °C, rounded literature value. */
const coldestC = 13

/**
 * The plan a technician's decisions come to, from what is on the shelf and in the chart. Page and server both work it out here.
 * @throws DomainError where a part of it is missing ('no-vessel', 'no-agitation', 'no-bottle'), does not belong to it ('wrong-family', 'wrong-vessel', 'wrong-chart', 'push-differs'), and what `compilePlan` refuses
 * @example
 * run.steps.map((step) => [step.key, step.seconds]) // → [['develop', 600], ['water-stop', 60], ['fix', 300], ['wash-1', 30], ['wash-2', 60], ['wash-3', 120]]
 */
export function planFor(request: RunRequest, shelf: PlanShelf): Plan {
  const { process } = shelf
  const vessel = shelf.vessels.find((one) => one.id === request.vesselId)
  if (!vessel) throw new DomainError('no-vessel', 'Choose the tank.')
  if (process.vessel && process.vessel !== vessel.kind)
    throw new DomainError(
      'wrong-vessel',
      `${process.name} is for ${process.vessel === 'hand' ? 'a tank worked by hand' : 'a rotary drum'}.`,
    )
  const agitation = agitationNamed(request.agitation)
  if (!agitation) throw new DomainError('no-agitation', 'Choose how the tank is agitated.')
  const pushes = new Set(request.films.map((film) => film.pushStops))
  if (pushes.size > 1) throw new DomainError('push-differs', 'Films in one tank get one time: their push or pull must be the same.')
  const inRole = bathsOf(request, shelf)
  const charted = stepsOf(process, request.options).find((step) => step.time === 'chart')
  const developer = charted && inRole.get(roleOf(charted) ?? '')
  const formats = request.films.map((film) => film.format)
  const cover = vesselCover(vessel, formats)
  return compilePlan(
    process,
    {
      vessel: {
        id: vessel.id,
        name: vessel.name,
        kind: vessel.kind,
        reels: placesIn(vessel, formats),
        coversMl: cover.coversMl,
        holdsMl: Math.max(vessel.coversMl.at(-1) ?? 0, cover.coversMl),
        ...(cover.misfit === null ? {} : { misfit: cover.misfit }),
        carryMl: vessel.carryMl,
        running: vessel.running ?? [],
        planned: vessel.planned ?? [],
      },
      films: request.films.map((film) => ({ format: film.format, count: 1 })),
      temperatureC: request.temperatureC,
      ...(charted ? chosenChart(request, shelf, developer) : { chart: [] }),
      pushStops: request.films[0]?.pushStops ?? 0,
      options: request.options,
      agitation,
      times: timesSaid(process, inRole, request),
      ...(request.bathC ? { bathC: request.bathC } : {}),
      critical: request.critical ?? false,
      ...developedBy(developer),
    },
    [...inRole].map(([role, { bottle, parts }]) => ({ role, bottle: planBottle(bottle, parts, shelf.partOf?.[bottle.formulaId]) })),
  )
}

interface Bath {
  bottle: ShelfBottle
  parts: number[]
}

/** The bottles by the role they have in the process. */
function bathsOf(request: RunRequest, { process, bottles }: PlanShelf): Map<string, Bath> {
  return new Map(
    request.baths.map(({ role: id, bottleId, parts }) => {
      const role = process.roles.find((one) => one.id === id)
      if (!role) throw new DomainError('no-role', `${process.name} has no bath “${id}” any more. Choose its bottles again.`)
      const bottle = bottles.find((one) => one.id === bottleId)
      if (!bottle) throw new DomainError('no-bottle', `The bottle for the ${role.name.toLowerCase()} is not on the shelf.`)
      if (bottle.family !== role.family)
        throw new DomainError('wrong-family', `${bottle.label} ${bottle.name} is no ${role.family.replaceAll('-', ' ')}.`)
      return [id, { bottle, parts }]
    }),
  )
}

/** The chart of the load, from the rows that were chosen. */
const chosenChart = (request: RunRequest, shelf: PlanShelf, developer: Bath | undefined) =>
  chartOf(
    request.films,
    request.chartRowIds.flatMap((id) => shelf.chart.find((row) => row.id === id) ?? []),
    developer && {
      formulaId: developer.bottle.formulaId,
      parts: developer.parts.length > 1 ? developer.parts : (developer.bottle.parts ?? [1]),
    },
    { temperatureC: request.temperatureC, ...developedBy(developer) },
  )

/** How the developer's time follows its temperature, and where it works at all. */
const developedBy = (developer: Bath | undefined): { rangeC: [number, number]; k?: number } => ({
  rangeC: developer?.bottle.rangeC ?? [coldestC, 30],
  ...(developer?.bottle.temperatureCoefficient ? { k: developer.bottle.temperatureCoefficient } : {}),
})

/** s of steps whose bath says how long it takes: a stop bath by its formula, a fixer by its clearing test or its formula. The others as the process has them. */
function timesSaid(process: Process, inRole: Map<string, Bath>, request: RunRequest): Record<string, number> {
  return Object.fromEntries(
    process.steps.flatMap((step): [string, number][] => {
      const bath = inRole.get(roleOf(step) ?? '')?.bottle
      const { time } = step
      if (!bath || typeof time !== 'object') return []
      // a process that fixes longer than twice the clearing time does so by its fixer's figure as well
      const s =
        'clearing' in time
          ? (fixingOf(bath, request, request.bathC?.[step.key] ?? step.atC ?? request.temperatureC) ?? 0) * (time.clearing / 2)
          : step.kind === 'stop'
            ? (bath.usualS ?? 0)
            : 0
      return s > 0 ? [[step.key, s]] : []
    }),
  )
}

/** s to fix: by the fixer's clearing test at the temperature it has in this run and for its slowest film, else as its formula says; null where nothing does. */
function fixingOf(fixer: ShelfBottle, request: RunRequest, fixerC: number): number | null {
  const tested = fixingTime(fixer.state.clearingRead ?? [], {
    runC: fixerC,
    slow: request.films.some((film) => film.slowClearing),
    salt: fixer.state.fixerSalt ?? 'ammonium',
  })
  return tested ?? fixer.state.fixS ?? fixer.usualS ?? null
}

function planBottle(bottle: ShelfBottle, parts: number[], partOf: string | undefined): PlanBottle {
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
    ...(partOf === undefined ? {} : { partOf }),
    ...(bottle.state.bleaches ? { bleaches: bottle.state.bleaches } : {}),
    due: bottle.critical.map((test) => `${test.name} (${test.says})`),
  }
}
