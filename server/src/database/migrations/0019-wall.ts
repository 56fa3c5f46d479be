import type { Migration } from './migration'

/** Keys that open the page for a screen on the wall. */
export const wall: Migration = {
  name: '0019-wall',
  up: /* sql */ `
create table wall_key (
  id uuid primary key,
  name text not null,
  token_hash text not null unique,
  by_person uuid references person on delete set null,
  at timestamptz not null,
  revoked_at timestamptz
);
`,
  down: /* sql */ `
drop table wall_key;
`,
}
