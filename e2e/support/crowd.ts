import type { House } from './house'

/** A name of 120 characters, as long as one may be. */
export const longName = (kind: string): string =>
  `${kind} of the upper loft, written out in full as the first committee wished it, with the place, the purpose and the year, for the record too`
    .padEnd(120, '.')
    .slice(0, 120)
const uuidOf = (room: number, number = 'n'): string =>
  `('018900${String(room).padStart(2, '0')}-0000-7000-8000-' || lpad(${number}::text, 12, '0'))::uuid`
/** A code for the n-th label of a room, in the labels' own alphabet. */
const codeOf = (letter: string, number = 'n'): string =>
  `'${letter}' || translate(lpad(${number}::text, 5, '0'), '0123456789', 'ABCDEFGHJK')`

/**
 * What the demo is too small to show: 40 bottles on one shelf, 200 jars, 549 films, formulas of 30 and 60 additions in six-digit volumes, a mix of one,
 * three clocks running, and names of 120 characters wherever one is written.
 */
export async function crowd({ ask }: Pick<House, 'ask'>): Promise<{
  formula: string
  mix: string
  bottle: string
  run: string
  jar: string
  roll: string
  order: string
  evening: string
  drum: string
}> {
  const name = (kind: string) => longName(kind).replaceAll("'", "''")
  await ask(`update darkroom set name = '${name('Darkroom')}', version = version + 1`)
  await ask(`update person set name = '${name('Technician')}' where login = 'ilse'`)
  await ask(`update person set name = '${name('Member')}' where login = 'tilda'`)
  await ask(`update shelf set name = '${name('Shelf')}' where position = (select min(position) from shelf)`)
  await ask(`update vessel set name = '${name('Tank')}' where id = (select min(id::text)::uuid from vessel)`)
  await ask(
    `update instrument set name = '${name('Thermometer')}' where id = (select id from instrument where kind = 'thermometer' limit 1)`,
  )
  // formulas
  const base = `(select body from formula_version where body ->> 'name' = 'Soft borax developer' limit 1)`
  const additions = (count: number) =>
    `(select jsonb_agg(jsonb_build_object('chemical', (array['sodium-sulfite', 'metol', 'hydroquinone', 'borax-decahydrate', 'potassium-bromide'])[1 + i % 5], 'grams', 12345.678 + i)) from generate_series(1, ${count}) i)`
  for (const [n, count] of [
    [1, 60],
    [2, 30],
  ] as const) {
    await ask(`insert into formula (id) select ${uuidOf(1, String(n))}`)
    await ask(
      `insert into formula_version (id, formula_id, number, body, changed_at) select ${uuidOf(2, String(n))}, ${uuidOf(1, String(n))}, 1,
       ${base} || jsonb_build_object('name', '${name(`${count} additions`)}', 'finalMl', 98765, 'startMl', 70000, 'additions', ${additions(count)},
         'purpose', '${name('Purpose')}', 'note', '${name('Note')}'), now()`,
    )
  }
  await ask(`insert into mix (id, formula_version_id, final_ml, started_at) select ${uuidOf(3, '1')}, ${uuidOf(2, '1')}, 98765, now()`)
  // bottles
  await ask(`insert into label_code (code) select ${codeOf('B')} from generate_series(1, 40) n`)
  await ask(
    `insert into bottle (id, letter, number, code, formula_version_id, size_ml, made_at, shelf_id)
     select ${uuidOf(4)}, 'D', 1000 + n, ${codeOf('B')}, ${uuidOf(2, '1')}, 98765, now() - interval '3 days', (select id from shelf order by position limit 1) from generate_series(1, 40) n`,
  )
  await ask(
    `insert into bottle_entry (id, bottle_id, kind, at, ml) select ${uuidOf(5)}, ${uuidOf(4)}, 'fill', now() - interval '3 days', 98765 from generate_series(1, 40) n`,
  )
  // jars
  await ask(`insert into label_code (code) select ${codeOf('J')} from generate_series(1, 200) n`)
  await ask(
    `insert into jar (id, code, chemical, lot, place) select ${uuidOf(6)}, ${codeOf('J')}, 'sodium-thiosulfate-pentahydrate', left('${name('Lot')}', 60), left('${name('Place')}', 60) from generate_series(1, 200) n`,
  )
  await ask(
    `insert into jar_entry (id, jar_id, kind, grams, at) select ${uuidOf(7)}, ${uuidOf(6)}, 'receive', 98765.4, now() from generate_series(1, 200) n`,
  )
  // films, of runs that are done
  await ask(
    `insert into roll (id, run_id, member_id, film, format, ei, developer, developed_s, temperature_c, at)
     select ${uuidOf(8)}, r.run_id, (select id from person where login = 'tilda'), '${name('Film')}', r.format, 25600, '${name('Developer')}', r.developed_s, r.temperature_c, now() - n * interval '1 hour'
     from (select * from roll limit 1) r, generate_series(1, 549) n`,
  )
  // the newest hangs, whatever the hour of the day
  await ask(
    `update roll set hung_at = now() - interval '3.5 hours', dryer = 'air', hanger = 1, sleeved_at = null, sleeve = null, handed_at = null where id = (select id from roll where not taken_back order by id desc limit 1) returning id`,
  )
  // orders, all of one member's
  await ask(
    `insert into film_order (id, number, member_id, film, format, count, ei, push_stops, process_id, present, critical, note, rack, wanted_by, handed_at)
     select ${uuidOf(12)}, 1000 + n, (select id from person where login = 'tilda'), '${name('Film')}', '135-36', 24, 25600, -2.5, (select id from process limit 1),
       true, true, '${name('Note')}', 1000 + n, now() + n * interval '1 day', now() from generate_series(1, 60) n`,
  )
  // the chart
  await ask(
    `insert into chart_row (id, film, formula_id, parts, ei, temperature_c, seconds, source)
     select ${uuidOf(9)}, left('${name('Film')}', 110) || n, ${uuidOf(1, String(1))}, '{1}', 400, 20, 600, '${name('Source')}' from generate_series(1, 30) n`,
  )
  // three clocks
  await ask(
    `insert into run (id, number, state, plan, request, planned_at, started_at)
     select ${uuidOf(10)}, 1000 + n, 'running', r.plan || jsonb_build_object('vessel', r.plan -> 'vessel' || jsonb_build_object('name', '${name('Tank')}')), r.request, now(), now()
     from (select plan, request from run where state = 'done' order by number desc limit 1) r, generate_series(1, 3) n`,
  )
  await ask(
    `insert into run_event (id, run_id, event, at) select ${uuidOf(11)}, ${uuidOf(10)},
       jsonb_build_object('id', ${uuidOf(11)}, 'seq', 0, 'device', '', 'at', (extract(epoch from now()) * 1000)::bigint, 'kind', 'start', 'step', 0), now() from generate_series(1, 3) n`,
  )
  const id = async (room: number) => (await ask<{ id: string }>(`select ${uuidOf(room, '1')} as id`))[0]?.id ?? ''
  return {
    formula: await id(1),
    mix: await id(3),
    bottle: await id(4),
    jar: await id(6),
    roll: await id(8),
    run: await id(10),
    order: await id(12),
    evening: (await ask<{ id: string }>('select id from evening limit 1'))[0]?.id ?? '',
    drum: (await ask<{ id: string }>(`select id from drum where family = 'dev' and collected_at is null limit 1`))[0]?.id ?? '',
  }
}
