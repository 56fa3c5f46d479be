import type { Migration } from './migration'

/** Colour prints: what a paper prints, how a box's batch differs, and the rounds people did with the trainer of casts. */
export const colour: Migration = {
  name: '0031-colour',
  up: /* sql */ `
update paper set body = body || '{"material": "black-and-white"}' where not body ? 'material';
update paper_box set body = body || '{"label": null}' where not body ? 'label';
create table cast_round (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  at timestamptz not null,
  level int not null check (level > 0),
  material text not null check (material in ('negative', 'reversal')),
  prints int not null check (prints > 0),
  rest numeric(14,4) not null check (rest >= 0),
  score numeric(14,4) not null check (score between 0 and 100)
);
create index cast_round_person on cast_round (person_id, at);
`,
  down: /* sql */ `
drop table cast_round;
update paper set body = body - 'material';
update paper_box set body = body - 'label';
`,
}
