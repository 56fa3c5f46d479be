import type { Migration } from './migration'

/** Trays, the lines that stand in them, what each tray is filled with, the prints that went through, and how late tones come up. */
export const line: Migration = {
  name: '0027-line',
  up: /* sql */ `
create table tray (
  id uuid primary key,
  version int not null default 1,
  body jsonb not null,
  gone_at timestamptz
);
create table tray_line (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  base text not null check (base in ('rc', 'fibre')),
  width_cm numeric(14,4) not null check (width_cm > 0),
  height_cm numeric(14,4) not null check (height_cm > 0),
  celsius numeric(14,4) not null,
  opened_at timestamptz not null,
  opened_by uuid references person on delete set null,
  closed_at timestamptz,
  closed_by uuid references person on delete set null,
  check (closed_at >= opened_at)
);
create unique index tray_line_open on tray_line ((true)) where closed_at is null;
create table tray_fill (
  id uuid primary key,
  version int not null default 1,
  line_id uuid not null references tray_line,
  tray_id uuid not null references tray,
  role text not null check (role in ('develop', 'stop', 'fix', 'fix-2', 'rinse', 'wash-aid', 'wash')),
  bottle_id uuid references bottle,
  ml numeric(14,4) not null check (ml > 0),
  at timestamptz not null,
  by_person uuid references person on delete set null,
  emptied_at timestamptz,
  emptied_how text check (emptied_how in ('away', 'kept')),
  check ((emptied_at is null) = (emptied_how is null))
);
create index tray_fill_line on tray_fill (line_id);
create unique index tray_fill_tray on tray_fill (tray_id) where emptied_at is null;
create unique index tray_fill_bottle on tray_fill (bottle_id) where emptied_at is null;
create table line_pass (
  id uuid primary key,
  seq bigint generated always as identity,
  line_id uuid not null references tray_line,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  base text not null check (base in ('rc', 'fibre')),
  equivalents numeric(14,4) not null check (equivalents > 0),
  what text not null default '',
  entry_ids uuid[] not null,
  back_at timestamptz,
  back_by uuid references person on delete set null
);
create index line_pass_line on line_pass (line_id, seq);
create table emergence (
  id uuid primary key,
  seq bigint generated always as identity,
  fill_id uuid not null references tray_fill,
  paper_id uuid not null references paper,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  seconds numeric(14,4) not null check (seconds > 0),
  celsius numeric(14,4) not null
);
create index emergence_fill on emergence (fill_id, seq);
alter table device drop constraint device_kind_check;
alter table device add constraint device_kind_check check (kind in ('scale', 'thermometer', 'ph-meter', 'bath', 'lamp'));
create trigger append_only before update or delete on emergence for each row execute function refuse_change('by_person');
create trigger tell after insert or update on tray for each row execute function tell_change('line', 'id');
create trigger tell after insert or update on tray_line for each row execute function tell_change('line', 'id');
create trigger tell after insert or update on line_pass for each row execute function tell_change('line', 'line_id');
create trigger tell after insert on emergence for each row execute function tell_change('line', 'fill_id');
`,
  down: /* sql */ `
delete from device where kind = 'lamp';
alter table device drop constraint device_kind_check;
alter table device add constraint device_kind_check check (kind in ('scale', 'thermometer', 'ph-meter', 'bath'));
drop table emergence, line_pass, tray_fill, tray_line, tray;
`,
}
