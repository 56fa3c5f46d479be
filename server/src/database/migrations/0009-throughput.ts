import type { Migration } from './migration'

/** What went through a bottle by a line: kinds and equivalents in one place instead of a column each. Older servers would write columns that are gone. */
export const throughput: Migration = {
  name: '0009-throughput',
  breaking: true,
  up: /* sql */ `
alter table bottle_entry add throughput jsonb not null default '[]'
  check (jsonb_typeof(throughput) = 'array' and not jsonb_path_exists(throughput, '$[*] ? (!exists(@.kind) || !exists(@.equivalents) || @.equivalents < 0)'));
alter table bottle_entry disable trigger append_only;
update bottle_entry set throughput = (
  select coalesce(jsonb_agg(jsonb_build_object('kind', kind, 'equivalents', equivalents)), '[]')
  from (values ('bw-roll', rolls - colour_rolls), ('colour-roll', colour_rolls), ('print', paper)) as t(kind, equivalents) where equivalents > 0)
where rolls > 0 or paper > 0;
alter table bottle_entry enable trigger append_only;
alter table bottle_entry drop rolls, drop paper, drop colour_rolls;
`,
  down: /* sql */ `
alter table bottle_entry
  add rolls numeric(14,4) not null default 0 check (rolls >= 0),
  add paper numeric(14,4) not null default 0 check (paper >= 0),
  add colour_rolls numeric(14,4) not null default 0;
alter table bottle_entry disable trigger append_only;
update bottle_entry set
  rolls = (select coalesce(sum((t ->> 'equivalents')::numeric), 0) from jsonb_array_elements(throughput) t where t ->> 'kind' in ('bw-roll', 'colour-roll')),
  colour_rolls = (select coalesce(sum((t ->> 'equivalents')::numeric), 0) from jsonb_array_elements(throughput) t where t ->> 'kind' = 'colour-roll'),
  paper = (select coalesce(sum((t ->> 'equivalents')::numeric), 0) from jsonb_array_elements(throughput) t where t ->> 'kind' = 'print')
where throughput <> '[]';
alter table bottle_entry enable trigger append_only;
alter table bottle_entry add check (colour_rolls >= 0 and colour_rolls <= rolls), drop throughput;
`,
}
