import { developingTime, DomainError, isReused, searchText, showParts, showTime, takesPrints } from '@selvrin/core'
import type { Bottle, ChartRow, FormulaRow, Jar, Person, Roll, RunSummary } from '@selvrin/core/contract'
import { usualLoad } from '../bottle/usualLoad'
import { catalogue, chemicalOf } from '../chemical/chemistry'
import { notTheSame } from '../chemical/names'
import { matches } from '../fields/matches'
import { nameOf } from '../jar/reorder'

/** Something that was found: a page to go to, or an act that is done at once. */
export interface Hit {
  key: string
  what: string
  name: string
  /** what answers at once beside the name: a time, what is left */
  says?: string
  to?: string
  /** an act done on the spot */
  act?: 'tally'
  bottle?: Bottle
  /** all it is found by */
  text: string
}

/** What is looked through. */
export interface House {
  technician: boolean
  bottles: Bottle[]
  formulas: FormulaRow[]
  jars: Jar[]
  people: Person[]
  runs: RunSummary[]
  rolls: Roll[]
  chart: ChartRow[]
  /** °C a developer has now: by the probe in it, else by where it stands */
  temperatureOf: (formulaId: string) => { celsius: number; from: string }
  temperature: (celsius: number) => string
}

function bottleHits(house: House): Hit[] {
  return house.bottles.flatMap((bottle): Hit[] => {
    const name = `${bottle.label} ${bottle.name}, ${showParts(bottle.parts)}`
    const text = `bottle ${name} ${bottle.code}`
    const page: Hit = { key: bottle.id, what: 'Bottle', name, to: `/shelf/${bottle.id}`, text }
    if (!house.technician || bottle.retiredAt !== null || bottle.state.volumeMl <= 0) return [page]
    const load = `${usualLoad} ${takesPrints(bottle) ? 'prints' : 'rolls'}`
    const dilutes = bottle.parts === null && bottle.use.dilutions.some((parts) => parts.length > 1)
    return [
      page,
      ...(isReused(bottle)
        ? [
            {
              key: `tally ${bottle.id}`,
              what: 'Do',
              name: `Tally ${load} through ${bottle.label}`,
              act: 'tally' as const,
              bottle,
              text: `tally use ${text}`,
            },
          ]
        : []),
      ...(dilutes
        ? [
            {
              key: `dilute ${bottle.id}`,
              what: 'Do',
              name: `Dilute ${bottle.label}`,
              to: `/shelf/${bottle.id}?do=dilute`,
              text: `dilute make working strength ${text}`,
            },
          ]
        : []),
      ...bottle.due.map((due) => ({
        key: `test ${bottle.id} ${due.kind}`,
        what: 'Do',
        name: `Test ${bottle.label}: ${due.name}`,
        to: `/proofs/${due.kind}/${bottle.id}`,
        text: `test due ${due.name} ${text}`,
      })),
    ]
  })
}

/** Developing times of a film in each developer it is charted for, at the temperature that developer has now. */
function timeHits(house: House): Hit[] {
  const sets = new Map<string, ChartRow[]>()
  for (const row of house.chart) {
    const key = [row.film, row.formulaId, row.parts.join('+'), row.ei, row.source].join('|')
    sets.set(key, [...(sets.get(key) ?? []), row])
  }
  return [...sets].map(([key, rows]): Hit => {
    const [row] = rows as [ChartRow]
    const developer = house.formulas.find((one) => one.id === row.formulaId)
    const name = `${row.film}, EI ${row.ei}, in ${developer?.body.name ?? 'a developer that is gone'} ${showParts(row.parts)}`
    const { celsius, from } = house.temperatureOf(row.formulaId)
    return {
      key,
      what: 'Time',
      name,
      says: timeAt(rows, celsius, developer, `${house.temperature(celsius)}, ${from}`),
      to: `/tanks/chart?film=${encodeURIComponent(row.film)}`,
      text: `time for chart ${name} ${row.source}`,
    }
  })
}
function timeAt(rows: ChartRow[], celsius: number, developer: FormulaRow | undefined, at: string): string {
  try {
    const { seconds } = developingTime({
      chart: rows.map(({ temperatureC, seconds }) => ({ temperatureC, seconds })),
      temperatureC: celsius,
      ...(developer?.body.temperatureCoefficient ? { k: developer.body.temperatureCoefficient } : {}),
      ...(developer?.body.rangeC ? { rangeC: developer.body.rangeC } : {}),
    })
    return `${showTime(seconds)} at ${at}`
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return `no time at ${at}`
  }
}

