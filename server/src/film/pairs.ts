import { faults as allFaults, proposeTime, shareOfTime, showTime } from '@selvrin/core'
import type { api, Pair } from '@selvrin/core/contract'
import { asSeen, saveSeen } from '../http/changing'
import { shown, withNames } from '../chart/rows'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { developedFilms, type Developed } from './queries'

/** The times of the chart a film was planned with, where they are of one source and stand there still. */
const chartedBy = (film: Developed, chart: Map<string, Row<'ChartRow'>>): Row<'ChartRow'>[] => {
  const rows = (film.chartRowIds ?? []).flatMap((id) => chart.get(id) ?? [])
  return new Set(rows.map((row) => row.source)).size === 1 && rows.every((row) => row.film === film.film && row.ei === film.ei) ? rows : []
}

const keyOf = (film: Developed, [row]: Row<'ChartRow'>[]): string =>
  JSON.stringify([film.film, film.ei, film.developer, row ? [row.formulaId, row.parts, row.source] : null])

const mean = (values: number[]): number | null => (values.length === 0 ? null : values.reduce((sum, one) => sum + one, 0) / values.length)
/** s a charted time is written in */
const rounded = (seconds: number): number => Math.max(5, Math.round(seconds / 5) * 5)

function pairOf(key: string, films: Developed[], rows: Row<'ChartRow'>[]): Pair {
  const [one] = films as [Developed]
  const times = films.flatMap((film) => film.developedS ?? [])
  const count = (fits: (film: Developed) => boolean): number => films.filter(fits).length
  const outcomes = films.flatMap((film) => {
    const share = shareOfTime({ developing: film.developing, ...(film.drift ? { drift: film.drift } : {}) }, film, rows)
    return share === null ? [] : [{ ...film, share }]
  })
  const proposal = rows.length > 0 ? proposeTime(outcomes) : null
  return {
    key,
    film: one.film,
    ei: one.ei,
    developer: one.developer,
    films: films.length,
    came: {
      thin: count((film) => film.result === 'thin'),
      right: count((film) => film.result === 'right'),
      dense: count((film) => film.result === 'dense'),
      flat: count((film) => film.contrast === 'flat'),
      evenly: count((film) => film.contrast === 'right'),
      hard: count((film) => film.contrast === 'hard'),
    },
    faults: allFaults.flatMap((fault) => {
      const with_ = count((film) => film.faults.includes(fault))
      return with_ > 0 ? [{ fault, films: with_ }] : []
    }),
    meanS: mean(times),
    shortestS: times.length > 0 ? Math.min(...times) : null,
    longestS: times.length > 0 ? Math.max(...times) : null,
    meanC: mean(films.flatMap((film) => film.temperatureC ?? [])),
    lastAt: Math.max(...films.map((film) => film.at)),
    proposal: proposal && {
      ...proposal,
      rows: rows.map(({ id, version, temperatureC, seconds }) => ({
        ...{ id, version, temperatureC, seconds },
        proposedS: rounded(seconds * proposal.factor),
        lowestS: rounded(seconds * proposal.lowest),
        highestS: rounded(seconds * proposal.highest),
      })),
    },
  }
}

/** Every kind of film in every developer: how it came out, and what that says of its charted time. */
export const pairs: Handler<typeof api.film.pairs> = async ({ db }) => {
  const chart = new Map((await db.ChartRow.findAll()).map((row) => [row.id, row]))
  const groups = new Map<string, { films: Developed[]; rows: Map<string, Row<'ChartRow'>> }>()
  for (const film of await developedFilms(db)) {
    const rows = chartedBy(film, chart)
    const key = keyOf(film, rows)
    const group = groups.get(key) ?? { films: [] as Developed[], rows: new Map<string, Row<'ChartRow'>>() }
    group.films.push(film)
    for (const row of rows) group.rows.set(row.id, row)
    groups.set(key, group)
  }
  const rows = [...groups].map(([key, group]) =>
    pairOf(
      key,
      group.films,
      [...group.rows.values()].sort((a, b) => a.temperatureC - b.temperatureC),
    ),
  )
  return { rows: rows.sort((a, b) => b.lastAt - a.lastAt) }
}

/** A proposed time is written into the chart with what it was before, and stands there as tried by the films it comes from. */
export const takeProposal: Handler<typeof api.film.take> = async ({ db, body, who, now }) => {
  const charted = new Map((await db.ChartRow.findAll({ where: { id: body.rows.map((row) => row.id) } })).map((row) => [row.id, row]))
  for (const { id, version, seconds } of body.rows) {
    const row = charted.get(id)
    if (!row) throw notFound('row of the chart')
    const why = `from how ${body.films} films came out; ${showTime(row.seconds)} before`
    const next = asSeen(db.ChartRow, { id, version: row.version })
    next.set({ seconds, note: [row.note, why].filter(Boolean).join('; ').slice(-2000), byPerson: who.id })
    next.set({ triedAt: now, triedBy: who.id, triedNote: why })
    await saveSeen(next, version, () => currentOf(db, id))
  }
  return { done: true as const }
}

async function currentOf(db: Database, id: string) {
  const row = await db.ChartRow.findByPk(id, withNames)
  return row && shown(row)
}
