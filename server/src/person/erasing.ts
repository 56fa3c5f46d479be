import { cast, col, Op, where, type FindOptions, type Model, type ModelStatic } from 'sequelize'
import { nameOf } from '../house/left'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { forgetChecker, forgetInRequests } from './queries'

type Kept = Record<string, unknown>[]

type Traces = [what: string, model: ModelStatic<Model>, column: string, order: string][]
/** Rows of the print room that say by whom. */
const tracesInPrints = (db: Database): Traces => [
  ['boxes of paper brought', db.PaperBox, 'madeBy', 'madeAt'],
  ['sheets of paper drawn', db.PaperEntry, 'byPerson', 'at'],
  ['prints begun', db.Sheet, 'byPerson', 'at'],
  ['prints exposed', db.PrintTry, 'byPerson', 'at'],
  ['strips of the swatch book', db.Swatch, 'byPerson', 'at'],
  ['hand-coated prints begun', db.Coated, 'byPerson', 'at'],
  ['what was done with hand-coated prints', db.CoatedAct, 'byPerson', 'at'],
  ['calibrations', db.Calibration, 'byPerson', 'at'],
  ['calibrations taken back', db.Calibration, 'takenBackBy', 'takenBackAt'],
  ['tray lines set up', db.TrayLine, 'openedBy', 'openedAt'],
  ['tray lines closed', db.TrayLine, 'closedBy', 'closedAt'],
  ['trays filled', db.TrayFill, 'byPerson', 'at'],
  ['prints through trays', db.LinePass, 'byPerson', 'at'],
  ['prints through trays taken back', db.LinePass, 'backBy', 'backAt'],
  ['emergences read', db.Emergence, 'byPerson', 'at'],
]

/** Rows that say by whom: what they are, the column that does, and their order. What is kept of a person in them is what they did. */
const tracesIn = (db: Database): Traces => [
  ...tracesInPrints(db),
  ['formula versions', db.FormulaVersion, 'changedBy', 'changedAt'],
  ['mixes', db.Mix, 'startedBy', 'startedAt'],
  ['mixes weighed', db.Mix, 'handPerson', 'startedAt'],
  ['training given', db.Training, 'byPerson', 'seq'],
  ['training stood in for', db.TrainingPresence, 'byPerson', 'at'],
  ['steps of mixes', db.MixEvent, 'byPerson', 'at'],
  ['batches', db.Batch, 'madeBy', 'madeAt'],
  ['lines of jars', db.JarEntry, 'byPerson', 'at'],
  ['bottles made', db.Bottle, 'madeBy', 'madeAt'],
  ['lines of bottles', db.BottleEntry, 'byPerson', 'at'],
  ['runs planned', db.Run, 'plannedBy', 'plannedAt'],
  ['orders written down', db.FilmOrder, 'handedBy', 'handedAt'],
  ['changes of orders', db.OrderChange, 'byPerson', 'at'],
  ['changes of evenings', db.EveningChange, 'byPerson', 'at'],
  ['tasks of evenings', db.EveningTick, 'byPerson', 'at'],
  ['keys of walls', db.WallKey, 'byPerson', 'at'],
  ['spreads asked for', db.Weeks, 'askedBy', 'askedAt'],
  ['faults reported', db.Fault, 'byPerson', 'at'],
  ['faults closed', db.Fault, 'closedBy', 'closedAt'],
  ['permissions given', db.Permission, 'givenBy', 'givenAt'],
  ['events of runs', db.RunEvent, 'byPerson', 'at'],
  ['versions of processes', db.ProcessVersion, 'changedBy', 'changedAt'],
  ['kits begun', db.KitSet, 'begunBy', 'begunAt'],
  ['rows of the chart', db.ChartRow, 'byPerson', 'id'],
  ['chart rows tried', db.ChartRow, 'triedBy', 'triedAt'],
  ['tests', db.Proof, 'byPerson', 'at'],
  ['tests taken back', db.ProofTakenBack, 'byPerson', 'at'],
  ['marks cleared', db.RollMark, 'clearedBy', 'at'],
  ['places at enlargers booked', db.PrintPlace, 'byPerson', 'at'],
  ['places at enlargers given back', db.PrintPlace, 'takenBackBy', 'takenBackAt'],
  ['drums made', db.Drum, 'madeBy', 'madeAt'],
  ['lines of drums', db.DrumEntry, 'byPerson', 'at'],
  ['lines of what went down the drain', db.DrainEntry, 'byPerson', 'at'],
  ['collections arranged', db.Pickup, 'byPerson', 'at'],
  ['receipts attached', db.PickupReceipt, 'byPerson', 'at'],
  ['silver recovered', db.Recovery, 'byPerson', 'at'],
  ['checks of what keeps people safe', db.FixtureCheck, 'byPerson', 'at'],
  ['spills written down', db.Incident, 'byPerson', 'writtenAt'],
  ['spill kits refilled', db.Incident, 'refilledBy', 'refilledAt'],
  ['spills struck out', db.Incident, 'struckBy', 'struckAt'],
  ['waste', db.WasteEntry, 'byPerson', 'at'],
  ['imports', db.Import, 'byPerson', 'at'],
  ['chemicals', db.Chemical, 'changedBy', 'changedAt'],
  ['safety sheets attached', db.JarSheet, 'byPerson', 'at'],
]

