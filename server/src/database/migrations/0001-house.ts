import type { Migration } from './migration'

/** The whole first schema: people, formulas, jars, mixes, bottles, runs; ledgers and used versions are append-only. */
export const house: Migration = {
  name: '0001-house',
  up: /* sql */ `
create table darkroom (
  only_row boolean primary key default true check (only_row),
  kind text not null check (kind in ('demo', 'house')),
  version int not null default 1,
  name text not null check (length(name) between 1 and 120),
  zone text not null,
  tap_cold_c numeric(14,4) not null default 12,
  tap_hot_c numeric(14,4) not null default 54,
  room_c numeric(14,4) not null default 21,
  scale_readability_g numeric(14,4) not null default 0.1 check (scale_readability_g > 0),
  first_code_hash text
);

create table person (
  id uuid primary key,
  version int not null default 1,
  name text not null check (length(name) between 1 and 120),
  login text not null unique check (login = lower(login)),
  role text not null check (role in ('member', 'technician')),
  password_hash text,
  active boolean not null default true,
  units text not null default 'metric' check (units in ('metric', 'us')),
  letter_keys boolean not null default true,
  sounds boolean not null default true,
  created_at timestamptz not null
);
create table session (
  token_hash text primary key,
  person_id uuid not null references person on delete cascade,
  created_at timestamptz not null,
  expires_at timestamptz not null
);
create index session_person on session (person_id);
create table one_time_code (
  code_hash text primary key,
  person_id uuid not null references person on delete cascade,
  expires_at timestamptz not null
);
create table sign_in_attempt (key text primary key, points int not null default 0, expire bigint);
create table idempotency (
  person_id uuid not null references person on delete cascade,
  key text not null,
  request_hash text not null,
  answer jsonb,
  created_at timestamptz not null,
  primary key (person_id, key)
);
create index idempotency_age on idempotency (created_at);

create table label_code (code text primary key check (code ~ '^[2-9A-HJKMNP-Z]{6}$'));

create table formula (id uuid primary key, version int not null default 1);
create table formula_version (
  id uuid primary key,
  formula_id uuid not null references formula,
  number int not null check (number > 0),
  body jsonb not null check (jsonb_typeof(body) = 'object' and body ? 'name' and body ? 'family' and body ? 'use'),
  changed_by uuid references person on delete set null,
  changed_at timestamptz not null,
  unique (formula_id, number)
);

create table jar (
  id uuid primary key,
  version int not null default 1,
  code text not null unique references label_code,
  chemical text not null,
  lot text not null default '',
  place text not null default '',
  opened_at timestamptz
);
create index jar_chemical on jar (chemical);

create table mix (
  id uuid primary key,
  version int not null default 1,
  state text not null default 'open' check (state in ('open', 'done', 'abandoned')),
  formula_version_id uuid not null references formula_version,
  final_ml numeric(14,4) not null check (final_ml > 0),
  started_by uuid references person on delete set null,
  started_at timestamptz not null,
  ended_at timestamptz,
  why text
);
create table mix_event (
  id uuid primary key,
  mix_id uuid not null references mix,
  position int generated always as identity,
  event jsonb not null,
  by_person uuid references person on delete set null,
  at timestamptz not null
);
create index mix_event_mix on mix_event (mix_id, position);
create table batch (
  id uuid primary key,
  mix_id uuid unique references mix,
  formula_version_id uuid not null references formula_version,
  made_at timestamptz not null,
  made_by uuid references person on delete set null,
  ph numeric(14,4) check (ph between 0 and 14)
);
create table jar_entry (
  id uuid primary key,
  jar_id uuid not null references jar,
  kind text not null check (kind in ('receive', 'consume', 'correct', 'discard')),
  grams numeric(14,4) not null,
  mix_id uuid references mix,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  note text not null default ''
);
create index jar_entry_jar on jar_entry (jar_id);

create table bottle (
  id uuid primary key,
  version int not null default 1,
  letter text not null check (letter ~ '^[DSFBCWTLO]$'),
  number int not null check (number > 0),
  code text not null unique references label_code,
  formula_version_id uuid not null references formula_version,
  batch_id uuid references batch,
  from_bottle_id uuid references bottle,
  size_ml numeric(14,4) not null check (size_ml > 0),
  parts numeric(14,4)[],
  made_at timestamptz not null,
  made_by uuid references person on delete set null,
  retired_at timestamptz,
  retired_why text,
  check ((retired_at is null) = (retired_why is null)),
  unique (letter, number)
);
create index bottle_in_use on bottle (letter, number) where retired_at is null;

create table vessel (
  id uuid primary key,
  name text not null unique,
  kind text not null check (kind in ('hand', 'rotary')),
  format text not null check (format in ('135', '120')),
  reels int not null check (reels > 0),
  covers_ml numeric(14,4)[] not null check (cardinality(covers_ml) = reels)
);

create table run (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  state text not null default 'planned' check (state in ('planned', 'running', 'done', 'abandoned')),
  plan jsonb not null,
  request jsonb not null,
  overruled text,
  planned_by uuid references person on delete set null,
  planned_at timestamptz not null,
  started_at timestamptz,
  ended_at timestamptz,
  why text,
  check ((state in ('planned')) or (state = 'abandoned') or (started_at is not null)),
  check ((state in ('done', 'abandoned')) = (ended_at is not null))
);
create index run_state on run (state, number desc);
create table run_event (
  id uuid primary key,
  run_id uuid not null references run,
  event jsonb not null,
  at timestamptz not null,
  by_person uuid references person on delete set null
);
create index run_event_run on run_event (run_id, at);

create table roll (
  id uuid primary key,
  version int not null default 1,
  run_id uuid not null references run,
  member_id uuid references person on delete set null,
  film text not null,
  format text not null,
  ei int not null check (ei > 0),
  developer text not null,
  developed_s numeric(14,4),
  temperature_c numeric(14,4),
  at timestamptz not null,
  result text check (result in ('thin', 'right', 'dense')),
  contrast text check (contrast in ('flat', 'right', 'hard')),
  note text not null default ''
);
create index roll_member on roll (member_id, at desc);
create index roll_run on roll (run_id);

create table bottle_entry (
  id uuid primary key,
  bottle_id uuid not null references bottle,
  kind text not null check (kind in ('fill', 'dilute-out', 'pour-out', 'pour-back', 'use', 'top-up', 'discard', 'correct', 'reverse')),
  at timestamptz not null,
  written_at timestamptz not null default now(),
  by_person uuid references person on delete set null,
  ml numeric(14,4) not null,
  rolls numeric(14,4) not null default 0 check (rolls >= 0),
  paper numeric(14,4) not null default 0 check (paper >= 0),
  water_in_ml numeric(14,4) not null default 0 check (water_in_ml >= 0),
  run_id uuid references run,
  reverses uuid unique references bottle_entry,
  note text not null default '',
  check ((kind = 'reverse') = (reverses is not null)),
  check (kind not in ('fill', 'pour-back', 'top-up') or ml >= 0),
  check (kind not in ('dilute-out', 'pour-out', 'discard') or ml <= 0)
);
create index bottle_entry_bottle on bottle_entry (bottle_id, at);
create unique index bottle_entry_run on bottle_entry (run_id, bottle_id, kind) where run_id is not null and kind <> 'reverse';

create table chart_row (
  id uuid primary key,
  film text not null,
  formula_id uuid not null references formula,
  parts numeric(14,4)[] not null,
  ei int not null check (ei > 0),
  temperature_c numeric(14,4) not null,
  seconds numeric(14,4) not null check (seconds > 0),
  source text not null default '',
  note text not null default '',
  by_person uuid references person on delete set null
);
create index chart_film on chart_row (formula_id, film);

create function refuse_change() returns trigger language plpgsql as $$
begin
  -- a person's erasure blanks who did it; nothing else of a written line may change
  if tg_op = 'UPDATE' and (to_jsonb(new) - tg_argv[0]) = (to_jsonb(old) - tg_argv[0]) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end $$;
create trigger append_only before update or delete on bottle_entry for each row execute function refuse_change('by_person');
create trigger append_only before update or delete on jar_entry for each row execute function refuse_change('by_person');
create trigger append_only before update or delete on mix_event for each row execute function refuse_change('by_person');
create trigger append_only before update or delete on run_event for each row execute function refuse_change('by_person');
create trigger append_only before update or delete on formula_version for each row execute function refuse_change('changed_by');

create function bottle_holds() returns trigger language plpgsql as $$
declare held numeric;
begin
  select sum(ml) into held from bottle_entry where bottle_id = new.bottle_id;
  if held < 0 then
    raise exception 'bottle % would hold % ml', new.bottle_id, held using errcode = 'check_violation', constraint = 'bottle_never_below_zero';
  end if;
  return null;
end $$;
create constraint trigger never_below_zero after insert on bottle_entry for each row execute function bottle_holds();

create function jar_holds() returns trigger language plpgsql as $$
declare held numeric;
begin
  select sum(grams) into held from jar_entry where jar_id = new.jar_id;
  if held < 0 then
    raise exception 'jar % would hold % g', new.jar_id, held using errcode = 'check_violation', constraint = 'jar_never_below_zero';
  end if;
  return null;
end $$;
create constraint trigger never_below_zero after insert on jar_entry for each row execute function jar_holds();

create function tell_change() returns trigger language plpgsql as $$
declare changed jsonb := to_jsonb(new);
begin
  perform pg_notify('selvrin', json_build_object('subject', tg_argv[0], 'id', coalesce(changed ->> tg_argv[1], ''), 'version', (changed ->> 'version')::int)::text);
  return null;
end $$;
create trigger tell after insert or update on bottle for each row execute function tell_change('bottle', 'id');
create trigger tell after insert on bottle_entry for each row execute function tell_change('bottle', 'bottle_id');
create trigger tell after insert or update on formula for each row execute function tell_change('formula', 'id');
create trigger tell after insert on formula_version for each row execute function tell_change('formula', 'formula_id');
create trigger tell after insert or update on jar for each row execute function tell_change('jar', 'id');
create trigger tell after insert on jar_entry for each row execute function tell_change('jar', 'jar_id');
create trigger tell after insert or update on mix for each row execute function tell_change('mix', 'id');
create trigger tell after insert on mix_event for each row execute function tell_change('mix', 'mix_id');
create trigger tell after insert or update on run for each row execute function tell_change('run', 'id');
create trigger tell after insert on run_event for each row execute function tell_change('run', 'run_id');
create trigger tell after insert or update on roll for each row execute function tell_change('roll', 'id');
create trigger tell after insert or update on person for each row execute function tell_change('person', 'id');
create trigger tell after insert or update on darkroom for each row execute function tell_change('darkroom', 'kind');
create trigger tell after insert or update on vessel for each row execute function tell_change('vessel', 'id');
create trigger tell after insert or update on chart_row for each row execute function tell_change('chart', 'id');
`,
  down: /* sql */ `
drop table chart_row, bottle_entry, roll, run_event, run, vessel, bottle, jar_entry, batch, mix_event, mix, jar, formula_version, formula, label_code,
  idempotency, sign_in_attempt, one_time_code, session, person, darkroom;
drop function refuse_change, bottle_holds, jar_holds, tell_change;
`,
}
