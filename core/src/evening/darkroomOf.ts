import { startOfDay } from '../calendar/days'
import type { BegunLoad, DarkroomEvening } from '../rota/darkroom/evening'
import type { PlacedLoad, RotaPin } from '../rota/problem'
import type { EveningBody, EveningLoad, LoadPlace } from './body'
import { vesselFor } from '../process/propose/vessel'
import type { EveningHouse, LoadRun } from './house'
import { printsIn } from './printing'
import { printingLight, roomFor } from './room'

/** ms of the midnight before opening: seconds of an evening are counted from there, 23 or 25 hours of them where the clocks are changed. */
const midnightOf = ({ opensAt }: Pick<EveningBody, 'opensAt'>, zone: string): number => startOfDay(opensAt, zone)

const begun: LoadRun['state'][] = ['planned', 'running', 'done']
/**
 * The run a load is by now; none where it was given up.
 * @example
 * runOf({ id: 'l1' }, []) // → undefined
 */
export const runOf = (load: Pick<EveningLoad, 'id'>, runs: LoadRun[]): LoadRun | undefined =>
  runs.find((run) => run.id === load.id && begun.includes(run.state))

/** A place as the search has it: whole seconds and numbers of people. Null where who leads it is not there any more. */
export function placedOf(id: string, place: LoadPlace, body: Pick<EveningBody, 'people'>, midnight: number): PlacedLoad | null {
  const person = body.people.findIndex((one) => one.personId === place.personId)
  if (person < 0) return null
  return {
    ...{ load: id, startS: Math.round((place.startAt - midnight) / 1000), vessel: place.vesselId, bath: place.bathId, person },
    ...(place.waits ? { waits: place.waits } : {}),
  }
}

/** What has a run has its place: as it was begun, or as it was planned. */
function begunOf(load: EveningLoad, run: LoadRun, body: EveningBody, midnight: number): BegunLoad[] {
  const { place, loadingS } = load
  if (!place) return []
  const placed = placedOf(load.id, place, body, midnight)
  // its first pour is when its clock was begun; before that it was loaded
  const startS = run.startedAt === null ? (placed?.startS ?? 0) : Math.round((run.startedAt - midnight) / 1000) - loadingS
  const asPlanned = run.startedAt === null
  return [
    {
      load: { id: load.id, request: load.request, weight: load.weight, loadingS, ...timesOf(load, midnight) },
      plan: run.plan,
      pin: {
        ...{ load: load.id, startS, vessel: run.plan.vessel.id },
        ...(placed ? { person: placed.person } : {}),
        ...(placed && placed.bath !== null ? { bath: placed.bath } : {}),
        ...(asPlanned && placed?.waits ? { waits: placed.waits } : {}),
      },
    },
  ]
}

const timesOf = (load: EveningLoad, midnight: number) => ({
  readyS: Math.ceil((load.readyAt - midnight) / 1000),
  dueS: Math.floor((load.dueAt - midnight) / 1000),
})

/** A load's vessel stands for those like it: where it is out of order, another that takes its films does. */
function requestOf({ request }: EveningLoad, { vessels, out }: EveningHouse): EveningLoad['request'] {
  const mine = vessels.find((one) => one.id === request.vesselId)
  const usable = vessels.filter((one) => !out.includes(one.id))
  if (!mine || usable.includes(mine)) return request
  const other = vesselFor(usable, request.films[0]?.format ?? '', { films: request.films.length, kind: mine.kind })
  return other ? { ...request, vesselId: other.id } : request
}

/** Which loads keep their place whatever is arranged; those whose run is on always do. */
export type Keeps = (load: EveningLoad) => boolean

/**
 * An evening as the search takes it, at a time (ms): what is begun has its place, what somebody fixed keeps it, and nothing else begins before now. Tanks and baths that are out of
 * order are not there.
 * @example
 * darkroomOf(eveningOfOne, eveningHouse, [], { now: 0 }).room.hands // → 1
 */
export function darkroomOf(
  body: EveningBody,
  house: EveningHouse,
  runs: LoadRun[],
  { now, keeps = (load) => load.fixed }: { now: number; keeps?: Keeps },
): DarkroomEvening {
  const { zone, room, out } = house
  const midnight = midnightOf(body, zone)
  const inS = (at: number): number => Math.round((at - midnight) / 1000)
  const nowS = Math.ceil((now - midnight) / 1000)
  const printRoom = roomFor(room, 'printing')
  const open = body.loads.filter((load) => !runOf(load, runs))
  const pinned = open.flatMap((load): RotaPin[] => {
    const placed = load.place && keeps(load) ? placedOf(load.id, load.place, body, midnight) : null
    if (!placed) return []
    const { bath, ...pin } = placed
    return [{ ...pin, ...(bath === null ? {} : { bath }) }]
  })
  const processes = Object.fromEntries(house.processes.map(({ versionId, body: one }) => [versionId, { ...one, id: versionId }]))
  return {
    ...{ midnight, zone, chart: house.chart, partOf: house.partOf, bottles: house.bottles, rules: house.rules },
    catalogue: house.catalogue,
    rooms: { loading: roomFor(room, 'loading')?.name, open: roomFor(room, 'trays')?.name, lamp: roomFor(room, 'lamp')?.name },
    processes: { ...house.versions, ...processes },
    vessels: house.vessels
      .filter((vessel) => !out.includes(vessel.id))
      .map((vessel) => ({ ...vessel, resetS: 60 * room.resetMinutes[vessel.kind] })),
    begun: body.loads.flatMap((load) => {
      const run = runOf(load, runs)
      return run ? begunOf(load, run, body, midnight) : []
    }),
    loads: open.map((load) => {
      const { readyS, dueS } = timesOf(load, midnight)
      return {
        ...{ id: load.id, request: requestOf(load, house), dueS, weight: load.weight, loadingS: load.loadingS },
        ...{ readyS: Math.max(readyS, nowS), overruled: load.overruled !== null },
      }
    }),
    room: {
      ...{ opensS: inS(body.opensAt), closesS: inS(body.closesAt), hands: body.people.length, cleanS: 60 * room.cleanMinutes },
      baths: room.baths.filter((bath) => !out.includes(bath.id)).map(({ name: _, ...bath }) => bath),
      resources: [
        { id: 'closet', places: room.closets },
        { id: 'wash', places: room.washPlaces },
        { id: 'dryer', places: house.hangers },
      ],
      duty: body.people.map(({ fromAt, untilAt }, person) => ({ person, fromS: inS(fromAt), toS: inS(untilAt) })),
      breaks: body.people.flatMap(({ rest }, person) =>
        rest ? [{ person, s: 60 * rest.minutes, earliestS: inS(rest.fromAt), latestS: inS(rest.untilAt) }] : [],
      ),
      pinned,
      lit: printRoom
        ? printsIn(body, house.prints).map(({ fromAt, untilAt }) => ({
            ...{ room: printRoom.name, light: printingLight(room), fromS: inS(fromAt), toS: inS(untilAt) },
          }))
        : [],
    },
  }
}
