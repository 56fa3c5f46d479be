import type { Migration } from './migration'

/** How a process was practised, so that its plan can be shown again: all of before were as the page had it. */
export const practised: Migration = {
  name: '0016-practised',
  up: /* sql */ `
alter table practice
  add options jsonb not null default '{}' check (jsonb_typeof(options) = 'object'),
  add agitation text not null default '30-5-30' check (length(agitation) <= 40);
`,
  down: /* sql */ `
alter table practice drop options, drop agitation;
`,
}
