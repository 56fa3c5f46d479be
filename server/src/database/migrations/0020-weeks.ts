import type { Migration } from './migration'

/** Orders over the openings of the coming weeks: the last spread with how far the next one is, and the day each order was promised for. */
export const weeks: Migration = {
  name: '0020-weeks',
  up: /* sql */ `
create table weeks (
  only_row boolean primary key default true check (only_row),
  version int not null default 1,
  state text not null default 'none' check (state in ('none', 'asked', 'running', 'done', 'failed')),
  done int not null default 0,
  "of" int not null default 0,
  asked_by uuid references person on delete set null,
  asked_at timestamptz,
  finished_at timestamptz,
  result jsonb,
  error text
);
insert into weeks default values;
create function tell_weeks() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'weeks', 'id', 'weeks', 'version', new.version)::text);
  return null;
end $$;
create trigger tell after update on weeks for each row execute function tell_weeks();
-- what its owner wants has a version of its own: days and times that the house works out do not get in the way of whoever changes the wish
alter table film_order add column promised_for text check (promised_for ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$'), add column wish_version int not null default 1;
`,
  down: /* sql */ `
alter table film_order drop column promised_for, drop column wish_version;
drop table weeks;
drop function tell_weeks();
`,
}
