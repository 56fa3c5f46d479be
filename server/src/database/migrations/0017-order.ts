import type { Migration } from './migration'

/** Rolls that are handed in to be developed, what happened to each, and a photograph of its canister. */
export const order: Migration = {
  name: '0017-order',
  up: /* sql */ `
create table film_order (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  member_id uuid references person on delete set null,
  state text not null default 'waiting' check (state in ('waiting', 'planned', 'begun', 'done', 'withdrawn')),
  film text not null,
  format text not null,
  count int not null check (count between 1 and 24),
  ei int not null check (ei > 0),
  push_stops numeric(14,4) not null,
  process_id uuid not null references process,
  developer jsonb,
  earliest timestamptz,
  wanted_by timestamptz,
  present boolean not null,
  critical boolean not null,
  note text not null default '',
  rack int check (rack > 0),
  handed_by uuid references person on delete set null,
  handed_at timestamptz not null,
  why text
);
create index film_order_open on film_order (state, id) where state in ('waiting', 'planned', 'begun');
create index film_order_member on film_order (member_id, id);
-- two lie in one place only by mistake
create unique index film_order_rack on film_order (rack) where rack is not null;
create table order_change (
  id uuid primary key,
  order_id uuid not null references film_order on delete cascade,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  what text not null check (what in ('handed-in', 'changed', 'withdrawn')),
  changes jsonb not null default '[]' check (jsonb_typeof(changes) = 'array'),
  why text not null default ''
);
create index order_change_order on order_change (order_id, at);
create table order_photo (
  order_id uuid primary key references film_order on delete cascade,
  type text not null,
  bytes bytea not null,
  at timestamptz not null
);
create trigger tell after insert or update on film_order for each row execute function tell_change('order', 'id');
create function tell_of_photo() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'order', 'id', coalesce(new.order_id, old.order_id), 'version', null)::text);
  return null;
end $$;
create trigger tell after insert or update on order_photo for each row execute function tell_of_photo();
`,
  down: /* sql */ `
drop table order_photo;
drop table order_change;
drop table film_order;
drop function tell_of_photo();
`,
}
