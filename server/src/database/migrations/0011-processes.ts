import type { Migration } from './migration'

/** Processes as data, in versions that never change; what a run is promised is known by the key of its step. Older servers would write columns that are gone. */
export const processes: Migration = {
  name: '0011-processes',
  breaking: true,
  up: /* sql */ `
create table process (id uuid primary key, version int not null default 1, shipped boolean not null default false);
create table process_version (
  id uuid primary key,
  process_id uuid not null references process,
  number int not null check (number > 0),
  body jsonb not null check (jsonb_typeof(body) = 'object' and body ? 'name' and body ? 'roles' and body ? 'steps' and body ? 'options'),
  changed_by uuid references person on delete set null,
  changed_at timestamptz not null,
  unique (process_id, number)
);
create trigger append_only before update or delete on process_version for each row execute function refuse_change('changed_by');
create trigger tell after insert or update on process for each row execute function tell_change('process', 'id');
create trigger tell after insert on process_version for each row execute function tell_change('process', 'process_id');

alter table run_bath add step_key text;
-- plans of before had no keys: a step is its kind and its place, as they are read today
update run_bath b set step_key = coalesce(r.plan -> 'steps' -> b.step ->> 'key', (r.plan -> 'steps' -> b.step ->> 'kind') || '-' || (b.step + 1), 'step-' || (b.step + 1))
  from run r where r.id = b.run_id;
alter table run_bath alter step_key set not null, drop constraint run_bath_pkey, add primary key (run_id, step_key), drop step;
`,
  down: /* sql */ `
alter table run_bath add step int;
update run_bath b set step = s.step from (
  select r.id, p.ord - 1 as step, coalesce(p.one ->> 'key', (p.one ->> 'kind') || '-' || p.ord) as key
  from run r, jsonb_array_elements(r.plan -> 'steps') with ordinality as p(one, ord)) s where s.id = b.run_id and s.key = b.step_key;
delete from run_bath where step is null;
alter table run_bath alter step set not null, add check (step >= 0), drop constraint run_bath_pkey, add primary key (run_id, step), drop step_key;
drop table process_version, process;
`,
}
