import { emergenceAgainst, trayRoles, type Drum, type PaperBase } from '@selvrin/core'
import type { Tray, TrayFill, TrayLine } from '@selvrin/core/contract'
import { bottlesById } from '../bottle/rows'
import { drumsOf } from '../bottle/waste'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Database, Row } from '../table/database'

/** passes that are told with a line */
const shownPasses = 40

export const trayRow = ({ id, version, body }: Row<'Tray'>): Tray => ({ id, version, ...body })

/** Trays of the house. */
export const trayRows = async (db: Database): Promise<Tray[]> =>
  (await db.Tray.findAll({ where: { goneAt: null }, order: ['id'] })).map(trayRow)

/** What stands in the trays of a line now, in the order in which prints go through them. */
export async function standingFills(db: Database, lineId: string): Promise<Row<'TrayFill'>[]> {
  const fills = await db.TrayFill.findAll({ where: { lineId, emptiedAt: null }, order: ['id'] })
  return fills.sort((a, b) => trayRoles.indexOf(a.role) - trayRoles.indexOf(b.role))
}

/** Readings of how late tones come up, against the first of the same paper in the same tray, both at 20 °C. */
async function emergencesOf(db: Database, fillIds: string[]): Promise<Map<string, TrayFill['emergence']>> {
  const rows = await db.Emergence.findAll({ where: { fillId: fillIds }, order: ['seq'], raw: true })
  const papers = new Map((await db.Paper.findAll({ where: { id: rows.map((one) => one.paperId) } })).map((one) => [one.id, one.body.name]))
  const all = new Map<string, TrayFill['emergence']>()
  for (const { fillId, paperId, at, seconds, celsius } of rows) {
    const first = rows.find((one) => one.fillId === fillId && one.paperId === paperId) ?? { seconds, celsius }
    const ratio = emergenceAgainst(first, { seconds, celsius })
    all.set(fillId, [...(all.get(fillId) ?? []), { at, seconds, celsius, paper: papers.get(paperId) ?? '', ratio }])
  }
  return all
}

/** 8×10 in equivalents that went through since a tray was filled. */
const through = (passes: Row<'LinePass'>[], base: PaperBase, since: number): number =>
  passes.reduce((sum, one) => sum + (one.base === base && one.backAt === null && one.at >= since ? one.equivalents : 0), 0)

async function fillRows(db: Database, line: Row<'TrayLine'>, passes: Row<'LinePass'>[], now: number): Promise<TrayFill[]> {
  const fills = await standingFills(db, line.id)
  const trays = new Map((await db.Tray.findAll({ where: { id: fills.map((one) => one.trayId) } })).map((one) => [one.id, trayRow(one)]))
  const bottles = await bottlesById(
    db,
    fills.flatMap((one) => one.bottleId ?? []),
    now,
  )
  const drums: Map<string, Drum | null> = await drumsOf(
    db,
    bottles.map(({ id, family }) => ({ bottleId: id, family })),
  )
  const readings = await emergencesOf(
    db,
    fills.map((one) => one.id),
  )
  return fills.flatMap(({ id, role, trayId, bottleId, ml, at }) => {
    const tray = trays.get(trayId)
    if (!tray) return []
    const bottle = bottles.find((one) => one.id === bottleId)
    const { volumeMl, used, aged, acidUsed, findings, twoBath } = bottle?.state ?? {}
    return [
      {
        ...{ id, role, tray, ml: volumeMl ?? ml, at, rc: through(passes, 'rc', at), fibre: through(passes, 'fibre', at) },
        bottle: bottle
          ? {
              ...{ id: bottle.id, label: bottle.label, name: bottle.name, parts: bottle.parts, retiredAt: bottle.retiredAt },
              state: {
                ...{ volumeMl: volumeMl ?? 0, used: used ?? 0, aged: aged ?? 0, acidUsed: acidUsed ?? null },
                ...{ findings: findings ?? [], twoBath: twoBath ?? null },
              },
              drum: drums.get(bottle.id) ?? null,
            }
          : null,
        emergence: readings.get(id) ?? [],
      },
    ]
  })
}

/** A line as it stands, with what went through it. */
export async function lineRow(db: Database, id: string, now: number): Promise<TrayLine> {
  const row = await db.TrayLine.findByPk(id, { include: [withName('opener')] })
  if (!row) throw notFound('tray line')
  const passes = await db.LinePass.findAll({ where: { lineId: id }, include: [withName()], order: [['seq', 'desc']] })
  const { version, number, base, celsius, widthCm, heightCm, openedAt, closedAt } = row
  return {
    ...{ id, version, number, base, celsius, widthCm, heightCm, openedAt, openedBy: nameOf(row.opener), closedAt },
    fills: await fillRows(db, row, passes, now),
    passes: passes.slice(0, shownPasses).map((one) => ({
      ...{ id: one.id, at: one.at, by: nameOf(one.by), base: one.base, equivalents: one.equivalents, what: one.what },
      back: one.backAt !== null,
    })),
    equivalents: through(passes, 'rc', 0) + through(passes, 'fibre', 0),
  }
}

/** The line that stands open, if one does. */
export const openLine = (db: Database, { lock = false } = {}): Promise<Row<'TrayLine'> | null> =>
  db.TrayLine.findOne({ where: { closedAt: null }, lock })

/** A line that is open, locked: two who change it wait for each other. */
export async function lockLine(db: Database, id: string): Promise<Row<'TrayLine'>> {
  const row = await db.TrayLine.findByPk(id, { lock: true })
  if (!row) throw notFound('tray line')
  if (row.closedAt !== null) throw new Refusal(409, 'line-closed', 'That tray line is closed. Set up another.')
  return row
}
