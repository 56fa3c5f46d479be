import type { Migration } from './migration'

/** What was matched or measured in the print room: strips of another developer, box or lamp, standard contact times. */
export const calibration: Migration = {
  name: '0028-calibration',
  up: /* sql */ `
create table calibration (
  id uuid primary key,
  version int not null default 1,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  body jsonb not null,
  taken_back_at timestamptz,
  taken_back_by uuid references person on delete set null
);
create trigger tell after insert or update on calibration for each row execute function tell_change('trays', 'id');
`,
  down: /* sql */ `
drop table calibration;
`,
}
