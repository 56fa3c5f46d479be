import { printingApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { book, change, takeBack } from './booking'
import { printingPage } from './page'

/** Places at enlargers. */
export const bookingRoutes = [
  answers(printingApi.get, ({ db, who, now }) => printingPage(db, who, now)),
  answers(printingApi.book, book),
  answers(printingApi.change, change),
  answers(printingApi.takeBack, takeBack),
]
