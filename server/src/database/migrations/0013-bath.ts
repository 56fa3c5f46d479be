import type { Migration } from './migration'

/** A tempering bath among the devices: how its set point is written, what water is in it, and the log its model is fitted from. */
export const bath: Migration = {
  name: '0013-bath',
  up: /* sql */ `
alter table device drop constraint device_kind_check;
alter table device
  add constraint device_kind_check check (kind in ('scale', 'thermometer', 'ph-meter', 'bath')),
  add command text not null default '' check (length(command) <= 60),
  add water jsonb check (water is null or jsonb_typeof(water) = 'object');
create table bath_reading (
  device_id uuid not null references device on delete cascade,
  at timestamptz not null,
  c numeric(14,4) not null,
  set_c numeric(14,4),
  heater numeric(14,4) not null check (heater between 0 and 1),
  primary key (device_id, at)
);
`,
  down: /* sql */ `
drop table bath_reading;
delete from device where kind = 'bath';
alter table device drop command, drop water, drop constraint device_kind_check;
alter table device add constraint device_kind_check check (kind in ('scale', 'thermometer', 'ph-meter'));
`,
}
