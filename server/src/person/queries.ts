import type { Database } from '../table/database'

/** Takes a person's name out of the lines in which they looked at someone's weight. SQL because those lines else never change: what keeps them so is set aside for this one statement. */
export const forgetChecker = (db: Database, id: string): Promise<unknown> => db.query('select forget_checker($id)', { id })

/** Forgets answers kept for repeated requests that hold a person's name as it was shown. SQL because it looks into every answer's text. */
export const forgetAnswers = (db: Database, asked: { id: string; name: string }): Promise<unknown> =>
  db.query(
    'delete from idempotency where person_id::text = $id or position($name in answer::text) > 0 or position($id in answer::text) > 0',
    asked,
  )

/** Takes a member out of what was asked for in runs. SQL because it changes one word inside every request. */
export const forgetInRequests = (db: Database, id: string): Promise<unknown> =>
  db.query(
    `update run set request = jsonb_set(request, '{films}', (select jsonb_agg(case when f ->> 'memberId' = $id then f - 'memberId' else f end) from jsonb_array_elements(request -> 'films') f))
     where request -> 'films' @> jsonb_build_array(jsonb_build_object('memberId', $id::text))`,
    { id },
  )
