import { traysApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { calibrate, calibrateBack } from './calibrations'
import { light } from './lamp'
import { draw, getPhoto, photoOf, putPhoto } from './outline'
import { begin, change, get, list, room, whole } from './sheets'
import { addBox, addEnlarger, addPaper, changeEnlarger, changePaper, countBox } from './stock'
import { expose, judge } from './tries'

/** Papers, enlargers, and the sheets of prints with their tries. */
export const traysRoutes = [
  answers(traysApi.get, room),
  answers(traysApi.addPaper, addPaper),
  answers(traysApi.changePaper, changePaper),
  answers(traysApi.addBox, addBox),
  answers(traysApi.countBox, countBox),
  answers(traysApi.addEnlarger, addEnlarger),
  answers(traysApi.changeEnlarger, changeEnlarger),
  answers(traysApi.calibrate, calibrate),
  answers(traysApi.calibrateBack, calibrateBack),
  answers(traysApi.light, light),
  answers(traysApi.sheets, list),
  answers(traysApi.whole, whole),
  answers(traysApi.sheet, get),
  answers(traysApi.begin, begin),
  answers(traysApi.change, change),
  answers(traysApi.draw, draw),
  answers(traysApi.putPhoto, putPhoto, { before: photoOf }),
  answers(traysApi.getPhoto, getPhoto),
  answers(traysApi.expose, expose),
  answers(traysApi.judge, judge),
]
