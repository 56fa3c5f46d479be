import type { Migration } from './migration'

/** A person's name is taken out of the lines in which they looked at someone's weight, which else never change: by the schema's own function. */
export const forgetting: Migration = {
  name: '0007-forgetting',
  up: /* sql */ `
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  -- a person's erasure blanks who did it, also where a line names who checked it; a clock found wrong gives back the time; nothing else of a written line may change
  if tg_op = 'UPDATE' and ((to_jsonb(new) - tg_argv[0]) = (to_jsonb(old) - tg_argv[0])
    or (current_setting('selvrin.mending_clock', true) = 'on' and (to_jsonb(new) - 'at') = (to_jsonb(old) - 'at'))
    or (current_setting('selvrin.forgetting', true) = 'on' and (to_jsonb(new) - 'event') = (to_jsonb(old) - 'event'))) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end $$;
create function forget_checker(gone text) returns void language plpgsql as $$
begin
  perform set_config('selvrin.forgetting', 'on', true);
  update mix_event set event = jsonb_set(jsonb_set(event, '{name}', '"someone who left"'), '{by}', '"00000000-0000-7000-8000-000000000000"')
    where event ->> 'kind' = 'checked' and event ->> 'by' = gone;
  perform set_config('selvrin.forgetting', '', true);
end $$;
`,
  down: /* sql */ `
drop function forget_checker;
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' and ((to_jsonb(new) - tg_argv[0]) = (to_jsonb(old) - tg_argv[0])
    or (current_setting('selvrin.mending_clock', true) = 'on' and (to_jsonb(new) - 'at') = (to_jsonb(old) - 'at'))) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end $$;
`,
}
