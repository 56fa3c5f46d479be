import { agitations, dayMs, draftOf, houseFirstVersion, houseIds, houseProcesses, outcomeOf, type PractisedLoading } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

type Process = keyof typeof houseIds
/** Runs that were practised: by whom, days ago, how fast, the share of its time the developer got, and of the fixer. */
const practisedRuns: [login: string, daysAgo: number, process: Process, speed: number, developed: number, fixed: number][] = [
  ['tilda', 41, 'bw-negative', 5, 0.62, 0.4],
  ['tilda', 34, 'bw-negative', 5, 0.8, 0.45],
  ['tilda', 27, 'bw-negative', 5, 1.16, 1],
  ['tilda', 20, 'bw-negative', 2, 0.86, 1],
  ['tilda', 13, 'bw-negative', 2, 0.97, 1],
  ['tilda', 12, 'monobath', 5, 0.7, 1],
  ['nell', 16, 'monobath', 10, 0.82, 1],
  ['nell', 9, 'monobath', 5, 1.02, 1],
  ['jory', 5, 'bw-negative', 10, 1.4, 0.4],
]
const loaded: [login: string, daysAgo: number, loading: PractisedLoading][] = [
  ['nell', 15, { what: '135', where: 'light', seconds: 96, went: 'clean' }],
  ['nell', 14, { what: '135', where: 'eyes-shut', seconds: 171, went: 'jammed' }],
  ['nell', 8, { what: '135', where: 'dark', seconds: 118, went: 'clean' }],
]

/** What they may develop alone: Nell has all that is asked of her, Jory has not practised it without a fault yet. */
const permitted: [login: string, daysAgo: number, process: Process, terms: { tanks: string[]; others: boolean; days: number | null }][] = [
  ['tilda', 11, 'bw-negative', { tanks: ['Tank 1', 'Tank 2'], others: false, days: 120 }],
  ['nell', 7, 'monobath', { tanks: [], others: true, days: null }],
  ['jory', 4, 'bw-negative', { tanks: ['Tank 1'], others: false, days: null }],
]

/** Every step of a process dry, one after the other, some of them shorter or longer. */
function practisedAs(process: Process, speed: number, developed: number, fixed: number) {
  const body = houseProcesses.find((one) => one.id === houseIds[process])
  const { plan } = body ? draftOf(body, {}, agitations['30-5-30']) : { plan: null }
  if (!plan) throw new Error(`${process} cannot be practised`)
  let at = 0
  const steps = plan.steps.map((step, i) => {
    const fromS = at
    at += step.seconds * (['develop', 'monobath'].includes(step.kind) ? developed : step.kind === 'fix' ? fixed : 1)
    return { step: i, fromS, untilS: at, beatsS: null, measuredS: [] }
  })
  const practised = { seed: 1, speed, troubles: [], answers: {}, steps }
  return { practised, ...outcomeOf(plan, practised) }
}

/** What the demo's members have practised, and what they may develop alone since. */
export async function practices(db: Database, today: number, by: string, vessels: { id: string; name: string }[]): Promise<void> {
  const people = new Map((await db.Person.findAll({ attributes: ['id', 'login'], raw: true })).map(({ id, login }) => [login, id]))
  const when = (daysAgo: number) => today - daysAgo * dayMs
  const one = (login: string, daysAgo: number) => {
    const at = when(daysAgo)
    return { id: uuid({ msecs: at }), personId: people.get(login) ?? '', at }
  }
  await db.Practice.bulkCreate([
    ...practisedRuns.map(([login, daysAgo, process, ...how]) => ({
      ...one(login, daysAgo),
      processVersionId: houseFirstVersion(houseIds[process]),
      ...practisedAs(process, ...how),
    })),
    ...loaded.map(([login, daysAgo, loading]) => ({ ...one(login, daysAgo), loading, clean: loading.went === 'clean' })),
  ])
  await db.Permission.bulkCreate(
    permitted.map(([login, daysAgo, process, { tanks, others, days }]) => {
      const { at, ...who } = one(login, daysAgo)
      const vesselIds = vessels.filter((vessel) => tanks.includes(vessel.name)).map((vessel) => vessel.id)
      const terms = { processId: houseIds[process], vesselIds, bottleIds: [], practice: true, others, loading: others }
      return { ...who, ...terms, until: days === null ? null : at + days * dayMs, givenBy: by, givenAt: at }
    }),
  )
}
