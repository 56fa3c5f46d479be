import { chemicalOf } from '@selvrin/core'
import { api, type Jar } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { route, type House } from '../http/route'
import { newLabelCode } from '../bottle/labels'

const jars = `select jar.id, jar.version, jar.code, jar.chemical, jar.lot, jar.place, jar.opened_at as "openedAt",
  coalesce((select sum(grams) from jar_entry where jar_id = jar.id), 0) as grams from jar`

export function jarRoutes(router: Router, house: House): void {
  const { db } = house
  route(router, house, api.jar.list, async ({ query }) =>
    pageOf(
      await db.rows<Jar>(`${jars} where ($2::uuid is null or jar.id > $2) order by jar.id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )
  route(router, house, api.jar.receive, async ({ body, who, now, tx }) => {
    chemicalOf(body.chemical)
    await db.run(
      'insert into jar (id, code, chemical, lot, place) values ($1, $2, $3, $4, $5)',
      [body.id, await newLabelCode(db, tx), body.chemical, body.lot, body.place],
      tx,
    )
    await db.run(
      `insert into jar_entry (id, jar_id, kind, grams, at, by_person) values ($1, $2, 'receive', $3, $4, $5)`,
      [body.entryId, body.id, body.grams, new Date(now), who.id],
      tx,
    )
    return (await db.one<Jar>(`${jars} where jar.id = $1`, [body.id], tx)) as Jar
  })
}