/** Rows as plain values; files themselves are no data about a person. */
const plain = async (model: ModelStatic<Model>, options: FindOptions): Promise<Kept> =>
  (await model.findAll({ ...options, attributes: options.attributes ?? { exclude: ['bytes'] }, raw: true })) as never

/** Runs a person's films were in: when they were, and how they ended. */
async function runsWith(db: Database, memberId: string): Promise<Kept> {
  const runs = await db.Run.findAll({
    attributes: ['id', 'number', 'state', 'plannedAt', 'startedAt', 'endedAt'],
    include: [{ association: 'rolls', attributes: ['id'], where: { memberId } }],
    order: ['number'],
  })
  return runs.map(({ number, state, plannedAt, startedAt, endedAt }) => ({ number, state, plannedAt, startedAt, endedAt }))
}

/** Everything that is kept of a person beside their films, by what it is. */
export async function keptOf(db: Database, id: string): Promise<Record<string, Kept>> {
  const ofFilms = { include: { association: 'roll', attributes: [], where: { memberId: id }, required: true } }
  const kept: Record<string, Kept> = {
    notices: await plain(db.Notice, { attributes: ['id', 'at', 'text', 'readAt'], where: { personId: id }, order: ['at'] }),
    sessions: await plain(db.Session, { attributes: ['createdAt', 'seenAt', 'expiresAt'], where: { personId: id }, order: ['createdAt'] }),
    'marks on films': await plain(db.RollMark, { attributes: ['at', 'text', 'helps', 'clearedAt', 'cleared'], ...ofFilms, order: ['at'] }),
    practices: await plain(db.Practice, {
      attributes: ['at', 'processVersionId', 'practised', 'loading', 'findings', 'score', 'clean'],
      where: { personId: id },
      order: ['at'],
    }),
    'rounds with the trainer of casts': await plain(db.CastRound, { where: { personId: id }, order: ['at'] }),
    training: await plain(db.Training, { attributes: { exclude: ['byPerson'] }, where: { personId: id }, order: ['seq'] }),
    'technicians who stood in': await plain(db.TrainingPresence, {
      attributes: { exclude: ['byPerson'] },
      where: { personId: id },
      order: ['at'],
    }),
    permissions: await plain(db.Permission, { attributes: { exclude: ['givenBy'] }, where: { personId: id }, order: ['givenAt'] }),
    'where they are written to': await plain(db.MailWish, { where: { personId: id } }),
    letters: await plain(db.Letter, { attributes: ['text', 'at', 'sentAt'], where: { personId: id }, order: ['at'] }),
    'addresses of calendars': await plain(db.CalendarKey, {
      attributes: ['name', 'whose', 'at', 'revokedAt'],
      where: { personId: id },
      order: ['at'],
    }),
    'places at enlargers': await plain(db.PrintPlace, { where: { personId: id }, order: ['fromAt'] }),
    orders: await plain(db.FilmOrder, { where: { memberId: id }, order: ['number'] }),
    prints: await plain(db.Sheet, { where: { memberId: id }, order: ['number'] }),
    'hand-coated prints': await plain(db.Coated, { where: { memberId: id }, order: ['number'] }),
    'runs with their films': await runsWith(db, id),
  }
  for (const [what, model, column, order] of tracesIn(db)) kept[what] = await plain(model, { where: { [column]: id }, order: [order] })
  return kept
}

/** Text as a pattern that means itself. */
const literally = (text: string): string => text.replace(/[\\%_]/g, (sign) => `\\${sign}`)

/** Takes a person's name out of everything that was written down with it, before the person goes. Lines stay; whose they were does not. */
export async function takeNameOut(db: Database, { id, name, login }: { id: string; name: string; login: string }): Promise<void> {
  await forgetChecker(db, id)
  // answers kept for repeated requests hold names as they were shown
  const said = (text: string) => where(cast(col('answer'), 'text'), { [Op.like]: `%${literally(text)}%` })
  await db.Idempotency.destroy({ where: { [Op.or]: [{ personId: id }, said(JSON.stringify(name).slice(1, -1)), said(id)] } })
  await forgetInRequests(db, id)
  await changeAll(db.Pickup, { handedBy: nameOf(null) }, { handedBy: name })
  await db.SignInAttempt.destroy({ where: { key: { [Op.or]: [{ [Op.like]: `pair:${literally(login)} %` }, `name:${login}`] } } })
}
