import { chemicalOf, decideCount, decideJarLine } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { asSeen, saveSeen } from '../http/changing'
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
  await db.JarEntry.create({ ...decideJarLine(jar, body), jarId: jar.id, at: now, byPerson: who.id })
  return jarPage(db, jar.id)
}

export const count: Handler<typeof api.jar.count> = async ({ db, params, body, who, now }) => {
  const jar = await lockJar(db, params.id)
  await db.JarEntry.create({ ...decideCount(jar, body), jarId: jar.id, at: now, byPerson: who.id })
  return jarPage(db, jar.id)
}
