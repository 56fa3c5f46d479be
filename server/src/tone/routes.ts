import { toneApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { book, getPhoto, keep, photoOf, putPhoto, takeOut } from './swatches'

/** The swatch book of toned strips. */
export const toneRoutes = [
  answers(toneApi.get, book),
  answers(toneApi.keep, keep),
  answers(toneApi.putPhoto, putPhoto, { before: photoOf }),
  answers(toneApi.getPhoto, getPhoto),
  answers(toneApi.takeOut, takeOut),
]
