import type { Migration } from './migration'

/** What changes a bottle from outside its ledger tells the bottle; an event of a run is told as itself, so that nobody fetches the run for it. */
export const told: Migration = {
  name: '0010-told',
  up: /* sql */ `
-- a text as it is looked through: without case and accents
create function plain(said text) returns text language sql immutable as $$ select lower(regexp_replace(normalize(said, NFD), U&'[\\0300-\\036F]', '', 'g')) $$;
create function tell_bottles(ids uuid[]) returns void language sql as $$
  select pg_notify('selvrin', json_build_object('subject', 'bottle', 'id', id, 'version', version)::text) from bottle where id = any(ids) and retired_at is null;
$$;
create function tell_bottles_of_batch() returns trigger language plpgsql as $$
begin
  -- those it was poured into carry what is odd about it as well
  perform tell_bottles(array(select b.id from bottle b where b.batch_id = new.id
    union select e.other_bottle_id from bottle b join bottle_entry e on e.bottle_id = b.id where b.batch_id = new.id and e.ml < 0));
  return null;
end $$;
create function tell_of_proof() returns trigger language plpgsql as $$
declare proven uuid := to_jsonb(new) ->> case tg_table_name when 'proof' then 'id' else 'proof_id' end;
begin
  perform tell_bottles(array(select b.id from proof f join bottle b on b.id = f.bottle_id or (f.fresh and b.batch_id = f.batch_id) where f.id = proven));
  perform pg_notify('selvrin', json_build_object('subject', 'instrument', 'id', i.id, 'version', i.version)::text)
    from proof f join instrument i on i.id = f.instrument_id where f.id = proven;
  return null;
end $$;
create function tell_bottles_of_run() returns trigger language plpgsql as $$
declare ran uuid := to_jsonb(new) ->> case tg_table_name when 'run' then 'id' else 'run_id' end;
begin
  perform tell_bottles(array(select bottle_id from run_bath where run_id = ran union select bottle_id from bottle_entry where run_id = ran));
  return null;
end $$;
create function tell_vessel_of_run() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'vessel', 'id', new.plan -> 'vessel' ->> 'id', 'version', null)::text);
  return null;
end $$;
create trigger tell_bottles after update on batch for each row execute function tell_bottles_of_batch();
create trigger tell_bottles after insert on proof for each row execute function tell_of_proof();
create trigger tell_bottles after insert on proof_taken_back for each row execute function tell_of_proof();
create trigger tell after insert on proof_taken_back for each row execute function tell_change('proof', 'proof_id');
create trigger tell_bottles after update of state on run for each row execute function tell_bottles_of_run();
create trigger tell_bottles after update of result on roll for each row execute function tell_bottles_of_run();
create function tell_waste() returns trigger language plpgsql as $$
begin
  perform pg_notify('selvrin', json_build_object('subject', 'waste', 'id', id, 'version', null)::text) from waste_entry where entry_id = new.reverses;
  return null;
end $$;
create trigger tell_waste after insert on bottle_entry for each row when (new.reverses is not null) execute function tell_waste();
create trigger tell_vessel after insert or update of state on run for each row execute function tell_vessel_of_run();
drop trigger tell on run_event;
create trigger tell after insert on run_event for each row execute function tell_change('run-event', 'id');
`,
  down: /* sql */ `
drop trigger tell on run_event;
create trigger tell after insert on run_event for each row execute function tell_change('run', 'run_id');
drop trigger tell_vessel on run;
drop trigger tell_waste on bottle_entry;
drop trigger tell_bottles on roll;
drop trigger tell_bottles on run;
drop trigger tell on proof_taken_back;
drop trigger tell_bottles on proof_taken_back;
drop trigger tell_bottles on proof;
drop trigger tell_bottles on batch;
drop function plain, tell_waste, tell_vessel_of_run, tell_bottles_of_run, tell_of_proof, tell_bottles_of_batch, tell_bottles;
`,
}
