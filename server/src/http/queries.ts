import type { Database } from '../table/database'

/** Takes a key for a request; false where it was taken before. SQL because two requests with one key wait for each other here, which no separate look does. */
export const takeKey = async (db: Database, asked: { personId: string; key: string; hash: string; now: number }): Promise<boolean> =>
  (
    await db.query(
      `insert into idempotency (person_id, key, request_hash, created_at) values ($personId, $key, $hash, to_timestamp($now / 1000.0)) on conflict do nothing returning key`,
      asked,
    )
  ).length > 0

/** Keeps the answer to a request under its key. SQL because every write ends with it: it is planned once. */
export const keepAnswer = (db: Database, asked: { personId: string; key: string; answer: string }): Promise<void> =>
  db.write('update idempotency set answer = $answer where person_id = $personId and key = $key', asked)

/** Who a session belongs to, while it lasts, by its token's hash. SQL because every request begins with it: it is planned once. */
export const sessionOf = async (
  db: Database,
  asked: { tokenHash: string; now: number; idleMs: number },
): Promise<{ id: string; name: string; role: 'member' | 'technician'; seenAt: number } | null> =>
  (
    await db.query<{ id: string; name: string; role: 'member' | 'technician'; seenAt: number }>(
      `select person.id, person.name, person.role, session.seen_at as "seenAt" from session join person on person.id = session.person_id
       where token_hash = $tokenHash and expires_at > to_timestamp($now / 1000.0) and seen_at > to_timestamp(($now - $idleMs) / 1000.0) and person.active`,
      asked,
    )
  )[0] ?? null
