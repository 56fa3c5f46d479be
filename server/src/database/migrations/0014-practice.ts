import type { Migration } from './migration'

/** What people practised: a table of its own, which nothing else refers to. */
export const practice: Migration = {
  name: '0014-practice',
  up: /* sql */ `
create table practice (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  at timestamptz not null,
  process_version_id uuid references process_version,
  practised jsonb check (practised is null or jsonb_typeof(practised) = 'object'),
  loading jsonb check (loading is null or jsonb_typeof(loading) = 'object'),
  findings jsonb not null default '[]' check (jsonb_typeof(findings) = 'array'),
  score int check (score between 0 and 100),
  clean boolean not null,
  check ((practised is null) <> (loading is null)),
  check ((process_version_id is null) = (practised is null) and (score is null) = (practised is null))
);
create index practice_person on practice (person_id, id);
`,
  down: /* sql */ `
drop table practice;
`,
}
