import { aidApi } from '@selvrin/core/contract'
import { answers, type Handler } from '../http/route'
import { sinkOf } from '../drum/facts'
import { aidCardsPdf } from '../paper/aidCards'
import { getPhoto, incidents, photoOf, putPhoto, refilled, strike, write } from './incidents'
import { bottles, numbers } from './substances'

const cards: Handler<typeof aidApi.cards> = async ({ db }) => ({
  ...{ name: 'spill-cards.pdf', type: 'application/pdf' },
  bytes: await aidCardsPdf(await sinkOf(db)),
})

/** Whom to call, what to do, and what happened. */
export const aidRoutes = [
  answers(aidApi.numbers, numbers),
  answers(aidApi.bottles, bottles),
  answers(aidApi.cards, cards),
  answers(aidApi.incidents, incidents),
  answers(aidApi.write, write),
  answers(aidApi.refilled, refilled),
  answers(aidApi.strike, strike),
  answers(aidApi.putPhoto, putPhoto, { before: photoOf }),
  answers(aidApi.getPhoto, getPhoto),
]
