import type { Migration } from './migration'

/** Who was shown what until when, and when a technician stood in for it; whose hands weighed a mix. */
export const trainings: Migration = {
  name: '0038-trainings',
  up: /* sql */ `
create table training (
  id uuid primary key,
  seq bigint generated always as identity,
  person_id uuid not null references person on delete cascade,
  kind text not null check (kind in ('given', 'revoked')),
  task text not null,
  at timestamptz not null,
  written_at timestamptz not null,
  by_person uuid references person on delete set null,
  stage text,
  shown text not null default '',
  outside text not null default '',
  practice_id uuid references practice on delete cascade
);
create index training_person on training (person_id, seq);
create unique index training_practice on training (practice_id, task) where practice_id is not null;
create trigger append_only before update on training for each row execute function refuse_change('by_person');
create trigger tell after insert on training for each row execute function tell_change('training', 'nobody');
create table training_presence (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  tasks text[] not null,
  by_person uuid references person on delete set null,
  at timestamptz not null,
  until timestamptz not null
);
create trigger tell after insert on training_presence for each row execute function tell_change('training', 'nobody');
create index training_presence_person on training_presence (person_id, until);
alter table notice add column training_id uuid references training on delete cascade;
alter table mix add column hand_person uuid references person on delete set null;
`,
  down: /* sql */ `
alter table mix drop column hand_person;
alter table notice drop column training_id;
drop table training_presence, training;
`,
}
