import type { Database } from '../table/database'

/** Takes a person's name out of the lines in which they looked at someone's weight. SQL because those lines else never change: what keeps them so is set aside for this one statement. */
export const forgetChecker = (db: Database, id: string): Promise<unknown> => db.query('select forget_checker($id)', { id })

/** Takes a person out of what was asked for in runs, and out of evenings. SQL because it changes one word inside every request and plan. */
export const forgetInRequests = (db: Database, id: string): Promise<unknown> =>
  db.query(
    `with evenings as (update evening set body = evening_without(body, $id) where body::text like '%' || $id || '%'),
       changes as (update evening_change set before = evening_without(before, $id) where before::text like '%' || $id || '%')
     update run set request = jsonb_set(request, '{films}', (select jsonb_agg(case when f ->> 'memberId' = $id then f - 'memberId' else f end) from jsonb_array_elements(request -> 'films') f))
     where request -> 'films' @> jsonb_build_array(jsonb_build_object('memberId', $id::text))`,
    { id },
  )
