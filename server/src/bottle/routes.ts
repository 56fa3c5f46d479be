import { checkFormula, dilute, scaleFormula, standing, type Addition, type BottleEntry } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { newLabelCode, nextLabel } from './labels'
import { bottleById, bottleList, bottlePage, lockBottles, requireVolume, usedFormula, writeEntry } from './rows'

export interface NewBottle {
  id: string
  family: string
  formulaVersionId: string
  batchId: string | null
  fromBottleId: string | null
  sizeMl: number
  ml: number
  parts: number[] | null
  by: string
  now: number
}

/** Puts a labelled bottle on the shelf and fills it; answers its label. */
export async function putOnShelf({ db }: House, bottle: NewBottle, tx: Transaction | undefined): Promise<string> {
  const { letter, number } = await nextLabel(db, bottle.family, tx)
  const code = await newLabelCode(db, tx)
  await db.run(
    `insert into bottle (id, letter, number, code, formula_version_id, batch_id, from_bottle_id, size_ml, parts, made_at, made_by) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      bottle.id,
      letter,
      number,
      code,
      bottle.formulaVersionId,
      bottle.batchId,
      bottle.fromBottleId,
      bottle.sizeMl,
      bottle.parts,
      new Date(bottle.now),
      bottle.by,
    ],
    tx,
  )
  await writeEntry(db, { id: uuid(), bottleId: bottle.id, kind: 'fill', at: bottle.now, by: bottle.by, ml: bottle.ml }, tx)
  return `${letter}${number}`
}

/** The first line that would leave less than nothing behind if `without` had not been; null where the reversal holds. */
function brokenBy(entries: (BottleEntry & { note: string })[], without: string): string | null {
  let held = 0
  for (const entry of standing(entries).filter((one) => one.id !== without)) {
    held += entry.ml
    if (held < -1e-6) return `${entry.kind.replace('-', ' ')} of ${Math.abs(entry.ml).toFixed(0)} ml`
  }
  return null
}

export function bottleRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.bottle.list, async ({ query, now }) =>
    pageOf(await bottleList(db, { retired: query.retired, limit: query.limit + 1, after: query.after ?? null }, now), query.limit),
  )

  route(router, house, api.bottle.get, ({ params, now }) => bottlePage(db, params.id, now))

  route(router, house, api.bottle.bring, async ({ body, who, now, tx }) => {
    const formula = await formulaRow(db, body.formulaId, tx)
    if (formula.body.additions.length > 0 || formula.body.combine)
      throw new Refusal(422, 'mixed-here', `${formula.body.name} is mixed here: use the scales.`)
    const { family } = formula.body
    await putOnShelf(
      house,
      {
        id: body.id,
        family,
        formulaVersionId: formula.versionId,
        batchId: null,
        fromBottleId: null,
        sizeMl: body.sizeMl,
        ml: body.ml,
        parts: null,
        by: who.id,
        now,
      },
      tx,
    )
    return bottleById(db, body.id, now, tx)
  })

  route(router, house, api.bottle.dilute, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const from = await bottleById(db, params.id, now, tx)
    if (from.retiredAt !== null) throw new Refusal(409, 'retired', `${from.label} is retired. Take another bottle.`)
    if (from.parts !== null) throw new Refusal(422, 'already-diluted', `${from.label} is working strength already. Take a stock bottle.`)
    const [concentrateMl = 0] = dilute({ parts: body.parts, totalMl: body.totalMl })
    requireVolume(from, concentrateMl)
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: from.id,
        kind: 'dilute-out',
        at: now,
        by: who.id,
        ml: -concentrateMl,
        note: `${body.parts.join('+')} to ${body.totalMl} ml`,
      },
      tx,
    )
    const source = await db.one<{ formula_version_id: string; batch_id: string | null }>(
      'select formula_version_id, batch_id from bottle where id = $1',
      [from.id],
      tx,
    )
    if (!source) throw notFound('bottle')
    await putOnShelf(
      house,
      {
        id: body.newId,
        family: from.family,
        formulaVersionId: source.formula_version_id,
        batchId: source.batch_id,
        fromBottleId: from.id,
        sizeMl: body.sizeMl,
        ml: body.totalMl,
        parts: body.parts,
        by: who.id,
        now,
      },
      tx,
    )
    return { from: await bottleById(db, from.id, now, tx), made: await bottleById(db, body.newId, now, tx) }
  })

  route(router, house, api.bottle.combine, async ({ body, who, now, tx }) => {
    const formula = await formulaRow(db, body.formulaId, tx)
    const wanted = formula.body.combine
    if (!wanted || wanted.length !== body.from.length || body.parts.length < body.from.length)
      throw new Refusal(422, 'not-combined', `${formula.body.name} is not poured together from that many parts.`)
    await lockBottles(db, body.from, tx)
    const volumes = dilute({ parts: body.parts, totalMl: body.totalMl })
    const additions: Addition[] = []
    for (const [i, id] of body.from.entries()) {
      const bottle = await bottleById(db, id, now, tx)
      const part = wanted[i]
      const ml = volumes[i] ?? 0
      if (bottle.formulaId !== part?.formulaId)
        throw new Refusal(422, 'wrong-part', `${bottle.label} ${bottle.name} is not part ${part?.part ?? i + 1} of ${formula.body.name}.`)
      if (bottle.retiredAt !== null) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
      requireVolume(bottle, ml)
      const of = await formulaRow(db, bottle.formulaId, tx)
      additions.push(...scaleFormula(usedFormula(of.id, of.body), ml).additions)
      await writeEntry(
        db,
        {
          id: uuid(),
          bottleId: id,
          kind: 'dilute-out',
          at: now,
          by: who.id,
          ml: -ml,
          note: `part ${part.part} of ${body.totalMl} ml ${formula.body.name}`,
        },
        tx,
      )
    }
    const together = { id: 'combined', name: '', family: 'other', finalMl: body.totalMl, startMl: 0, mixC: 20, additions }
    const block = checkFormula(together, await catalogueOf(db, tx)).find(
      (finding) => finding.severity === 'error' && finding.rule.startsWith('never-'),
    )
    if (block) throw new Refusal(422, 'never-meets', `These are not poured together: ${block.message}`)
    await putOnShelf(
      house,
      {
        id: body.newId,
        family: formula.body.family,
        formulaVersionId: formula.versionId,
        batchId: null,
        fromBottleId: body.from[0] ?? null,
        sizeMl: body.sizeMl,
        ml: body.totalMl,
        parts: body.parts,
        by: who.id,
        now,
      },
      tx,
    )
    return bottleById(db, body.newId, now, tx)
  })

  route(router, house, api.bottle.pour, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const bottle = await bottleById(db, params.id, now, tx)
    if (bottle.retiredAt !== null && body.kind !== 'discard')
      throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
    if (body.ml === 0 && body.rolls === 0 && body.paper === 0)
      throw new Refusal(422, 'nothing', 'Say how much, or how many rolls.', { field: 'ml' })
    const takes = body.kind === 'pour-out' || body.kind === 'discard' || body.kind === 'use'
    if (takes) requireVolume(bottle, body.ml)
    else if (bottle.state.volumeMl + body.ml > bottle.sizeMl + 1e-6)
      throw new Refusal(
        409,
        'too-full',
        `${bottle.label} takes ${(bottle.sizeMl - bottle.state.volumeMl).toFixed(0)} ml more, not ${body.ml.toFixed(0)} ml.`,
        { field: 'ml' },
      )
    await writeEntry(
      db,
      {
        id: body.entryId,
        bottleId: bottle.id,
        kind: body.kind,
        at: now,
        by: who.id,
        ml: takes ? -body.ml : body.ml,
        rolls: body.rolls,
        paper: body.paper,
        note: body.note,
      },
      tx,
    )
    return bottlePage(db, bottle.id, now, tx)
  })

  route(router, house, api.bottle.reverse, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const page = await bottlePage(db, params.id, now, tx)
    const entry = page.ledger.find((line) => line.id === params.entryId)
    if (!entry) throw notFound('line of the ledger')
    if (entry.reverses !== null || entry.reversedBy !== null) throw new Refusal(409, 'reversed', 'That line has been taken back already.')
    const broken = brokenBy(
      page.ledger.map((line) => ({ ...line, waterInMl: 0 })),
      entry.id,
    )
    if (broken !== null)
      throw new Refusal(
        409,
        'needed',
        `That line cannot be taken back: the ${broken} after it would have come from nothing. Take that one back first.`,
      )
    await writeEntry(
      db,
      { id: body.newId, bottleId: params.id, kind: 'reverse', at: now, by: who.id, ml: -entry.ml, reverses: entry.id, note: body.reason },
      tx,
    )
    return bottlePage(db, params.id, now, tx)
  })

  route(router, house, api.bottle.retire, async ({ params, body, now, tx }) => {
    const changed = await db.rows(
      'update bottle set retired_at = $3, retired_why = $4, version = version + 1 where id = $1 and version = $2 and retired_at is null returning id',
      [params.id, body.version, new Date(now), body.reason],
      tx,
    )
    if (changed.length === 0) throw stale(await bottleById(db, params.id, now, tx))
    return bottleById(db, params.id, now, tx)
  })
}
