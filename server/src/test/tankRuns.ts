import { houseFirstVersion, houseIds } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Caller } from './house'

export type Row = Record<string, unknown>

/** Runs as a technician plans and ends them, for what is tested of them. */
export function tankRuns(ilse: () => Caller) {
  const rows = async (path: string): Promise<Row[]> => (await ilse().send('GET', path)).body.rows ?? []
  const named = (list: Row[], name: string, more: (row: Row) => boolean = () => true) =>
    list.find((row) => row.name === name && more(row)) as Row & { id: string }
  const volume = async (id: string) => (await ilse().send('GET', `/api/bottles/${id}`)).body.state as { volumeMl: number; rolls: number }

  async function planned(count = 2, change: Row = {}) {
    const [bottles, chart, vessels, people] = (await Promise.all(
      ['/api/bottles', '/api/chart', '/api/vessels', '/api/people'].map(rows),
    )) as [Row[], Row[], Row[], Row[]]
    const developer = named(bottles, 'Soft borax developer', (row) => (row.state as { volumeMl: number }).volumeMl > 1500)
    const stop = named(bottles, 'Citric stop bath', (row) => (row.state as { rollsLeft: number }).rollsLeft > 8)
    const fixer = named(bottles, 'Rapid fixer concentrate', (row) => row.parts !== null)
    const charted = chart.filter(
      (row) => row.film === 'Millrace 400' && row.formulaId === developer.formulaId && row.ei === 400 && String(row.parts) === '1,1',
    )
    const id = uuid()
    const request = {
      processVersionId: houseFirstVersion(houseIds['bw-negative']),
      options: { 'wetting-agent': false },
      vesselId: named(vessels, 'Tank 2').id,
      films: Array.from({ length: count }, () => ({
        id: uuid(),
        memberId: people.find((row) => row.login === 'tilda')?.id,
        film: 'Millrace 400',
        format: '135-36',
        ei: 400,
        pushStops: 0,
      })),
      chartRowIds: charted.map((row) => row.id),
      baths: [
        { role: 'developer', bottleId: developer.id, parts: [1, 1] },
        { role: 'stop', bottleId: stop.id, parts: [1] },
        { role: 'fixer', bottleId: fixer.id, parts: [1] },
      ],
      temperatureC: 20,
      agitation: '10-4inv-30',
      ...change,
    }
    const answer = await ilse().send('POST', '/api/runs', { id, request })
    return { id, answer, developer, stop, fixer, request }
  }
  let seq = 0
  const event = (kind: string, at: number, step: number) => ({ id: uuid(), seq: seq++, device: 'test', at, kind, step })
  type Steps = { seconds: number; waits: boolean }[]
  const stepsOf = (answer: { body: Row }): Steps => (answer.body.plan as { steps: Steps }).steps
  /** Every step that waits is ended by a hand once all of their time is over. */
  const handsOn = (steps: Steps, at: number) => steps.flatMap((step, i) => (step.waits ? [event('next', at + i, i)] : []))

  /** A run of so many films, finished on the spot. */
  async function finished(count: number, now: number, hung?: Row) {
    const { id, answer } = await planned(count)
    const at = now
    const start = await ilse().send('POST', `/api/runs/${id}/start`, { version: answer.body.version, at })
    const whole = stepsOf(start).reduce((sum, step) => sum + step.seconds, 0) * 1000
    const events = [event('start', at, 0), ...handsOn(stepsOf(start), at + whole + 5000)]
    const body = { version: start.body.version, at: at + whole + 10_000, events, ...(hung ? { hung } : {}) }
    return { id, answer: await ilse().send('POST', `/api/runs/${id}/finish`, body), at: body.at }
  }

  return { rows, volume, planned, event, stepsOf, handsOn, finished }
}
