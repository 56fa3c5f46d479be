import type { Migration } from './migration'

/** Hazards of own chemicals said by their statements alone; uses that belong to a step, what runs are promised, whole runs taken back, charts that can be mended, and pH with its temperature. */
export const safe: Migration = {
  name: '0004-safe',
  up: /* sql */ `
-- what was chosen as a hazard becomes its statement, beside those that were typed
update chemical set body = (body - 'hazards') || case
  when jsonb_array_length(coalesce(body -> 'hazards', '[]')) = 0 then '{}'::jsonb
  else jsonb_build_object('statements', (
    select jsonb_agg(distinct code) from (
      select jsonb_array_elements_text(coalesce(body -> 'statements', '[]')) as code
      union
      select said.code from jsonb_array_elements_text(body -> 'hazards') as hazard
        join (values ('toxic-for-reproduction', 'H360'), ('suspected-carcinogen', 'H351'), ('carcinogen', 'H350'), ('sensitiser', 'H317'), ('eye-damage', 'H318'),
          ('poison', 'H301'), ('poison', 'H311'), ('corrosive', 'H314'), ('oxidiser', 'H272'), ('gives-off-gas', 'EUH031')) as said(hazard, code)
          on said.hazard = hazard
    ) as codes))
  end;

-- a use belongs to a step: its index until processes have keys
alter table bottle_entry add step int check (step >= 0);
alter table bottle_entry disable trigger append_only;
update bottle_entry e set step = (
  select min(s.ord) - 1 from run r, jsonb_array_elements(r.plan -> 'steps') with ordinality as s(step, ord)
  where r.id = e.run_id and s.step -> 'bottle' ->> 'id' = e.bottle_id::text) where e.run_id is not null;
alter table bottle_entry enable trigger append_only;
drop index bottle_entry_run;
create unique index bottle_entry_run on bottle_entry (run_id, coalesce(step, -1), bottle_id, kind) where run_id is not null and kind <> 'reverse';
-- what older lines came to is reckoned anew: film that comes wet thins a bath now
update bottle_checkpoint set carried = 0, carried_at = null, carried_seq = null, carry = null;

create index bottle_entry_other on bottle_entry (other_bottle_id) where other_bottle_id is not null;

create table run_bath (
  run_id uuid not null references run on delete cascade,
  step int not null check (step >= 0),
  bottle_id uuid not null references bottle,
  parts numeric(14,4)[] not null,
  ml numeric(14,4) not null check (ml >= 0),
  equivalents numeric(14,4) not null check (equivalents >= 0),
  one_shot boolean not null,
  primary key (run_id, step)
);
create index run_bath_bottle on run_bath (bottle_id);
insert into run_bath (run_id, step, bottle_id, parts, ml, equivalents, one_shot)
select r.id, s.ord - 1, (s.step -> 'bottle' ->> 'id')::uuid, array(select jsonb_array_elements_text(s.step -> 'bottle' -> 'parts')::numeric), (s.step -> 'partsMl' ->> 0)::numeric,
  (r.plan ->> 'rolls')::numeric, (s.step -> 'bottle' ->> 'oneShot')::boolean
from run r, jsonb_array_elements(r.plan -> 'steps') with ordinality as s(step, ord)
where r.state in ('planned', 'running') and jsonb_typeof(s.step -> 'bottle') = 'object' and exists (select from bottle where id = (s.step -> 'bottle' ->> 'id')::uuid);
create trigger tell after insert or update on run_bath for each row execute function tell_change('bottle', 'bottle_id');

alter table run drop constraint run_state_check, drop constraint run_check, drop constraint run_check1;
alter table run
  add taken_back_why text,
  add constraint run_state_check check (state in ('planned', 'running', 'done', 'abandoned', 'taken-back')),
  add constraint run_started check (state in ('planned', 'abandoned') or started_at is not null),
  add constraint run_ended check ((state in ('done', 'abandoned', 'taken-back')) = (ended_at is not null)),
  add constraint run_taken_back check ((state = 'taken-back') = (taken_back_why is not null));
alter table roll add taken_back boolean not null default false, add slow_clearing boolean;

alter table chart_row
  add version int not null default 1,
  add tried_at timestamptz,
  add tried_by uuid references person on delete set null,
  add tried_note text not null default '';
create trigger tell_gone after delete on chart_row for each row execute function tell_gone('chart', 'id');

-- names the house answers to beside its own addresses, and whether bench devices may stand outside the private networks
alter table darkroom
  add hosts text[] not null default '{}',
  add public_devices boolean not null default false;
alter table session add seen_at timestamptz;
update session set seen_at = created_at;
alter table session alter seen_at set not null;

create function tell_session() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin_session', old.token_hash);
  return null;
end $$;
create trigger tell_gone after delete on session for each row execute function tell_session();

create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  -- a person's erasure blanks who did it, and a clock found wrong gives back the time; nothing else of a written line may change
  if tg_op = 'UPDATE' and ((to_jsonb(new) - tg_argv[0]) = (to_jsonb(old) - tg_argv[0])
    or (current_setting('selvrin.mending_clock', true) = 'on' and (to_jsonb(new) - 'at') = (to_jsonb(old) - 'at'))) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end $$;

alter table batch
  add ph_celsius numeric(14,4),
  add ph_expected numeric(14,4),
  add ph_uncertainty numeric(14,4),
  add ph_why text;
`,
  down: /* sql */ `
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' and (to_jsonb(new) - tg_argv[0]) = (to_jsonb(old) - tg_argv[0]) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end $$;
drop trigger tell_gone on session;
drop function tell_session;
alter table session drop seen_at;
alter table darkroom drop hosts, drop public_devices;
alter table batch drop ph_celsius, drop ph_expected, drop ph_uncertainty, drop ph_why;
drop trigger tell_gone on chart_row;
alter table chart_row drop version, drop tried_at, drop tried_by, drop tried_note;
alter table roll drop taken_back, drop slow_clearing;
alter table run drop constraint run_state_check, drop constraint run_started, drop constraint run_ended, drop constraint run_taken_back;
update run set state = 'done' where state = 'taken-back';
alter table run
  drop taken_back_why,
  add constraint run_state_check check (state in ('planned', 'running', 'done', 'abandoned')),
  add constraint run_check check ((state in ('planned')) or (state = 'abandoned') or (started_at is not null)),
  add constraint run_check1 check ((state in ('done', 'abandoned')) = (ended_at is not null));
drop table run_bath;
drop index bottle_entry_other;
drop index bottle_entry_run;
create unique index bottle_entry_run on bottle_entry (run_id, bottle_id, kind) where run_id is not null and kind <> 'reverse';
alter table bottle_entry drop step;
update chemical set body = body || '{"hazards": []}'::jsonb;
`,
}
