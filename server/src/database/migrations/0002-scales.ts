import type { Migration } from './migration'

/** Jars with assay, price and safety sheet; a second person's check; devices at the bench; imports that are staged before they are written. */
export const scales: Migration = {
  name: '0002-scales',
  up: /* sql */ `
alter table darkroom
  add currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$'),
  add second_check boolean not null default false;

alter table jar
  add assay numeric(14,4) check (assay > 0 and assay <= 1.2),
  add price_per_kg numeric(14,4) check (price_per_kg >= 0),
  add reorder_g numeric(14,4) check (reorder_g >= 0),
  add spoon_g numeric(14,4) check (spoon_g > 0),
  add storage text;
create index jar_entry_mix on jar_entry (mix_id) where mix_id is not null;

create table jar_sheet (
  jar_id uuid primary key references jar,
  name text not null check (length(name) between 1 and 160),
  type text not null check (type in ('application/pdf', 'image/png', 'image/jpeg')),
  bytes bytea not null check (octet_length(bytes) <= 8000000),
  at timestamptz not null,
  by_person uuid references person on delete set null
);

alter table mix
  add second_check boolean not null default false,
  add note text not null default '';
alter table batch add note text not null default '';
create index batch_formula on batch (formula_version_id);

create table chemical (
  id text primary key check (id ~ '^[a-z0-9][a-z0-9-]{1,79}$'),
  version int not null default 1,
  body jsonb not null check (jsonb_typeof(body) = 'object' and body ? 'name'),
  changed_by uuid references person on delete set null,
  changed_at timestamptz not null
);

create table device (
  id uuid primary key,
  version int not null default 1,
  kind text not null check (kind in ('scale', 'thermometer', 'ph-meter')),
  name text not null unique check (length(name) between 1 and 120),
  host text not null,
  port int not null check (port between 1 and 65535),
  pattern text not null,
  active boolean not null default true,
  simulated boolean not null default false,
  calibration jsonb
);

create table import (
  id uuid primary key,
  kind text not null check (kind in ('formulas', 'jars', 'chart')),
  state text not null default 'open' check (state in ('open', 'done', 'cancelled')),
  rows int not null check (rows > 0),
  by_person uuid references person on delete set null,
  at timestamptz not null
);
create table import_row (
  import_id uuid not null references import on delete cascade,
  position int not null check (position >= 0),
  row jsonb not null,
  primary key (import_id, position)
);

create trigger tell after insert or update on device for each row execute function tell_change('device', 'id');
create function tell_gone() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', tg_argv[0], 'id', to_jsonb(old) ->> tg_argv[1], 'version', null)::text);
  return null;
end $$;
create trigger tell_gone after delete on device for each row execute function tell_gone('device', 'id');
create trigger tell after insert or update on chemical for each row execute function tell_change('chemical', 'id');
create trigger tell_gone after delete on chemical for each row execute function tell_gone('chemical', 'id');
create trigger tell after insert or update on jar_sheet for each row execute function tell_change('jar', 'jar_id');
create trigger tell_gone after delete on jar_sheet for each row execute function tell_gone('jar', 'jar_id');
`,
  down: /* sql */ `
drop table import_row, import, device, jar_sheet, chemical;
drop function tell_gone;
alter table batch drop note;
drop index batch_formula, jar_entry_mix;
alter table mix drop second_check, drop note;
alter table jar drop assay, drop price_per_kg, drop reorder_g, drop spoon_g, drop storage;
alter table darkroom drop currency, drop second_check;
`,
}
