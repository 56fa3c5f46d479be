import type { Migration } from './migration'

/** What the room has and when it is open, what is out of order in it, and evenings: each one document, with what every change made of it. */
export const evening: Migration = {
  name: '0018-evening',
  up: /* sql */ `
create table room (
  only_row boolean primary key default true check (only_row),
  version int not null default 1,
  body jsonb not null
);
create table fault (
  id uuid primary key,
  version int not null default 1,
  thing text not null check (thing in ('vessel', 'bath', 'closet', 'wash', 'dryer', 'enlarger', 'instrument', 'other')),
  thing_id uuid,
  name text not null,
  what text not null,
  state text not null default 'doubt' check (state in ('doubt', 'out', 'closed')),
  by_person uuid references person on delete set null,
  at timestamptz not null,
  checked text,
  closed_by uuid references person on delete set null,
  closed_at timestamptz,
  check ((state = 'closed') = (checked is not null and closed_at is not null))
);
create index fault_open on fault (id) where state <> 'closed';
create table evening (
  id uuid primary key,
  version int not null default 1,
  day text not null unique check (day ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$'),
  body jsonb not null,
  opens_at timestamptz not null,
  closes_at timestamptz not null check (closes_at > opens_at)
);
create index evening_opens on evening (opens_at);
create table evening_change (
  id uuid primary key,
  evening_id uuid not null references evening on delete cascade,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  what text not null,
  -- what it was before, for whoever takes the change back
  before jsonb not null,
  undone boolean not null default false
);
create index evening_change_evening on evening_change (evening_id, id);
create table evening_bath (
  load_id uuid not null,
  bottle_id uuid not null references bottle on delete cascade,
  evening_id uuid not null references evening on delete cascade,
  ml numeric(14,4) not null check (ml >= 0),
  rolls numeric(14,4) not null check (rolls >= 0),
  primary key (load_id, bottle_id)
);
create index evening_bath_bottle on evening_bath (bottle_id);
create index evening_bath_evening on evening_bath (evening_id);
create function tell_bottle_of_evening() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'bottle', 'id', coalesce(new.bottle_id, old.bottle_id), 'version', null)::text);
  return null;
end $$;
create trigger tell after insert or delete on evening_bath for each row execute function tell_bottle_of_evening();
-- an evening without somebody: their films have no owner, what they led has no place, and they neither work nor print in it
create function evening_without(body jsonb, person text) returns jsonb language sql immutable as $$
  select body || jsonb_build_object(
    'people', coalesce((select jsonb_agg(p) from jsonb_array_elements(body -> 'people') p where p ->> 'personId' <> person), '[]'),
    'prints', coalesce((select jsonb_agg(p) from jsonb_array_elements(body -> 'prints') p where p ->> 'memberId' <> person), '[]'),
    'loads', coalesce((select jsonb_agg(l || jsonb_build_object(
      'place', case when l -> 'place' ->> 'personId' = person then 'null'::jsonb else l -> 'place' end,
      'request', l -> 'request' || jsonb_build_object('films', (select jsonb_agg(case when f ->> 'memberId' = person then f - 'memberId' else f end) from jsonb_array_elements(l -> 'request' -> 'films') f))
    )) from jsonb_array_elements(body -> 'loads') l), '[]'))
$$;
create table evening_tick (
  evening_id uuid not null references evening on delete cascade,
  task text not null,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  primary key (evening_id, task)
);
create function tell_of_tick() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'evening', 'id', coalesce(new.evening_id, old.evening_id), 'version', null)::text);
  return null;
end $$;
create trigger tell after insert or delete on evening_tick for each row execute function tell_of_tick();
alter table film_order add column begins_at timestamptz, add column hangs_at timestamptz, add column cost numeric(14,4) check (cost >= 0);
alter table roll add column order_id uuid references film_order on delete set null;
-- of an order there is one notice somebody has not seen yet
alter table notice add column order_id uuid references film_order on delete cascade;
create unique index notice_order on notice (order_id) where order_id is not null and read_at is null;
create index roll_order on roll (order_id) where order_id is not null;
create trigger tell after insert or update on evening for each row execute function tell_change('evening', 'id');
create trigger tell after insert or update on fault for each row execute function tell_change('fault', 'id');
create function tell_room() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'room', 'id', 'room', 'version', new.version)::text);
  return null;
end $$;
create trigger tell after insert or update on room for each row execute function tell_room();
`,
  down: /* sql */ `
drop index notice_order;
alter table notice drop column order_id;
drop index roll_order;
alter table roll drop column order_id;
alter table film_order drop column begins_at, drop column hangs_at, drop column cost;
drop table evening_bath;
drop function tell_bottle_of_evening();
drop table evening_tick;
drop function tell_of_tick();
drop table evening_change;
drop table evening;
drop table fault;
drop table room;
drop function tell_room();
drop function evening_without(jsonb, text);
`,
}
