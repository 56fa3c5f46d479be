import { DateTime } from 'luxon'
import { v7 as uuid } from 'uuid'
import { zoneOf } from '../darkroom/zone'
import type { Database } from '../table/database'

export interface Times {
  fromAt: number
  untilAt: number
}

/** A place in words: 'Tue 14 Apr, 18:30 to 21:00'. */
function placeWords({ fromAt, untilAt }: Times, zone: string): string {
  const at = (ms: number, format: string): string => DateTime.fromMillis(ms, { zone }).setLocale('en-GB').toFormat(format)
  return `${at(fromAt, 'ccc d LLL, HH:mm')} to ${at(untilAt, 'HH:mm')}`
}

/** Tells somebody what became of a place of theirs. */
export async function tellOfPlace(
  db: Database,
  { personId, text, now }: { personId: string; text: (words: (times: Times) => string) => string; now: number },
): Promise<void> {
  const zone = await zoneOf(db)
  await db.Notice.create({ id: uuid(), personId, at: now, text: text((times) => placeWords(times, zone)) })
}
