import type { Migration } from './migration'

/** Places at enlargers are booked by themselves, whether an evening is planned or not: those that stood in evenings come out of them. */
export const printing: Migration = {
  name: '0023-printing',
  // an older server would book into evenings, where nobody looks any more
  breaking: true,
  up: /* sql */ `
create table print_place (
  id uuid primary key,
  version int not null default 1,
  person_id uuid not null references person on delete cascade,
  day text not null check (day ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$'),
  from_at timestamptz not null,
  until_at timestamptz not null check (until_at > from_at),
  at timestamptz not null,
  by_person uuid references person on delete set null,
  overruled text,
  taken_back_at timestamptz,
  taken_back_by uuid references person on delete set null,
  why text
);
create index print_place_day on print_place (day) where taken_back_at is null;
create index print_place_from on print_place (from_at) where taken_back_at is null;
create index print_place_person on print_place (person_id);
create trigger tell after insert or update on print_place for each row execute function tell_change('printing', 'id');
create function tell_gone_place() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'printing', 'id', old.id, 'version', null)::text);
  return null;
end $$;
create trigger tell_gone after delete on print_place for each row execute function tell_gone_place();
insert into print_place (id, person_id, day, from_at, until_at, at)
  select (p ->> 'id')::uuid, person.id, evening.day, to_timestamp((p ->> 'fromAt')::numeric / 1000), to_timestamp((p ->> 'untilAt')::numeric / 1000), evening.opens_at
  from evening, jsonb_array_elements(coalesce(body -> 'prints', '[]')) p join person on person.id = (p ->> 'memberId')::uuid;
delete from evening_change where what = 'printing';
update evening_change set before = before - 'prints';
update evening set body = body - 'prints' where body ? 'prints';
create or replace function evening_without(body jsonb, person text) returns jsonb language sql immutable as $$
  select body || jsonb_build_object(
    'people', coalesce((select jsonb_agg(p) from jsonb_array_elements(body -> 'people') p where p ->> 'personId' <> person), '[]'),
    'loads', coalesce((select jsonb_agg(l || jsonb_build_object(
      'place', case when l -> 'place' ->> 'personId' = person then 'null'::jsonb else l -> 'place' end,
      'request', l -> 'request' || jsonb_build_object('films', (select jsonb_agg(case when f ->> 'memberId' = person then f - 'memberId' else f end) from jsonb_array_elements(l -> 'request' -> 'films') f))
    )) from jsonb_array_elements(body -> 'loads') l), '[]'))
$$;
`,
  down: /* sql */ `
create or replace function evening_without(body jsonb, person text) returns jsonb language sql immutable as $$
  select body || jsonb_build_object(
    'people', coalesce((select jsonb_agg(p) from jsonb_array_elements(body -> 'people') p where p ->> 'personId' <> person), '[]'),
    'prints', coalesce((select jsonb_agg(p) from jsonb_array_elements(body -> 'prints') p where p ->> 'memberId' <> person), '[]'),
    'loads', coalesce((select jsonb_agg(l || jsonb_build_object(
      'place', case when l -> 'place' ->> 'personId' = person then 'null'::jsonb else l -> 'place' end,
      'request', l -> 'request' || jsonb_build_object('films', (select jsonb_agg(case when f ->> 'memberId' = person then f - 'memberId' else f end) from jsonb_array_elements(l -> 'request' -> 'films') f))
    )) from jsonb_array_elements(body -> 'loads') l), '[]'))
$$;
update evening set body = body || jsonb_build_object('prints', coalesce((
  select jsonb_agg(jsonb_build_object('id', p.id, 'memberId', p.person_id, 'fromAt', (extract(epoch from p.from_at) * 1000)::bigint, 'untilAt', (extract(epoch from p.until_at) * 1000)::bigint))
  from print_place p where p.day = evening.day and p.taken_back_at is null), '[]'));
drop table print_place;
drop function tell_gone_place();
`,
}