const jarHits = (house: House): Hit[] =>
  house.jars.map((jar) => {
    const name = `${nameOf(jar)}, ${[jar.lot && `lot ${jar.lot}`, jar.place].filter(Boolean).join(', ')}`
    return {
      key: jar.id,
      what: 'Jar',
      name,
      says: notTheSame(jar.chemical),
      to: `/formulary/jars/${jar.id}`,
      text: `jar ${name} ${jar.code} ${searchText(jar.chemical, catalogue())}`,
    }
  })

const chemicalHits = (): Hit[] =>
  Object.keys(catalogue()).map((id) => ({
    key: `chemical ${id}`,
    what: 'Chemical',
    name: chemicalOf(id).name,
    says: notTheSame(id),
    to: `/formulary/chemicals?find=${encodeURIComponent(chemicalOf(id).name)}`,
    text: `chemical ${searchText(id, catalogue())}`,
  }))

/** Everything a person may find, in the order in which it is offered. */
export const everything = (house: House): Hit[] => [
  ...bottleHits(house),
  ...(house.technician ? timeHits(house) : []),
  ...house.formulas.map((row) => ({
    key: row.id,
    what: 'Formula',
    name: row.body.name,
    says: row.earlierNames.length > 0 ? `was ${row.earlierNames.join(', ')}` : '',
    to: `/formulary/${row.id}`,
    text: `formula mix ${row.body.name} ${row.earlierNames.join(' ')} ${row.body.purpose}`,
  })),
  ...house.runs
    .filter((row) => row.state === 'done')
    .map((row) => ({
      key: `again ${row.id}`,
      what: 'Do',
      name: `Again as run ${row.number}: ${row.films.join(', ')}`,
      to: `/tanks/plan?again=${row.id}`,
      text: `again plan run ${row.number} ${row.films.join(' ')} ${row.vessel}`,
    })),
  ...jarHits(house),
  ...(house.technician ? chemicalHits() : []),
  ...house.people.map((row) => ({
    key: row.id,
    what: 'Person',
    name: row.name,
    to: `/people?who=${row.id}`,
    text: `person ${row.name} ${row.login}`,
  })),
  ...house.runs.map((row) => ({
    key: row.id,
    what: 'Run',
    name: `Run ${row.number}, ${row.films.join(', ')}`,
    to: `/tanks/${row.id}`,
    text: `run ${row.number} ${row.vessel} ${row.films.join(' ')} ${row.by}`,
  })),
  ...house.rolls.map((row) => ({
    key: row.id,
    what: 'Film',
    name: `${row.film}, ${row.member}`,
    to: house.technician && row.runId ? `/tanks/${row.runId}` : '/films',
    text: `film ${row.film} ${row.member} ${row.developer}`,
  })),
]

/** How well a hit fits: what one types first is the label, then the beginning of a name. */
function rank(hit: Hit, typed: string): number {
  const name = hit.name.toLowerCase()
  const words = typed.toLowerCase().trim()
  if (hit.bottle?.label.toLowerCase() === words || name.split(' ')[0] === words) return hit.what === 'Bottle' ? 0 : 1
  return name.startsWith(words) ? 2 : name.split(/[\s,]+/).some((word) => word.startsWith(words)) ? 3 : 4
}

/** The hits for what was typed, best first; a scanned label is exactly what it names. */
export function hitsFor(all: Hit[], typed: string, scanned: string | undefined): Hit[] {
  if (typed.trim() === '') return []
  const exact =
    scanned === undefined ? [] : all.filter((hit) => (hit.what === 'Bottle' || hit.what === 'Jar') && hit.text.includes(scanned))
  if (exact.length > 0) return exact
  const label = typed.trim().toUpperCase()
  return all
    .filter((hit) => matches(hit.text, typed))
    .map((hit, at) => ({ hit, at, by: hit.bottle?.label === label ? 1 : rank(hit, typed) }))
    .sort((a, b) => a.by - b.by || a.at - b.at)
    .map(({ hit }) => hit)
}
