import type { Migration } from './migration'

/** For real hands: a person's decimal sign; lines of a jar and tests that are taken back. */
export const hands: Migration = {
  name: '0005-hands',
  up: /* sql */ `
alter table person add decimal text not null default 'point' check (decimal in ('point', 'comma'));

alter table jar_entry add reverses uuid unique references jar_entry;
alter table jar_entry drop constraint jar_entry_kind_check;
alter table jar_entry add constraint jar_entry_kind_check check (kind in ('receive', 'consume', 'correct', 'discard', 'reverse') and (kind = 'reverse') = (reverses is not null));

-- why a formula was kept or mixed against the rules of mixing
alter table formula_version add overruled text;
alter table mix add overruled text;

-- tests that have no line in a ledger are taken back by a line of their own
create table proof_taken_back (
  proof_id uuid primary key references proof,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  reason text not null
);
create trigger append_only before update or delete on proof_taken_back for each row execute function refuse_change('by_person');
create or replace view standing_proof as select * from proof f
  where not exists (select from bottle_entry e join bottle_entry x on x.reverses = e.id where e.proof_id = f.id)
    and not exists (select from proof_taken_back t where t.proof_id = f.id);
`,
  down: /* sql */ `
create or replace view standing_proof as select * from proof f
  where not exists (select from bottle_entry e join bottle_entry x on x.reverses = e.id where e.proof_id = f.id);
drop table proof_taken_back;
alter table jar_entry disable trigger append_only;
delete from jar_entry where reverses is not null;
alter table jar_entry enable trigger append_only;
alter table jar_entry drop constraint jar_entry_kind_check;
alter table jar_entry add constraint jar_entry_kind_check check (kind in ('receive', 'consume', 'correct', 'discard'));
alter table jar_entry drop reverses;
alter table mix drop overruled;
alter table formula_version drop overruled;
alter table person drop decimal;
`,
}
