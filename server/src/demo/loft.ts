import { dayMs } from '@selvrin/core'
import type { ChartRow, Vessel } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { newLabelCodes } from '../label/codes'
import type { Database } from '../table/database'
import { demoFormulas } from './formulas'
import { members, technicians } from './people'
import { demoShelves } from './seasonFacts'
import { demoBath, demoLamp, demoChart, demoDevices, demoJars, demoPattern, demoVessels } from './stock'

const day = dayMs

export async function people(db: Database, passwordHash: string, today: number): Promise<string[]> {
  const rows = [...technicians, ...members].map(({ name, login }, i) => {
    const createdAt = today - (400 - i * 20) * day
    const role = i < technicians.length ? ('technician' as const) : ('member' as const)
    return { id: uuid({ msecs: createdAt }), name, login, role, passwordHash, createdAt }
  })
  await db.Person.bulkCreate(rows)
  return rows.map((row) => row.id)
}

/** Members are written to, by night as well: what the demo sends is seen at once. */
export const mailWishes = (db: Database): Promise<unknown> =>
  db.Person.findAll({ attributes: ['id', 'login'], where: { role: 'member' }, raw: true }).then((rows) =>
    db.MailWish.bulkCreate(
      rows.map(({ id: personId, login }) => ({ personId, address: `${login}@tidewheel.example`, quietFrom: '00:00', quietUntil: '00:00' })),
    ),
  )

export async function formulaRows(
  db: Database,
  by: string,
  today: number,
): Promise<{ ids: Record<string, string>; versionIds: Record<string, string> }> {
  const ids: Record<string, string> = {}
  const versionIds: Record<string, string> = {}
  const changedAt = today - 300 * day
  for (const [key, written] of Object.entries(demoFormulas)) {
    // a formula of parts names them by their keys here
    const body = written.combine
      ? { ...written, combine: written.combine.map((part) => ({ ...part, formulaId: ids[part.formulaId] ?? part.formulaId })) }
      : written
    const id = (ids[key] = uuid({ msecs: changedAt }))
    const versionId = (versionIds[key] = uuid({ msecs: changedAt }))
    await db.Formula.create({ id })
    await db.FormulaVersion.create({ id: versionId, formulaId: id, number: 1, body, changedBy: by, changedAt })
  }
  return { ids, versionIds }
}

export async function jars(db: Database, by: string, today: number): Promise<void> {
  const codes = await newLabelCodes(db, demoJars.length)
  const rows = demoJars.map(([chemical, grams, place, pricePerKg, more], i) => ({
    id: uuid({ msecs: today - (200 - i) * day }),
    code: codes[i] ?? '',
    chemical,
    lot: `26-${String.fromCharCode(65 + (i % 6))}`,
    place,
    openedAt: today - (120 - i) * day,
    pricePerKg,
    assay: more?.assay ?? null,
    reorderG: more?.reorderG ?? null,
    spoonG: more?.spoonG ?? null,
    grams,
  }))
  await db.Jar.bulkCreate(rows)
  const line = { kind: 'receive' as const, byPerson: by }
  await db.JarEntry.bulkCreate(rows.map(({ id: jarId, grams }, i) => ({ ...line, id: uuid(), jarId, grams, at: today - (200 - i) * day })))
}

export async function vesselRows(db: Database): Promise<Vessel[]> {
  const rows: Vessel[] = demoVessels.map((vessel) => ({ id: uuid(), version: 1, carryMl: null, reels: vessel.coversMl.length, ...vessel }))
  await db.Vessel.bulkCreate(rows)
  return rows
}

export async function chartRows(db: Database, formulaIds: Record<string, string>, by: string): Promise<ChartRow[]> {
  const rows = demoChart.flatMap(([film, formula, parts, ei, times, source]) =>
    times.map(([temperatureC, minutes]): ChartRow => ({
      id: uuid(),
      film,
      formulaId: formulaIds[formula] ?? '',
      parts,
      ei,
      temperatureC,
      seconds: minutes * 60,
      source,
      note: '',
      by: '',
      version: 1,
      tried: null,
    })),
  )
  await db.ChartRow.bulkCreate(rows.map(({ by: _nobody, tried: _no, ...row }) => ({ ...row, byPerson: by })))
  return rows
}

export async function shelves(db: Database): Promise<Record<string, string>> {
  const ids: Record<string, string> = {}
  for (const [key, shelf] of Object.entries(demoShelves)) {
    const id = (ids[key] = uuid())
    await db.Shelf.create({ id, ...shelf })
  }
  return ids
}

export async function devices(db: Database, today: number): Promise<void> {
  const like = { host: '127.0.0.1', pattern: demoPattern, simulated: true }
  await db.Device.bulkCreate(
    demoDevices.map(({ kind, name, port, calibration }) => ({
      ...like,
      id: uuid(),
      kind,
      name,
      port,
      calibration: calibration === null ? null : { ...calibration, points: [...calibration.points], at: today - 4 * day },
    })),
  )
  await db.Device.create({ ...like, ...demoBath, kind: 'bath', id: uuid() })
  await db.Device.create({ ...like, ...demoLamp, kind: 'lamp', id: uuid() })
}
