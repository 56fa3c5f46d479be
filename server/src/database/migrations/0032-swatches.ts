import type { Migration } from './migration'

/** The swatch book: strips toned here, each with its ratio, its times and its photograph. */
export const swatches: Migration = {
  name: '0032-swatches',
  up: /* sql */ `
create table swatch (
  id uuid primary key,
  version int not null default 1,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  body jsonb not null,
  gone_at timestamptz
);
create table swatch_photo (
  swatch_id uuid primary key references swatch,
  type text not null check (type in ('image/png', 'image/jpeg')),
  bytes bytea not null,
  at timestamptz not null
);
create trigger tell after insert or update on swatch for each row execute function tell_change('trays', 'id');
create trigger tell after insert or update on swatch_photo for each row execute function tell_change('trays', 'swatch_id');
`,
  down: /* sql */ `
drop table swatch_photo, swatch;
`,
}
