import type { Migration } from './migration'

/** Eyewashes, ventilation, the switch of the mains and gloves, and each time they were looked at. */
export const fixtures: Migration = {
  name: '0036-fixtures',
  up: /* sql */ `
create table fixture (
  id uuid primary key,
  version int not null default 1,
  body jsonb not null,
  gone_at timestamptz
);
create table fixture_check (
  id uuid primary key,
  seq bigint generated always as identity,
  fixture_id uuid not null references fixture,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  result jsonb not null
);
create index fixture_check_fixture on fixture_check (fixture_id, seq);
create trigger append_only before update or delete on fixture_check for each row execute function refuse_change('by_person');
create trigger tell after insert or update on fixture for each row execute function tell_change('sink', 'id');
create trigger tell after insert on fixture_check for each row execute function tell_change('sink', 'fixture_id');
`,
  down: /* sql */ `
drop table fixture_check, fixture;
`,
}
