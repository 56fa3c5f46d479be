import type { Migration } from './migration'

/** What nobody measured is not there: taps, room and shelves without a temperature; the first steps a house leaves out. */
export const unmeasured: Migration = {
  name: '0006-unmeasured',
  up: /* sql */ `
alter table darkroom
  alter tap_cold_c drop not null, alter tap_cold_c drop default,
  alter tap_hot_c drop not null, alter tap_hot_c drop default,
  alter room_c drop not null, alter room_c drop default,
  add left_out text[] not null default '{}';
-- figures nobody ever touched were the schema's own
update darkroom set tap_cold_c = null, tap_hot_c = null, room_c = null where kind = 'house' and version = 1;

alter table shelf alter celsius drop not null, alter celsius drop default;

alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests'));
`,
  down: /* sql */ `
delete from import where kind in ('shelves', 'tanks');
alter table import drop constraint import_kind_check;
alter table import add constraint import_kind_check check (kind in ('formulas', 'jars', 'chart', 'bottles', 'ledger', 'tests'));
update shelf set celsius = 20 where celsius is null;
alter table shelf alter celsius set default 20, alter celsius set not null;
update darkroom set tap_cold_c = coalesce(tap_cold_c, 12), tap_hot_c = coalesce(tap_hot_c, 54), room_c = coalesce(room_c, 21);
alter table darkroom
  drop left_out,
  alter tap_cold_c set default 12, alter tap_cold_c set not null,
  alter tap_hot_c set default 54, alter tap_hot_c set not null,
  alter room_c set default 21, alter room_c set not null;
`,
}
