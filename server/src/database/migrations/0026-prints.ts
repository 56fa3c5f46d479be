import type { Migration } from './migration'

/** The print room: papers with their boxes and what was drawn from them, enlargers, and the sheets of prints with their tries. */
export const prints: Migration = {
  name: '0026-prints',
  up: /* sql */ `
create table paper (
  id uuid primary key,
  version int not null default 1,
  body jsonb not null,
  gone_at timestamptz
);
create table paper_box (
  id uuid primary key,
  version int not null default 1,
  paper_id uuid not null references paper,
  body jsonb not null,
  made_by uuid references person on delete set null,
  made_at timestamptz not null,
  opened_at timestamptz
);
create index paper_box_paper on paper_box (paper_id);
create table enlarger (
  id uuid primary key,
  version int not null default 1,
  body jsonb not null,
  gone_at timestamptz
);
create table sheet (
  id uuid primary key,
  version int not null default 1,
  number int not null unique check (number > 0),
  member_id uuid references person on delete set null,
  title text not null,
  negative jsonb not null,
  setup jsonb not null,
  done boolean not null default false,
  by_person uuid references person on delete set null,
  at timestamptz not null
);
create index sheet_member on sheet (member_id, id);
create table print_try (
  id uuid primary key,
  seq bigint generated always as identity,
  version int not null default 1,
  sheet_id uuid not null references sheet,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  setup jsonb not null,
  plan jsonb not null,
  said jsonb not null default '[]',
  note text not null default ''
);
create index print_try_sheet on print_try (sheet_id, seq);
create table paper_entry (
  id uuid primary key,
  seq bigint generated always as identity,
  box_id uuid not null references paper_box,
  at timestamptz not null,
  by_person uuid references person on delete set null,
  kind text not null check (kind in ('in', 'draw', 'count')),
  sheets numeric(14,4) not null check (case kind when 'in' then sheets > 0 when 'draw' then sheets < 0 else true end),
  try_id uuid references print_try,
  note text not null default ''
);
create index paper_entry_box on paper_entry (box_id, seq);
create index paper_entry_try on paper_entry (try_id) where try_id is not null;
create trigger append_only before update or delete on paper_entry for each row execute function refuse_change('by_person');
create function box_holds() returns trigger language plpgsql as $$
declare held numeric;
begin
  select sum(sheets) into held from paper_entry where box_id = new.box_id;
  if held < 0 then
    raise exception 'box % would hold % sheets', new.box_id, held using errcode = 'check_violation', constraint = 'box_holds_none';
  end if;
  return null;
end $$;
create constraint trigger holds_none after insert on paper_entry for each row execute function box_holds();
create trigger tell after insert or update on paper for each row execute function tell_change('trays', 'id');
create trigger tell after insert or update on paper_box for each row execute function tell_change('trays', 'id');
create trigger tell after insert on paper_entry for each row execute function tell_change('trays', 'box_id');
create trigger tell after insert or update on enlarger for each row execute function tell_change('trays', 'id');
create trigger tell after insert or update on sheet for each row execute function tell_change('print', 'id');
create trigger tell after insert or update on print_try for each row execute function tell_change('print', 'sheet_id');
`,
  down: /* sql */ `
drop table paper_entry, print_try, sheet, enlarger, paper_box, paper;
drop function box_holds();
`,
}
