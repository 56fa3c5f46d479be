import { coatApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { act } from './acts'
import { addLamp, changeLamp, removeLamp } from './lamps'
import { begin, change, get, list, page } from './sheets'

/** Hand-coated prints, and the lamps they stand under. */
export const coatRoutes = [
  answers(coatApi.get, page),
  answers(coatApi.addLamp, addLamp),
  answers(coatApi.changeLamp, changeLamp),
  answers(coatApi.removeLamp, removeLamp),
  answers(coatApi.list, list),
  answers(coatApi.sheet, get),
  answers(coatApi.begin, begin),
  answers(coatApi.change, change),
  answers(coatApi.act, act),
]
