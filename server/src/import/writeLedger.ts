import { testMarkOf, markOf, type Reading, type TestKind, type TestMark } from '@selvrin/core'
import type { CreationAttributes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { nextLabel } from '../bottle/labels'
import { lockBottles, writeEntries } from '../bottle/ledger'
import { bottleById } from '../bottle/rows'
import { notFound, Refusal } from '../house/refusal'
import { newLabelCodes } from '../label/codes'
import { takeCodes } from '../label/queries'
import { zoneOf } from '../darkroom/zone'
import { judgedOf } from '../proof/writing'
import type { Database, Row } from '../table/database'
import { retireByLedger } from './queries'
import type { Rows, Write } from './write'

type BottleBody = Rows<'bottles'>[number]['body']

/** A code for every bottle: its own, or a new one. */
async function codesFor(db: Database, bodies: BottleBody[]): Promise<string[]> {
  const wanted = bodies.flatMap((body) => body.code ?? [])
  const free = new Set(await takeCodes(db, wanted))
  const taken = wanted.find((code) => !free.has(code))
  if (taken !== undefined) throw new Refusal(409, 'exists', `The code ${taken} is on another label here. Leave it out for a new one.`)
  const codes = await newLabelCodes(db, bodies.length - wanted.length)
  return bodies.map((body) => body.code ?? codes.pop() ?? '')
}

/** The newest version of each formula that is named. */
async function newestOf(db: Database, formulaIds: string[]) {
  const versions = await db.FormulaVersion.findAll({ where: { formulaId: formulaIds }, order: [['number', 'asc']], raw: true })
  return new Map(versions.map(({ formulaId, id, body }) => [formulaId, { versionId: id, family: body.family }]))
}

/** New bottles, empty until their ledger comes; stock belongs to the batch it names, or to one of its own. */
export async function writeBottles({ db, by }: Write, rows: Rows<'bottles'>): Promise<number> {
  const codes = await codesFor(
    db,
    rows.map((row) => row.body),
  )
  const formulas = await newestOf(db, [...new Set(rows.map((row) => row.body.formulaId))])
  const next = new Map<string, number>()
  const bottles: CreationAttributes<Row<'Bottle'>>[] = []
  const batches = new Map<string, CreationAttributes<Row<'Batch'>>>()
  for (const [i, { id, body }] of rows.entries()) {
    const formula = formulas.get(body.formulaId)
    if (!formula) throw notFound('formula')
    const { letter } = markOf(formula.family)
    const number = next.get(letter) ?? (await nextLabel(db, formula.family)).number
    next.set(letter, number + 1)
    const batchId = body.parts === null ? (body.batchId ?? uuid()) : null
    const { sizeMl, parts, madeAt, ph, shelfId, ownUse, retired } = body
    const end = { retiredAt: retired?.at ?? null, retiredWhy: retired?.why ?? null }
    const made = { formulaVersionId: formula.versionId, madeAt, madeBy: by }
    bottles.push({ id, letter, number, code: codes[i] ?? '', ...made, batchId, sizeMl, parts, shelfId, ownUse, ...end })
    const earliest = batchId === null ? undefined : batches.get(batchId)
    if (batchId !== null && (earliest === undefined || madeAt < earliest.madeAt))
      batches.set(batchId, { id: batchId, ...made, ph, note: 'imported' })
  }
  await db.Batch.bulkCreate([...batches.values()], { ignoreDuplicates: true })
  await db.Bottle.bulkCreate(bottles)
  return rows.length
}

/** What a technician said against a failed test, as the mark it left. */
const overruling = (kind: TestKind | null, reason: string): TestMark | null =>
  kind === null
    ? null
    : { kind, verdict: 'failed', rule: 'overruled', reason, reading: null, reference: null, fixS: null, againAt: null, overruled: reason }

/**
 * Lines in the order of their time; one whose id is here already is passed over. Answers how many were written. A bottle that a line retires, and
 * that no later line brings back, is retired. A ledger that would fall below zero is refused by the database.
 */
export async function writeLedger({ db, by }: Write, rows: Rows<'ledger'>): Promise<number> {
  const bottleIds = [...new Set(rows.map((row) => row.body.bottleId))]
  await lockBottles(db, bottleIds)
  const here = await db.BottleEntry.findAll({ attributes: ['id'], where: { id: rows.map((row) => row.id) }, raw: true })
  const known = new Set(here.map((one) => one.id))
  const fresh = rows.filter((row) => !known.has(row.id)).sort((a, b) => a.body.at - b.body.at)
  await db.BottleEntry.bulkCreate(
    fresh.map(({ id, body: { what, overrules, ...body } }) => ({
      ...body,
      id,
      kind: what,
      test: overruling(overrules, body.note),
      byPerson: by,
    })),
    { returning: false },
  )
  await retireByLedger(db, bottleIds)
  return fresh.length
}

const readingOf = (body: Rows<'tests'>[number]['body']): Reading => ({
  ...(body.look === null ? {} : { look: body.look }),
  ...(body.value === null ? {} : { value: body.value }),
  ...(body.freshBeside === null ? {} : { fresh: body.freshBeside }),
  ...(body.celsius === null ? {} : { celsius: body.celsius }),
  ...(body.slowClearing === null ? {} : { slowClearing: body.slowClearing }),
  ...(body.base === null ? {} : { base: body.base }),
  ...(body.doubtful === null ? {} : { doubtful: body.doubtful }),
  ...(body.approximate ? { approximate: true } : {}),
})

/** Tests in the order of their time, judged anew against what is fresh here. Answers how many were written. */
export async function writeTests({ db, by }: Write, rows: Rows<'tests'>): Promise<number> {
  await lockBottles(db, [...new Set(rows.map((row) => row.body.bottleId))])
  const zone = await zoneOf(db)
  const here = await db.Proof.findAll({ attributes: ['id'], where: { id: rows.map((row) => row.id) }, raw: true })
  const known = new Set(here.map((one) => one.id))
  const wanted = rows.filter((row) => !known.has(row.id)).sort((a, b) => a.body.at - b.body.at)
  for (const { id, body } of wanted) {
    const { bottleId, test: kind, at, note } = body
    const bottle = await bottleById(db, bottleId, at)
    const reading = readingOf(body)
    const fresh = body.fresh && body.value !== null && bottle.batchId !== null
    const { judgement, from } = await judgedOf(db, bottle, { kind, reading, fresh })
    const facts = { id, kind, bottleId, batchId: bottle.batchId, fresh, reading, judgement, rollsPerL: bottle.state.rollsPerL, note }
    await db.Proof.create({ ...facts, at, byPerson: by }, { returning: false })
    const test = testMarkOf(kind, reading, judgement, from, { at, zone })
    const line = { id: uuid(), bottleId, kind: 'test' as const, at, by, ml: 0, proofId: id, note: judgement.reason, test }
    await writeEntries(db, [line], { past: true })
  }
  return wanted.length
}
