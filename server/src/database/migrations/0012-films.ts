import type { Migration } from './migration'

/** What becomes of a film after its run: where it hangs, what was seen on it, how it was put away; what else a vessel takes; which drum waste went to. */
export const films: Migration = {
  name: '0012-films',
  up: /* sql */ `
alter table roll
  add reel int check (reel > 0),
  add faults jsonb not null default '[]' check (jsonb_typeof(faults) = 'array'),
  add wiping text,
  add dryer text,
  add hung_at timestamptz,
  add hanger int check (hanger > 0),
  add cut int check (cut >= 0),
  add sleeve text,
  add sleeved_at timestamptz,
  add handed_at timestamptz;
create index roll_hanging on roll (hung_at) where sleeved_at is null;
alter table vessel add also jsonb not null default '[]' check (jsonb_typeof(also) = 'array');
alter table darkroom add hangers int not null default 8 check (hangers between 0 and 200);
alter table waste_entry add drum text, drop constraint waste_entry_entry_id_key;
create index waste_entry_line on waste_entry (entry_id);
`,
  down: /* sql */ `
-- what one line poured away twice is one again in older houses
alter table waste_entry disable trigger append_only;
delete from waste_entry w using waste_entry o where o.entry_id = w.entry_id and o.id < w.id;
alter table waste_entry enable trigger append_only;
drop index waste_entry_line;
alter table waste_entry drop drum, add constraint waste_entry_entry_id_key unique (entry_id);
alter table darkroom drop hangers;
alter table vessel drop also;
drop index roll_hanging;
alter table roll drop reel, drop faults, drop wiping, drop dryer, drop hung_at, drop hanger, drop cut, drop sleeve, drop sleeved_at, drop handed_at;
`,
}
