import type { Migration } from './migration'

/** The sink: drums with their ledger, funnels, pick-ups with their receipts, recovery of silver, what may go down the drain; and what is in what was poured away. */
export const sink: Migration = {
  name: '0024-sink',
  up: /* sql */ `
alter table waste_entry alter bottle_id drop not null, alter entry_id drop not null,
  add column run_id uuid references run, add column source text not null default 'bottle' check (source in ('bottle', 'run', 'wash')),
  add column contents jsonb,
  add constraint waste_of_something check (entry_id is not null or run_id is not null);
create table sink (
  only_row boolean primary key default true check (only_row),
  version int not null default 1,
  body jsonb not null
);
create table pickup (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  contractor text not null,
  licence text not null,
  handed_by text not null,
  by_person uuid references person on delete set null,
  at timestamptz not null,
  collected_at timestamptz,
  receipt text,
  check ((collected_at is null) = (receipt is null))
);
create table pickup_receipt (
  pickup_id uuid primary key references pickup on delete cascade,
  name text not null,
  type text not null,
  bytes bytea not null,
  at timestamptz not null,
  by_person uuid references person on delete set null
);
create table drum (
  id uuid primary key,
  version int not null default 1,
  code text not null unique references label_code,
  family text not null,
  metal text check ((metal is not null) = (family = 'nob')),
  volume_ml numeric(14,4) not null check (volume_ml > 0),
  tare_kg numeric(14,4) not null check (tare_kg >= 0),
  vented boolean not null,
  tray_id uuid,
  made_by uuid references person on delete set null,
  made_at timestamptz not null,
  labelled_at timestamptz,
  sealed_at timestamptz,
  quarantined_at timestamptz,
  quarantined_why text,
  pickup_id uuid references pickup,
  collected_at timestamptz,
  collected_kg numeric(14,4) check (collected_kg >= 0),
  check ((quarantined_at is null) = (quarantined_why is null)),
  check (collected_at is null or pickup_id is not null)
);
create index drum_here on drum (family) where collected_at is null;
create index drum_pickup on drum (pickup_id) where pickup_id is not null;
create table funnel (
  id uuid primary key,
  version int not null default 1,
  name text not null,
  rinsed_at timestamptz not null,
  gone_at timestamptz
);
create table drum_entry (
  id uuid primary key,
  seq bigint generated always as identity,
  drum_id uuid not null references drum,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  kind text not null check (kind in ('pour', 'reverse', 'weigh')),
  ml numeric(14,4) not null,
  g_per_ml numeric(14,4) not null check (g_per_ml > 0),
  silver_g numeric(14,4) not null,
  family text not null,
  source text not null,
  waste_id uuid references waste_entry,
  contents jsonb,
  ph numeric(14,4) check (ph between -2 and 16),
  reading_kg numeric(14,4) check (reading_kg >= 0),
  funnel_id uuid references funnel,
  reverses uuid unique references drum_entry,
  note text not null default '',
  check (case kind when 'pour' then ml > 0 and reverses is null when 'reverse' then ml <= 0 and reverses is not null else ml = 0 and reading_kg is not null end)
);
create index drum_entry_drum on drum_entry (drum_id, seq);
create index drum_entry_waste on drum_entry (waste_id) where waste_id is not null;
create index drum_entry_funnel on drum_entry (funnel_id, seq) where funnel_id is not null;
create trigger append_only before update or delete on drum_entry for each row execute function refuse_change('by_person');
create function drum_holds() returns trigger language plpgsql as $$
declare held numeric;
begin
  select sum(ml) into held from drum_entry where drum_id = new.drum_id;
  if held < 0 or held > (select volume_ml from drum where id = new.drum_id) then
    raise exception 'drum % would hold % ml', new.drum_id, held using errcode = 'check_violation', constraint = 'drum_holds_so_much';
  end if;
  return null;
end $$;
create constraint trigger holds_so_much after insert on drum_entry for each row execute function drum_holds();
create table recovery (
  id uuid primary key,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  drum_id uuid references drum,
  body jsonb not null,
  reverses uuid unique references recovery
);
create trigger append_only before update or delete on recovery for each row execute function refuse_change('by_person');
create table discharge_rule (
  family text primary key,
  version int not null default 1,
  body jsonb not null
);
create trigger tell after insert or update on drum for each row execute function tell_change('drum', 'id');
create trigger tell after insert on drum_entry for each row execute function tell_change('drum', 'drum_id');
create trigger tell after insert or update on pickup for each row execute function tell_change('sink', 'id');
create trigger tell after insert or update on pickup_receipt for each row execute function tell_change('sink', 'pickup_id');
create trigger tell after insert or update on funnel for each row execute function tell_change('sink', 'id');
create trigger tell after insert on recovery for each row execute function tell_change('sink', 'id');
create trigger tell after insert or update on discharge_rule for each row execute function tell_change('sink', 'family');
create trigger tell_gone after delete on discharge_rule for each row execute function tell_gone('sink', 'family');
create trigger tell after insert or update on sink for each row execute function tell_change('sink', 'only_row');
`,
  down: /* sql */ `
drop table discharge_rule, recovery, drum_entry, funnel, drum, pickup_receipt, pickup, sink;
drop function drum_holds();
alter table waste_entry disable trigger append_only;
delete from waste_entry where entry_id is null;
alter table waste_entry enable trigger append_only;
alter table waste_entry drop constraint waste_of_something, drop column run_id, drop column source, drop column contents, alter bottle_id set not null, alter entry_id set not null;
`,
}
