import type { Migration } from './migration'

/** Where the places of a print lie, and a photograph of it. */
export const outline: Migration = {
  name: '0030-outline',
  up: /* sql */ `
alter table sheet add column outline jsonb not null default '[]' check (jsonb_typeof(outline) = 'array');
create table sheet_photo (
  sheet_id uuid primary key references sheet on delete cascade,
  type text not null,
  bytes bytea not null,
  at timestamptz not null
);
create trigger tell after insert or update on sheet_photo for each row execute function tell_change('print', 'sheet_id');
`,
  down: /* sql */ `
drop table sheet_photo;
alter table sheet drop column outline;
`,
}
