import type { Migration } from './migration'

/** Addresses that calendar programs subscribe to: each opens one person's plan, or the darkroom's. */
export const calendar: Migration = {
  name: '0021-calendar',
  up: /* sql */ `
create table calendar_key (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  whose text not null check (whose in ('mine', 'darkroom')),
  name text not null,
  token_hash text not null unique,
  at timestamptz not null,
  revoked_at timestamptz
);
create index calendar_key_person on calendar_key (person_id);
`,
  down: /* sql */ `
drop table calendar_key;
`,
}
