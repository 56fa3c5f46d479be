import type { Migration } from './migration'

/** Notes of exposure, which are health data, and who is named to read them. Nothing tells that they changed, and they go with their owner. */
export const exposures: Migration = {
  name: '0037-exposures',
  up: /* sql */ `
create table exposure_note (
  id uuid primary key,
  version int not null default 1,
  person_id uuid not null references person on delete cascade,
  written_at timestamptz not null,
  by_person uuid references person on delete set null,
  body jsonb not null
);
create index exposure_note_person on exposure_note (person_id, id);
create table exposure_reader (
  person_id uuid primary key references person on delete cascade,
  named_by uuid references person on delete set null,
  at timestamptz not null
);
`,
  down: /* sql */ `
drop table exposure_reader, exposure_note;
`,
}
