import type { Migration } from './migration'

/** Files of the swatch book, of UV lamps and of hand-coated prints. */
export const benchFiles: Migration = {
  name: '0034-bench-files',
  up: /* sql */ `
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests', 'papers', 'enlargers', 'calibrations', 'prints', 'swatches', 'lamps', 'coated'));
`,
  down: /* sql */ `
delete from import_row where import_id in (select id from import where kind in ('swatches', 'lamps', 'coated'));
delete from import where kind in ('swatches', 'lamps', 'coated');
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests', 'papers', 'enlargers', 'calibrations', 'prints'));
`,
}
