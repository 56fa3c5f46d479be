import type { Migration } from './migration'

/** Hand-coated prints with what was done with each, and the UV lamps they stand under. */
export const coated: Migration = {
  name: '0033-coated',
  up: /* sql */ `
create table uv_lamp (
  id uuid primary key,
  version int not null default 1,
  body jsonb not null,
  run_s numeric(14,4) not null default 0 check (run_s >= 0),
  gone_at timestamptz
);
create table coated (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  member_id uuid references person on delete set null,
  body jsonb not null,
  by_person uuid references person on delete set null,
  at timestamptz not null,
  ended_at timestamptz
);
create index coated_member on coated (member_id, id);
create table coated_act (
  id uuid primary key,
  seq bigint generated always as identity,
  coated_id uuid not null references coated,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  act jsonb not null,
  light jsonb,
  cost numeric(14,4) check (cost >= 0)
);
create index coated_act_coated on coated_act (coated_id, seq);
create trigger append_only before update or delete on coated_act for each row execute function refuse_change('by_person');
create trigger tell after insert or update on uv_lamp for each row execute function tell_change('trays', 'id');
create trigger tell after insert or update on coated for each row execute function tell_change('trays', 'id');
`,
  down: /* sql */ `
drop table coated_act, coated, uv_lamp;
`,
}
