import { dayMs, developsFirst, seeded, throughputFrom } from '@selvrin/core'
import { newLabelCode } from '../label/codes'
import type { Database } from '../table/database'
import type { Season } from './seasonBook'

interface Known {
  staff: string[]
  /** a member who has led runs of their own films lately */
  leads: string
  versionIds: Record<string, string>
  shelfIds: Record<string, string>
  today: number
}

/** Writes a season down as its technicians would have: runs with their films, then bottles with their tests and ledgers. */
export async function writeSeason(db: Database, season: Season, known: Known): Promise<void> {
  const random = seeded(7)
  const someone = () => known.staff[Math.floor(random() * known.staff.length)] ?? ''
  const led = new Set(season.runs.filter((run) => run.request.films.every((film) => film.memberId === known.leads)).slice(-2))
  for (const run of season.runs) {
    const by = someone()
    await writeRun(db, run, { by: led.has(run) ? known.leads : by, today: known.today }, random)
  }
  for (const bottle of season.bottles) await writeBottle(db, season, bottle, known, someone())
}

async function writeRun(
  db: Database,
  run: Season['runs'][number],
  { by, today }: { by: string; today: number },
  random: () => number,
): Promise<void> {
  const { id, number, plan, request, at, developer } = run
  const developing = plan.steps.find(developsFirst)?.seconds ?? 0
  const endedAt = at + plan.steps.reduce((sum, step) => sum + step.seconds * 1000, 0)
  const times = { plannedAt: at - 900_000, startedAt: at, endedAt }
  await db.Run.create({ id, number, state: 'done', plan, request, plannedBy: by, ...times })
  await db.Roll.bulkCreate(
    request.films.map(({ id: filmId, memberId, film, format, ei }, i) => {
      const judged = random()
      // one pair has been too hard for a while, and its charted time may be shorter
      const hard = film === 'Ebbtide 125' && developer.startsWith('Strong aminophenol') && judged < 0.8
      return {
        id: filmId,
        runId: id,
        memberId,
        film,
        format,
        ei,
        developer,
        developedS: Math.round(developing),
        temperatureC: request.temperatureC,
        at: endedAt,
        result: hard ? 'dense' : judged < 0.6 ? 'right' : judged < 0.68 ? 'thin' : judged < 0.76 ? 'dense' : null,
        contrast: hard ? 'hard' : judged < 0.7 ? 'right' : null,
        note: judged < 0.04 ? 'a little dust in the sky' : '',
        faults: judged > 0.97 ? ['clear-spots'] : [],
        reel: i + 1,
        ...put(endedAt, today, `${number}-${i + 1}`, i),
      }
    }),
  )
}

/** Where a film is by now: it hangs for an evening, waits in its sleeve for some days, and is handed back. */
function put(hungAt: number, today: number, sleeve: string, i: number) {
  const hung = { wiping: 'none' as const, dryer: 'air' as const, hungAt }
  if (today - hungAt < dayMs / 2) return { ...hung, hanger: i + 1 }
  const sleevedAt = hungAt + dayMs
  const handedAt = hungAt + 6 * dayMs
  return { ...hung, cut: 6, sleeve, sleevedAt, ...(handedAt < today ? { handedAt } : {}) }
}

async function writeBottle(db: Database, season: Season, bottle: Season['bottles'][number], known: Known, by: string): Promise<void> {
  const formulaVersionId = known.versionIds[bottle.formula] ?? ''
  const { id, letter, number, batchId, fromId, sizeMl, parts, madeAt, ownUse, retiredAt, retiredWhy } = bottle
  if (parts === null && batchId) await db.Batch.create({ id: batchId, formulaVersionId, madeAt, madeBy: by, ph: bottle.ph })
  const stands = { shelfId: known.shelfIds[bottle.shelf] ?? null, ownUse: ownUse ?? null, retiredAt, retiredWhy }
  const made = { formulaVersionId, batchId, fromBottleId: fromId, sizeMl, parts, madeAt, madeBy: by }
  await db.Bottle.create({ id, letter, number, code: await newLabelCode(db), ...made, ...stands })
  await db.Proof.bulkCreate(
    season.proofs
      .filter((one) => one.bottle === bottle)
      .map(({ bottle: _same, ...proof }) => ({ ...proof, byPerson: by, bottleId: id, batchId })),
  )
  const lines = [...bottle.entries].sort((a, b) => a.at - b.at)
  await db.BottleEntry.bulkCreate(lines.map((entry) => ({ ...entry, throughput: throughputFrom(entry), bottleId: id, byPerson: by })))
}
