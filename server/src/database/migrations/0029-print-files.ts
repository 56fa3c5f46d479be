import type { Migration } from './migration'

/** Files of the print room: papers with their boxes, enlargers, what was matched, sheets of prints. */
export const printFiles: Migration = {
  name: '0029-print-files',
  up: /* sql */ `
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests', 'papers', 'enlargers', 'calibrations', 'prints'));
`,
  down: /* sql */ `
delete from import_row where import_id in (select id from import where kind in ('papers', 'enlargers', 'calibrations', 'prints'));
delete from import where kind in ('papers', 'enlargers', 'calibrations', 'prints');
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests'));
`,
}
