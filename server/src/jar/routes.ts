import { chemicalOf, showMass } from '@selvrin/core'
import { api, type Jar } from '@selvrin/core/contract'
import type { Router } from 'express'
import { newLabelCode } from '../bottle/labels'
import { catalogueOf } from '../chemical/chemistry'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { jarPage, jarRow, jarRows, lockJar, writeJarEntry } from './rows'
import { reverseJarEntry } from './reverse'
import { readSheet } from './sheet'

const instant = (at: number | null): Date | null => (at === null ? null : new Date(at))

export function jarRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.jar.list, async ({ query }) =>
    pageOf(
      await db.rows<Jar>(`${jarRows} where ($2::uuid is null or jar.id > $2) order by jar.id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.jar.get, ({ params }) => jarPage(db, params.id))

  route(router, house, api.jar.receive, async ({ body, who, now, tx }) => {
    chemicalOf(body.chemical, await catalogueOf(db, tx))
    await db.run(
      `insert into jar (id, code, chemical, lot, place, opened_at, assay, price_per_kg, reorder_g, spoon_g, storage) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
      [
        body.id,
        await newLabelCode(db, tx),
        body.chemical,
        body.lot,
        body.place,
        instant(body.openedAt),
        body.assay,
        body.pricePerKg,
        body.reorderG,
        body.spoonG,
        body.storage,
      ],
      tx,
    )
    await writeJarEntry(db, { id: body.entryId, jarId: body.id, kind: 'receive', grams: body.grams, at: now, by: who.id }, tx)
    return jarRow(db, body.id, tx)
  })

  route(router, house, api.jar.change, async ({ params, body, tx }) => {
    const changed = await db.rows(
      `update jar set version = version + 1, lot = $3, place = $4, opened_at = $5, assay = $6, price_per_kg = $7, reorder_g = $8, spoon_g = $9, storage = $10
       where id = $1 and version = $2 returning id`,
      [
        params.id,
        body.version,
        body.lot,
        body.place,
        instant(body.openedAt),
        body.assay,
        body.pricePerKg,
        body.reorderG,
        body.spoonG,
        body.storage,
      ],
      tx,
    )
    if (changed.length === 0) throw stale(await jarRow(db, params.id, tx))
    return jarPage(db, params.id, tx)
  })

  route(router, house, api.jar.write, async ({ params, body, who, now, tx }) => {
    const jar = await lockJar(db, params.id, tx)
    const takes = body.kind !== 'receive'
    if (takes && body.grams > jar.grams + 1e-6)
      throw new Refusal(
        409,
        'not-enough',
        `The jar holds ${showMass(jar.grams)} by its record, not ${showMass(body.grams)}. Write less, or count the jar first.`,
        { field: 'grams', current: jar },
      )
    await writeJarEntry(
      db,
      { id: body.entryId, jarId: jar.id, kind: body.kind, grams: takes ? -body.grams : body.grams, at: now, by: who.id, note: body.note },
      tx,
    )
    return jarPage(db, jar.id, tx)
  })

  route(router, house, api.jar.reverse, ({ params, body, who, now, tx }) =>
    reverseJarEntry(db, { jarId: params.id, entryId: params.entryId, ...body, by: who.id, now }, tx),
  )

  route(router, house, api.jar.count, async ({ params, body, who, now, tx }) => {
    const jar = await lockJar(db, params.id, tx)
    // what was weighed meanwhile would be counted twice
    if (Math.abs(jar.grams - body.expectedG) > 1e-3)
      throw new Refusal(
        409,
        'stale',
        `Someone took from this jar while you counted: its record says ${showMass(jar.grams)} now. Count it again.`,
        {
          current: jar,
        },
      )
    const off = body.grams - jar.grams
    // a count that agrees is a line too: the jar was seen
    await writeJarEntry(db, { id: body.entryId, jarId: jar.id, kind: 'correct', grams: off, at: now, by: who.id, note: body.reason }, tx)
    return jarPage(db, jar.id, tx)
  })

  route(
    router,
    house,
    api.jar.putSheet,
    async ({ params, body, who, now, tx, before }) => {
      await jarRow(db, params.id, tx)
      const { type, bytes } = before as Awaited<ReturnType<typeof readSheet>>
      await db.run(
        `insert into jar_sheet (jar_id, name, type, bytes, at, by_person) values ($1, $2, $3, $4, $5, $6)
       on conflict (jar_id) do update set name = excluded.name, type = excluded.type, bytes = excluded.bytes, at = excluded.at, by_person = excluded.by_person`,
        [params.id, body.name, type, bytes, new Date(now), who.id],
        tx,
      )
      return jarPage(db, params.id, tx)
    },
    {
      before: ({ upload }) => {
        if (!upload) throw new Refusal(400, 'not-a-form', 'Choose the file of the sheet.')
        return readSheet(upload.bytes)
      },
    },
  )

  route(router, house, api.jar.getSheet, async ({ params }) => {
    const sheet = await db.one<{ name: string; type: string; bytes: Buffer }>('select name, type, bytes from jar_sheet where jar_id = $1', [
      params.id,
    ])
    if (!sheet) throw notFound('safety sheet')
    return sheet
  })

  route(router, house, api.jar.removeSheet, async ({ params, tx }) => {
    await db.run('delete from jar_sheet where jar_id = $1', [params.id], tx)
    return { done: true as const }
  })
}
