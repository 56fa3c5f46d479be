import type { Migration } from './migration'

/** What went down the drain by a paper: a ledger of its own. An older server would pour it into a drum once more. */
export const drain: Migration = {
  name: '0025-drain',
  breaking: true,
  up: /* sql */ `
create table drain_entry (
  id uuid primary key,
  seq bigint generated always as identity,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  family text not null,
  ml numeric(14,4) not null check (case when reverses is null then ml > 0 else ml < 0 end),
  silver_g numeric(14,4) not null,
  contents jsonb,
  waste_id uuid not null references waste_entry,
  rule jsonb not null,
  reverses uuid unique references drain_entry,
  note text not null default ''
);
create index drain_entry_waste on drain_entry (waste_id);
create index drain_entry_at on drain_entry (at);
create trigger append_only before update or delete on drain_entry for each row execute function refuse_change('by_person');
create trigger tell after insert on drain_entry for each row execute function tell_change('sink', 'id');
`,
  down: /* sql */ `
drop table drain_entry;
`,
}
