import type { Migration } from './migration'

/** For real hands: a person's decimal sign. */
export const hands: Migration = {
  name: '0005-hands',
  up: /* sql */ `
alter table person add decimal text not null default 'point' check (decimal in ('point', 'comma'));
`,
  down: /* sql */ `
alter table person drop decimal;
`,
}
