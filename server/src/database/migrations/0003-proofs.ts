import type { Migration } from './migration'

/** Shelves, the whole ledger with its checkpoint, tests with their pictures, instruments, due rules, marks on films, notices, waste, and what a vessel carries out. */
export const proofs: Migration = {
  name: '0003-proofs',
  up: /* sql */ `
create table shelf (
  id uuid primary key,
  version int not null default 1,
  name text not null unique check (length(name) between 1 and 120),
  celsius numeric(14,4) not null default 20 check (celsius between -10 and 60),
  position int generated always as identity
);
alter table bottle
  add shelf_id uuid references shelf,
  add own_use jsonb check (own_use is null or jsonb_typeof(own_use) = 'object');
create index bottle_shelf on bottle (shelf_id);

alter table vessel
  add version int not null default 1,
  add carry_ml numeric(14,4) check (carry_ml >= 0 and carry_ml <= 500);

create table instrument (
  id uuid primary key,
  version int not null default 1,
  kind text not null check (kind in ('thermometer', 'lamp', 'process')),
  name text not null check (length(name) between 1 and 120),
  device_id uuid unique references device on delete set null,
  points jsonb not null default '[]' check (jsonb_typeof(points) = 'array'),
  safe_minutes numeric(14,4) check (safe_minutes > 0),
  tested_at timestamptz,
  reference jsonb,
  limits jsonb,
  unique (kind, name)
);

create table proof (
  id uuid primary key,
  kind text not null,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  bottle_id uuid references bottle,
  batch_id uuid references batch,
  roll_id uuid references roll,
  instrument_id uuid references instrument,
  fresh boolean not null default false,
  good boolean not null default false,
  reading jsonb not null,
  judgement jsonb not null,
  rolls_per_l numeric(14,4),
  note text not null default '',
  check (num_nonnulls(bottle_id, roll_id, instrument_id) = 1),
  check (not fresh or batch_id is not null)
);
create index proof_bottle on proof (bottle_id, at desc) where bottle_id is not null;
create index proof_batch on proof (batch_id, kind) where fresh;
create index proof_instrument on proof (instrument_id, at) where instrument_id is not null;
create trigger append_only before update or delete on proof for each row execute function refuse_change('by_person');

create table proof_picture (
  proof_id uuid primary key references proof,
  name text not null check (length(name) between 1 and 160),
  type text not null check (type in ('image/png', 'image/jpeg')),
  bytes bytea not null check (octet_length(bytes) <= 12000000),
  marks jsonb not null
);

alter table bottle_entry drop constraint bottle_entry_kind_check;
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'jars', 'chart', 'bottles', 'ledger', 'tests'));
alter table bottle_entry
  add seq bigint generated always as identity,
  add colour_rolls numeric(14,4) not null default 0 check (colour_rolls >= 0 and colour_rolls <= rolls),
  add celsius numeric(14,4),
  add container text check (container in ('bottle', 'airless', 'tray')),
  add brings jsonb,
  add two_bath jsonb,
  add test jsonb,
  add other_bottle_id uuid references bottle,
  add proof_id uuid references proof,
  add group_id uuid,
  add constraint bottle_entry_kind_check check (kind in ('fill', 'dilute-out', 'decant', 'pour-out', 'pour-back', 'use', 'top-up', 'water', 'evaporate',
    'replenish', 'bleed', 'test', 'move', 'move-up', 'change', 'discard', 'wrong-bottle', 'retire', 'correct', 'reverse')),
  add constraint bottle_entry_in check (kind not in ('water', 'replenish') or ml >= 0),
  add constraint bottle_entry_out check (kind not in ('decant', 'evaporate', 'bleed', 'test') or ml <= 0),
  add constraint bottle_entry_still check (kind not in ('move', 'move-up', 'change', 'retire') or ml = 0);
drop index bottle_entry_bottle;
create index bottle_entry_bottle on bottle_entry (bottle_id, at, seq);
create unique index bottle_entry_seq on bottle_entry (seq);
create index bottle_entry_runs on bottle_entry (bottle_id, at desc) where run_id is not null;
create index bottle_entry_group on bottle_entry (group_id) where group_id is not null;
create index bottle_entry_tests on bottle_entry (bottle_id, at) where test is not null;
create index bottle_entry_proof on bottle_entry (proof_id) where proof_id is not null;

-- tests that count: one whose line in its bottle's ledger was taken back is history only
create view standing_proof as select * from proof f
  where not exists (select from bottle_entry e join bottle_entry x on x.reverses = e.id where e.proof_id = f.id);

-- What the ledger of a bottle sums up to, and what its older part has come to: kept up by the trigger, so that reading and checking never
-- go through the whole of it. Everything in it can be made again from bottle_entry: select rebuild_checkpoints().
create table bottle_checkpoint (
  bottle_id uuid primary key references bottle on delete cascade,
  ml numeric(14,4) not null,
  entries int not null,
  carried int not null default 0,
  carried_at timestamptz,
  carried_seq bigint,
  carry jsonb,
  check ((carry is null) = (carried_at is null) and (carry is null) = (carried_seq is null))
);
drop trigger never_below_zero on bottle_entry;
drop function bottle_holds;
create function keep_checkpoint() returns trigger language plpgsql as $$
declare held numeric;
begin
  insert into bottle_checkpoint as c (bottle_id, ml, entries) values (new.bottle_id, new.ml, 1)
    on conflict (bottle_id) do update set ml = c.ml + new.ml, entries = c.entries + 1 returning ml into held;
  if held < 0 then
    raise exception 'bottle % would hold % ml', new.bottle_id, held using errcode = 'check_violation', constraint = 'bottle_never_below_zero';
  end if;
  -- a line taken back, or one written later about an earlier time, changes what the older part came to
  update bottle_checkpoint set carried = 0, carried_at = null, carried_seq = null, carry = null
    where bottle_id = new.bottle_id and carry is not null and (new.kind = 'reverse' or new.at < carried_at);
  return null;
end $$;
create trigger keep_checkpoint after insert on bottle_entry for each row execute function keep_checkpoint();
create function rebuild_checkpoints() returns void language sql as $$
  delete from bottle_checkpoint;
  insert into bottle_checkpoint (bottle_id, ml, entries) select bottle_id, sum(ml), count(*) from bottle_entry group by bottle_id;
$$;
select rebuild_checkpoints();

create table due_rule (
  id uuid primary key,
  version int not null default 1,
  family text not null,
  kind text not null,
  at_mixing boolean not null,
  every_days numeric(14,4) check (every_days > 0),
  every_share numeric(14,4) check (every_share > 0 and every_share <= 1),
  before_critical boolean not null,
  active boolean not null,
  unique (family, kind)
);

create table roll_mark (
  id uuid primary key,
  roll_id uuid not null references roll,
  proof_id uuid not null references proof,
  at timestamptz not null,
  text text not null,
  helps text not null check (helps in ('refix', 'rewash', 'nothing')),
  cleared_at timestamptz,
  cleared text,
  cleared_by uuid references person on delete set null,
  unique (roll_id, proof_id),
  check ((cleared_at is null) = (cleared is null))
);
create table notice (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  at timestamptz not null,
  text text not null,
  roll_id uuid references roll,
  read_at timestamptz
);
create index notice_person on notice (person_id, id);

create table waste_entry (
  id uuid primary key,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  family text not null,
  ml numeric(14,4) not null,
  silver_g numeric(14,4) not null default 0,
  bottle_id uuid not null references bottle,
  entry_id uuid not null unique references bottle_entry,
  note text not null default ''
);
create trigger append_only before update or delete on waste_entry for each row execute function refuse_change('by_person');

create trigger tell after insert or update on shelf for each row execute function tell_change('shelf', 'id');
create trigger tell_gone after delete on shelf for each row execute function tell_gone('shelf', 'id');
create trigger tell after insert or update on instrument for each row execute function tell_change('instrument', 'id');
create trigger tell after insert on proof for each row execute function tell_change('proof', 'id');
create trigger tell after insert or update on due_rule for each row execute function tell_change('rule', 'id');
create trigger tell after insert or update on roll_mark for each row execute function tell_change('roll', 'roll_id');
create trigger tell after insert or update on notice for each row execute function tell_change('notice', 'id');
create trigger tell after insert on waste_entry for each row execute function tell_change('waste', 'id');
`,
  down: /* sql */ `
drop view standing_proof;
drop table waste_entry, notice, roll_mark, due_rule, bottle_checkpoint, proof_picture;
drop trigger keep_checkpoint on bottle_entry;
drop function keep_checkpoint, rebuild_checkpoints;
delete from import where kind not in ('formulas', 'jars', 'chart');
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'jars', 'chart'));
drop index bottle_entry_proof, bottle_entry_tests, bottle_entry_seq, bottle_entry_runs, bottle_entry_group, bottle_entry_bottle;
alter table bottle_entry disable trigger append_only;
update bottle_entry set kind = 'correct' where kind in ('decant', 'water', 'evaporate', 'replenish', 'bleed', 'test', 'move', 'move-up', 'change', 'wrong-bottle', 'retire');
alter table bottle_entry enable trigger append_only;
alter table bottle_entry
  drop constraint bottle_entry_in, drop constraint bottle_entry_out, drop constraint bottle_entry_still, drop constraint bottle_entry_kind_check,
  drop seq, drop colour_rolls, drop celsius, drop container, drop brings, drop two_bath, drop test, drop other_bottle_id, drop proof_id, drop group_id,
  add constraint bottle_entry_kind_check check (kind in ('fill', 'dilute-out', 'pour-out', 'pour-back', 'use', 'top-up', 'discard', 'correct', 'reverse'));
create index bottle_entry_bottle on bottle_entry (bottle_id, at);
drop table proof, instrument;
alter table bottle drop shelf_id, drop own_use;
alter table vessel drop version, drop carry_ml;
drop table shelf;
create function bottle_holds() returns trigger language plpgsql as $$
declare held numeric;
begin
  select sum(ml) into held from bottle_entry where bottle_id = new.bottle_id;
  if held < 0 then
    raise exception 'bottle % would hold % ml', new.bottle_id, held using errcode = 'check_violation', constraint = 'bottle_never_below_zero';
  end if;
  return null;
end $$;
create constraint trigger never_below_zero after insert on bottle_entry for each row execute function bottle_holds();
`,
}
