import { DomainError } from '../../error'
import type { OrderWish } from '../../order/order'
import type { ProcessBody } from '../../process/process'
import { rolesOf, stepsOf } from '../../process/process'
import { bathsOf, developersFor, secondBathsOf, type BathAt, type Offered } from '../../process/propose/baths'
import { optionsOn, secondOf, servedOptions } from '../../process/propose/options'
import type { ChartTime, RunRequest, ShelfBottle, Tank } from '../../process/shelf'
import { developsFirst, roleOf } from '../../process/stepFacts'

export type RotaBottle = ShelfBottle & Offered

/** What of the house an evening's loads are made with. */
export interface RotaHouse {
  processes: { id: string; versionId: string; body: ProcessBody }[]
  vessels: Tank[]
  chart: ChartTime[]
  bottles: RotaBottle[]
  partOf?: Record<string, string> | undefined
}

/** What a wish comes to with what stands on the shelf: everything of a run but its films and its vessel. */
export interface Proposed extends Pick<RunRequest, 'processVersionId' | 'options' | 'baths' | 'temperatureC' | 'chartRowIds'> {
  kind: Tank['kind']
}

/** °C of a process that says none itself */
const usualC = 20

type Picked = Map<string, BathAt<RotaBottle>>

/** The first source's rows of a film in a developer at a dilution. */
function rowsOf({ chart }: RotaHouse, { film, ei }: OrderWish, formulaId: string, parts: number[]): ChartTime[] {
  const rows = chart.filter((row) => row.film === film && row.ei === ei && row.formulaId === formulaId && row.parts.join() === parts.join())
  const [first] = [...new Set(rows.map((row) => row.source ?? ''))].sort((a, b) => (a < b ? -1 : 1))
  return rows.filter((row) => (row.source ?? '') === first)
}

/** The developer that is wished for, or the first the chart has a time for. */
function developerOf(house: RotaHouse, wish: OrderWish, family: string) {
  const { film, ei, developer } = wish
  const found = developersFor(house.bottles, house.chart, { film, ei, family }).filter(
    (one) => one.serves && (!developer || (one.bottle.formulaId === developer.formulaId && one.charted.join() === developer.parts.join())),
  )
  const [first] = found
  if (!first)
    throw new DomainError(
      'no-developer',
      developer
        ? `The developer that is wished for is not on the shelf, or the chart has no time for ${film} at EI ${ei} in it. Mix it, chart it, or take another.`
        : `The chart has no time for ${film} at EI ${ei} in any developer on the shelf. Chart it, or mix one it has a time for.`,
    )
  return first
}

/** A bottle for every role but the charted one; a pair of baths takes its second along, or gives way to what fixes alone. */
function bathsFor(house: RotaHouse, body: ProcessBody, charted: string | null): { picked: Picked; turned: Record<string, boolean> } {
  const familyOf = (id: string): string => body.roles.find((role) => role.id === id)?.family ?? ''
  const offered = (id: string) => bathsOf(house.bottles, familyOf(id), house.partOf).filter((bath) => bath.serves)
  const turned = servedOptions(body, (role) => role === charted || offered(role).length > 0)
  const picked: Picked = new Map()
  for (const { id, name } of rolesOf(body, turned)) {
    if (id === charted || picked.has(id)) continue
    const bath = offered(id).find((one) => {
      if (one.bottle.use.school !== 'two-bath') return true
      const pair = secondOf(body, id)
      const [second] = secondBathsOf(house.bottles, one.bottle).filter((each) => each.serves)
      if (!pair?.option || !second) return false
      turned[pair.option] = true
      picked.set(pair.role, second)
      return true
    })
    if (!bath) throw new DomainError('no-bottle', `There is no ${name.toLowerCase()} on the shelf that may be used. Mix one first.`)
    picked.set(id, bath)
  }
  return { picked, turned }
}

/**
 * A run for what somebody wishes, with what stands on the shelf: the process as it is now, its baths in the order in which they are put to work, the developer that is wished for or the
 * first the chart knows.
 * @throws DomainError 'no-process', 'no-developer', 'no-bottle' with what is missing
 */
export function proposedFor(house: RotaHouse, wish: OrderWish): Proposed {
  const process = house.processes.find((one) => one.id === wish.processId)
  if (!process) throw new DomainError('no-process', 'The process that is wished for is not there any more.')
  const { body, versionId } = process
  const chartedStep = body.steps.find((step) => step.time === 'chart')
  const charted = chartedStep ? roleOf(chartedStep) : null
  const { picked, turned } = bathsFor(house, body, charted)
  const options = optionsOn(body, turned)
  const steps = stepsOf(body, options)
  const baths = [...picked].map(([role, { bottle, parts }]) => ({ role, bottleId: bottle.id, parts }))
  const base = { processVersionId: versionId, options, kind: body.vessel ?? ('hand' as const) }
  const ownC = steps.find(developsFirst)?.atC
  if (charted === null) return { ...base, baths, temperatureC: ownC ?? usualC, chartRowIds: [] }
  const family = body.roles.find((role) => role.id === charted)?.family ?? ''
  const developer = developerOf(house, wish, family)
  const rows = rowsOf(house, wish, developer.bottle.formulaId, developer.charted)
  const nearest = rows.map((row) => row.temperatureC).sort((a, b) => Math.abs(a - usualC) - Math.abs(b - usualC) || a - b)[0]
  return {
    ...base,
    baths: [{ role: charted, bottleId: developer.bottle.id, parts: developer.parts }, ...baths],
    temperatureC: ownC ?? nearest ?? usualC,
    chartRowIds: rows.map((row) => row.id),
  }
}
