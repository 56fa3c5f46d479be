import type { Migration } from './migration'

/** What was spilled, who was there, and whether the kit is full again; its photograph. */
export const incidents: Migration = {
  name: '0035-incidents',
  up: /* sql */ `
create table incident (
  id uuid primary key,
  version int not null default 1,
  written_at timestamptz not null,
  by_person uuid references person on delete set null,
  body jsonb not null,
  refilled_at timestamptz,
  refilled_by uuid references person on delete set null,
  struck_at timestamptz,
  struck_why text,
  struck_by uuid references person on delete set null,
  check ((struck_at is null) = (struck_why is null))
);
create table incident_photo (
  incident_id uuid primary key references incident,
  type text not null check (type in ('image/png', 'image/jpeg')),
  bytes bytea not null,
  at timestamptz not null
);
create trigger tell after insert or update on incident for each row execute function tell_change('sink', 'id');
create trigger tell after insert or update on incident_photo for each row execute function tell_change('sink', 'incident_id');
`,
  down: /* sql */ `
drop table incident_photo, incident;
`,
}
