import { noticeDays } from '@selvrin/core'
import type { trainingApi } from '@selvrin/core/contract'
import type { z } from 'zod'
import type { Database } from '../table/database'
import { standingsOf } from './holding'

/** rows that are told */
const most = 100
type Page = z.input<typeof trainingApi.page.response>

/** What ends soon, has ended or was taken away, of everybody who may sign in; what comes next first. */
export async function endingRows(db: Database, now: number): Promise<Page> {
  const shown = await db.Training.findAll({ attributes: ['personId'], group: ['personId'], raw: true })
  const people = await db.Person.findAll({
    attributes: ['id', 'name'],
    where: { active: true, id: shown.map((one) => one.personId) },
    raw: true,
  })
  const standings = await standingsOf(
    db,
    people.map((one) => one.id),
    { now },
  )
  const rows = people.flatMap(({ id, name }) =>
    (standings.get(id) ?? [])
      .filter((one) => one.state === 'soon' || one.state === 'ended')
      .map((standing) => ({ personId: id, person: name, standing })),
  )
  const rank = (at: number | null): number => Math.abs((at ?? 0) - now - (noticeDays * 86_400_000) / 2)
  rows.sort((a, b) => rank(a.standing.endsAt) - rank(b.standing.endsAt) || a.person.localeCompare(b.person))
  return { rows: rows.slice(0, most), more: Math.max(0, rows.length - most) }
}
