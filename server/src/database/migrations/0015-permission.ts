import type { Migration } from './migration'

/** What members may develop by themselves. */
export const permission: Migration = {
  name: '0015-permission',
  up: /* sql */ `
create table permission (
  id uuid primary key,
  version int not null default 1,
  person_id uuid not null references person on delete cascade,
  process_id uuid not null references process on delete cascade,
  vessel_ids uuid[] not null,
  bottle_ids uuid[] not null,
  practice boolean not null,
  others boolean not null,
  loading boolean not null,
  until timestamptz,
  given_by uuid references person on delete set null,
  given_at timestamptz not null,
  unique (person_id, process_id)
);
create trigger tell after insert or update on permission for each row execute function tell_change('permission', 'id');
create function tell_of_the_end() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'permission', 'id', old.id, 'version', null)::text);
  return null;
end $$;
create trigger tell_end after delete on permission for each row execute function tell_of_the_end();
create index run_planned_by on run (planned_by, number);
`,
  down: /* sql */ `
drop index run_planned_by;
drop table permission;
drop function tell_of_the_end();
`,
}
