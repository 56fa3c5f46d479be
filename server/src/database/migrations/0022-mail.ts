import type { Migration } from './migration'

/** Where people are written to and when not, and what is written to them: a letter for every notice, written where the notice is and sent afterwards. */
export const mail: Migration = {
  name: '0022-mail',
  up: /* sql */ `
create table mail_wish (
  person_id uuid primary key references person on delete cascade,
  version int not null default 1,
  address text not null default '',
  wanted boolean not null default true,
  quiet_from text not null default '22:00' check (quiet_from ~ '^[0-9]{2}:[0-9]{2}$'),
  quiet_until text not null default '08:00' check (quiet_until ~ '^[0-9]{2}:[0-9]{2}$')
);
create table letter (
  -- in its Message-ID: whoever gets it twice knows that it is the same
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  notice_id uuid not null references notice on delete cascade,
  text text not null,
  at timestamptz not null,
  -- null where nothing is to be tried any more
  next_at timestamptz,
  sent_at timestamptz,
  tries int not null default 0,
  error text
);
create index letter_next on letter (next_at) where next_at is not null;
create index letter_notice on letter (notice_id);
create index letter_person on letter (person_id);
create function write_letter() returns trigger language plpgsql as $$
begin
  if exists (select from mail_wish where person_id = new.person_id and wanted and address <> '') then
    -- what is not on its way yet says the newest
    delete from letter where notice_id = new.id and sent_at is null;
    insert into letter (id, person_id, notice_id, text, at, next_at)
      values (overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid, new.person_id, new.id, new.text, new.at, new.at);
  end if;
  return null;
end $$;
create trigger letter_of_new after insert on notice for each row execute function write_letter();
create trigger letter_of_other after update of text on notice for each row when (old.text is distinct from new.text) execute function write_letter();
`,
  down: /* sql */ `
drop trigger letter_of_new on notice;
drop trigger letter_of_other on notice;
drop function write_letter();
drop table letter;
drop table mail_wish;
`,
}
