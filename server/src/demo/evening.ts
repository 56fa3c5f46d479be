import { decideGivingUp, houseFirstVersion, houseIds } from '@selvrin/core'
import type { api, PlanRequest } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { writeEntries } from '../bottle/ledger'
import { bottleList } from '../bottle/rows'
import { entriesOf } from '../bottle/write'
import { sendLine } from '../device/command'
import type { House } from '../house/house'
import { Refusal } from '../house/refusal'
import { asSeen, saveNext } from '../http/changing'
import type { Call, Handler } from '../http/route'
import { plan } from '../run/planning'
import { bottlesOf } from '../run/uses'
import { keepEvents, lockRun, runRow } from '../run/rows'
import { start } from '../run/starting'
import type { Database } from '../table/database'

/** °C of the simulated bath on such an evening. */
const bathC = 37.8

/** A run of the evening: what is planned, and what has happened at its clock by now, each so many s ago. */
interface Piece {
  request: PlanRequest
  events: { kind: 'start' | 'next'; step: number; agoS: number }[]
}

/** What stands on the shelf for it: the fullest bottle of a formula. */
async function shelfOf(db: Database, now: number) {
  const bottles = await bottleList(db, { retired: false, limit: 200, after: null }, now)
  return (name: string): string => {
    const [fullest] = bottles.filter((one) => one.name === name).sort((a, b) => b.state.volumeMl - a.state.volumeMl)
    if (!fullest)
      throw new Refusal(409, 'evening-dry', `There is no ${name} left for the evening. Mix some, or start the demo anew with --fresh.`)
    return fullest.id
  }
}

async function pieces(db: Database, now: number): Promise<Piece[]> {
  const [vessels, members, chart] = await Promise.all([
    db.Vessel.findAll(),
    db.Person.findAll({ where: { role: 'member' }, order: ['login'] }),
    db.ChartRow.findAll(),
  ])
  const bottle = await shelfOf(db, now)
  const vessel = (name: string) => vessels.find((one) => one.name === name)?.id ?? ''
  const film = (i: number, name: string, ei: number) => ({
    id: uuid(),
    memberId: members[i]?.id ?? '',
    film: name,
    format: '135-36' as const,
    ei,
    pushStops: 0,
  })
  const soft = bottle('Soft borax developer')
  const formulaOf = async (id: string) => (await db.Bottle.findByPk(id, { include: [{ association: 'madeOf' }] }))?.madeOf?.formulaId
  const softId = await formulaOf(soft)
  const rows = chart.filter(
    (row) => row.film === 'Millrace 400' && row.ei === 400 && row.formulaId === softId && row.parts.join() === '1,1',
  )
  return [
    {
      request: {
        processVersionId: houseFirstVersion(houseIds['bw-negative']),
        options: { 'wetting-agent': false },
        vesselId: vessel('Tank 2'),
        films: [film(0, 'Millrace 400', 400), film(1, 'Millrace 400', 400)],
        chartRowIds: rows.map((row) => row.id),
        baths: [
          { role: 'developer', bottleId: soft, parts: [1, 1] },
          { role: 'stop', bottleId: bottle('Citric stop bath'), parts: [1] },
          { role: 'fixer', bottleId: bottle('Neutral rapid fixer'), parts: [1] },
        ],
        temperatureC: 20,
        agitation: '10-4inv-30',
      },
      events: [{ kind: 'start', step: 0, agoS: 130 }],
    },
    {
      request: {
        processVersionId: houseFirstVersion(houseIds['colour-negative']),
        options: {},
        vesselId: vessel('Tank 1'),
        films: [film(2, 'Harbour colour 200', 200)],
        chartRowIds: [],
        baths: [
          { role: 'developer', bottleId: bottle('Colour negative developer, from the kit'), parts: [1] },
          { role: 'bleach-fix', bottleId: bottle('Bleach-fix, from the kit'), parts: [1] },
          { role: 'stabiliser', bottleId: bottle('Stabiliser, from the kit'), parts: [1] },
        ],
        temperatureC: bathC,
        agitation: '10-4inv-30',
      },
      events: [{ kind: 'start', step: 0, agoS: 75 }],
    },
  ]
}

/** The tempering bath of the demo stands at its temperature, where it is there. */
async function warmBath(db: Database): Promise<void> {
  const [bath] = await db.Device.findAll({ where: { kind: 'bath', simulated: true } })
  if (!bath) return
  // a bath that is not there is no reason for the evening not to begin
  await sendLine(bath, `C ${bathC}`, false).catch(() => undefined)
  await sendLine(bath, `W ${bathC}`, false).catch(() => undefined)
}

/** Begins the evening of the demo: two tanks are on, one in black and white, one in colour, each some way into its process. */
export async function beginEvening(house: Pick<House, 'db' | 'clock'>, by: string, now: number): Promise<void> {
  const { db } = house
  const who = { id: by, name: '', role: 'technician', tokenHash: '' } as const
  for (const { request, events } of await pieces(db, now)) {
    const began = now - Math.max(...events.map((one) => one.agoS)) * 1000
    const id = uuid()
    const part = { ...house, who, now: began, params: { id } }
    // a reason is given before anybody asks: a member of the demo may have used a bath up
    const planned = await plan({ ...part, body: { id, request, overrule: 'the evening of the demo' } } as unknown as Call<
      typeof api.run.plan
    >)
    await start({ ...part, body: { version: planned.version, at: began, agreed: true } } as unknown as Call<typeof api.run.start>)
    const run = await runRow(db, id)
    // of no device: whoever sits down at it leads it
    await keepEvents(
      db,
      run,
      events.map(({ agoS, ...one }, seq) => ({ ...one, id: uuid(), seq, device: '', at: now - agoS * 1000 })),
      who,
    )
  }
  await warmBath(db)
}

/** The evening once more: what is on or planned is given up, and its two tanks begin anew. In a darkroom of one's own there is no such evening. */
export const playAgain: Handler<typeof api.darkroom.evening> = async ({ db, clock, who, now }) => {
  const kind = (await db.Darkroom.findOne({ attributes: ['kind'] }))?.kind
  if (kind !== 'demo') throw new Refusal(409, 'no-demo', 'Only the demo plays an evening.')
  for (const { id } of await db.Run.findAll({ attributes: ['id'], where: { state: ['planned', 'running'] }, raw: true })) {
    const run = await lockRun(db, id, ['planned', 'running'])
    const lines = decideGivingUp({ ...run, events: [] }, await bottlesOf(db, run.plan, now), {
      events: run.events.filter((one) => !one.late),
      at: now,
    })
    await writeEntries(db, entriesOf(lines, { by: who.id, now }))
    const row = asSeen(db.Run, { id, version: run.version })
    await saveNext(row.set({ state: 'abandoned', endedAt: now, why: 'The evening was played again.' }))
  }
  await beginEvening({ db, clock }, who.id, now)
  return { done: true as const }
}
