import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'

/** Tables whose lines say by whom, and the column that does. What is kept of a person in them is what they did. */
const traces: [what: string, table: string, column: string, order: string][] = [
  ['formula versions', 'formula_version', 'changed_by', 'changed_at'],
  ['mixes', 'mix', 'started_by', 'started_at'],
  ['steps of mixes', 'mix_event', 'by_person', 'at'],
  ['batches', 'batch', 'made_by', 'made_at'],
  ['lines of jars', 'jar_entry', 'by_person', 'at'],
  ['bottles made', 'bottle', 'made_by', 'made_at'],
  ['lines of bottles', 'bottle_entry', 'by_person', 'at'],
  ['runs planned', 'run', 'planned_by', 'planned_at'],
  ['events of runs', 'run_event', 'by_person', 'at'],
  ['rows of the chart', 'chart_row', 'by_person', 'id'],
  ['chart rows tried', 'chart_row', 'tried_by', 'tried_at'],
  ['tests', 'proof', 'by_person', 'at'],
  ['tests taken back', 'proof_taken_back', 'by_person', 'at'],
  ['marks cleared', 'roll_mark', 'cleared_by', 'at'],
  ['waste', 'waste_entry', 'by_person', 'at'],
  ['imports', 'import', 'by_person', 'at'],
  ['chemicals', 'chemical', 'changed_by', 'changed_at'],
  ['safety sheets attached', 'jar_sheet', 'by_person', 'at'],
]
/** files themselves are no data about a person */
const left = ['bytes']

/** Everything that is kept of a person beside their films, by what it is. */
export async function keptOf(db: Database, id: string): Promise<Record<string, Record<string, unknown>[]>> {
  const kept: Record<string, Record<string, unknown>[]> = {
    notices: await db.rows('select id, at, text, read_at from notice where person_id = $1 order by at', [id]),
    sessions: await db.rows('select created_at, seen_at, expires_at from session where person_id = $1 order by created_at', [id]),
    'marks on films': await db.rows(
      'select m.at, m.text, m.helps, m.cleared_at, m.cleared from roll_mark m join roll o on o.id = m.roll_id where o.member_id = $1 order by m.at',
      [id],
    ),
    'runs with their films': await db.rows(
      'select distinct r.number, r.state, r.planned_at, r.started_at, r.ended_at from run r join roll o on o.run_id = r.id where o.member_id = $1 order by r.number',
      [id],
    ),
  }
  for (const [what, table, column, order] of traces) {
    const rows = await db.rows<Record<string, unknown>>(`select * from ${table} where ${column} = $1 order by ${order}`, [id])
    kept[what] = rows.map((row) => Object.fromEntries(Object.entries(row).filter(([name]) => !left.includes(name))))
  }
  return kept
}

/** Takes a person's name out of everything that was written down with it, before the person goes. Lines stay; whose they were does not. */
export async function takeNameOut(
  db: Database,
  person: { id: string; name: string; login: string },
  tx: Transaction | undefined,
): Promise<void> {
  // a second person's look at the scales names them in the line itself, which else never changes
  await db.run('alter table mix_event disable trigger append_only', [], tx)
  await db.run(
    `update mix_event set event = jsonb_set(jsonb_set(event, '{name}', '"someone who left"'), '{by}', '"00000000-0000-7000-8000-000000000000"') where event ->> 'kind' = 'checked' and event ->> 'by' = $1`,
    [person.id],
    tx,
  )
  await db.run('alter table mix_event enable trigger append_only', [], tx)
  // answers kept for repeated requests hold names as they were shown
  await db.run(
    `delete from idempotency where person_id = $1 or position($2 in answer::text) > 0 or position($3 in answer::text) > 0`,
    [person.id, JSON.stringify(person.name).slice(1, -1), person.id],
    tx,
  )
  await db.run(
    `update run set request = jsonb_set(request, '{films}', (select jsonb_agg(case when f ->> 'memberId' = $1 then f - 'memberId' else f end) from jsonb_array_elements(request -> 'films') f))
     where request -> 'films' @> jsonb_build_array(jsonb_build_object('memberId', $1::text))`,
    [person.id],
    tx,
  )
  await db.run(`delete from sign_in_attempt where key like 'pair:' || $1 || ' %' or key = 'name:' || $1`, [person.login], tx)
}
