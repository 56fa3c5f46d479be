import type { Migration } from './migration'

/** What becomes of a film after its run: where it hangs, what was seen on it, how it was put away; what else a vessel takes; which drum waste went to. */
export const films: Migration = {
  name: '0012-films',
  up: /* sql */ `
alter table roll
  add reel int check (reel > 0),
  add faults jsonb not null default '[]' check (jsonb_typeof(faults) = 'array'),
  add densities jsonb check (densities is null or jsonb_typeof(densities) = 'object'),
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

create table kit (id uuid primary key, version int not null default 1, body jsonb not null check (jsonb_typeof(body) = 'object' and body ? 'name' and body ? 'baths'));
create table kit_set (
  id uuid primary key,
  kit_id uuid not null references kit,
  number int not null unique check (number > 0),
  body jsonb not null,
  begun_at timestamptz not null,
  begun_by uuid references person on delete set null
);
alter table bottle add kit_set_id uuid references kit_set;
create index bottle_kit_set on bottle (kit_set_id) where kit_set_id is not null;
alter table mix add kit_set_id uuid references kit_set;
-- a mixed kit with every film that went through each of its bottles, retired ones too; a bath that a run used twice counts it once
create function kit_of(set_id uuid) returns json language sql stable as $$
  with lines as (
    select b.id as bottle_id, e.id, e.run_id, e.throughput from bottle b join bottle_entry e on e.bottle_id = b.id and e.kind in ('use', 'dilute-out')
    where b.kit_set_id = set_id and not exists (select from bottle_entry x where x.reverses = e.id)
  ), through as (
    select bottle_id as "bottleId", null::int as ei, null as format, throughput from lines where run_id is null
    union all
    select u.bottle_id, l.ei, l.format, null from (select distinct bottle_id, run_id from lines) u join roll l on l.run_id = u.run_id and not l.taken_back
  )
  select json_build_object('setId', s.id, 'kitId', s.kit_id, 'number', s.number, 'body', s.body, 'through', coalesce((select json_agg(t) from through t), '[]'))
  from kit_set s where s.id = set_id
$$;
create trigger tell after insert or update on kit for each row execute function tell_change('kit', 'id');
create trigger tell after insert on kit_set for each row execute function tell_change('kit', 'kit_id');
`,
  down: /* sql */ `
-- what one line poured away twice is one again in older houses
alter table waste_entry disable trigger append_only;
delete from waste_entry w using waste_entry o where o.entry_id = w.entry_id and o.id < w.id;
alter table waste_entry enable trigger append_only;
drop index waste_entry_line;
drop function kit_of;
alter table mix drop kit_set_id;
alter table bottle drop kit_set_id;
drop table kit_set, kit;
alter table waste_entry drop drum, add constraint waste_entry_entry_id_key unique (entry_id);
alter table darkroom drop hangers;
alter table vessel drop also;
drop index roll_hanging;
alter table roll drop reel, drop faults, drop densities, drop wiping, drop dryer, drop hung_at, drop hanger, drop cut, drop sleeve, drop sleeved_at, drop handed_at;
`,
}
