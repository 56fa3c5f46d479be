import { decideFilling, decidePairing, fillOf, useInTray, type PaperBase, type TrayFilling } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { offspring } from '../bottle/decant'
import { lockBottles } from '../bottle/ledger'
import { bottleById, openBottles } from '../bottle/rows'
import { writeDecided } from '../bottle/write'
import { notFound, Refusal } from '../house/refusal'
import type { Database } from '../table/database'

interface Filled {
  lineId: string
  base: PaperBase
  /** cm */
  widthCm: number
  heightCm: number
  twoBaths: boolean
  by: string
  now: number
}

/** A tray the paper lies flat in, and that holds so much. */
async function requireFits(db: Database, { trayId, ml }: TrayFilling, paper: Filled): Promise<void> {
  const tray = await db.Tray.findByPk(trayId)
  if (!tray || tray.goneAt !== null) throw notFound('tray')
  const { name, widthCm, heightCm } = tray.body
  if (fillOf(tray.body, paper) === null)
    throw new Refusal(
      422,
      'too-small',
      `${name} is ${widthCm} × ${heightCm} cm inside: paper of ${paper.widthCm} × ${paper.heightCm} cm does not lie in it.`,
      { field: 'fills' },
    )
  if (ml > widthCm * heightCm * deepestCm)
    throw new Refusal(422, 'too-full', `${name} does not hold ${Math.round(ml)} ml: it would run over.`, { field: 'fills' })
  const taken = await db.TrayFill.findOne({ where: { trayId, emptiedAt: null } })
  if (taken) throw new Refusal(409, 'tray-taken', `${name} is filled already. Empty it first.`, { field: 'fills' })
}
/** a tray is filled so high at the most, cm */
const deepestCm = 6

/** What is made out of a bottle has of it what its liquid has, and is used as prints need it. */
async function made(db: Database, from: Bottle, { role }: TrayFilling, { base, twoBaths }: Filled) {
  const use = useInTray(from.use, { role, base, twoBaths })
  return { ...(await offspring(db, from)), ownUse: use === from.use && !from.ownUse ? null : use, container: 'tray' as const }
}

/** Fills a tray out of its bottle. Answers the bottle that stands in it; null for water. */
export async function fillTray(db: Database, filling: TrayFilling, filled: Filled): Promise<string | null> {
  const { lineId, by, now } = filled
  await requireFits(db, filling, filled)
  const { from } = filling
  const bottle = from.way === 'water' ? null : await lockedBottle(db, from.bottleId, now)
  const decided = decideFilling(bottle, filling)
  if (bottle) {
    const like = from.way === 'whole' ? {} : { like: await made(db, bottle, filling, filled) }
    await writeDecided(db, decided, { by, now, bottles: [bottle], ...like })
  }
  const bottleId = from.way === 'water' ? null : from.way === 'whole' ? from.bottleId : from.newId
  const { id, trayId, role, ml } = filling
  if (bottleId !== null && (await db.TrayFill.findOne({ where: { bottleId, emptiedAt: null } })))
    throw new Refusal(409, 'bottle-taken', `${bottle?.label ?? 'That bottle'} stands in a tray already.`, { field: 'fills' })
  await db.TrayFill.create({ id, lineId, trayId, role, bottleId, ml, at: now, byPerson: by })
  return bottleId
}

async function lockedBottle(db: Database, id: string, now: number): Promise<Bottle> {
  await lockBottles(db, [id])
  return bottleById(db, id, now)
}

/** Two fixers become a pair, each with its mark; two that are one already stay as they are. */
export async function pairFixers(db: Database, ids: [string, string], { by, now }: Pick<Filled, 'by' | 'now'>): Promise<void> {
  const [first, second] = (await openBottles(db, ids, now)).map((one) => one.bottle) as [Bottle, Bottle]
  if (first.state.twoBath?.position === 1 && second.state.twoBath?.position === 2) return
  await writeDecided(db, decidePairing(first, second, now), { by, now, bottles: [first, second] })
}
