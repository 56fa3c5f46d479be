import { lineApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { addTray, changeTray, close, get, open, replace } from './line'
import { emergence, pass, passBack } from './passing'

/** Trays, and the line that stands in them. */
export const lineRoutes = [
  answers(lineApi.get, get),
  answers(lineApi.addTray, addTray),
  answers(lineApi.changeTray, changeTray),
  answers(lineApi.open, open),
  answers(lineApi.pass, pass),
  answers(lineApi.passBack, passBack),
  answers(lineApi.replace, replace),
  answers(lineApi.emergence, emergence),
  answers(lineApi.close, close),
]
