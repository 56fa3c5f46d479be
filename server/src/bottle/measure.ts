import type { api } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { asRead, writeEntry, type NewEntry } from './ledger'
import { requireInUse } from './requiring'
import { openBottles, type Held } from './rows'

/** What a bottle holds, measured: the difference to its lines becomes a line. */
export const measure: Handler<typeof api.bottle.measure> = async ({ db, params, body, who, now }) => {
  const [held] = (await openBottles(db, [params.id], now)) as [Held]
  const { bottle } = held
  requireInUse(bottle)
  if (body.ml > bottle.sizeMl)
    throw new Refusal(
      422,
      'too-full',
      `${bottle.label} is a bottle of ${bottle.sizeMl.toFixed(0)} ml: it cannot hold ${body.ml.toFixed(0)} ml.`,
      { field: 'ml' },
    )
  const off = body.ml - bottle.state.volumeMl
  const says = `measured ${body.ml.toFixed(0)} ml, ${Math.abs(off).toFixed(0)} ml ${off < 0 ? 'less' : 'more'} than its lines come to`
  const note = [says, body.note].filter(Boolean).join('. ')
  const line: NewEntry = { id: body.entryId, bottleId: bottle.id, kind: 'correct', at: now, by: who.id, ml: off, note }
  await writeEntry(db, line)
  return held.with([asRead(line)]).bottle
}
