import { hiddenCast, levelAfter, trainerScore, trainerState } from '@selvrin/core'
import { trainerApi, type CastRoundRow } from '@selvrin/core/contract'
import { answers, type Handler } from '../http/route'
import type { Row } from '../table/database'

/** rounds that are told; the level goes by the last of them */
const told = 50

const roundRow = ({ id, at, level, material, prints, rest, score }: Row<'CastRound'>): CastRoundRow => ({
  ...{ id, at, level, material, prints, rest, score },
})

const get: Handler<typeof trainerApi.get> = async ({ db, who }) => {
  const order = [
    ['at', 'desc'],
    ['id', 'desc'],
  ] as [string, string][]
  const rounds = (await db.CastRound.findAll({ where: { personId: who.id }, order, limit: told })).map(roundRow)
  return { level: levelAfter([...rounds].reverse()), rounds }
}

/** The score is worked out here: nobody sends in points of their own. */
const finish: Handler<typeof trainerApi.finish> = async ({ db, body: { id, level, seed, material, turns }, who, now }) => {
  const hidden = hiddenCast(level, seed)
  const { rest } = trainerState(hidden, turns)
  const score = trainerScore(hidden, turns)
  return roundRow(await db.CastRound.create({ id, personId: who.id, at: now, level, material, prints: turns.length, rest, score }))
}

export const trainerRoutes = [answers(trainerApi.get, get), answers(trainerApi.finish, finish)]
