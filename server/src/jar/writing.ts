import { chemicalOf, showMass } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { asSeen, saveSeen } from '../http/changing'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { newLabelCode } from '../label/codes'
import { jarPage, jarRow, lockJar } from './rows'

export const receive: Handler<typeof api.jar.receive> = async ({ db, body: { entryId, grams, ...facts }, who, now }) => {
  chemicalOf(facts.chemical, await catalogueOf(db))
  await db.Jar.create({ ...facts, code: await newLabelCode(db) })
  await db.JarEntry.create({ id: entryId, jarId: facts.id, kind: 'receive', grams, at: now, byPerson: who.id })
  return jarRow(db, facts.id)
}

export const change: Handler<typeof api.jar.change> = async ({ db, params, body: { version, ...facts } }) => {
  await saveSeen(asSeen(db.Jar, { id: params.id, version }).set(facts), version, () => jarRow(db, params.id))
  return jarPage(db, params.id)
}

export const writeLine: Handler<typeof api.jar.write> = async ({ db, params, body, who, now }) => {
  const jar = await lockJar(db, params.id)
  const takes = body.kind !== 'receive'
  if (takes && body.grams > jar.grams + 1e-6)
    throw new Refusal(
      409,
      'not-enough',
      `The jar holds ${showMass(jar.grams)} by its record, not ${showMass(body.grams)}. Write less, or count the jar first.`,
      { field: 'grams', current: jar },
    )
  const line = { id: body.entryId, jarId: jar.id, kind: body.kind, grams: takes ? -body.grams : body.grams, note: body.note }
  await db.JarEntry.create({ ...line, at: now, byPerson: who.id })
  return jarPage(db, jar.id)
}

export const count: Handler<typeof api.jar.count> = async ({ db, params, body, who, now }) => {
  const jar = await lockJar(db, params.id)
  // what was weighed meanwhile would be counted twice
  if (Math.abs(jar.grams - body.expectedG) > 1e-3)
    throw new Refusal(
      409,
      'stale',
      `Someone took from this jar while you counted: its record says ${showMass(jar.grams)} now. Count it again.`,
      { current: jar },
    )
  // a count that agrees is a line too: the jar was seen
  const line = { id: body.entryId, jarId: jar.id, kind: 'correct' as const, grams: body.grams - jar.grams, note: body.reason }
  await db.JarEntry.create({ ...line, at: now, byPerson: who.id })
  return jarPage(db, jar.id)
}
