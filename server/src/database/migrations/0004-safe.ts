import type { Migration } from './migration'

/** Hazards of own chemicals said by their statements alone. */
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
`,
  down: /* sql */ `
update chemical set body = body || '{"hazards": []}'::jsonb;
`,
}
